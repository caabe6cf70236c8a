<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Land\LandClass;
use IdleRidge\Core\Land\LandClasses;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\View\Crown;
use IdleRidge\Core\View\Sight;

/** What is seen of a section from the edges it is looked at from, and what its land hides. */
final readonly class SightStudy
{
    /** The raster that lines of sight are followed on, mm. */
    public const CELL_MM = 10.0;

    /**
     * @param  list<LandClass>  $hidden
     * @param  array<string, array{string, Quantity}>  $runs uid → name, share seen
     */
    private function __construct(public Quantity $land, public array $runs, public array $hidden)
    {
    }

    /**
     * Null when it is looked at from nowhere.
     *
     * @param  list<Stand>  $stands of the section, whose crowns stand in the way
     */
    public static function of(Viewing $viewing, Section $section, LandModel $model, array $stands = []): ?self
    {
        $eyes = $viewing->before($section);
        if ($eyes === []) {
            return null;
        }
        $from = [
            'eyes' => count($eyes).' along '.implode(', ', array_column($viewing->edges, 'value')),
            'off the edge' => Format::length($viewing->distance),
            'over the board' => Format::length($viewing->height),
            'cells of' => Format::length(self::CELL_MM),
        ];
        $grid = $model->terrain(self::CELL_MM)->grid();
        $sight = new Sight($grid, $eyes, self::crowns($stands, $section, $model));
        $from += $stands === [] ? [] : ['crowns' => 'in the way'];
        $seen = $sight->cells();
        $share = count(array_filter($seen)) / count($seen);
        $runs = [];
        foreach ($model->grading->runs as $run) {
            $here = $run->within($section->width, $section->depth);
            if ($here !== null && $here[1] - $here[0] > 10.0) {
                $runs[$run->uid] = [
                    $run->name,
                    new Quantity(
                        100.0 * $sight->shareOfRun($run, ...$here),
                        '%',
                        'share of the run whose vehicles are seen from one eye at least; in tunnels none is',
                        $from,
                        'starting value',
                        0,
                    ),
                ];
            }
        }

        return new self(
            new Quantity(100.0 * $share, '%', 'share of the land’s plan that is seen from one eye at least', $from, 'starting value', 0),
            $runs,
            LandClasses::where(
                $grid,
                $section->width,
                $section->depth,
                array_map(fn (bool $s): float => $s ? 0.0 : 1.0, $seen),
                'hidden',
                0.5,
            ),
        );
    }

    /**
     * @param  list<Stand>  $stands
     * @return list<Crown>
     */
    public static function crowns(array $stands, Section $section, LandModel $model): array
    {
        $out = [];
        foreach ($stands as $stand) {
            foreach ($stand->treesOn($section->placement) as $tree) {
                if (! $tree->dead) {
                    $foot = $model->heightAt($tree->x, $tree->y);
                    $from = $foot + $tree->height * $stand->species($tree)->form->crownFrom();
                    $out[] = new Crown($tree->x, $tree->y, $tree->crown / 2.0, $from, $foot + $tree->height);
                }
            }
        }

        return $out;
    }
}
