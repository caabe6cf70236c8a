<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\Run;

/**
 * Finds the stretches where no slope fits: between two formations (`between`), where a bank is still higher than the
 * ground at the board's edge (`edge`), and where a slope has not met the ground within the width the layout allows
 * (`reach`). The raster says where to look; how far a wall goes and how high it is, is read off the line on which it stands: the lower
 * formation's edge, the board's edge, the end of the reach.
 *
 * At the board's edge only banks count: a cutting that reaches it leaves nothing there to hold up.
 */
final class Walls
{
    /** Lower steps need no wall, mm. */
    public const MIN_HEIGHT_MM = 1.0;

    /** Shorter steps, as in the corners of a level crossing, are filled by hand, mm. */
    public const MIN_LENGTH_MM = 20.0;

    /** Heights are told so far apart; ends are looked for so finely and closed in upon; breaks up to so long do not part a wall, mm. */
    private const STEP_MM = 10.0;

    private const FINE_STEP_MM = 2.5;

    private const EXACT_MM = 0.05;

    private const BRIDGED_GAP_MM = 30.0;

    /** So far beyond a formation's edge its wall is looked at, mm. */
    private const BEYOND_EDGE_MM = 1e-3;

    /** How the land slopes behind a wall is seen over this, mm. */
    private const SLOPE_SPAN_MM = 0.2;

    /** How squarely a slope must run out over an edge to be cut off by it. */
    private const MIN_OUTWARD_COSINE = 0.5;

    /**
     * @param  list<string>  $joined edges where a neighbouring section goes on: left, right, front, back
     * @return list<Wall>
     */
    public static function find(LandModel $model, Terrain $terrain, array $joined = []): array
    {
        $walls = [];
        foreach (self::suspected($model, $terrain, $joined) as $k => $sides) {
            foreach ($sides as $word => $causes) {
                $side = Side::from($word);
                foreach (array_keys($causes) as $cause) {
                    array_push(
                        $walls,
                        ...$cause === 'edge' ? self::atEdges($model, $k, $side, $joined) : self::beside($model, $k, $side, $cause),
                    );
                }
            }
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
                $side = $structure->kind->side();
                if ($side === null) {
                    continue;
                }
                $profile = self::profile(
                    $run,
                    $side,
                    $run->profile->halfWidth($side),
                    $structure->from,
                    $structure->to,
                    fn (float $station): ?array => self::step(
                        $model,
                        $run,
                        $side,
                        min(max($station, $structure->from + self::BEYOND_EDGE_MM), $structure->to - self::BEYOND_EDGE_MM),
                    ),
                );
                if (count($profile) > 1) {
                    $walls[] = self::wall($run, $side, 'placed', $profile);
                }
            }
        }

        return $walls;
    }

    /**
     * Where the raster shows a wall, or two formations side by side with a step between them.
     *
     * @param  list<string>  $joined
     * @return array<int, array<string, array<string, true>>> run → side → causes
     */
    private static function suspected(LandModel $model, Terrain $terrain, array $joined): array
    {
        $found = [];
        foreach ($terrain->graded as $p => $at) {
            $side = Side::at($at->offset)->value;
            if ($at->kind === Grading::WALL) {
                $found[$at->run][$side]['between'] = true;
            } elseif ($at->kind === Grading::FORMATION) {
                foreach ([1, $terrain->cols] as $next) {
                    $other = $p % $terrain->cols === $terrain->cols - 1 && $next === 1 ? null : $terrain->graded[$p + $next] ?? null;
                    if (
                        $other !== null &&
                        $other->kind === Grading::FORMATION &&
                        $other->run !== $at->run &&
                        abs($other->height - $at->height) >= self::MIN_HEIGHT_MM
                    ) {
                        $lower = $other->height < $at->height ? $other : $at;
                        $found[$lower->run][Side::at($lower->offset)->value]['between'] = true;
                    }
                }
            } elseif ($at->gap >= self::MIN_HEIGHT_MM) {
                $run = $model->grading->runs[$at->run];
                $beyond = abs($at->offset) - $run->profile->halfWidth(Side::at($at->offset));
                if ($model->grading->reach !== null && $beyond > $model->grading->reach - 2.0 * $terrain->cell) {
                    $found[$at->run][$side]['reach'] = true;
                } elseif ($at->kind === Grading::FILL && self::isAtEdge($terrain, $p, $joined)) {
                    $found[$at->run][$side]['edge'] = true;
                }
            }
        }
        ksort($found);

        return $found;
    }

    /** @param  list<string>  $joined */
    private static function isAtEdge(Terrain $terrain, int $p, array $joined): bool
    {
        [$i, $j] = [$p % $terrain->cols, intdiv($p, $terrain->cols)];
        $edges = ['left' => $i === 0, 'right' => $i === $terrain->cols - 1, 'front' => $j === 0, 'back' => $j === $terrain->rows - 1];

        return array_diff(array_keys(array_filter($edges)), $joined) !== [];
    }

    /** @return list<Wall> along the edge of a run's formation, or the end of its slopes' reach */
    private static function beside(LandModel $model, int $k, Side $side, string $cause): array
    {
        $run = $model->grading->runs[$k];
        $half = $run->profile->halfWidth($side);
        $offset = $cause === 'between' ? $half + self::BEYOND_EDGE_MM : $half + (float) $model->grading->reach - self::BEYOND_EDGE_MM;
        $at = function (float $station) use ($model, $run, $k, $side, $cause, $offset): ?array {
            $p = $run->alignment->beside($station, $side->offset($offset));
            $graded = $run->wallAt($station, $side) ? null : self::graded($model, $p);
            $here =
                $graded !== null &&
                $graded->run === $k &&
                ($cause === 'between' ? $graded->kind === Grading::WALL : in_array($graded->kind, [Grading::FILL, Grading::CUT], true))
                    ? $graded
                    : null;

            return $here === null
                ? null
                : match ($here->kind) {
                    Grading::WALL => ['foot' => $here->height - $here->gap, 'top' => $here->height],
                    Grading::FILL => ['foot' => $here->height - $here->gap, 'top' => $here->height],
                    default => ['foot' => $here->height, 'top' => $here->height + $here->gap],
                };
        };
        $walls = [];
        foreach (self::stretches($at, $run->alignment->length) as [$from, $to]) {
            $profile = self::profile($run, $side, $offset, $from, $to, $at);
            if (self::counts($profile)) {
                $walls[] = self::wall($run, $side, $cause, $profile);
            }
        }

        return $walls;
    }

    /**
     * @param  list<string>  $joined
     * @return list<Wall> along the board's edges, where they cut off a run's bank
     */
    private static function atEdges(LandModel $model, int $k, Side $side, array $joined): array
    {
        $run = $model->grading->runs[$k];
        [$w, $d] = [$model->width, $model->depth];
        $walls = [];
        foreach (
            [
                'left' => [0.0, 0.0, 0.0, 1.0, -1.0, 0.0],
                'right' => [$w, 0.0, 0.0, 1.0, 1.0, 0.0],
                'front' => [0.0, 0.0, 1.0, 0.0, 0.0, -1.0],
                'back' => [0.0, $d, 1.0, 0.0, 0.0, 1.0],
            ] as $edge => [$x, $y, $ax, $ay, $nx, $ny]
        ) {
            $at = function (float $t) use ($model, $run, $k, $side, $x, $y, $ax, $ay, $nx, $ny): ?array {
                $p = new Point($x + $t * $ax, $y + $t * $ay);
                $graded = self::graded($model, $p);
                if (
                    $graded === null ||
                    $graded->kind !== Grading::FILL ||
                    $graded->run !== $k ||
                    Side::at($graded->offset) !== $side
                ) {
                    return null;
                }
                $foot = $run->alignment->pointAt($graded->station);
                $outward = ($nx * ($p->x - $foot->x) + $ny * ($p->y - $foot->y)) / max(1e-9, hypot($p->x - $foot->x, $p->y - $foot->y));

                return $outward > self::MIN_OUTWARD_COSINE
                    ? ['station' => $graded->station, 'foot' => $graded->height - $graded->gap, 'top' => $graded->height]
                    : null;
            };
            $length = $ax > 0.0 ? $w : $d;
            foreach (in_array($edge, $joined, true) ? [] : self::stretches($at, $length) as [$from, $to]) {
                $profile = [];
                foreach (self::places($from, $to) as $t) {
                    $here = $at($t);
                    if ($here !== null) {
                        $profile[] = ['station' => $here['station'], 'along' => $t, 'foot' => $here['foot'], 'top' => $here['top']];
                    }
                }
                if (self::counts($profile)) {
                    $walls[] = self::wall($run, $side, 'edge', $profile);
                }
            }
        }

        return $walls;
    }

    private static function graded(LandModel $model, Point $p): ?Graded
    {
        $on = $p->x >= 0.0 && $p->y >= 0.0 && $p->x <= $model->width && $p->y <= $model->depth;

        return $on ? $model->grading->at($p->x, $p->y, $model->ground->at($p->x, $p->y)) : null;
    }

    /**
     * How the land steps where a wall is placed: from the formation to the land behind the wall's own steep face.
     *
     * @return array{foot: float, top: float}|null null off the board
     */
    private static function step(LandModel $model, Run $run, Side $side, float $station): ?array
    {
        $level = $run->grade->heightAt($station);
        $out = $run->profile->halfWidth($side) + self::BEYOND_EDGE_MM;
        $land = function (float $beyond) use ($model, $run, $side, $station, $out): ?float {
            $p = $run->alignment->beside($station, $side->offset($out + $beyond));

            return $p->x >= 0.0 && $p->y >= 0.0 && $p->x <= $model->width && $p->y <= $model->depth ? $model->heightAt($p->x, $p->y) : null;
        };
        // Its face leans: the higher it is, the further out the land behind it begins. It is told as if that went on to the foot.
        $here = $land(0.0);
        for ($beyond = 0.02; $here !== null && $beyond < 40.0; $beyond *= 2.0) {
            $behind = $land($beyond);
            if ($behind === null) {
                break;
            }
            $here = $behind;
            if (abs($behind - $level) < Grading::MAX_SLOPE * $beyond - self::BEYOND_EDGE_MM) {
                $ends = abs($behind - $level) / Grading::MAX_SLOPE + 2.0 * self::BEYOND_EDGE_MM;
                [$near, $far] = [$land($ends) ?? $behind, $land($ends + self::SLOPE_SPAN_MM)];
                $here = $far === null ? $near : $near - (($far - $near) * $ends) / self::SLOPE_SPAN_MM;
                break;
            }
        }

        return $here === null ? null : ['foot' => min($level, $here), 'top' => max($level, $here)];
    }

    /**
     * @param  callable(float): (array{foot: float, top: float}|null)  $at
     * @return list<array{float, float}> from and to, of what is more than a hair high
     */
    private static function stretches(callable $at, float $length): array
    {
        $holds = fn (float $t): bool => ($here = $at($t)) !== null && $here['top'] - $here['foot'] > self::EXACT_MM;
        $parts = max(1, (int) ceil($length / self::FINE_STEP_MM));
        $out = [];
        $open = null;
        for ($k = 0; $k <= $parts; $k++) {
            $t = ($length * $k) / $parts;
            if (! $holds($t)) {
                continue;
            }
            if ($open !== null && $t - $open[1] > self::BRIDGED_GAP_MM + self::FINE_STEP_MM) {
                $out[] = $open;
                $open = null;
            }
            $open = [$open[0] ?? $t, $t];
        }
        if ($open !== null) {
            $out[] = $open;
        }
        $close = function (float $in, float $beyond) use ($holds): float {
            while (abs($beyond - $in) > self::EXACT_MM) {
                $middle = ($in + $beyond) / 2.0;
                [$in, $beyond] = $holds($middle) ? [$middle, $beyond] : [$in, $middle];
            }

            return $in;
        };
        $step = $length / $parts;

        return array_map(
            fn (array $s): array => [
                $s[0] <= 0.0 ? 0.0 : $close($s[0], $s[0] - $step),
                $s[1] >= $length ? $length : $close($s[1], $s[1] + $step),
            ],
            $out,
        );
    }

    /** @return list<float> */
    private static function places(float $from, float $to): array
    {
        $parts = max(1, (int) ceil(($to - $from) / self::STEP_MM - 1e-9));

        return array_map(fn (int $k): float => $from + (($to - $from) * $k) / $parts, range(0, $parts));
    }

    /**
     * @param  callable(float): (array{foot: float, top: float}|null)  $at
     * @return list<array{station: float, along: float, foot: float, top: float}> at stations from one to another, told along the line
     *     beside the run
     */
    private static function profile(Run $run, Side $side, float $offset, float $from, float $to, callable $at): array
    {
        $profile = [];
        $along = 0.0;
        $last = null;
        foreach (self::places($from, $to) as $station) {
            $along += $last === null ? 0.0 : $run->alignment->lengthBeside($last, $station, $side->offset($offset));
            $last = $station;
            $here = $at($station);
            if ($here !== null) {
                $profile[] = ['station' => $station, 'along' => $along, 'foot' => $here['foot'], 'top' => $here['top']];
            }
        }

        return $profile;
    }

    /**
     * @param  list<array{station: float, along: float, foot: float, top: float}>  $profile
     *
     * @phpstan-assert-if-true non-empty-list<array{station: float, along: float, foot: float, top: float}> $profile
     */
    private static function counts(array $profile): bool
    {
        return $profile !== [] &&
            $profile[count($profile) - 1]['along'] - $profile[0]['along'] >= self::MIN_LENGTH_MM &&
            max(array_map(fn (array $p): float => $p['top'] - $p['foot'], $profile)) >= self::MIN_HEIGHT_MM;
    }

    /** @param  non-empty-list<array{station: float, along: float, foot: float, top: float}>  $profile */
    private static function wall(Run $run, Side $side, string $cause, array $profile): Wall
    {
        $stations = array_column($profile, 'station');
        [$from, $to] = [min($stations), max($stations)];
        $half = $run->profile->halfWidth($side);
        $mark = $run->alignment->beside(($from + $to) / 2.0, $side->offset($half));

        return new Wall($run->uid, $side, $from, $to, $cause, $mark->x, $mark->y, $profile);
    }
}
