<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Journal\Journal;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Planting\Growth;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Project\LayoutGrowth;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Viewing;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Shelf\Store;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Vehicle;
use IdleRidge\Core\Water\Waters;
use JsonException;

/** Reads a `*.ridge.json`. All faults come at once, each with its JSON pointer. */
final class RidgeReader
{
    /** @var list<InvalidValue> */
    private array $faults = [];

    private function __construct(private readonly Library $library)
    {
    }

    /**
     * @param  Library|null  $library the recipes that coats may name
     *
     * @throws InvalidValues
     */
    public static function read(string $json, ?Library $library = null): Project
    {
        return (new self($library ?? Library::of([])))->project($json);
    }

    private function project(string $json): Project
    {
        try {
            $file = json_decode($json, false, 64, JSON_THROW_ON_ERROR);
            $root = new Record(RidgeVersions::brought($file, $this->library->stageOf(...)), '');
        } catch (JsonException $broken) {
            throw new InvalidValues([new InvalidValue('not a readable JSON file ('.lcfirst($broken->getMessage()).')', '/')]);
        } catch (InvalidValue $refusal) {
            throw new InvalidValues([$refusal->within('/')]);
        }
        if (! $root->has('format') || $root->text('format') !== RidgeWriter::FORMAT) {
            throw new InvalidValues([
                new InvalidValue('not an Idle Ridge layout: format must be “'.RidgeWriter::FORMAT.'”', '/format'),
            ]);
        }
        $version = $root->number('version', 0.0);
        if ($version !== (float) RidgeWriter::VERSION) {
            throw new InvalidValues([
                new InvalidValue("version {$version} is not known; this program reads versions 1 to ".RidgeWriter::VERSION, '/version'),
            ]);
        }
        $layout = $this->try(fn (): LayoutSheet => $this->layout($root->record('layout')));
        $sections = $this->each($root, 'sections', fn (Record $r): Section => $this->section($r));
        $runs = $this->each($root, 'runs', fn (Record $r): array => $this->run($r));
        $features = $this->each($root, 'features', fn (Record $r): LandFeature => $this->feature($r));
        $works = $this->works($root, $layout?->bench);
        $extra = $this->try(function () use ($root): array {
            $root->text('date', '');

            return $root->extra();
        });
        if ($this->faults !== [] || $layout === null) {
            throw new InvalidValues($this->faults === [] ? [new InvalidValue('is missing', '/layout')] : $this->faults);
        }

        return Project::of($layout, $sections, array_column($runs, 0), $features, array_column($runs, 1, 2), $extra ?? [], $works);
    }

    private function works(Record $root, ?BenchRules $bench): Works
    {
        $all = fn (string $key, callable $make): array => $this->each($root, $key, fn (Record $r): mixed => $make($r, $this->uid($r)));

        $own = $all('recipes', WorksFile::recipe(...));
        $library =
            $this->try(fn (): Library => WorksFile::library($this->library, $own, $bench ?? new BenchRules())) ?? $this->library;

        $begun = Works::apart($all('laid', WorksFile::laid(...)));

        return new Works(
            $all('zones', WorksFile::zone(...)),
            $all('coats', fn (Record $r, string $uid): Coat => WorksFile::coat($r, $uid, $library)->asBegun($begun['laid'], $library)),
            $begun['laid'],
            $all('rooms', RoomFile::read(...)),
            $all('times', WorksFile::benchTime(...)),
            new Journal(
                $all('journal', JournalFile::entry(...)),
                $all('photos', JournalFile::photo(...)),
                $all('checks', JournalFile::check(...)),
                $all('stalls', JournalFile::stall(...)),
                $all('trials', JournalFile::trial(...)),
            ),
            new Store($all('lots', StockFile::lot(...)), $all('movements', StockFile::movement(...))),
            $own,
            $all('colours', WorksFile::colour(...)),
            array_column($this->each($root, 'air', BenchFile::log(...)), 1, 0),
            $all('prices', StockFile::price(...)),
            $begun['stripped'],
            $all('hidden', JournalFile::hidden(...)),
            new Growth($all('stands', GrowthFile::stand(...)), $all('rows', GrowthFile::row(...))),
            new Waters($all('waters', WaterFile::plan(...)), $all('mirrors', WaterFile::mirror(...))),
        );
    }

    private function layout(Record $r): LayoutSheet
    {
        $vehicles = array_map(
            fn (Record $v): Vehicle => $v->within(function () use ($v): Vehicle {
                $vehicle = Vehicle::from(
                    $v->number('body_mm'),
                    $v->number('bogie_centres_mm'),
                    $v->number('width_mm'),
                    $v->number('height_mm'),
                    $v->text('name'),
                );
                $v->close();

                return $vehicle;
            }),
            $r->records('vehicles'),
        );
        $edges = [];
        foreach ($r->list('viewing_edges') as $k => $edge) {
            $edges[] = is_string($edge) ? $edge : throw new InvalidValue('expected a text', $r->at('viewing_edges').'/'.$k);
        }
        $units = Units::tryFrom($r->text('units')) ?? throw new InvalidValue('units are metric or imperial', 'units');

        return new LayoutSheet(
            $this->uid($r),
            $r->text('name'),
            $r->number('ratio'),
            $r->number('gauge_mm'),
            $units,
            $r->text('zone'),
            $r->text('currency'),
            new Viewing(
                BoardEdge::named($edges, 'viewing_edges'),
                $r->number('eye_distance_mm', Viewing::DISTANCE_MM),
                $r->number('eye_height_mm', Viewing::HEIGHT_MM),
            ),
            $r->text('region', ''),
            $r->text('season', ''),
            new LayoutClearance($vehicles, $r->number('clearance_margin_mm')),
            $r->number('face_limit_deg'),
            $r->numberOrNull('bank_reach_mm'),
            $r->number('tension'),
            $r->number('stiffness_mm'),
            $r->has('cuts') ? StockFile::cuts($r->record('cuts')) : null,
            $r->texts('typed'),
            showOn: $r->has('show_on') ? $r->text('show_on') : null,
            bench: $r->has('bench') ? BenchFile::rules($r->record('bench')) : null,
            northDeg: $r->number('north_deg', 90.0),
            feltGrade: ! $r->has('felt_grade') || $r->flag('felt_grade'),
            growth: $r->has('growth') ? GrowthFile::growth($r->record('growth')) : new LayoutGrowth(),
            extra: $r->extra(),
        );
    }

    private function section(Record $r): Section
    {
        return Section::of(
            $this->uid($r),
            $r->text('name'),
            $r->number('width_mm'),
            $r->number('depth_mm'),
            $r->number('x_mm'),
            $r->number('y_mm'),
            $r->number('angle_deg'),
            $r->number('base_mm'),
            $r->texts('typed'),
            room: $r->has('room') ? $r->text('room') : null,
            edges: $r->has('edges') ? $this->edges($r->record('edges')) : [],
            runsOn: $r->has('runs_on') && $r->flag('runs_on'),
            standing: $r->has('foam_stands') ? StockFile::standing($r->records('foam_stands')) : [],
            stood: $r->has('stood') ? WorksFile::stood($r->records('stood')) : [],
            extra: $r->extra(),
        );
    }

    /** @return array<string, list<array{float, float}>> */
    private function edges(Record $r): array
    {
        $edges = [];
        foreach (array_column(BoardEdge::cases(), 'value') as $edge) {
            foreach ($r->has($edge) ? $r->records($edge) : [] as $p) {
                $edges[$edge][] = [$p->number('at_mm'), $p->number('z_mm')];
                $p->close();
            }
        }
        $r->close();

        return $edges;
    }

    /** @return array{Run, array<string, mixed>, string} */
    private function run(Record $r): array
    {
        $pieces = [];
        foreach ($r->records('elements') as $piece) {
            $kind = $piece->text('kind');
            $pieces[] = match ($kind) {
                'arc' => ['kind' => $kind, 'radius_mm' => $piece->number('radius_mm'), 'angle_deg' => $piece->number('angle_deg')],
                'transition' => [
                    'kind' => $kind,
                    'length_mm' => $piece->number('length_mm'),
                    'from_radius_mm' => $piece->number('from_radius_mm'),
                    'to_radius_mm' => $piece->number('to_radius_mm'),
                ],
                default => ['kind' => $kind, 'length_mm' => $piece->number('length_mm')],
            };
            $piece->close();
        }
        $points = [];
        foreach ($r->records('grade_points') as $point) {
            $curve = $point->numberOrNull('curve_mm');
            $points[] =
                ['station_mm' => $point->number('station_mm'), 'height_mm' => $point->number('height_mm')] +
                ($curve === null ? [] : ['curve_mm' => $curve]);
            $point->close();
        }
        $structures = [];
        foreach ($r->records('structures') as $one) {
            $structures[] =
                ['kind' => $one->text('kind'), 'from_mm' => $one->number('from_mm'), 'to_mm' => $one->number('to_mm')] +
                array_filter(
                    [
                        'deck_mm' => $one->numberOrNull('deck_mm'),
                        'piers' => $one->numberOrNull('piers'),
                        'lining_mm' => $one->numberOrNull('lining_mm'),
                        'inside_mm' => $one->numberOrNull('inside_mm'),
                    ],
                    fn (?float $v): bool => $v !== null,
                );
            $one->close();
        }
        $run = Run::lay(
            $this->uid($r),
            $r->text('name'),
            new Point($r->number('x_mm'), $r->number('y_mm')),
            $r->number('heading_deg'),
            $pieces,
            $r->number('start_height_mm'),
            $points,
            FormationProfile::from($r->record('profile')->numbers()),
            $structures,
            InvalidValue::unlessOneOf(RunKind::class, $r->text('kind', 'track'), 'kind'),
        );

        return [$run, $r->extra(), $run->uid];
    }

    private function feature(Record $r): LandFeature
    {
        $points = [];
        foreach ($r->records('points') as $p) {
            $points[] = new Spot($p->number('x_mm'), $p->number('y_mm'), $p->number('z_mm'));
            $p->close();
        }

        $kind = InvalidValue::unlessOneOf(FeatureKind::class, $r->text('kind'), 'kind');
        $figures = [];
        foreach (array_keys($kind->figures()) as $key) {
            $figures[$key] = $r->numberOrNull($key);
        }

        return new LandFeature(
            $this->uid($r),
            $kind,
            $points,
            $r->text('name', ''),
            $r->extra(),
            array_filter($figures, fn (?float $v): bool => $v !== null),
        );
    }

    private function uid(Record $r): string
    {
        $uid = $r->text('uid');
        if (preg_match('/^[0-9A-HJKMNP-TV-Z]{26}$/', $uid) !== 1) {
            throw new InvalidValue('expected a ULID of 26 characters', 'uid');
        }

        return $uid;
    }

    /**
     * @template T
     *
     * @param  callable(Record): T  $make
     * @return list<T>
     */
    private function each(Record $root, string $key, callable $make): array
    {
        $out = [];
        foreach ($this->try(fn (): array => $root->records($key)) ?? [] as $record) {
            $value = $this->try(fn () => $make($record), $record->pointer);
            if ($value !== null) {
                $out[] = $value;
            }
        }

        return $out;
    }

    /**
     * @template T
     *
     * @param  callable(): T  $make
     * @return T|null
     */
    private function try(callable $make, string $pointer = '/layout'): mixed
    {
        try {
            return $make();
        } catch (InvalidValue $refusal) {
            // Values name their field alone; what the record itself found already carries its pointer.
            $this->faults[] = str_starts_with($refusal->place, '/') ? $refusal : $refusal->within($pointer);

            return null;
        }
    }
}
