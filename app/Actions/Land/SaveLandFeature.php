<?php

declare(strict_types=1);

namespace App\Actions\Land;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Computed\Clock\UlidGenerator;
use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Models\LandFeature as FeatureRow;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\Basin;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Land\Wetness;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** Places, changes and removes spots, lines, waters, pads and roughness. Forms speak section coordinates, rows the layout's. */
final readonly class SaveLandFeature
{
    /** How far a new line's points start above or below the ground they are put on, mm. */
    private const START_HEIGHT_MM = ['ridge' => 30.0, 'hollow' => -15.0];

    /** Valleys are looked for on a raster of this, mm. */
    private const VALLEY_RASTER_MM = 10.0;

    /** New water lies so far below the lowest corner of its bank, mm. */
    private const BELOW_BANK_MM = 1.0;

    public function __construct(
        private Ledger $ledger,
        private UlidGenerator $uids,
        private ProjectLoader $load,
        private ComputedLand $desk,
    ) {
    }

    /** @param  array<string, mixed>  $input kind, points[]{x, y, z?}: where no height is given the ground's is taken */
    public function create(Layout $layout, SectionRow $row, array $input): FeatureRow
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $ground = null;
        $typed = new FormInput($input);
        $kind = $typed->made(fn (): FeatureKind => InvalidValue::unlessOneOf(FeatureKind::class, $typed->text('kind'), 'kind'));
        $points = [];
        foreach (array_keys($typed->list('points')) as $k) {
            $x = $typed->length("points.{$k}.x");
            $y = $typed->length("points.{$k}.y");
            if (is_finite($x) && is_finite($y)) {
                $ground ??= $this->desk->model($project, $section)->ground;
                $z = $typed->length("points.{$k}.z", RoundSteps::whole($ground->at($x, $y) + (self::START_HEIGHT_MM[$kind->value] ?? 0.0)));
                $points[] = $this->onBoard($typed, $row, $x, $y, $z, $k);
            }
        }
        if ($kind === FeatureKind::Stream && count($points) === 1) {
            $points = $this->downhill($project, $section, $points[0]);
        }
        $heights = array_map(fn (Spot $p): float => $p->z, $points);
        if ($points !== [] && $kind->isShape()) {
            $points = self::level(
                $points,
                match ($kind) {
                    FeatureKind::Water => min($heights) - self::BELOW_BANK_MM,
                    FeatureKind::Pad => RoundSteps::whole(array_sum($heights) / count($heights)),
                    default => 0.0,
                },
            );
        }
        $feature = $typed->made(fn (): LandFeature => new LandFeature($this->uids->next(), $kind, $points, $typed->text('name')));

        $pins = $kind->isShape() || $project->hasLand($section) ? [] : $this->pins($section, $feature);

        return $this->ledger->record($layout, ucfirst($kind->value).' placed', function (ChangeSet $changes) use (
            $layout,
            $feature,
            $pins,
        ): FeatureRow {
            foreach ($pins as $pin) {
                $changes->save(self::row($layout, $pin));
            }
            $new = self::row($layout, $feature);
            $changes->save($new);

            return $new;
        });
    }

    /**
     * A stream from its source alone follows the valley, into a water if it meets one, to the board's edge if not.
     *
     * @return list<Spot>
     */
    private function downhill(Project $project, Section $section, Spot $source): array
    {
        $ground = $this->desk->model($project, $section)->ground;
        $from = $section->placement->toSection(new Point($source->x, $source->y));
        $xs = $ys = [];
        for ($x = self::VALLEY_RASTER_MM / 2.0; $x < $section->width; $x += self::VALLEY_RASTER_MM) {
            $xs[] = $x;
        }
        for ($y = self::VALLEY_RASTER_MM / 2.0; $y < $section->depth; $y += self::VALLEY_RASTER_MM) {
            $ys[] = $y;
        }
        $grid = HeightGrid::cells(count($xs), count($ys), self::VALLEY_RASTER_MM, 0.0, 0.0, $ground->raster($xs, $ys));
        $wet = fn (float $x, float $y): bool => array_filter($ground->basins, fn (Basin $b): bool => $b->waterAt($x, $y) !== null) !== [];
        $way = LineSimplifier::line(
            [[$from->x, $from->y], ...array_slice(Wetness::downhill($grid, $from->x, $from->y, $wet), 1)],
            self::VALLEY_RASTER_MM * 0.8,
        );

        return array_map(function (array $p) use ($section): Spot {
            $there = $section->placement->toLayout(new Point(RoundSteps::whole($p[0]), RoundSteps::whole($p[1])));

            return new Spot($there->x, $there->y, 0.0);
        }, $way);
    }

    /**
     * The first height on a board would lift all of it: the corners are held at the board's top, where the builder finds
     * them and may move them.
     *
     * @return list<LandFeature>
     */
    private function pins(Section $section, LandFeature $first): array
    {
        $pins = [];
        foreach ($section->corners() as $corner) {
            $near = array_filter($first->points, fn (Spot $p): bool => hypot($p->x - $corner->x, $p->y - $corner->y) < 25.0);
            if ($near === []) {
                $pins[] = new LandFeature($this->uids->next(), FeatureKind::Spot, [new Spot($corner->x, $corner->y, $section->base)]);
            }
        }

        return $pins;
    }

    public static function row(Layout $layout, LandFeature $feature): FeatureRow
    {
        return new FeatureRow(
            [
                'uid' => $feature->uid,
                'layout_id' => $layout->id,
                'rev' => 1,
                'extra' => '{}',
                'position' => (int) $layout->features()->max('position') + 1,
            ] + self::columns($feature),
        );
    }

    /** @param  array<string, mixed>  $input points[]{x, y, z}, name, rev */
    public function change(Layout $layout, SectionRow $section, FeatureRow $feature, array $input): void
    {
        $typed = new FormInput($input);
        $old = ProjectLoader::feature($feature);
        $points = [];
        $standing = ProjectLoader::section($section)->placement;
        foreach (array_keys($typed->list('points')) as $k) {
            $was = $old->points[$k] ?? null;
            $here = $was === null ? null : $standing->toSection(new Point($was->x, $was->y));
            $x = $typed->length("points.{$k}.x", current: $here === null ? null : round($here->x, 6));
            $y = $typed->length("points.{$k}.y", current: $here === null ? null : round($here->y, 6));
            $z = $old->kind->isShape() ? $was->z ?? 0.0 : $typed->length("points.{$k}.z", current: $was?->z);
            $points[] = $this->onBoard($typed, $section, $x, $y, $z, $k);
        }
        $figures = [];
        foreach ($old->kind->figures() as $key => [$start]) {
            $now = $old->figures[$key] ?? $start;
            // A foot that is emptied is taken away.
            if ($typed->has($key) && $typed->text($key) === '' && $start === 0.0) {
                $figures[$key] = 0.0;

                continue;
            }
            $figures[$key] = str_ends_with($key, '_mm') ? $typed->length($key, $now, $now) : $typed->number($key, $now);
        }
        if ($old->kind->isLevel()) {
            $points = self::level($points, $typed->length('level', $old->points[0]->z, $old->points[0]->z));
        }
        $made = $typed->made(
            fn (): LandFeature => new LandFeature($feature->uid, $old->kind, $points, $typed->text('name'), $old->extra, $figures),
        );
        $feature->fill(self::columns($made));
        $this->save($layout, $feature, self::sentence($made));
    }

    /** @param  bool  $adds whether the change was reckoned from what stands, not from what was seen */
    public function save(Layout $layout, FeatureRow $feature, string $sentence, bool $adds = false): void
    {
        $this->ledger->record($layout, $sentence, fn (ChangeSet $changes) => $adds ? $changes->add($feature) : $changes->save($feature));
    }

    public function remove(Layout $layout, FeatureRow $feature): void
    {
        $this->ledger->record($layout, ucfirst($feature->kind).' removed', function (ChangeSet $changes) use ($layout, $feature): void {
            foreach ($layout->waters()->get() as $water) {
                if (($water->values()->water ?? null) === $feature->uid) {
                    $changes->delete($water);
                }
            }
            $changes->delete($feature);
        });
    }

    public static function sentence(LandFeature $feature): string
    {
        return $feature->kind->isSpot()
            ? 'Spot set to '.Format::length($feature->points[0]->z, 1)
            : ucfirst($feature->kind->value).($feature->kind->isShape() ? ' changed' : ' line changed');
    }

    /** @return array<string, mixed> */
    public static function columns(LandFeature $feature): array
    {
        return [
            'kind' => $feature->kind->value,
            'name' => $feature->name,
            'points' => self::rows($feature),
            'figures' => $feature->figures,
        ];
    }

    /**
     * @param  list<Spot>  $points
     * @return list<Spot> all at one height
     */
    private static function level(array $points, float $level): array
    {
        return array_map(fn (Spot $p): Spot => new Spot($p->x, $p->y, $level), $points);
    }

    /** @return list<array{x_mm: float, y_mm: float, z_mm: float}> */
    public static function rows(LandFeature $feature): array
    {
        return array_map(fn (Spot $p): array => ['x_mm' => $p->x, 'y_mm' => $p->y, 'z_mm' => $p->z], $feature->points);
    }

    private function onBoard(FormInput $typed, SectionRow $row, float $x, float $y, float $z, int|string $k): Spot
    {
        if ($x < -0.5 || $x > $row->width_mm + 0.5 || $y < -0.5 || $y > $row->depth_mm + 0.5) {
            $axis = $x < -0.5 || $x > $row->width_mm + 0.5 ? 'x' : 'y';
            $typed->fault(
                'That lies outside the board, which is '.Format::several([$row->width_mm, $row->depth_mm], 'mm', 1).'.',
                "points/{$k}/{$axis}",
            );
        }
        $p = ProjectLoader::section($row)->placement->toLayout(new Point($x, $y));

        return new Spot($p->x, $p->y, $z);
    }
}
