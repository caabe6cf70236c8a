<?php

declare(strict_types=1);

namespace App\Computed;

use App\Computed\Air\RoomReadings;
use App\Database\ImmediatePdo;
use App\Models\JsonRecord;
use App\Models\LandFeature as FeatureRow;
use App\Models\Layout;
use App\Models\Record;
use App\Models\Run as RunRow;
use App\Models\Section as SectionRow;
use ErrorException;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
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
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use JsonException;
use Psr\Clock\ClockInterface;
use TypeError;
use ValueError;

/** Rows → the immutable whole that every computation starts from. */
final class ProjectLoader
{
    public function __construct(private readonly Library $library, private readonly ClockInterface $clock)
    {
    }

    /**
     * The whole as it is at one moment, whatever others write meanwhile.
     *
     * @throws UnreadableLayout when its rows do not make a whole
     */
    public function of(Layout $layout): Project
    {
        return $this->whole($layout, fn (): Project => $this->with($layout, null));
    }

    /**
     * The same with all that is remembered: entries, pictures, mishaps and trials, which nothing else needs.
     *
     * @throws UnreadableLayout as above
     */
    public function complete(Layout $layout): Project
    {
        return $this->whole($layout, fn (): Project => $this->with($layout, null)->working($this->worksOf($layout, true)));
    }

    /** @throws UnreadableLayout as above */
    public function works(Layout $layout): Works
    {
        return $this->whole($layout, fn (): Works => $this->worksOf($layout));
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
        $runs = $layout
            ->runs()
            ->get()
            ->map(fn (RunRow $row): RunRow => $changed instanceof RunRow && $changed->uid === $row->uid ? $changed : $row);
        $features = $layout
            ->features()
            ->get()
            ->map(fn (FeatureRow $row): FeatureRow => $changed instanceof FeatureRow && $changed->uid === $row->uid ? $changed : $row);
        $extras = [];
        foreach ($runs as $row) {
            $extras[$row->uid] = self::extra($row->extra);
        }

        return Project::of(
            self::sheet($layout),
            array_values($layout->sections()->get()->map(self::section(...))->all()),
            array_values($runs->map(self::run(...))->all()),
            array_values($features->map(self::feature(...))->all()),
            $extras,
            self::extra($layout->file_extra),
            $this->worksOf($layout),
        );
    }

    /** @param  bool  $whole with what only remembers, and nothing is computed from */
    private function worksOf(Layout $layout, bool $whole = false): Works
    {
        $all = function (HasMany $rows, callable $make): array {
            $out = [];
            foreach ($rows->get() as $k => $row) {
                /** @var JsonRecord $row */
                $out[] = $make(new Values($row->values(), "/{$row->getTable()}/{$k}"), $row->uid);
            }

            return $out;
        };

        $own = $all($layout->recipes(), WorksFile::recipe(...));
        $library = WorksFile::library($this->library, $own, self::bench($layout) ?? new BenchRules());

        $begun = Works::apart($all($layout->applications(), WorksFile::laid(...)));

        return new Works(
            $all($layout->zones(), WorksFile::zone(...)),
            $all(
                $layout->coats(),
                fn (Values $r, string $uid): Coat => WorksFile::coat($r, $uid, $library)->asBegun($begun['laid'], $library),
            ),
            $begun['laid'],
            $all($layout->rooms(), RoomFile::read(...)),
            $all($layout->benchSessions(), WorksFile::benchTime(...)),
            new Journal(
                $whole ? $all($layout->journalEntries(), JournalFile::entry(...)) : [],
                $whole ? $all($layout->photos(), JournalFile::photo(...)) : [],
                $all($layout->checks(), JournalFile::check(...)),
                $whole ? $all($layout->stalls(), JournalFile::stall(...)) : [],
                $whole ? $all($layout->trials(), JournalFile::trial(...)) : [],
            ),
            new Store($all($layout->lots(), StockFile::lot(...)), $all($layout->movements(), StockFile::movement(...))),
            $own,
            $all($layout->colours(), WorksFile::colour(...)),
            RoomReadings::logs($layout, intdiv($this->clock->now()->getTimestamp(), 60)),
            $all($layout->prices(), StockFile::price(...)),
            $begun['stripped'],
            $all($layout->hiddenThings(), JournalFile::hidden(...)),
            new Growth($all($layout->stands(), GrowthFile::stand(...)), $all($layout->linesideRows(), GrowthFile::row(...))),
            new Waters($all($layout->waters(), WaterFile::plan(...)), $all($layout->mirrors(), WaterFile::mirror(...))),
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
