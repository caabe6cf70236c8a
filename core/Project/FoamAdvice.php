<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Land\LandModel;

/** What a layer of foam is for, and so its kind: one that takes a stem where something is planted, a dense one under water and walls. */
final class FoamAdvice
{
    /** A stem without a socket is stuck so deep, mm. */
    public const STEM_MM = 12.0;

    /** Places along a wall or formation that are looked at, mm apart. */
    private const STEP_MM = 20.0;

    /** @return list<string> */
    public static function of(Project $project, Section $section, LandModel $model, Layer $layer): array
    {
        $top = $layer->bottom + $layer->thickness;
        $meets = fn (float $low, float $high): bool => $high > $layer->bottom + 1e-6 && $low < $top - 1e-6;
        $stems = 0;
        foreach ($project->works->growth->standsOn($section->uid) as $stand) {
            foreach ($stand->treesOn($section->placement) as $tree) {
                $foot = $model->heightAt($tree->x, $tree->y);
                $stems += $meets($foot - ($stand->socket->depth ?? self::STEM_MM), $foot) ? 1 : 0;
            }
        }
        $out = $stems === 0 ? [] : ['planting foam, soft: '.($stems === 1 ? 'one stem stands' : "{$stems} stems stand").' in it'];
        $dense = [];
        foreach ($model->ground->basins as $basin) {
            if ($meets($basin->level - $basin->depth, $basin->level)) {
                $dense[] = $basin->name === '' ? 'the water' : $basin->name;
            }
        }
        foreach ($model->grading->runs as $run) {
            $here = $run->within($section->width, $section->depth);
            if ($here === null) {
                continue;
            }
            foreach ($run->structures as $structure) {
                $to = $structure->isWall() ? min($structure->to, $here[1]) : -INF;
                for ($at = max($structure->from, $here[0]); $at <= $to; $at += self::STEP_MM) {
                    if ($meets($run->grade->heightAt($at) - 1.0, $run->grade->heightAt($at))) {
                        $dense[] = "the wall of {$run->name}";
                        break;
                    }
                }
            }
        }

        return $dense === [] ? $out : [...$out, 'dense foam: it is under '.implode(' and ', array_unique($dense))];
    }
}
