<?php

declare(strict_types=1);

namespace App\Actions\Water;

use App\Actions\Coats\CoatRows;
use App\Actions\FormInput;
use App\Actions\Land\SaveLandFeature;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Computed\Water\ComputedWater;
use App\Models\LandFeature as FeatureRow;
use App\Models\Layout;
use App\Models\Water;
use App\Models\Zone as ZoneRow;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\School;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Interchange\WaterFile;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\WaterCoats;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Water\WaterBody;
use IdleRidge\Core\Water\WaterPlan;

/**
 * How a water is to be made, and its way among the work: a zone that is its bed, with the coats that it takes. Once it is there its coats
 * follow what is chosen, until the first of them is begun.
 */
final readonly class SaveWaterPlan
{
    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private ComputedWater $water,
        private CoatRows $coats,
        private Library $library,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input school, fill (mm; empty for all), coats, bands, dark_rim, pot_g; level (mm) of a pond
     *
     * @throws InvalidValue at the field, when the water cannot be made like that
     */
    public function change(Layout $layout, string $section, string $water, array $input): WaterPlan
    {
        $typed = new FormInput($input);
        $feature = $this->levelled($layout, $water, $typed);
        $project = $feature === null ? $this->load->of($layout) : $this->load->with($layout, $feature);
        $body = $this->body($project, $project->section($section), $water);
        $old = $project->works->waters->planOf($water) ?? $this->begun($water);
        $plan = $typed->made(function () use ($typed, $old, $project, $body): WaterPlan {
            $empty = fn (string $field, callable $read, mixed $was): mixed => match (true) {
                ! $typed->has($field) => $was,
                $typed->text($field) === '' => null,
                default => $read(),
            };
            $plan = $old->but(
                school: $typed->text('school', $old->school),
                fill: $empty('fill', fn (): float => $typed->length('fill', current: $old->fill), $old->fill),
                coats: $empty('coats', fn (): int => (int) round($typed->number('coats')), $old->coats),
                bands: (int) round($typed->number('bands', (float) $old->bands)),
                darkRim: $typed->has('dark_rim') ? $typed->text('dark_rim') === '1' : $old->darkRim,
                potG: $empty('pot_g', fn (): float => $typed->amount('pot_g', 'g', current: $old->potG, decimals: 0), $old->potG),
            );
            $this->school($project, $plan, $body);

            return $plan;
        });
        $keep = function (ChangeSet $changes) use ($layout, $plan, $feature): void {
            if ($feature !== null) {
                $changes->save($feature);
            }
            $this->keep($changes, $layout, $plan);
            $now = $this->load->of($layout);
            foreach ($now->sections as $board) {
                $this->renew($changes, $layout, $now, $board, $plan);
            }
        };
        $this->ledger->record($layout, "{$body->called()} planned", $keep);

        return $plan;
    }

    /**
     * @return string uid of the zone
     *
     * @throws InvalidValue when it is among the work
     */
    public function work(Layout $layout, string $section, string $water): string
    {
        $project = $this->load->of($layout);
        $body = $this->body($project, $project->section($section), $water);
        $uid = $this->rows->uid();
        $this->ledger->record($layout, "{$body->called()} put among the work", function (ChangeSet $changes) use (
            $layout,
            $section,
            $body,
            $uid,
        ): void {
            $now = $this->load->of($layout);
            $there = $this->water->zone($now, $now->section($section), $body->uid);
            if ($there !== null) {
                throw new InvalidValue("It is among the work: its bed is “{$there->name}”.", 'work');
            }
            $plan = $now->works->waters->planOf($body->uid) ?? $this->begun($body->uid);
            $this->keep($changes, $layout, $plan);
            $zone = new Zone($uid, $section, $this->free($now, $section, $body->called()), water: $body->uid);
            $this->rows->add($changes, $layout, ZoneRow::class, WorksFile::fromZone($zone));
            $this->coats->add($changes, $layout, [], $this->made($now, $plan, $body, $uid));
        });

        return $uid;
    }

    /**
     * @param  array<string, mixed>  $input shore (mm)
     * @return string uid of the zone about the water
     */
    public function shore(Layout $layout, string $section, string $water, array $input): string
    {
        $project = $this->load->of($layout);
        $body = $this->body($project, $project->section($section), $water);
        $typed = new FormInput($input);
        $zone = $typed->made(fn (): Zone => new Zone(
            $this->rows->uid(),
            $section,
            $this->free($project, $section, "{$body->called()}, shore"),
            water: $water,
            shore: $typed->length('shore'),
        ));
        $this->ledger->record(
            $layout,
            "{$zone->name} made a zone",
            fn (ChangeSet $changes) => $this->rows->add($changes, $layout, ZoneRow::class, WorksFile::fromZone($zone)),
        );

        return $zone->uid;
    }

    /** The coats of a water’s bed on a board as they are planned now, until the first of them is begun. */
    private function renew(ChangeSet $changes, Layout $layout, Project $now, Section $board, WaterPlan $plan): void
    {
        $zone = $this->water->zone($now, $board, $plan->water);
        $body = $zone === null ? null : $this->water->survey($now, $board)->body($plan->water);
        if ($zone === null || $body === null || $this->isBegun($now, $zone)) {
            return;
        }
        foreach ($layout->coats()->whereIn('uid', array_column($now->works->coatsOf($zone->uid), 'uid'))->get() as $gone) {
            $changes->delete($gone);
        }
        $this->coats->add($changes, $layout, [], $this->made($now, $plan, $body, $zone->uid));
    }

    /** The row of a pond at another level; null where that stays as it is. */
    private function levelled(Layout $layout, string $water, FormInput $typed): ?FeatureRow
    {
        $row = $typed->has('level') ? $layout->features()->where('uid', $water)->first() : null;
        if (! $row instanceof FeatureRow || $row->kind !== 'water') {
            return null;
        }
        $old = ProjectLoader::feature($row);
        $level = $typed->length('level', current: $old->points[0]->z);
        $new = $typed->made(function () use ($old, $level): LandFeature {
            InvalidValue::unlessBetween($level, -1000.0, 3000.0, 'The level', 'mm', 'level');

            return $old->at(array_map(fn (Spot $p): Spot => new Spot($p->x, $p->y, $level), $old->points));
        });

        return $level === $old->points[0]->z ? null : $row->fill(SaveLandFeature::columns($new));
    }

    private function begun(string $water): WaterPlan
    {
        return new WaterPlan($this->rows->uid(), $water);
    }

    private function keep(ChangeSet $changes, Layout $layout, WaterPlan $plan): void
    {
        $row = $layout->waters()->where('uid', $plan->uid)->first();
        if ($row instanceof Water) {
            $changes->save($row->keep(WaterFile::fromPlan($plan)));
        } else {
            $this->rows->add($changes, $layout, Water::class, WaterFile::fromPlan($plan));
        }
    }

    /** @throws InvalidValue */
    private function body(Project $project, Section $section, string $water): WaterBody
    {
        return $this->water->survey($project, $section)->body($water) ??
            throw new InvalidValue('No water lies there: the land is over its level.', 'work');
    }

    /** @throws InvalidValue */
    private function school(Project $project, WaterPlan $plan, WaterBody $body): School
    {
        $library = $project->library($this->library);
        $school = $library->schools[$plan->school] ?? null;
        if ($school === null || $school->question !== 'water') {
            throw new InvalidValue('Choose how it is made.', 'school');
        }

        return WaterCoats::school($school, $plan, $body, $library);
    }

    /** @return list<Coat> */
    private function made(Project $project, WaterPlan $plan, WaterBody $body, string $zone): array
    {
        return $this->school($project, $plan, $body)->coats($zone, $this->rows->uid(...), $project->library($this->library));
    }

    private function isBegun(Project $project, Zone $zone): bool
    {
        return $project->works->laidIn($zone->uid) !== [];
    }

    /** A name that no zone of the board has. */
    private function free(Project $project, string $section, string $name): string
    {
        $taken = array_map(fn (Zone $z): string => mb_strtolower($z->name), $project->works->zonesOf($section));
        $free = mb_substr($name, 0, 70);
        for ($n = 2; in_array(mb_strtolower($free), $taken, true); $n++) {
            $free = mb_substr($name, 0, 70)." {$n}";
        }

        return $free;
    }
}
