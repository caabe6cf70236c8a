<?php

declare(strict_types=1);

namespace App\Workshop\Land;

use App\Models\Layout;
use App\Models\Run as RunRow;
use App\Models\Section as SectionRow;
use App\Workshop\LoadProject;
use App\Workshop\Revising\Changes;
use App\Workshop\Revising\Ledger;
use App\Workshop\Revising\StaleRecord;
use App\Workshop\Time\Uids;
use App\Workshop\Typed;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Length;
use IdleRidge\Core\Measure\Refusal;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\Structure;

/** Lays, changes and takes up runs. Forms speak section coordinates, rows the layout's. */
final readonly class LayRun
{
    public function __construct(private Ledger $ledger, private Uids $uids, private LoadProject $load, private LandDesk $desk)
    {
    }

    /** @param  array<string, mixed>  $input x1, y1, x2, y2: a first tangent between two points, at the ground's level there */
    public function create(Layout $layout, SectionRow $row, array $input): RunRow
    {
        $typed = new Typed($input, Units::from($layout->units));
        [$x1, $y1, $x2, $y2] = array_map(fn (string $f): float => $typed->length($f), ['x1', 'y1', 'x2', 'y2']);
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $run = $typed->made(function () use ($layout, $section, $project, $x1, $y1, $x2, $y2): Run {
            if (hypot($x2 - $x1, $y2 - $y1) < 10.0) {
                throw new Refusal('The two ends of the run lie in one place.', 'x2');
            }
            $level = round($this->desk->model($project, $section)->ground->at(($x1 + $x2) / 2.0, ($y1 + $y2) / 2.0));
            $here = Run::lay(
                $this->uids->next(), $this->name($layout), new Point(round($x1), round($y1)), round(rad2deg(atan2($y2 - $y1, $x2 - $x1)), 1),
                [['kind' => 'tangent', 'length_mm' => round(hypot($x2 - $x1, $y2 - $y1))]], $level, [], FormationProfile::from(),
            );
            $this->onBoard($here, $section->width, $section->depth);
            $start = $section->placement->toLayout($here->start);

            return Run::lay($here->uid, $here->name, $start, $here->headingDeg + $section->placement->angleDeg, $here->pieces, $level, [], $here->profile);
        });

        return $this->ledger->record($layout, 'Run laid', function (Changes $changes) use ($layout, $run): RunRow {
            $new = new RunRow(['layout_id' => $layout->id, 'rev' => 1, 'extra' => '{}', 'position' => (int) $layout->runs()->max('position') + 1, 'uid' => $run->uid] + self::columns($run));
            $changes->save($new);

            return $new;
        });
    }

    /** @param  array<string, mixed>  $input name, x, y, heading, elements[], start_height, grade_points[], profile[], rev */
    public function change(Layout $layout, SectionRow $row, RunRow $standing, array $input): void
    {
        $made = $this->read($layout, $row, $standing, $input);
        $columns = self::columns($made);
        StaleRecord::unlessFresh($standing, isset($input['rev']) ? (int) $input['rev'] : null, "“{$standing->name}”", $columns);
        $standing->fill($columns);
        $this->save($layout, $standing, "{$made->name} changed");
    }

    public function save(Layout $layout, RunRow $run, string $sentence): void
    {
        $this->ledger->record($layout, $sentence, fn (Changes $changes) => $changes->save($run));
    }

    public function remove(Layout $layout, RunRow $run): void
    {
        $this->ledger->record($layout, "{$run->name} taken up", fn (Changes $changes) => $changes->delete($run));
    }

    /** @return array<string, mixed> */
    public static function columns(Run $run): array
    {
        return [
            'name' => $run->name, 'kind' => $run->kind, 'x_mm' => $run->start->x, 'y_mm' => $run->start->y, 'heading_deg' => $run->headingDeg, 'elements' => $run->pieces,
            'start_height_mm' => $run->startHeight, 'grade_points' => $run->gradePoints, 'profile' => $run->profile->toArray(),
            'structures' => array_map(fn (Structure $s): array => $s->toArray(), $run->structures),
        ];
    }

    /** @param  array<string, mixed>  $input */
    private function read(Layout $layout, SectionRow $row, RunRow $standing, array $input): Run
    {
        $typed = new Typed($input, Units::from($layout->units));
        $section = LoadProject::section($row);
        $old = LoadProject::run($standing)->seenFrom($section->placement);
        $x = $typed->length('x', $old->start->x, round($old->start->x, 6));
        $y = $typed->length('y', $old->start->y, round($old->start->y, 6));
        $heading = $typed->has('heading') ? $typed->number('heading') : $old->headingDeg;
        $level = $typed->length('start_height', $old->startHeight, $old->startHeight);
        $pieces = $typed->has('elements') ? $this->pieces($typed, $old) : $old->pieces;
        $profile = $old->profile->toArray();
        foreach ($profile as $key => $value) {
            if ($typed->has("profile.{$key}")) {
                $profile[$key] = str_ends_with($key, '_mm') ? $typed->length("profile.{$key}", $value, $value) : $typed->number("profile.{$key}", $value);
            }
        }

        return $typed->made(function () use ($typed, $section, $standing, $old, $x, $y, $heading, $pieces, $level, $profile): Run {
            $structures = $typed->has('structures') ? $this->structures($typed, $old) : array_map(fn (Structure $s): array => $s->toArray(), $old->structures);
            $points = $typed->has('grade_points') ? $this->gradePoints($typed, $level, $old) : $old->gradePoints;
            $here = Run::lay($standing->uid, $typed->text('name', $standing->name), new Point($x, $y), $heading, $pieces, $level, $points, FormationProfile::from($profile), $structures, $old->kind);
            $this->onBoard($here, $section->width, $section->depth);
            $moved = abs($x - $old->start->x) > 1e-6 || abs($y - $old->start->y) > 1e-6;
            $start = $moved ? $section->placement->toLayout($here->start) : new Point($standing->x_mm, $standing->y_mm);
            $turned = abs($heading - $old->headingDeg) > 1e-6;

            return Run::lay($here->uid, $here->name, $start, $turned ? $heading + $section->placement->angleDeg : $standing->heading_deg, $pieces, $level, $points, $here->profile, $structures, $old->kind);
        });
    }

    /** @return array<array-key, array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float, from_radius_mm?: float, to_radius_mm?: float}> */
    private function pieces(Typed $typed, Run $old): array
    {
        $pieces = [];
        foreach (array_keys($typed->list('elements')) as $k) {
            $was = $old->pieces[$k] ?? [];
            if ($typed->text("elements.{$k}.kind") === 'arc') {
                $pieces[$k] = [
                    'kind' => 'arc', 'radius_mm' => $typed->length("elements.{$k}.radius", current: $was['radius_mm'] ?? null),
                    'angle_deg' => $typed->number("elements.{$k}.angle"),
                ];
            } elseif ($typed->text("elements.{$k}.kind") === 'transition') {
                $radius = fn (string $end): float => $typed->text("elements.{$k}.{$end}") === '' ? 0.0 : $typed->length("elements.{$k}.{$end}", current: $end === 'from' ? ($was['from_radius_mm'] ?? null) : ($was['to_radius_mm'] ?? null));
                $pieces[$k] = ['kind' => 'transition', 'length_mm' => $typed->length("elements.{$k}.length", current: $was['length_mm'] ?? null), 'from_radius_mm' => $radius('from'), 'to_radius_mm' => $radius('to')];
            } elseif ($typed->text("elements.{$k}.kind") === 'tangent') {
                $pieces[$k] = ['kind' => 'tangent', 'length_mm' => $typed->length("elements.{$k}.length", current: $was['length_mm'] ?? null)];
            }
        }

        return $pieces;
    }

    /** @return array<array-key, array{kind: string, from_mm: float, to_mm: float, deck_mm?: float, piers?: float, lining_mm?: float, inside_mm?: float}> rows with nothing typed are left out */
    private function structures(Typed $typed, Run $old): array
    {
        $out = [];
        foreach (array_keys($typed->list('structures')) as $k) {
            if ($typed->text("structures.{$k}.from").$typed->text("structures.{$k}.to") !== '') {
                $was = $old->structures[$k] ?? null;
                $kind = $typed->text("structures.{$k}.kind");
                $out[$k] = ['kind' => $kind, 'from_mm' => $typed->length("structures.{$k}.from", current: $was?->from), 'to_mm' => $typed->length("structures.{$k}.to", current: $was?->to)];
                $thick = $typed->text("structures.{$k}.thick") === '' ? null : $typed->length("structures.{$k}.thick", current: $was?->thick);
                $more = $typed->text("structures.{$k}.more") !== '';
                if ($kind === 'bridge') {
                    $out[$k] += array_filter(['deck_mm' => $thick, 'piers' => $more ? $typed->number("structures.{$k}.more") : null], is_float(...));
                } elseif ($kind === 'tunnel') {
                    $out[$k] += array_filter(['lining_mm' => $thick, 'inside_mm' => $more ? $typed->length("structures.{$k}.more", current: $was?->inside) : null], is_float(...));
                }
            }
        }

        return $out;
    }

    /**
     * A height may be typed as a grade, such as 2.2 %: it then counts from the point before.
     *
     * @return array<array-key, array{station_mm: float, height_mm: float, curve_mm?: float}>
     */
    private function gradePoints(Typed $typed, float $level, Run $old): array
    {
        $points = [];
        [$before, $height] = [0.0, $level];
        foreach (array_keys($typed->list('grade_points')) as $k) {
            if ($typed->text("grade_points.{$k}.station") === '' && $typed->text("grade_points.{$k}.height") === '') {
                continue;
            }
            $was = $old->gradePoints[$k] ?? [];
            $station = $typed->length("grade_points.{$k}.station", current: $was['station_mm'] ?? null);
            if (str_ends_with($typed->text("grade_points.{$k}.height"), '%')) {
                $height += $typed->number("grade_points.{$k}.height") / 100.0 * ($station - $before);
            } else {
                $height = $typed->length("grade_points.{$k}.height", current: $was['height_mm'] ?? null);
            }
            $before = $station;
            $curve = $typed->has("grade_points.{$k}.curve") ? $typed->length("grade_points.{$k}.curve", 0.0, $was['curve_mm'] ?? null) : ($was['curve_mm'] ?? 0.0);
            $points[$k] = ['station_mm' => $station, 'height_mm' => $height] + ($curve === 0.0 ? [] : ['curve_mm' => $curve]);
        }

        return $points;
    }

    private function onBoard(Run $here, float $width, float $depth): void
    {
        if ($here->within($width, $depth) === null) {
            throw new Refusal(sprintf('The run lies nowhere over the board, which is %s × %s mm.', Length::decimal($width, 1), Length::decimal($depth, 1)), 'x');
        }
    }

    private function name(Layout $layout): string
    {
        $names = $layout->runs()->pluck('name')->all();
        for ($k = 1; in_array("Run {$k}", $names, true); $k++);

        return "Run {$k}";
    }
}
