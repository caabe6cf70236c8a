<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Computed\Land\LandReport;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Interchange\GeoJson;
use IdleRidge\Core\Interchange\ReliefPng;
use IdleRidge\Core\Interchange\Stl;
use IdleRidge\Core\Measure\InvalidValue;

final class LandCommand extends RidgeCommand
{
    protected $signature = 'ridge:land {file : a *.ridge.json} {--section= : uid or name} {--cell=5 : mm} {--interval=10 '
        .': between contours, mm} {--asc= : grid to write} {--geojson= : contours to write} '
        .'{--stl= : closed solid to write} {--png= : shaded relief to write} {--json}';

    protected $description = 'Works out the land of a section: terrain, cut and fill, walls, findings';

    protected function answer(): array
    {
        $project = $this->project();
        $name = $this->word('section');
        if ($name === '') {
            throw new InvalidValue('name a section by its uid or name', '--section');
        }
        $works = new LandReport();
        $study = $works->of($project, $project->section($name), $this->number('cell', 1.0, 100.0, 'mm'));
        if ($this->word('asc') !== '') {
            $this->put($this->word('asc'), AsciiGrid::write($study->terrain->grid()));
        }
        if ($this->word('geojson') !== '') {
            $mesh = $study->terrain->mesh();
            $this->put(
                $this->word('geojson'),
                GeoJson::contours(Contours::of($mesh, Contours::levels($mesh, $this->number('interval', 0.01, 10_000.0, 'mm')))),
            );
        }

        if ($this->word('stl') !== '') {
            $this->put($this->word('stl'), Stl::ofLand($study->terrain->mesh(), $study->section->base));
        }
        if ($this->word('png') !== '') {
            $this->put($this->word('png'), ReliefPng::png($study->terrain->grid()));
        }

        return $works->facts($study);
    }
}
