<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\Stretch;

/**
 * Finds the stretches where no slope fits: between two formations (`between`), where a bank is still higher than the
 * ground at the board's edge (`edge`), and where a slope has not met the ground within the width the layout allows
 * (`reach`).
 *
 * At the board's edge only banks count: a cutting that reaches it leaves nothing there to hold up.
 */
final class Walls
{
    /** Lower steps need no wall, mm. */
    private const LEAST_HEIGHT = 1.0;

    /** Heights of a wall are told so far apart, and beside a placed one so far out from the formation, mm. */
    private const STEP = 10.0;

    private const BEYOND = 3.0;

    /** Shorter steps, as in the corners of a level crossing, are filled by hand, mm. */
    private const LEAST_LENGTH = 20.0;

    /** How squarely a slope must run out over an edge to be cut off by it. */
    private const OUTWARD = 0.5;

    /**
     * @param list<Run> $runs in section coordinates
     * @param list<string> $joined edges where a neighbouring section goes on: left, right, front, back
     * @return list<Wall>
     */
    public static function find(Terrain $terrain, array $runs, ?float $reach = null, array $joined = []): array
    {
        $samples = [];
        foreach ($terrain->graded as $p => $at) {
            $cause = self::cause($terrain, $p, $at, $runs, $reach, $joined);
            if ($cause !== null) {
                $side = $at->offset >= 0.0 ? 'left' : 'right';
                $samples[$at->run][$side][$cause][] = [$at->station, $at->gap];
            }
        }
        ksort($samples);
        $walls = [];
        foreach ($samples as $k => $sides) {
            foreach ($sides as $side => $causes) {
                foreach ($causes as $cause => $places) {
                    array_push($walls, ...self::along($runs[$k], $side, $cause, $places, $terrain->cell));
                }
            }
        }

        return $walls;
    }

    /**
     * @param list<array{float, float}> $places
     * @return list<Wall>
     */
    private static function along(Run $run, string $side, string $cause, array $places, float $cell): array
    {
        $walls = [];
        foreach (Stretch::gather($places, $cell, $run->alignment->length) as $stretch) {
            if ($stretch->greatest < self::LEAST_HEIGHT || $stretch->length() < self::LEAST_LENGTH) {
                continue;
            }
            $half = $run->profile->halfWidth($side === 'left');
            $mark = $run->alignment->beside(($stretch->from + $stretch->to) / 2.0, $side === 'left' ? $half : -$half);
            $walls[] = new Wall(
                $run->uid, $side, $stretch->from, $stretch->to, $stretch->least, $stretch->greatest, $stretch->integral,
                $cause, $mark->x, $mark->y, self::profile($places, $stretch),
            );
        }

        return $walls;
    }

    /**
     * The walls that are placed, as high as the land steps at the formation's edge, either way.
     *
     * @return list<Wall>
     */
    public static function placed(LandModel $model): array
    {
        $walls = [];
        foreach ($model->grading->runs as $run) {
            foreach ($run->structures as $structure) {
                if (! $structure->isWall()) {
                    continue;
                }
                $left = $structure->kind === 'wall left';
                $away = ($left ? 1.0 : -1.0) * ($run->profile->halfWidth($left) + self::BEYOND);
                $samples = [];
                $parts = max(1, (int) ceil($structure->length() / self::STEP));
                for ($k = 0; $k <= $parts; $k++) {
                    $station = $structure->from + $structure->length() * $k / $parts;
                    $p = $run->alignment->beside($station, $away);
                    if ($p->x >= 0.0 && $p->y >= 0.0 && $p->x <= $model->width && $p->y <= $model->depth) {
                        $samples[] = [$station, abs($model->heightAt($p->x, $p->y) - $run->grade->heightAt($station))];
                    }
                }
                if (count($samples) < 2) {
                    continue;
                }
                $heights = array_column($samples, 1);
                $face = 0.0;
                for ($k = 1; $k < count($samples); $k++) {
                    $face += ($samples[$k][0] - $samples[$k - 1][0]) * ($samples[$k][1] + $samples[$k - 1][1]) / 2.0;
                }
                $mark = $run->alignment->beside(($structure->from + $structure->to) / 2.0, $away);
                $walls[] = new Wall($run->uid, $left ? 'left' : 'right', $samples[0][0], $samples[count($samples) - 1][0], min($heights), max($heights), $face, 'placed', $mark->x, $mark->y, $samples);
            }
        }

        return $walls;
    }

    /**
     * @param list<array{float, float}> $places
     * @return list<array{float, float}> the greatest height every few millimetres along a stretch
     */
    private static function profile(array $places, Stretch $stretch): array
    {
        $bins = [];
        foreach ($places as [$station, $height]) {
            if ($station >= $stretch->from && $station <= $stretch->to) {
                $bin = (int) round(($station - $stretch->from) / self::STEP);
                $bins[$bin] = max($bins[$bin] ?? 0.0, $height);
            }
        }
        ksort($bins);
        $out = [];
        foreach ($bins as $bin => $height) {
            $out[] = [min($stretch->to, $stretch->from + $bin * self::STEP), $height];
        }

        return $out;
    }

    /**
     * @param list<Run> $runs
     * @param list<string> $joined
     */
    private static function cause(Terrain $terrain, int $p, Graded $at, array $runs, ?float $reach, array $joined): ?string
    {
        if ($at->kind === Grading::WALL) {
            return 'between';
        }
        if (($at->kind !== Grading::CUT && $at->kind !== Grading::FILL) || $at->gap < self::LEAST_HEIGHT) {
            return null;
        }
        $run = $runs[$at->run];
        $beyond = abs($at->offset) - $run->profile->halfWidth($at->offset >= 0.0);
        if ($reach !== null && $beyond > $reach - $terrain->cell) {
            return 'reach';
        }
        if ($at->kind === Grading::FILL) {
            $foot = $run->alignment->pointAt($at->station);
            [$x, $y] = $terrain->middle($p);
            $away = max(1e-9, hypot($x - $foot->x, $y - $foot->y));
            foreach (self::edges($terrain, $p) as $edge => [$nx, $ny]) {
                if (! in_array($edge, $joined, true) && ($nx * ($x - $foot->x) + $ny * ($y - $foot->y)) / $away > self::OUTWARD) {
                    return 'edge';
                }
            }
        }

        return null;
    }

    /** @return array<string, array{int, int}> the board's edges a cell lies along, with their outward directions */
    private static function edges(Terrain $terrain, int $p): array
    {
        $i = $p % $terrain->cols;
        $j = intdiv($p, $terrain->cols);

        return ($i === 0 ? ['left' => [-1, 0]] : []) + ($i === $terrain->cols - 1 ? ['right' => [1, 0]] : [])
            + ($j === 0 ? ['front' => [0, -1]] : []) + ($j === $terrain->rows - 1 ? ['back' => [0, 1]] : []);
    }
}
