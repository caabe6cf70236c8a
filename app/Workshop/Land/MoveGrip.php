<?php

declare(strict_types=1);

namespace App\Workshop\Land;

use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\Run;
use App\Models\Section;
use App\Workshop\LoadProject;
use App\Workshop\Revising\StaleRecord;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Refusal;

/**
 * What dragging a grip or pressing an arrow on it does to its record. The same for a preview and for the release: a
 * preview leaves the row unsaved. Dragged values are whole millimetres and stay on the board; a drag is held back where
 * a typed value would be refused.
 */
final readonly class MoveGrip
{
    public function __construct(private PlaceFeature $place, private LayRun $lay)
    {
    }

    /**
     * @param array<string, mixed> $grip drag, uid, index; x, y, station, height (where it is now) or dx, dy, dz (by how much)
     *
     * @throws Refusal when there is no such grip
     */
    public function apply(Layout $layout, Section $section, array $grip): Run|LandFeature
    {
        $uid = (string) ($grip['uid'] ?? '');
        $drag = (string) ($grip['drag'] ?? '');
        $index = (int) ($grip['index'] ?? 0);
        if ($drag === 'point' || $drag === 'height') {
            return $this->feature($layout->features()->where('uid', $uid)->firstOrFail(), $section, $drag, $index, $grip);
        }
        if ($drag === 'start' || $drag === 'grade' || $drag === 'level') {
            return $this->run($layout->runs()->where('uid', $uid)->firstOrFail(), $section, $drag, $index, $grip);
        }
        throw new Refusal('There is no such grip.', 'drag');
    }

    /** @param  array<string, mixed>  $grip */
    public function save(Layout $layout, Section $section, array $grip): void
    {
        $row = $this->apply($layout, $section, $grip);
        StaleRecord::unlessFresh($row, isset($grip['rev']) ? (int) $grip['rev'] : null, 'This', []);
        if ($row instanceof LandFeature) {
            $this->place->save($layout, $row, PlaceFeature::sentence(LoadProject::feature($row)));
        } else {
            $this->lay->save($layout, $row, $grip['drag'] === 'start' ? "{$row->name} moved" : "Grade of {$row->name} changed");
        }
    }

    /** @param  array<string, mixed>  $grip */
    private function feature(LandFeature $row, Section $section, string $drag, int $index, array $grip): LandFeature
    {
        $points = $row->points;
        $point = $points[$index] ?? throw new Refusal('There is no such point.', 'index');
        $placement = LoadProject::section($section)->placement;
        $here = $placement->toSection(new Point((float) $point['x_mm'], (float) $point['y_mm']));
        if ($drag === 'height') {
            $height = max(-1000.0, min(3000.0, round((float) $point['z_mm'] + self::number($grip, 'dz', 0.0))));
            // Water stays level.
            $points = array_map(fn (array $p, int $k): array => $k === $index || $row->kind === 'water' ? ['z_mm' => $height] + $p : $p, $points, array_keys($points));
        } else {
            $x = round(max(0.0, min($section->width_mm, self::number($grip, 'x', $here->x) + self::number($grip, 'dx', 0.0))), 1);
            $y = round(max(0.0, min($section->depth_mm, self::number($grip, 'y', $here->y) + self::number($grip, 'dy', 0.0))), 1);
            $there = $placement->toLayout(new Point(self::whole($x, $section->width_mm), self::whole($y, $section->depth_mm)));
            $points[$index]['x_mm'] = $there->x;
            $points[$index]['y_mm'] = $there->y;
        }
        $row->points = array_values($points);

        return $row;
    }

    /** @param  array<string, mixed>  $grip */
    private function run(Run $row, Section $section, string $drag, int $index, array $grip): Run
    {
        $placement = LoadProject::section($section)->placement;
        $run = LoadProject::run($row)->seenFrom($placement);
        if ($drag === 'level') {
            $row->start_height_mm = round(self::number($grip, 'height', $row->start_height_mm) + self::number($grip, 'dz', 0.0) + self::number($grip, 'dy', 0.0));

            return $row;
        }
        if ($drag === 'start') {
            $p = $placement->toLayout(new Point(
                round(self::number($grip, 'x', $run->start->x) + self::number($grip, 'dx', 0.0)),
                round(self::number($grip, 'y', $run->start->y) + self::number($grip, 'dy', 0.0)),
            ));
            $row->x_mm = $p->x;
            $row->y_mm = $p->y;

            return $row;
        }
        $points = $row->grade_points;
        $sorted = $points;
        usort($sorted, fn (array $a, array $b): int => $a['station_mm'] <=> $b['station_mm']);
        $point = $sorted[$index] ?? throw new Refusal('There is no such grade point.', 'index');
        $station = (float) $point['station_mm'] + self::number($grip, 'dx', 0.0);
        if (isset($grip['x'], $grip['y'])) {
            $station = $run->alignment->nearest(new Point((float) $grip['x'], (float) $grip['y']))['station'];
        } elseif (isset($grip['station'])) {
            $station = (float) $grip['station'];
        }
        $least = ($index > 0 ? (float) $sorted[$index - 1]['station_mm'] : 0.0) + 10.0;
        $most = isset($sorted[$index + 1]) ? (float) $sorted[$index + 1]['station_mm'] - 10.0 : $run->alignment->length;
        $sorted[$index] = [
            'station_mm' => max($least, min($most, self::whole($station, $run->alignment->length))),
            'height_mm' => max(-1000.0, min(3000.0, round(self::number($grip, 'height', (float) $point['height_mm']) + self::number($grip, 'dz', 0.0) + self::number($grip, 'dy', 0.0)))),
        ] + array_intersect_key($point, ['curve_mm' => true]);
        $row->grade_points = $sorted;

        return $row;
    }

    /** To whole millimetres, but for the board's own edge. */
    private static function whole(float $value, float $edge): float
    {
        return $value >= $edge - 0.5 ? $edge : round($value);
    }

    /** @param  array<string, mixed>  $grip */
    private static function number(array $grip, string $key, float $otherwise): float
    {
        $value = $grip[$key] ?? null;

        return is_numeric($value) && is_finite((float) $value) ? (float) $value : $otherwise;
    }
}
