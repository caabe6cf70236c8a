<?php

declare(strict_types=1);

namespace App\Actions\Files;

use App\Actions\Air\SaveReadings;
use App\Actions\Land\SaveLandFeature;
use App\Actions\Land\SaveRun;
use App\Actions\Layouts\SaveLayout;
use App\Actions\Layouts\SaveSection;
use App\Computed\Clock\UlidGenerator;
use App\Computed\ProjectLoader;
use App\Models\BenchSession;
use App\Models\Check;
use App\Models\Coat;
use App\Models\CoatApplication;
use App\Models\Colour;
use App\Models\HiddenThing;
use App\Models\JournalEntry;
use App\Models\JsonRecord;
use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\LinesideRow;
use App\Models\Lot;
use App\Models\Mirror;
use App\Models\Movement;
use App\Models\Photo;
use App\Models\Price;
use App\Models\Recipe;
use App\Models\Room;
use App\Models\Run;
use App\Models\Section;
use App\Models\Stall;
use App\Models\Stand;
use App\Models\Trial;
use App\Models\Water;
use App\Models\Zone;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Interchange\GrowthFile;
use IdleRidge\Core\Interchange\JournalFile;
use IdleRidge\Core\Interchange\RidgeReader;
use IdleRidge\Core\Interchange\RidgeWriter;
use IdleRidge\Core\Interchange\RoomFile;
use IdleRidge\Core\Interchange\StockFile;
use IdleRidge\Core\Interchange\WaterFile;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Works;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Whole layouts out to `*.ridge.json` and in again. */
final readonly class LayoutFiles
{
    public const MAX_BYTES = 20_000_000;

    public function __construct(
        private ProjectLoader $load,
        private UlidGenerator $uids,
        private ClockInterface $clock,
        private Library $library,
    ) {
    }

    public function export(Layout $layout): string
    {
        return RidgeWriter::write($this->load->complete($layout), $this->clock->now()->format('Y-m-d\TH:i:s\Z'));
    }

    /**
     * A new layout from a file: all of it or nothing. It gets a uid of its own, and another name when its own is taken.
     *
     * @throws InvalidValues with the JSON pointer of every fault
     */
    public function import(string $json): Layout
    {
        return $this->store(RidgeReader::read($json, $this->library));
    }

    public function store(Project $project): Layout
    {
        $encode = fn (array $extra): string => json_encode((object) $extra, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);

        return DB::transaction(function () use ($project, $encode): Layout {
            $layout = new Layout(
                [
                    'uid' => $this->uids->next(),
                    'rev' => 1,
                    'extra' => $encode($project->layout->extra),
                    'file_extra' => $encode($project->extra),
                    'name' => $this->freeName($project->layout->name),
                ] + SaveLayout::columns($project->layout),
            );
            $layout->save();
            $row = fn (string $uid, int $k, array $extra): array => [
                'uid' => $uid,
                'layout_id' => $layout->id,
                'rev' => 1,
                'position' => $k + 1,
                'extra' => $encode($extra),
            ];
            foreach ($project->sections as $k => $section) {
                (new Section($row($section->uid, $k, $section->extra) + SaveSection::columns($section)))->save();
            }
            foreach ($project->runs as $k => $run) {
                (new Run($row($run->uid, $k, $project->runExtras[$run->uid] ?? []) + SaveRun::columns($run)))->save();
            }
            foreach ($project->features as $k => $feature) {
                (new LandFeature($row($feature->uid, $k, $feature->extra) + SaveLandFeature::columns($feature)))->save();
            }

            foreach (self::works($project->works) as $model => $records) {
                foreach ($records as $k => $values) {
                    (new $model(['uid' => $values['uid'], 'layout_id' => $layout->id, 'rev' => 1, 'position' => $k + 1]))
                        ->keep($values)
                        ->save();
                }
            }
            foreach ($project->works->logs as $room => $log) {
                SaveReadings::add($layout, (string) $room, $log, intdiv($this->clock->now()->getTimestamp(), 60));
            }

            return $layout;
        });
    }

    /** @return array<class-string<JsonRecord>, list<array<string, mixed>>> model → records as a file holds them */
    private static function works(Works $works): array
    {
        return [
            Zone::class => array_map(WorksFile::fromZone(...), $works->zones),
            Coat::class => array_map(WorksFile::fromCoat(...), $works->coats),
            CoatApplication::class => array_map(WorksFile::fromLaid(...), [...$works->laid, ...$works->stripped]),
            Room::class => array_map(RoomFile::from(...), $works->rooms),
            BenchSession::class => array_map(WorksFile::fromTime(...), $works->times),
            HiddenThing::class => array_map(JournalFile::fromHidden(...), $works->hidden),
            Stand::class => array_map(GrowthFile::fromStand(...), $works->growth->stands),
            LinesideRow::class => array_map(GrowthFile::fromRow(...), $works->growth->rows),
            Water::class => array_map(WaterFile::fromPlan(...), $works->waters->plans),
            Mirror::class => array_map(WaterFile::fromMirror(...), $works->waters->mirrors),
            JournalEntry::class => array_map(JournalFile::fromEntry(...), $works->journal->entries),
            Photo::class => array_map(JournalFile::fromPhoto(...), $works->journal->photos),
            Check::class => array_map(JournalFile::fromCheck(...), $works->journal->checks),
            Stall::class => array_map(JournalFile::fromStall(...), $works->journal->stalls),
            Trial::class => array_map(JournalFile::fromTrial(...), $works->journal->trials),
            Colour::class => array_map(WorksFile::fromColour(...), $works->colours),
            Recipe::class => array_map(WorksFile::fromRecipe(...), $works->recipes),
            Price::class => array_map(StockFile::fromPrice(...), $works->prices),
            Lot::class => array_map(StockFile::fromLot(...), $works->store->lots),
            Movement::class => array_map(StockFile::fromMovement(...), $works->store->movements),
        ];
    }

    private function freeName(string $name): string
    {
        $taken = Layout::query()->whereNull('removed_at')->pluck('name')->map(fn (string $n): string => mb_strtolower($n))->all();
        $free = $name;
        for ($k = 2; in_array(mb_strtolower($free), $taken, true); $k++) {
            $free = mb_substr($name, 0, 72)." ({$k})";
        }

        return $free;
    }
}
