<?php

declare(strict_types=1);

namespace App\Console\Commands;

use IdleRidge\Core\Geometry\Contour;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Interchange\GeoJson;

final class ContoursCommand extends RidgeCommand
{
    protected $signature = 'ridge:contours {file : an ESRI ASCII grid} {--interval=10 : between '
        .'contours, mm} {--geojson= : file to write, one MultiLineString a level} {--json}';

    protected $description = 'Draws the contours of a grid of heights';

    protected function answer(): array
    {
        $mesh = AsciiGrid::read($this->contents($this->file()))->mesh();
        $contours = Contours::of($mesh, Contours::levels($mesh, $this->number('interval', 0.01, 10_000.0, 'mm')));
        if ($this->word('geojson') !== '') {
            $this->put($this->word('geojson'), GeoJson::contours($contours));
        }

        return [
            'contours' => array_map(
                fn (Contour $c): array => ['level' => $c->level, 'lines' => count($c->lines), 'length_mm' => round($c->length, 3)],
                $contours,
            ),
        ];
    }
}
