<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Computed\Clock\UlidGenerator;
use App\Computed\Library\LibraryFiles;
use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Journal\CheckAnswer;
use IdleRidge\Core\Journal\CheckResult;
use IdleRidge\Core\Journal\Journal;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Journal\Mishap;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Journal\PhotoPin;
use IdleRidge\Core\Journal\Stall;
use IdleRidge\Core\Journal\Trial;
use IdleRidge\Core\Journal\TrialFigures;
use IdleRidge\Core\Journal\Verdict;
use IdleRidge\Core\Journal\WorkRecord;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Shelf\MaterialLot;
use Psr\Clock\ClockInterface;

/** What the demo's builder remembers of three months: work, notes, drawn pictures, checks, mishaps, a trial. */
final class SkarnvikJournal
{
    /** Days ago, clock, board, words. */
    private const NOTES = [
        [89, '20:10', 'Tarnhead', 'Frame of Tarnhead glued square, dowels fit the neighbour.'],
        [86, '19:45', 'Birch Cutting', 'Frame of Birch Cutting. One bolt hole bored again, 3 mm off.'],
        [81, '11:20', 'Weir Bend', 'Weir Bend carried to the shed: 11 kg with its frame, one can lift it.'],
        [75, '20:05', 'Tarnhead', 'First layer of foam glued. Contact glue too thick at the edges; a notched card spreads it evenly.'],
        [74, '20:30', 'Tarnhead', 'Second and third layer. Held by weights over night, nothing moved.'],
        [68, '20:15', 'Tarnhead', 'Banks shaped with the hot wire. The fumes hang about: window open, fan on low.'],
        [61, '19:50', 'Birch Cutting', 'Cutting sides shaped at 55°. Held the template on both ends, it helps.'],
        [55, '10:30', 'Fell Halt', 'Yard levelled with filler, sanded after two days.'],
        [47, '20:20', 'Tarnhead', 'Track laid from the left edge. Gauge is right all along.'],
        [46, '20:40', 'Tarnhead', 'Feeds soldered every 600 mm. Feed 2 lies under the birch bank, noted under Hidden.'],
        [39, '19:55', 'Weir Bend', 'Points of the weir line set, blades filed. Thrown fifty times.'],
        [33, '20:10', 'Fell Halt', 'Platform edge dry-fitted: the coach clears it by 2 mm.'],
        [26, '10:50', 'Tarnhead', 'Went for a walk with the camera: bog edges are darker than I thought, and nothing is green.'],
        [21, '20:25', 'Birch Cutting', 'Masked the rails for plaster. Two evenings of tape saved one of scraping.'],
    ];

    private DateTimeZone $zone;

    public function __construct(
        private readonly UlidGenerator $uids,
        private readonly ClockInterface $clock,
        private readonly DrawnPictures $pictures,
        private readonly Library $library,
    ) {
        $this->zone = new DateTimeZone('Europe/Oslo');
    }

    /** @param  Project  $project with what was laid and what is in store */
    public function of(Project $project): Journal
    {
        $done = array_map(fn (CoatApplication $one): JournalEntry => $this->done($project, $one), $project->works->laid);
        $board = array_column(array_map(fn (Section $s): array => [$s->name, $s->uid], $project->sections), 1, 0);
        $notes = [];
        foreach (self::NOTES as [$days, $clock, $on, $words]) {
            $notes[] = $this->entry($this->minute(-$days, $clock), JournalKind::Noted, $board[$on], $words);
        }
        $of = fn (string $words): JournalEntry => array_values(
            array_filter($done, fn (JournalEntry $e): bool => str_starts_with($e->sentence, $words)),
        )[0];
        $soil = $of('Sifted soil on Meadow');
        $paint = $of('Earth paint on Meadow');
        $rock = $of('Rock plaster on Crag');
        $walk = $notes[12];
        $more = [
            $this->about($soil, 'Soil shaken on twice is better than once thick: no crust, no bare spot.', Verdict::Again),
            $this->about($paint, 'A first coat thinned by a third runs into every pore. Took longer than the plan had.', Verdict::Again),
            $this->about($rock, 'Carved an hour after pouring, while it is like cheese. Next day is too late.', Verdict::Again),
            $this->about($of('Gloss medium on Tarn'), 'Brush marks in the first coat. Lay it off one way only.', Verdict::NotAgain),
            $this->about($notes[3], 'It was the cold: at 15 °C the same glue spreads well.', null),
        ];
        $photos = [
            $this->photo($project, $walk, 'grass', 'day', 3, 'Reference: the bog edge in October', PhotoPin::Coats, 'Meadow'),
            $this->photo($project, $rock, 'bare', 'lamp', 5, 'Crag before paint', null, 'Crag'),
            $this->photo($project, $paint, 'earth', 'lamp', 7, 'Meadow painted, lamp at the left', null, 'Meadow'),
            $this->photo($project, $soil, 'soil', 'day', 9, 'Meadow with its soil', PhotoPin::Land, 'Meadow'),
            $this->photo($project, $of('Earth paint on Birch bank'), 'earth', 'day', 11, 'Birch bank, a day after', null, 'Birch bank'),
        ];
        [$stalls, $told] = $this->stalls($project);

        return new Journal(
            [...$notes, ...$done, ...$more, ...$told],
            $photos,
            $this->checks($project),
            $stalls,
            [$this->trial()],
        );
    }

    private function done(Project $project, CoatApplication $one): JournalEntry
    {
        $works = $project->works;
        $zone = $works->zonesOf($one->section)[$one->zone];
        $air = $works->room($project->section($one->section))->at((int) $one->endedAt, $this->zone);
        $coat = array_values(array_filter($works->coats, fn (Coat $c): bool => $c->uid === $one->coat))[0] ?? null;
        $colour = array_column($works->colours, null, 'uid')[$coat->colour ?? ''] ?? null;

        return new JournalEntry(
            $this->uids->next(),
            (int) $one->endedAt,
            JournalKind::Done,
            $one->section,
            $one->uid,
            "{$one->title} on {$zone->name}, ".number_format($one->area / 1e4, 1).' dm²',
            $air->temperature,
            $air->humidity,
            array_map(
                fn (MaterialAmount $a): array => ['material' => $a->material, 'amount' => round($a->amount, 1), 'unit' => $a->unit],
                $one->amounts,
            ),
            work: new WorkRecord(
                $zone->uid,
                $zone->name,
                $one->coat,
                $one->title,
                $one->recipe->id,
                $one->area,
                (int) $one->endedAt - $one->startedAt,
                $one->minutes,
                array_map(fn (MaterialLot $l): string => "{$l->material} {$l->called()}", $works->store->lotsIn($one->uid)),
                [],
                $colour === null
                    ? null
                    : [
                        'name' => $colour->name,
                        'hex' => $colour->wet(LibraryFiles::basePaints())->dry()->toHex(),
                        'mix' => $colour->words(),
                    ],
            ),
        );
    }

    private function entry(int $at, JournalKind $kind, string $section, string $words, mixed ...$more): JournalEntry
    {
        return new JournalEntry(
            ...$more + [
                'uid' => $this->uids->next(),
                'at' => $at,
                'kind' => $kind,
                'section' => $section,
                'laid' => null,
                'sentence' => $words,
            ],
        );
    }

    private function about(JournalEntry $entry, string $words, ?Verdict $verdict): JournalEntry
    {
        $now = intdiv($this->clock->now()->getTimestamp(), 60);

        return $this->entry(
            min($now, $entry->at + 1330),
            JournalKind::Noted,
            $entry->section,
            $words,
            work: $entry->work?->named(),
            about: $entry->uid,
            verdict: $verdict,
        );
    }

    private function photo(
        Project $project,
        JournalEntry $entry,
        string $ground,
        string $light,
        int $seed,
        string $caption,
        ?PhotoPin $pin,
        string $zone,
    ): Photo {
        $drawn = $this->pictures->of($ground, $light, $seed);
        $uid = null;
        foreach ($project->works->zones as $one) {
            $uid = $one->name === $zone && $one->section === $entry->section ? $one->uid : $uid;
        }
        [$px, $py] = DrawnPictures::PATCH;
        [$cx, $cy] = DrawnPictures::CARD;

        return new Photo(
            $this->uids->next(),
            $entry->at,
            $entry->section,
            $drawn['hash'],
            $drawn['width'],
            $drawn['height'],
            $caption,
            $entry->uid,
            $uid,
            ['x' => 260.0 + 40.0 * $seed, 'y' => -140.0, 'heading' => 84.0 - $seed],
            $pin,
            ['x' => $px, 'y' => $py, 'hex' => DrawnPictures::hex($ground, $light)],
            $light === 'lamp' ? ['x' => $cx, 'y' => $cy, 'hex' => DrawnPictures::cardHex($light)] : null,
        );
    }

    /** @return list<CheckResult> the film of two boards was looked at before plaster, and what lies dry was */
    private function checks(Project $project): array
    {
        $out = [];
        foreach ($project->works->laid as $laid) {
            $asks = $laid->recipe->check === '' || $laid->zone === '' ? '' : "Has “{$laid->title}” set?";
            if ($asks !== '' && $laid->endedAt !== null && $laid->endedAt < $this->minute(-3, '12:00')) {
                $out[] = new CheckResult(
                    $this->uids->next(),
                    $this->minute(-2, '19:40'),
                    "cured.{$laid->uid}",
                    $laid->section,
                    CheckAnswer::Right,
                    $asks,
                );
            }
        }

        return $out;
    }

    /** @return array{list<Stall>, list<JournalEntry>} three passes over the running line, the same place every time */
    private function stalls(Project $project): array
    {
        $run = $project->runs[0];
        $stalls = $told = [];
        foreach ([[1, 806.0, false], [2, 818.0, true], [3, 829.0, true], [3, 310.0, true]] as [$pass, $station, $cleaned]) {
            $at = $this->minute(-5, sprintf('20:%02d', 10 + 4 * $pass));
            $stalls[] = new Stall($this->uids->next(), $at, $run->uid, $station, 'crane', Mishap::Stalled, $cleaned, $pass);
            $told[] = $this->entry(
                $at,
                JournalKind::Stalled,
                $project->sections[0]->uid,
                "Crane stalled on {$run->name} at {$station} mm, pass {$pass}".($cleaned ? ', rails cleaned' : ''),
                place: ['run' => $run->uid, 'station' => $station, 'vehicle' => 'crane'],
            );
        }

        return [$stalls, $told];
    }

    private function trial(): Trial
    {
        $recipe = $this->library->recipe('sifted-soil');
        $amounts = array_map(
            fn (MaterialAmount $a): array => [
                'material' => $a->material,
                'unit' => $a->unit,
                'said' => round($a->amount, 2),
                'used' => round($a->amount * ($a->material === 'sifted soil' ? 1.18 : 1.0), 2),
            ],
            TrialFigures::amounts($recipe, 22_500.0, $recipe->cure->referenceMm),
        );

        return new Trial(
            $this->uids->next(),
            $this->minute(-19, '20:10'),
            'Soil of two grains',
            'sifted-soil',
            $recipe->name,
            22_500.0,
            $recipe->cure->referenceMm,
            $amounts,
            round($recipe->labour->minutes(22_500.0, 150.0), 1),
            420.0,
            13.0,
            505.0,
            Verdict::Again,
            'Coarse first, fine into it while it is wet. Looks like peat, not like sand.',
        );
    }

    private function minute(int $days, string $clock): int
    {
        $day = $this->clock->now()->modify("{$days} days")->format('Y-m-d');

        return intdiv((new DateTimeImmutable("{$day} {$clock}", $this->zone))->getTimestamp(), 60);
    }
}
