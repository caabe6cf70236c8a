<?php

declare(strict_types=1);

namespace App\Computed;

use App\Computed\Air\RoomReadings;
use App\Database\ImmediatePdo;
use App\Models\LandFeature as FeatureRow;
use App\Models\Layout;
use App\Models\Record;
use App\Models\Run as RunRow;
use App\Models\Section as SectionRow;
use ErrorException;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Cuts\StandingFoam;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\BenchFile;
use IdleRidge\Core\Interchange\GrowthFile;
use IdleRidge\Core\Interchange\JournalFile;
use IdleRidge\Core\Interchange\Record as Values;
use IdleRidge\Core\Interchange\RoomFile;
use IdleRidge\Core\Interchange\StockFile;
use IdleRidge\Core\Interchange\WaterFile;
use IdleRidge\Core\Interchange\WorksFile;
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
use Illuminate\Support\Facades\DB;
use JsonException;
use Psr\Clock\ClockInterface;
use TypeError;
use ValueError;

/** Rows → the immutable whole that every computation starts from. */
final class ProjectLoader
{
    public function __construct(
        private readonly Library $library,
        private readonly ClockInterface $clock,
        private readonly ComputedCache $cache,
    ) {
    }

    /**
     * The whole as it is at one moment, whatever others write meanwhile; as it was made of the same rows before.
     *
     * @throws UnreadableLayout when its rows do not make a whole
     */
    public function of(Layout $layout): Project
    {
        return $this->whole($layout, function () use ($layout): Project {
            $rows = LayoutRows::of($layout);
            $logs = $this->logs($layout);
            $from = $this->cache->fingerprint($layout->getAttributes(), $rows->rows, $logs, $this->library);

            return $this->cache->remember('project', $from, fn (): Project => $this->made($layout, $rows, $logs));
        });
    }

    /**
     * The same with all that is remembered: entries, pictures, mishaps and trials, which nothing else needs.
     *
     * @throws UnreadableLayout as above
     */
    public function complete(Layout $layout): Project
    {
        return $this->whole($layout, fn (): Project => $this->made($layout, LayoutRows::of($layout, true), $this->logs($layout)));
    }

    /** @throws UnreadableLayout as above */
    public function works(Layout $layout): Works
    {
        return $this->whole($layout, fn (): Works => $this->worksOf($layout, LayoutRows::of($layout), $this->logs($layout)));
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T
     */
    private function whole(Layout $layout, callable $read): mixed
    {
        try {
            $pdo = DB::connection()->getPdo();

            return $pdo instanceof ImmediatePdo ? $pdo->asOfNow($read) : $read();
        } catch (InvalidValues $faults) {
            throw new UnreadableLayout($layout, $faults);
        } catch (InvalidValue $fault) {
            throw new UnreadableLayout($layout, new InvalidValues([$fault]));
        } catch (JsonException|ValueError|TypeError|ErrorException $broken) {
            throw new UnreadableLayout(
                $layout,
                new InvalidValues([new InvalidValue("One of its records is not in its form ({$broken->getMessage()}).")]),
                $broken,
            );
        }
    }

    /**
     * @param  Record|null  $changed a row that is not saved yet and stands for its own
     *
     * @throws InvalidValues when that does not fit
     */
    public function with(Layout $layout, ?Record $changed): Project
    {
        return $this->made($layout, LayoutRows::of($layout), $this->logs($layout), $changed);
    }

    /**
     * @param  array<string, AirLog>  $logs
     *
     * @throws InvalidValues
     */
    private function made(Layout $layout, LayoutRows $rows, array $logs, ?Record $changed = null): Project
    {
        $extras = [];
        $runs = self::standingIn($rows->records('runs', RunRow::class), $changed);
        foreach ($runs as $row) {
            $extras[$row->uid] = self::extra($row->extra);
        }

        return Project::of(
            self::sheet($layout),
            array_map(self::section(...), $rows->records('sections', SectionRow::class)),
            array_map(self::run(...), $runs),
            array_map(self::feature(...), self::standingIn($rows->records('features', FeatureRow::class), $changed)),
            $extras,
            self::extra($layout->file_extra),
            $this->worksOf($layout, $rows, $logs),
        );
    }

    /**
     * @template T of Record
     *
     * @param  list<T>  $rows
     * @return list<T> with one that is not saved yet in its own place
     */
    private static function standingIn(array $rows, ?Record $changed): array
    {
        return array_map(fn (Record $row): Record => $changed instanceof $row && $changed->uid === $row->uid ? $changed : $row, $rows);
    }

    /** @return array<string, AirLog> */
    private function logs(Layout $layout): array
    {
        return RoomReadings::logs($layout, intdiv($this->clock->now()->getTimestamp(), 60));
    }

    /** @param  array<string, AirLog>  $logs */
    private function worksOf(Layout $layout, LayoutRows $rows, array $logs): Works
    {
        $all = function (string $relation, callable $make) use ($rows): array {
            $out = [];
            foreach ($rows->values($relation) as $k => $row) {
                $out[] = $make(new Values($row->values(), "/{$row->getTable()}/{$k}"), $row->uid);
            }

            return $out;
        };

        $own = $all('recipes', WorksFile::recipe(...));
        $library = WorksFile::library($this->library, $own, self::bench($layout) ?? new BenchRules());

        $begun = Works::apart($all('applications', WorksFile::laid(...)));

        return new Works(
            $all('zones', WorksFile::zone(...)),
            $all(
                'coats',
                fn (Values $r, string $uid): Coat => WorksFile::coat($r, $uid, $library)->asBegun($begun['laid'], $library),
            ),
            $begun['laid'],
            $all('rooms', RoomFile::read(...)),
            $all('benchSessions', WorksFile::benchTime(...)),
            new Journal(
                $all('journalEntries', JournalFile::entry(...)),
                $all('photos', JournalFile::photo(...)),
                $all('checks', JournalFile::check(...)),
                $all('stalls', JournalFile::stall(...)),
                $all('trials', JournalFile::trial(...)),
            ),
            new Store($all('lots', StockFile::lot(...)), $all('movements', StockFile::movement(...))),
            $own,
            $all('colours', WorksFile::colour(...)),
            $logs,
            $all('prices', StockFile::price(...)),
            $begun['stripped'],
            $all('hiddenThings', JournalFile::hidden(...)),
            new Growth($all('stands', GrowthFile::stand(...)), $all('linesideRows', GrowthFile::row(...))),
            new Waters($all('waters', WaterFile::plan(...)), $all('mirrors', WaterFile::mirror(...))),
        );
    }

    public static function sheet(Layout $row): LayoutSheet
    {
        return new LayoutSheet(
            $row->uid,
            $row->name,
            $row->ratio,
            $row->gauge_mm,
            Units::from($row->units),
            $row->zone,
            $row->currency,
            new Viewing(BoardEdge::named($row->viewing_edges, 'viewing_edges'), $row->eye_distance_mm, $row->eye_height_mm),
            $row->region,
            $row->season,
            new LayoutClearance(array_map(
                fn (array $v): Vehicle => Vehicle::from(
                    (float) $v['body_mm'],
                    (float) $v['bogie_centres_mm'],
                    (float) $v['width_mm'],
                    (float) $v['height_mm'],
                    $v['name'],
                ),
                $row->vehicles,
            ), $row->clearance_margin_mm),
            $row->face_limit_deg,
            $row->bank_reach_mm,
            $row->tension,
            $row->stiffness_mm,
            StockFile::cuts(self::values($row->cuts)),
            $row->typed,
            self::extra($row->extra),
            $row->show_on,
            $row->north_deg,
            $row->felt_grade,
            self::bench($row),
            $row->growth === null ? new LayoutGrowth() : GrowthFile::growth(self::values($row->growth)),
        );
    }

    private static function bench(Layout $row): ?BenchRules
    {
        return $row->bench === null ? null : BenchFile::rules(self::values($row->bench));
    }

    /** @param  array<string, mixed>  $json */
    private static function values(array $json): Values
    {
        return new Values(json_decode(json_encode($json, JSON_THROW_ON_ERROR), false, 16, JSON_THROW_ON_ERROR), '');
    }

    public static function section(SectionRow $row): Section
    {
        return Section::of(
            $row->uid,
            $row->name,
            $row->width_mm,
            $row->depth_mm,
            $row->x_mm,
            $row->y_mm,
            $row->angle_deg,
            $row->base_mm,
            $row->typed,
            self::extra($row->extra),
            $row->room,
            self::floats($row->edges),
            $row->runs_on,
            array_map(fn (array $one): array => [WorksFile::minute($one['until'], 'stood'), $one['room']], $row->stood),
            StandingFoam::all(array_map(fn (array $one): array => array_map('floatval', array_values($one)), $row->foam_stands)),
        );
    }

    public static function run(RunRow $row): Run
    {
        return Run::lay(
            $row->uid,
            $row->name,
            new Point($row->x_mm, $row->y_mm),
            $row->heading_deg,
            self::floats($row->elements),
            $row->start_height_mm,
            self::floats($row->grade_points),
            FormationProfile::from(self::floats($row->profile)),
            self::floats($row->structures),
            RunKind::from($row->kind),
        );
    }

    public static function feature(FeatureRow $row): LandFeature
    {
        return new LandFeature(
            $row->uid,
            FeatureKind::from($row->kind),
            array_map(fn (array $p): Spot => new Spot((float) $p['x_mm'], (float) $p['y_mm'], (float) $p['z_mm']), $row->points),
            $row->name,
            self::extra($row->extra),
            self::floats($row->figures),
        );
    }

    /**
     * JSON drops the fraction of whole numbers; this brings it back, all the way down.
     *
     * @template T of array
     *
     * @param  T  $values
     * @return T
     */
    private static function floats(array $values): array
    {
        array_walk_recursive($values, function (mixed &$value): void {
            $value = is_int($value) ? (float) $value : $value;
        });

        return $values;
    }

    /** @return array<string, mixed> objects within stay objects, so that an empty one is written as one again */
    private static function extra(string $json): array
    {
        return (array) json_decode($json, false, 64, JSON_THROW_ON_ERROR);
    }
}
