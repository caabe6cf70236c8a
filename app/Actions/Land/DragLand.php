<?php

declare(strict_types=1);

namespace App\Actions\Land;

use App\Actions\FormInput;
use App\Actions\Ledger\Freshness;
use App\Computed\ProjectLoader;
use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\Run;
use App\Models\Section;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\Snap;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Track\AlignmentBuilder;
use IdleRidge\Core\Track\Run as CoreRun;

/**
 * What dragging a grip or pressing an arrow on it does to its record. The same for a preview and for the release: a
 * preview leaves the row unsaved. Dragged values are whole steps (1 mm, 1/16"), or those of what lies near, and stay on the board; a
 * drag is held back where a typed value would be refused.
 */
final readonly class DragLand
{
    /** Where a grip is said to be, other than by how much it goes. */
    private const PLACES = ['x', 'y', 'station', 'height'];

    public function __construct(
        private SaveLandFeature $place,
        private SaveRun $lay,
        private ProjectLoader $load,
        private Freshness $freshness,
    ) {
    }

    /**
     * @param  array<string, mixed>  $grip drag, uid, index; x, y, station, height (where it is now) or dx, dy, dz (by how much); snap 0 to
     *     take places as they are
     *
     * @throws InvalidValue when there is no such grip
     */
    public function apply(Layout $layout, Section $section, array $grip): Run|LandFeature
    {
        $typed = new FormInput($grip);
        [$uid, $drag, $index] = [$typed->text('uid'), $typed->text('drag'), (int) self::number($grip, 'index', 0.0)];
        if (in_array($drag, ['point', 'height', 'insert', 'drop'], true)) {
            return $this->feature($layout, $layout->features()->where('uid', $uid)->firstOrFail(), $section, $drag, $index, $grip);
        }
        if (in_array($drag, ['start', 'end', 'grade', 'level'], true)) {
            return $this->run($layout, $layout->runs()->where('uid', $uid)->firstOrFail(), $section, $drag, $index, $grip);
        }
        throw new InvalidValue('There is no such grip.', 'drag');
    }

    /**
     * A place that was dragged to is where it was seen to go; a step by a key adds to what stands, whoever set that.
     *
     * @param  array<string, mixed>  $grip
     */
    public function save(Layout $layout, Section $section, array $grip): void
    {
        $row = $this->apply($layout, $section, $grip);
        $adds = array_intersect_key($grip, array_flip(self::PLACES)) === [] && $this->isOrdered($row);
        if ($row instanceof LandFeature) {
            $this->place->save($layout, $row, SaveLandFeature::sentence(ProjectLoader::feature($row)), $adds);
        } else {
            $this->lay->save(
                $layout,
                $row,
                in_array($grip['drag'] ?? '', ['start', 'end'], true) ? "{$row->name} moved" : "Grade of {$row->name} changed",
                $adds,
            );
        }
    }

    /** Whether its points are as many as were seen, so that their numbers mean the same ones. */
    private function isOrdered(Run|LandFeature $row): bool
    {
        $seen = $this->freshness->asSeen($row);
        $list = $row instanceof Run ? 'grade_points' : 'points';

        return $seen === null ||
            count((array) json_decode((string) ($seen[$list] ?? '[]'), true)) ===
                count((array) json_decode((string) $row->getRawOriginal($list), true));
    }

    /** @param  array<string, mixed>  $grip */
    private function feature(Layout $layout, LandFeature $row, Section $section, string $drag, int $index, array $grip): LandFeature
    {
        $points = $row->points;
        $point = $points[$index] ?? throw new InvalidValue('There is no such point.', 'index');
        $placement = ProjectLoader::section($section)->placement;
        $here = $placement->toSection(new Point((float) $point['x_mm'], (float) $point['y_mm']));
        if ($drag === 'drop') {
            unset($points[$index]);
            $row->points = array_values($points);
            // Too few points are refused with what is wrong.
            ProjectLoader::feature($row);

            return $row;
        }
        if ($drag === 'insert') {
            $next = $points[$index + 1] ?? $points[0];
            $between = array_map(
                fn (float|int $a, float|int $b): float => ($a + $b) / 2.0,
                [$point['x_mm'], $point['y_mm'], $point['z_mm']],
                [$next['x_mm'], $next['y_mm'], $next['z_mm']],
            );
            $here = $placement->toSection(new Point($between[0], $between[1]));
            array_splice($points, ++$index, 0, [['x_mm' => $between[0], 'y_mm' => $between[1], 'z_mm' => $between[2]]]);
        }
        if ($drag === 'height') {
            $height = max(-1000.0, min(3000.0, RoundSteps::whole((float) $point['z_mm'] + self::number($grip, 'dz', 0.0))));
            // Water and pads stay level.
            $points = array_map(
                fn (array $p, int $k): array => $k === $index || FeatureKind::from($row->kind)->isLevel()
                    ? ['z_mm' => $height] + $p
                    : $p,
                $points,
                array_keys($points),
            );
        } else {
            $x = round(max(0.0, min($section->width_mm, self::number($grip, 'x', $here->x) + self::number($grip, 'dx', 0.0))), 1);
            $y = round(max(0.0, min($section->depth_mm, self::number($grip, 'y', $here->y) + self::number($grip, 'dy', 0.0))), 1);
            $at = $this->meant(
                $layout,
                $section,
                $row->uid,
                new Point(self::whole($x, $section->width_mm), self::whole($y, $section->depth_mm)),
                $grip,
            );
            $there = $placement->toLayout($at);
            $points[$index] = ['x_mm' => $there->x, 'y_mm' => $there->y, 'z_mm' => (float) ($points[$index]['z_mm'] ?? $point['z_mm'])];
        }
        $row->points = array_values($points);

        return $row;
    }

    /** @param  array<string, mixed>  $grip */
    private function run(Layout $layout, Run $row, Section $section, string $drag, int $index, array $grip): Run
    {
        $placement = ProjectLoader::section($section)->placement;
        $run = ProjectLoader::run($row)->seenFrom($placement);
        if ($drag === 'level') {
            $row->start_height_mm = RoundSteps::whole(
                self::number($grip, 'height', $row->start_height_mm) + self::number($grip, 'dz', 0.0) + self::number($grip, 'dy', 0.0),
            );

            return $row;
        }
        if ($drag === 'start') {
            $at = $this->meant(
                $layout,
                $section,
                $row->uid,
                new Point(
                    RoundSteps::whole(self::number($grip, 'x', $run->start->x) + self::number($grip, 'dx', 0.0)),
                    RoundSteps::whole(self::number($grip, 'y', $run->start->y) + self::number($grip, 'dy', 0.0)),
                ),
                $grip,
            );
            $p = $placement->toLayout($at);
            $row->x_mm = $p->x;
            $row->y_mm = $p->y;

            return $row;
        }
        if ($drag === 'end') {
            $now = $run->alignment->pointAt($run->alignment->length);
            $goal = $this->meant(
                $layout,
                $section,
                $row->uid,
                new Point(
                    self::number($grip, 'x', $now->x) + self::number($grip, 'dx', 0.0),
                    self::number($grip, 'y', $now->y) + self::number($grip, 'dy', 0.0),
                ),
                $grip,
            );
            $longer = $run->but(pieces: AlignmentBuilder::ending($run, $goal), gradePoints: [], structures: []);
            // What stood beyond the new end is held back to it.
            $row->elements = $longer->pieces;
            $row->grade_points = array_values(
                array_filter($row->grade_points, fn (array $p): bool => (float) $p['station_mm'] <= $longer->alignment->length),
            );
            $row->structures = array_values(
                array_filter($row->structures, fn (array $s): bool => (float) $s['to_mm'] <= $longer->alignment->length),
            );

            return $row;
        }
        $points = $row->grade_points;
        $sorted = $points;
        usort($sorted, fn (array $a, array $b): int => $a['station_mm'] <=> $b['station_mm']);
        $point = $sorted[$index] ?? throw new InvalidValue('There is no such grade point.', 'index');
        $station = (float) $point['station_mm'] + self::number($grip, 'dx', 0.0);
        if (isset($grip['x'], $grip['y'])) {
            $start = $run->alignment->pointAt($station);
            $station = $run->alignment->nearest(new Point(self::number($grip, 'x', $start->x), self::number($grip, 'y', $start->y)))[
                'station'
            ];
        } elseif (isset($grip['station'])) {
            $station = self::number($grip, 'station', $station);
        }
        // Neither past its neighbours nor into their vertical curves.
        $curve = fn (int $k): float => (float) ($sorted[$k]['curve_mm'] ?? 0.0) / 2.0;
        $least =
            $index > 0
                ? (float) $sorted[$index - 1]['station_mm'] + max(10.0, $curve($index - 1) + $curve($index))
                : max(10.0, $curve($index));
        $most = isset($sorted[$index + 1])
            ? (float) $sorted[$index + 1]['station_mm'] - max(10.0, $curve($index) + $curve($index + 1))
            : $run->alignment->length - $curve($index);
        $sorted[$index] =
            [
                'station_mm' => max($least, min($most, self::whole($station, $run->alignment->length))),
                'height_mm' => max(
                    -1000.0,
                    min(
                        3000.0,
                        RoundSteps::whole(
                            self::number($grip, 'height', (float) $point['height_mm']) +
                                self::number($grip, 'dz', 0.0) +
                                self::number($grip, 'dy', 0.0),
                        ),
                    ),
                ),
            ] + array_intersect_key($point, ['curve_mm' => true]);
        $row->grade_points = $sorted;

        return $row;
    }

    /**
     * Where a dragged place is meant to be: keys move it freely.
     *
     * @param  array<string, mixed>  $grip
     */
    private function meant(Layout $layout, Section $section, string $uid, Point $p, array $grip): Point
    {
        if (! isset($grip['x']) || ($grip['snap'] ?? '1') === '0') {
            return $p;
        }
        $project = $this->load->of($layout);
        $board = $project->section($section->uid);
        $runs = array_values(array_filter($project->runsNear($board), fn (CoreRun $run): bool => $run->uid !== $uid));
        $spots = [];
        foreach ($project->features as $feature) {
            if ($feature->kind->isSpot() && $feature->uid !== $uid) {
                $spots[] = $board->placement->toSection(new Point($feature->points[0]->x, $feature->points[0]->y));
            }
        }
        // A spot laid on another would be refused: only lines end on spots.
        $isSpot = $layout->features()->where('uid', $uid)->where('kind', 'spot')->exists();

        return Snap::near($p, $board->width, $board->depth, $isSpot ? [] : $runs, $isSpot ? [] : $spots)->at;
    }

    /** To a whole step, but for the board's own edge. */
    private static function whole(float $value, float $edge): float
    {
        return $value >= $edge - 0.5 ? $edge : RoundSteps::whole($value);
    }

    /** @param  array<string, mixed>  $grip */
    private static function number(array $grip, string $key, float $otherwise): float
    {
        $value = $grip[$key] ?? null;

        return is_numeric($value) && is_finite((float) $value) ? (float) $value : $otherwise;
    }
}
