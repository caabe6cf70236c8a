<?php

declare(strict_types=1);

namespace App\Actions\Land;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Computed\Clock\UlidGenerator;
use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Run as RunRow;
use App\Models\Section as SectionRow;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Snap;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\AlignmentBuilder;
use IdleRidge\Core\Track\Crossing;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StartingValues;
use IdleRidge\Core\Track\Structure;
use IdleRidge\Core\Track\StructureKind;

/** Lays, changes and takes up runs. Forms speak section coordinates, rows the layout's. */
final readonly class SaveRun
{
    public function __construct(
        private Ledger $ledger,
        private UlidGenerator $uids,
        private ProjectLoader $load,
        private ComputedLand $desk,
    ) {
    }

    /**
     * A track or road from one place to another. A track that begins on another leaves it there as a turnout, one that begins
     * at another's end goes on: both with its heading and height. A road takes the ground's heights, and that of the rails
     * where it crosses them.
     *
     * @param  array<string, mixed>  $input x1, y1, x2, y2, kind; `snap` 0 to take the places as they are
     */
    public function create(Layout $layout, SectionRow $row, array $input): RunRow
    {
        $typed = new FormInput($input);
        [$x1, $y1, $x2, $y2] = array_map(fn (string $f): float => $typed->length($f), ['x1', 'y1', 'x2', 'y2']);
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $kind = $typed->made(fn (): RunKind => InvalidValue::unlessOneOf(RunKind::class, $typed->text('kind', 'track'), 'kind'));
        $run = $typed->made(function () use ($layout, $section, $project, $kind, $x1, $y1, $x2, $y2, $typed): Run {
            if (hypot($x2 - $x1, $y2 - $y1) < 10.0) {
                throw new InvalidValue('The two ends of the run lie in one place.', 'x2');
            }
            $model = $this->desk->model($project, $section);
            $begun =
                $typed->text('snap', '1') === '0' || $kind !== RunKind::Track
                    ? null
                    : Snap::near(
                        new Point($x1, $y1),
                        $section->width,
                        $section->depth,
                        array_values(array_filter($model->grading->runs, fn (Run $r): bool => $r->kind === RunKind::Track)),
                    );
            $here =
                $begun?->run === null
                    ? $this->fresh(
                        $kind,
                        $this->name($layout, $kind),
                        $project->layout->scale,
                        $model,
                        new Point(RoundSteps::whole($x1), RoundSteps::whole($y1)),
                        new Point($x2, $y2),
                    )
                    : $this->leaving($this->name($layout, $kind), $begun->run, $begun->station, new Point($x2, $y2));
            $this->onBoard($here, $section->width, $section->depth);

            return $here->placed($section->placement);
        });

        return $this->laid($layout, $run, ($kind === RunKind::Road ? 'Road' : 'Run').' laid');
    }

    /**
     * A second track beside one, with a ditch between the two where the first has a ditch.
     *
     * @param  array<string, mixed>  $input side (left or right), apart
     */
    public function beside(Layout $layout, RunRow $row, array $input): RunRow
    {
        $typed = new FormInput($input);
        $apart = $typed->length('apart', StartingValues::apart(ProjectLoader::sheet($layout)->scale));
        $side = $typed->text('side') === Side::Right->value ? Side::Right : Side::Left;
        $run = ProjectLoader::run($row);
        [$first, $second] = $typed->made(function () use ($layout, $run, $apart, $side): array {
            InvalidValue::unlessBetween($apart, 12.0, 500.0, 'The distance', 'mm', 'apart');
            $offset = $side->offset($apart);
            // Facing sides meet in the middle; where there is a ditch they share it.
            $profile = $run->profile->toArray();
            $facing = ($apart + ($profile['ditch_depth_mm'] > 0.0 ? $profile['ditch_width_mm'] : 0.0)) / 2.0;
            $with = fn (Side $to): FormationProfile => FormationProfile::from(["half_width_{$to->value}_mm" => $facing] + $profile);
            $second = $run->but(
                uid: $this->uids->next(),
                name: $this->name($layout, RunKind::Track),
                start: $run->alignment->beside(0.0, $offset),
                pieces: AlignmentBuilder::beside($run, $offset),
                gradePoints: [],
                profile: $with($side->other()),
                structures: [],
            );
            $points = [];
            foreach ($run->gradePoints as $point) {
                $points[] =
                    [
                        'station_mm' => min(
                            $second->alignment->length,
                            $second->alignment->nearest($run->alignment->beside($point['station_mm'], $offset))['station'],
                        ),
                    ] + $point;
            }

            return [$run->but(profile: $with($side)), $second->but(gradePoints: $points)];
        });

        return $this->ledger->record($layout, "Track laid beside {$run->name}", function (ChangeSet $changes) use (
            $layout,
            $row,
            $first,
            $second,
        ): RunRow {
            $row->fill(self::columns($first));
            $changes->save($row);
            $new = self::row($layout, $second);
            $changes->save($new);

            return $new;
        });
    }

    /**
     * A wall where the land needs one, on one side between two stations.
     *
     * @param  array<string, mixed>  $input side (left or right), from, to
     */
    public function wall(Layout $layout, RunRow $row, array $input): void
    {
        $typed = new FormInput($input);
        [$from, $to] = [$typed->number('from'), $typed->number('to')];
        $run = ProjectLoader::run($row);
        $side = $typed->text('side') === Side::Left->value ? Side::Left : Side::Right;
        $walled = $typed->made(fn (): Run => $this->walled($run, StructureKind::wall($side)->value, $from, $to));
        $row->fill(self::columns($walled));
        $this->save($layout, $row, "Wall placed beside {$run->name}");
    }

    private function walled(Run $run, string $kind, float $from, float $to): Run
    {
        $structures = array_map(fn (Structure $s): array => $s->toArray(), $run->structures);
        // Walls of this side that it meets become one with it.
        [$from, $to] = [max(0.0, round($from)), min($run->alignment->length, round($to))];
        foreach ($structures as $k => $one) {
            if ($one['kind'] === $kind && $one['from_mm'] <= $to && $one['to_mm'] >= $from) {
                [$from, $to] = [min($from, $one['from_mm']), max($to, $one['to_mm'])];
                unset($structures[$k]);
            }
        }

        return $run->but(structures: [...$structures, ['kind' => $kind, 'from_mm' => $from, 'to_mm' => $to]]);
    }

    public static function row(Layout $layout, Run $run): RunRow
    {
        return new RunRow(
            [
                'layout_id' => $layout->id,
                'rev' => 1,
                'extra' => '{}',
                'position' => (int) $layout->runs()->max('position') + 1,
                'uid' => $run->uid,
            ] + self::columns($run),
        );
    }

    private function laid(Layout $layout, Run $run, string $sentence): RunRow
    {
        return $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use ($layout, $run): RunRow {
            $new = self::row($layout, $run);
            $changes->save($new);

            return $new;
        });
    }

    private function fresh(RunKind $kind, string $name, Scale $scale, LandModel $model, Point $from, Point $to): Run
    {
        $length = RoundSteps::whole($from->distanceTo($to));
        $heading = round(rad2deg(atan2($to->y - $from->y, $to->x - $from->x)), 1);
        $profile = $kind === RunKind::Road ? StartingValues::road($scale) : StartingValues::track($scale);
        $piece = [['kind' => 'tangent', 'length_mm' => $length]];
        $ground = fn (Point $p): float => RoundSteps::whole($model->ground->at($p->x, $p->y));
        $middle = new Point(($from->x + $to->x) / 2.0, ($from->y + $to->y) / 2.0);
        $run = Run::lay(
            $this->uids->next(),
            $name,
            $from,
            $heading,
            $piece,
            $kind === RunKind::Road ? $ground($from) : $ground($middle),
            [],
            $profile,
            [],
            $kind,
        );
        if ($kind !== RunKind::Road) {
            return $run;
        }
        $points = Crossing::levelsOf($run, $model->grading->runs);

        return $run->but(
            gradePoints: [
                ...$points,
                ...array_filter($points, fn (array $p): bool => $p['station_mm'] > $length - 1.0) === []
                    ? [['station_mm' => $length, 'height_mm' => $ground($to)]]
                    : [],
            ],
        );
    }

    private function leaving(string $name, Run $main, float $station, Point $to): Run
    {
        $from = $main->alignment->pointAt($station);
        $heading = $main->alignment->headingAt($station);
        // It leaves the way that lies nearer to where it goes; at an end it goes on outward.
        $ahead = ($to->x - $from->x) * cos($heading) + ($to->y - $from->y) * sin($heading) >= 0.0;
        $heading += $ahead ? 0.0 : M_PI;

        return Run::lay(
            $this->uids->next(),
            $name,
            $from,
            rad2deg($heading),
            [AlignmentBuilder::toward($from, $heading, $to)],
            $main->grade->heightAt($station),
            [],
            $main->profile,
            [],
            RunKind::Track,
        );
    }

    /** @param  array<string, mixed>  $input name, x, y, heading, elements[], start_height, grade_points[], profile[], rev */
    public function change(Layout $layout, SectionRow $row, RunRow $standing, array $input): void
    {
        $made = $this->read($layout, $row, $standing, $input);
        $columns = self::columns($made);
        $standing->fill($columns);
        $this->save($layout, $standing, "{$made->name} changed");
    }

    /** @param  bool  $adds whether the change was reckoned from what stands, not from what was seen */
    public function save(Layout $layout, RunRow $run, string $sentence, bool $adds = false): void
    {
        $this->ledger->record($layout, $sentence, fn (ChangeSet $changes) => $adds ? $changes->add($run) : $changes->save($run));
    }

    public function remove(Layout $layout, RunRow $run): void
    {
        $this->ledger->record($layout, "{$run->name} taken up", fn (ChangeSet $changes) => $changes->delete($run));
    }

    /** @return array<string, mixed> */
    public static function columns(Run $run): array
    {
        return [
            'name' => $run->name,
            'kind' => $run->kind->value,
            'x_mm' => $run->start->x,
            'y_mm' => $run->start->y,
            'heading_deg' => $run->headingDeg,
            'elements' => $run->pieces,
            'start_height_mm' => $run->startHeight,
            'grade_points' => $run->gradePoints,
            'profile' => $run->profile->toArray(),
            'structures' => array_map(fn (Structure $s): array => $s->toArray(), $run->structures),
        ];
    }

    /** @param  array<string, mixed>  $input */
    private function read(Layout $layout, SectionRow $row, RunRow $standing, array $input): Run
    {
        $typed = new FormInput($input);
        $section = ProjectLoader::section($row);
        $old = ProjectLoader::run($standing)->seenFrom($section->placement);
        $x = $typed->length('x', $old->start->x, $old->start->x);
        $y = $typed->length('y', $old->start->y, $old->start->y);
        $heading = $typed->has('heading') ? $typed->number('heading') : $old->headingDeg;
        $level = $typed->length('start_height', $old->startHeight, $old->startHeight);
        $pieces = $typed->has('elements') ? $this->pieces($typed, $old) : $old->pieces;
        $profile = FormationInput::read($typed, $old->profile);

        return $typed->made(function () use ($typed, $section, $standing, $old, $x, $y, $heading, $pieces, $level, $profile): Run {
            $structures = $typed->has('structures')
                ? $this->structures($typed, $old)
                : array_map(fn (Structure $s): array => $s->toArray(), $old->structures);
            $points = $typed->has('grade_points') ? $this->gradePoints($typed, $level, $old) : $old->gradePoints;
            $here = Run::lay(
                $standing->uid,
                $typed->text('name', $standing->name),
                new Point($x, $y),
                $heading,
                $pieces,
                $level,
                $points,
                FormationProfile::from($profile),
                $structures,
                $old->kind,
            );
            $this->onBoard($here, $section->width, $section->depth);
            $moved = abs($x - $old->start->x) > 1e-6 || abs($y - $old->start->y) > 1e-6;
            $start = $moved ? $section->placement->toLayout($here->start) : new Point($standing->x_mm, $standing->y_mm);
            $turned = abs($heading - $old->headingDeg) > 1e-6;

            return $here->but(start: $start, headingDeg: $turned ? $heading + $section->placement->angleDeg : $standing->heading_deg);
        });
    }

    /**
     * @return array<array-key, array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float, from_radius_mm?: float,
     *     to_radius_mm?: float}>
     */
    private function pieces(FormInput $typed, Run $old): array
    {
        $pieces = [];
        foreach (array_keys($typed->list('elements')) as $k) {
            $was = $old->pieces[$k] ?? [];
            if ($typed->text("elements.{$k}.kind") === 'arc') {
                $pieces[$k] = [
                    'kind' => 'arc',
                    'radius_mm' => $typed->length("elements.{$k}.radius", current: $was['radius_mm'] ?? null),
                    'angle_deg' => $typed->number("elements.{$k}.angle"),
                ];
            } elseif ($typed->text("elements.{$k}.kind") === 'transition') {
                $radius = fn (string $end): float => $typed->text("elements.{$k}.{$end}") === ''
                    ? 0.0
                    : $typed->length(
                        "elements.{$k}.{$end}",
                        current: $end === 'from' ? $was['from_radius_mm'] ?? null : $was['to_radius_mm'] ?? null,
                    );
                $pieces[$k] = [
                    'kind' => 'transition',
                    'length_mm' => $typed->length("elements.{$k}.length", current: $was['length_mm'] ?? null),
                    'from_radius_mm' => $radius('from'),
                    'to_radius_mm' => $radius('to'),
                ];
            } elseif ($typed->text("elements.{$k}.kind") === 'tangent') {
                $pieces[$k] = [
                    'kind' => 'tangent',
                    'length_mm' => $typed->length("elements.{$k}.length", current: $was['length_mm'] ?? null),
                ];
            }
        }

        return $pieces;
    }

    /**
     * @return array<array-key, array{kind: string, from_mm: float, to_mm: float, deck_mm?: float, piers?: float, lining_mm?: float,
     *     inside_mm?: float}> rows with nothing typed are left out
     */
    private function structures(FormInput $typed, Run $old): array
    {
        $out = [];
        foreach (array_keys($typed->list('structures')) as $k) {
            if ($typed->text("structures.{$k}.from").$typed->text("structures.{$k}.to") !== '') {
                $was = $old->structures[$k] ?? null;
                $kind = $typed->text("structures.{$k}.kind");
                $out[$k] = [
                    'kind' => $kind,
                    'from_mm' => $typed->length("structures.{$k}.from", current: $was?->from),
                    'to_mm' => $typed->length("structures.{$k}.to", current: $was?->to),
                ];
                $thick =
                    $typed->text("structures.{$k}.thick") === '' ? null : $typed->length("structures.{$k}.thick", current: $was?->thick);
                $more = $typed->text("structures.{$k}.more") !== '';
                if ($kind === StructureKind::Bridge->value) {
                    $out[$k] += array_filter(
                        ['deck_mm' => $thick, 'piers' => $more ? $typed->number("structures.{$k}.more") : null],
                        is_float(...),
                    );
                } elseif ($kind === StructureKind::Tunnel->value) {
                    $out[$k] += array_filter(
                        [
                            'lining_mm' => $thick,
                            'inside_mm' => $more ? $typed->length("structures.{$k}.more", current: $was?->inside) : null,
                        ],
                        is_float(...),
                    );
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
    private function gradePoints(FormInput $typed, float $level, Run $old): array
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
                $height += ($typed->number("grade_points.{$k}.height") / 100.0) * ($station - $before);
            } else {
                $height = $typed->length("grade_points.{$k}.height", current: $was['height_mm'] ?? null);
            }
            $before = $station;
            $curve = $typed->has("grade_points.{$k}.curve")
                ? $typed->length("grade_points.{$k}.curve", 0.0, $was['curve_mm'] ?? null)
                : $was['curve_mm'] ?? 0.0;
            $points[$k] = ['station_mm' => $station, 'height_mm' => $height] + ($curve === 0.0 ? [] : ['curve_mm' => $curve]);
        }

        return $points;
    }

    private function onBoard(Run $here, float $width, float $depth): void
    {
        if ($here->within($width, $depth) === null) {
            throw new InvalidValue(
                'The run lies nowhere over the board, which is '.Format::several([$width, $depth], 'mm', 1).'.',
                'x',
            );
        }
    }

    private function name(Layout $layout, RunKind $kind): string
    {
        $word = $kind === RunKind::Road ? 'Road' : 'Run';
        $names = $layout->runs()->pluck('name')->all();
        for ($k = 1; in_array("{$word} {$k}", $names, true); $k++);

        return "{$word} {$k}";
    }
}
