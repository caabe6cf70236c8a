<?php

declare(strict_types=1);

namespace App\Actions\Coats;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Models\Zone as ZoneRow;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Tuples;
use IdleRidge\Core\Project\Section;

/** Makes, changes and removes zones. Forms speak section coordinates, rows the layout's. */
final readonly class SaveZone
{
    public function __construct(
        private Ledger $ledger,
        private NewRows $rows,
        private ProjectLoader $load,
        private Library $library,
        private CoatRows $coats,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input name, outline ("x,y x,y …") or points[], slope_from, slope_to, near (run uid, any or none),
     *     near_from, near_to, height_from, height_to, damp (%), aspect, made, water, shore, crowns ("x,y,wide …"), without[], within[],
     *     also[], build_up
     */
    public function create(Layout $layout, SectionRow $row, array $input): ZoneRow
    {
        $project = $this->load->of($layout);
        $zones = $project->works->zonesOf($row->uid);
        $typed = new FormInput($input);
        $name = $typed->text('name') !== '' ? $typed->text('name') : 'Zone '.(count($zones) + 1);
        $zone = $this->read($typed, $project->section($row->uid), new Zone($this->rows->uid(), $row->uid, $name), $name);
        $buildUp = $typed->text('build_up');

        return $this->ledger->record($layout, "{$zone->name} added", function (ChangeSet $changes) use ($layout, $zone, $buildUp): ZoneRow {
            $new = $this->rows->add($changes, $layout, ZoneRow::class, WorksFile::fromZone($zone));
            $this->buildUp($changes, $layout, $zone->uid, $buildUp);

            return $new;
        });
    }

    private function buildUp(ChangeSet $changes, Layout $layout, string $zone, string $key): void
    {
        $ids = $this->library->buildUps[$key]['recipes'] ?? [];
        if ($ids !== []) {
            $new = array_map(fn (string $id): Coat => new Coat($this->rows->uid(), $zone, $this->library->recipe($id)), $ids);
            $this->coats->add($changes, $layout, $this->load->works($layout)->coatsOf($zone), $new);
        }
    }

    /** @param  array<string, mixed>  $input as above, and rev */
    public function change(Layout $layout, ZoneRow $row, array $input): void
    {
        $project = $this->load->of($layout);
        $old = array_values(array_filter($project->works->zones, fn (Zone $z): bool => $z->uid === $row->uid))[0];
        $typed = new FormInput($input);
        $zone = $this->read($typed, $project->section($old->section), $old, $typed->text('name'));
        $values = WorksFile::fromZone($zone);
        $this->ledger->record($layout, "{$zone->name} changed", function (ChangeSet $changes) use ($layout, $row, $values, $typed): void {
            $changes->save($row->keep($values));
            $this->buildUp($changes, $layout, $row->uid, $typed->text('build_up'));
        });
    }

    /** @throws InvalidValue when work was begun on it */
    public function remove(Layout $layout, ZoneRow $row): void
    {
        $works = $this->load->works($layout);
        $name = array_values(array_filter($works->zones, fn (Zone $z): bool => $z->uid === $row->uid))[0]->name;
        if ($works->laidIn($row->uid) !== []) {
            throw new InvalidValue("Work on {$name} was begun: it stays as it is. Undo the work first.", 'zone');
        }
        foreach ($works->growth->stands as $stand) {
            if ($stand->zone === $row->uid) {
                throw new InvalidValue("“{$stand->name}” grows in it: let that grow elsewhere first, or put it away.", 'zone');
            }
        }
        $coats = array_map(fn (Coat $c): string => $c->uid, $works->coatsOf($row->uid));
        $this->ledger->record($layout, "{$name} removed", function (ChangeSet $changes) use ($layout, $row, $coats): void {
            foreach ($layout->coats()->whereIn('uid', $coats)->get() as $coat) {
                $changes->delete($coat);
            }
            $changes->delete($row);
        });
    }

    private function read(FormInput $typed, Section $section, Zone $old, string $name): Zone
    {
        $outline = $typed->has('outline') || $typed->has('points') ? $this->outline($typed, $section, $old) : $old->outline;
        $slope = null;
        if ($typed->text('slope_from').$typed->text('slope_to') !== '') {
            $slope = [$typed->number('slope_from', 0.0), $typed->number('slope_to', 90.0)];
        }
        $near = null;
        if (! in_array($typed->text('near'), ['', 'none'], true)) {
            $near = [
                'run' => $typed->text('near') === 'any' ? null : $typed->text('near'),
                'from' => $typed->length('near_from', 0.0, $old->near['from'] ?? null),
                'to' => $typed->length('near_to', current: $old->near['to'] ?? null),
            ];
        }
        $height = null;
        if ($typed->text('height_from').$typed->text('height_to') !== '') {
            // Typed over the datum, as the plan has heights; kept over the board, which may be set lower or higher.
            $over = function (string $field, float $otherwise, int $end) use ($typed, $section, $old): float {
                $was = $old->height === null ? null : $old->height[$end] + $section->base;
                $now = $typed->length($field, $otherwise, $was);

                return $now === $was ? $old->height[$end] : $now - $section->base;
            };
            $height = [
                $over('height_from', $section->base, 0),
                $over('height_to', 3000.0, 1),
            ];
        }
        $damp = $typed->text('damp') === '' ? null : $typed->number('damp') / 100.0;
        $aspect = $typed->text('aspect') === '' ? null : $typed->text('aspect');
        $made = $typed->text('made') ?: null;
        $backdrop = null;
        if ($typed->text('backdrop') !== '') {
            $high = $typed->length('backdrop_height', $old->backdrop['height'] ?? null, $old->backdrop['height'] ?? null);
            $backdrop = ['edge' => $typed->text('backdrop'), 'height' => $high];
        }
        $uids = fn (string $key): array => array_values(
            array_filter(array_map('strval', array_filter($typed->list($key), 'is_scalar')), fn (string $uid): bool => $uid !== ''),
        );
        // What follows growth has its crowns and its outline from there.
        $under = $typed->has('under') ? $uids('under') : $old->under;
        $along = $typed->has('along') ? ($typed->text('along') ?: null) : $old->along;
        $water = $typed->has('water') ? ($typed->text('water') ?: null) : $old->water;
        $shore = match (true) {
            $water === null || ($typed->has('shore') && $typed->text('shore') === '') => null,
            $typed->has('shore') => $typed->length('shore', current: $old->shore),
            default => $old->shore,
        };
        $crowns = $under === [] ? $this->crowns($typed, $section, $old) : null;
        $outline = $along === null ? $outline : null;
        [$without, $within, $also] = array_map($uids, ['without', 'within', 'also']);

        return $typed->made(
            fn (): Zone => new Zone(
                $old->uid,
                $old->section,
                $name,
                $outline,
                $slope,
                $near,
                $without,
                $old->extra,
                $height,
                $damp,
                $aspect,
                $within,
                $also,
                $crowns,
                $made,
                $backdrop,
                $under,
                $along,
                $water,
                $shore,
            ),
        );
    }

    /** @return list<array{float, float, float}>|null layout coordinates and diameters */
    private function crowns(FormInput $typed, Section $section, Zone $old): ?array
    {
        if ($typed->text('crowns') === self::crownsOf($old, $section)) {
            return $old->crowns;
        }
        $crowns = array_map(function (array $c) use ($section): array {
            $there = $section->placement->toLayout(new Point($c[0], $c[1]));

            return [$there->x, $there->y, $c[2]];
        }, $typed->tuples('crowns', ['mm', 'mm', 'mm'], 'is not a crown; type each as x,y,width with a semicolon between.'));

        return $crowns === [] ? null : $crowns;
    }

    /** @return list<array{float, float}>|null layout coordinates */
    private function outline(FormInput $typed, Section $section, Zone $old): ?array
    {
        if ($typed->list('points') === [] && $typed->text('outline') === self::corners($old, $section)) {
            return $old->outline;
        }
        $points = [];
        foreach (array_keys($typed->list('points')) as $k) {
            $points[] = [$typed->length("points.{$k}.x"), $typed->length("points.{$k}.y")];
        }
        $typedIn = $typed->tuples('outline', ['mm', 'mm'], 'is not a corner; type each as x,y with a semicolon between.');
        $there = array_map(function (array $p) use ($section): array {
            $q = $section->placement->toLayout(new Point($p[0], $p[1]));

            return [$q->x, $q->y];
        }, [...$points, ...$typedIn]);

        return $there === [] ? null : $there;
    }

    /** Crowns as a form shows them: "700,425,60 760,440,45". */
    public static function crownsOf(Zone $zone, Section $section): string
    {
        return Tuples::text(
            array_map(function (array $c) use ($section): array {
                $p = $section->placement->toSection(new Point($c[0], $c[1]));

                return [$p->x, $p->y, $c[2]];
            }, $zone->crowns ?? []),
            ['mm', 'mm', 'mm'],
        );
    }

    /** Corners as a form shows them: "700,425 1090,420". */
    public static function corners(Zone $zone, Section $section): string
    {
        return Tuples::text($zone->outlineOn($section->placement) ?? [], ['mm', 'mm']);
    }
}
