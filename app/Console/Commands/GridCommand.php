<?php

declare(strict_types=1);

namespace App\Console\Commands;

use IdleRidge\Core\Geometry\Contour;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\View\Sight;
use IdleRidge\Core\Water\Pool;

final class GridCommand extends RidgeCommand
{
    protected $signature = 'ridge:grid {file : an ESRI ASCII grid} {--base=0 : volume counts from this level, mm} '
        .'{--interval=10 : between contours, mm} {--water= : a water level, mm} {--seed= : '
        .'x,y of a place under that water} {--eye= : x,y,z of an eye, mm} {--json}';

    protected $description = 'Measures a grid of heights: volume, surface, slope, contours, a pool, what is seen';

    protected function answer(): array
    {
        $grid = AsciiGrid::read($this->contents($this->file()));
        $mesh = $grid->mesh();
        $levels = Contours::levels($mesh, $this->number('interval', 0.01, 10_000.0, 'mm'));
        $answer = [
            'volume_mm3' => round($mesh->volumeAbove($this->number('base', -1e6, 1e6, 'mm')), 3),
            'surface_mm2' => round($mesh->surface(), 3),
            'max_slope_deg' => round(rad2deg(atan($grid->maxSlope())), 4),
            'contours' => array_map(
                fn (Contour $c): array => [
                    'level' => $c->level,
                    'length_mm' => round($c->length, 3),
                    'area_mm2' => round($c->areaAbove, 3),
                    'closed' => $c->lines !== [] && $c->closedLines() === count($c->lines),
                ],
                Contours::of($mesh, $levels),
            ),
        ];
        if (($this->word('water') === '') !== ($this->word('seed') === '')) {
            throw new InvalidValue('--water and --seed belong together', '--water');
        }
        if ($this->word('water') !== '') {
            $pool = Pool::fill($mesh, $this->number('water', -1e6, 1e6, 'mm'), ...$this->numbers('seed', 2));
            $answer['pool'] = [
                'volume_mm3' => round($pool->volume, 3),
                'surface_mm2' => round($pool->surface, 3),
                'spill_level' => round($pool->spill->level, 4),
                'spill_at' => $pool->spill->at(),
            ];
        }

        if ($this->word('eye') !== '') {
            /** @var array{float, float, float} $eye */
            $eye = $this->numbers('eye', 3);
            $answer['visible_share'] = round((new Sight($grid, [$eye]))->share(), 4);
        }

        return $answer;
    }
}
