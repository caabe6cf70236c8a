<?php

declare(strict_types=1);

namespace App\Console\Commands;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\InvalidValue;

final class GroundCommand extends RidgeCommand
{
    protected $signature = 'ridge:ground {file : width, depth, spots [[x, y, z]], tension and stiffness as '
        .'JSON} {--cell=5 : mm} {--asc= : grid to write, values on the board\'s edges too} {--json}';

    protected $description = 'Lays natural ground through spot heights';

    protected function answer(): array
    {
        $problem = $this->read((array) json_decode($this->contents($this->file()), true));
        $cell = $this->number('cell', 0.5, 200.0, 'mm');
        $cols = (int) round($problem->width / $cell) + 1;
        $rows = (int) round($problem->depth / $cell) + 1;
        if ($cols * $rows > HeightGrid::MAX_CELLS) {
            throw new InvalidValue('that cell gives more values than a grid may hold', '--cell');
        }
        $lattice = GroundSolver::solve($problem, $cell);
        $grid = HeightGrid::nodes(
            $cols,
            $rows,
            $cell,
            0.0,
            0.0,
            $lattice->raster(
                array_map(fn (int $i): float => $i * $cell, range(0, $cols - 1)),
                array_map(fn (int $j): float => $j * $cell, range(0, $rows - 1)),
            ),
        );
        if ($this->word('asc') !== '') {
            $this->put($this->word('asc'), AsciiGrid::write($grid));
        }

        return [
            'cell_mm' => $cell,
            'cols' => $cols,
            'rows' => $rows,
            'spots' => count($problem->spots),
            'z_min_mm' => round(min($grid->values), 3),
            'z_max_mm' => round(max($grid->values), 3),
        ];
    }

    /** @param  array<mixed>  $json */
    private function read(array $json): GroundProblem
    {
        foreach (['width', 'depth', 'spots'] as $key) {
            if (! isset($json[$key])) {
                throw new InvalidValue('is missing, or the file is not JSON', "/{$key}");
            }
        }
        $spots = [];
        foreach (
            is_array($json['spots']) ? array_values($json['spots']) : throw new InvalidValue('expected a list', '/spots') as $k => $spot
        ) {
            $isNumber = fn (mixed $v): bool => is_int($v) || is_float($v);
            if (! is_array($spot) || count($spot) !== 3 || count(array_filter($spot, $isNumber)) !== 3) {
                throw new InvalidValue('expected [x, y, z]', "/spots/{$k}");
            }
            $spots[] = new Spot(...array_map('floatval', array_values($spot)));
        }
        $number = fn (string $key, float $otherwise): float => ! isset($json[$key])
            ? $otherwise
            : (is_int($json[$key]) || is_float($json[$key])
                ? (float) $json[$key]
                : throw new InvalidValue('expected a number', "/{$key}"));
        try {
            return GroundProblem::over(
                0.0,
                0.0,
                $number('width', 0.0),
                $number('depth', 0.0),
                $spots,
                [],
                $number('tension', GroundProblem::TENSION),
                $number('stiffness', GroundProblem::STIFFNESS),
            );
        } catch (InvalidValue $refusal) {
            throw $refusal->within('');
        }
    }
}
