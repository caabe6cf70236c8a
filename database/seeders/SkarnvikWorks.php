<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Computed\Clock\UlidGenerator;
use App\Computed\Plan\PlanReport;
use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Colour;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\HiddenKind;
use IdleRidge\Core\Project\HiddenThing;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use IdleRidge\Core\Track\Run;
use Psr\Clock\ClockInterface;

/** What goes onto the demo's land: zones at different stages, dated back from the day the demo is made. */
final class SkarnvikWorks
{
    /** @var list<Zone> */
    private array $zones;

    /** @var list<Coat> */
    private array $coats;

    /** @var array<string, Colour> by name */
    private array $colours;

    public function __construct(
        private readonly UlidGenerator $uids,
        private readonly ClockInterface $clock,
        private readonly Library $library,
        private readonly SkarnvikJournal $journal,
    ) {
    }

    public function on(Project $land): Project
    {
        $this->zones = $this->coats = [];
        $this->colours = [];
        foreach (
            [
                'Wet peat' => ['burnt umber' => 3, 'black' => 1],
                'Birch floor' => ['raw umber' => 2, 'yellow ochre' => 1],
                'Wet rock' => ['slate blue' => 1, 'black' => 1, 'pale stone' => 2],
                'Weir earth' => ['raw umber' => 3, 'yellow ochre' => 1, 'white' => 1],
            ] as $name => $mix
        ) {
            $this->colours[$name] = new Colour(
                $this->uids->next(),
                $name,
                array_map(fn (string $base, int $parts): array => ['base' => $base, 'parts' => (float) $parts], array_keys($mix), $mix),
                'upland, early autumn',
            );
        }
        $rooms = [
            Room::of($this->uids->next(), 'Workroom', 18.5, 10.0, 62.0, 70.0),
            Room::of($this->uids->next(), 'Shed', 15.0, 4.0, 70.0, 82.0),
        ];
        $sections = array_map(fn (Section $s): Section => $s->name === 'Weir Bend' ? $s->in($rooms[1]->uid) : $s, $land->sections);
        $board = fn (string $name): string => $land->section($name)->uid;
        $this->tarnhead($land, $board('Tarnhead'));
        $this->others($land, $board);
        $works = new Works($this->zones, $this->coats, [], $rooms, $this->times(), colours: array_values($this->colours));
        $shelf = new SkarnvikShelf($this->uids, $this->clock->now());
        $whole = fn (Works $works): Project => Project::of(
            $land->layout->planned($this->day(52), new BenchRules(tools: ['clamps and weights' => 2], shelf: $shelf->rules($this->day(5)))),
            $sections,
            $land->runs,
            $land->features,
            $land->runExtras,
            $land->extra,
            $works,
        );
        $laid = $this->history($whole($works));
        $wrought = $works->with([
            'laid' => $laid,
            'prices' => $shelf->prices(),
            'store' => $shelf->store($laid),
            'hidden' => $this->hidden($board('Tarnhead')),
        ]);

        return $whole($wrought->with(['journal' => $this->journal->of($whole($wrought))]));
    }

    private function tarnhead(Project $land, string $board): void
    {
        $formation = $this->zone($board, 'Formation', near: ['run' => null, 'from' => 0.0, 'to' => 24.0]);
        $tarn = $this->zone($board, 'Tarn', outline: $this->oval(640, 92, 175, 62));
        $crag = $this->zone(
            $board,
            'Crag',
            outline: [[700, 425], [1090, 420], [1120, 600], [640, 600]],
            slope: [32.0, 90.0],
            without: [$formation],
        );
        $bank = $this->zone($board, 'Birch bank', outline: [[0, 400], [250, 395], [370, 470], [380, 600], [0, 600]], without: [$formation]);
        $meadow = $this->zone($board, 'Meadow', without: [$formation, $tarn, $crag, $bank]);
        $this->coat($formation, 'pulp-plaster-spreading', 4.0);
        $this->coat($formation, 'earth-paint');
        $this->coat($formation, 'stone-ballast', 3.0);
        $this->coat($tarn, 'pulp-plaster-spreading', 5.0, name: 'Bed plaster');
        $this->coat($tarn, 'earth-paint', name: 'Bed paint', colour: 'Wet peat');
        $this->coat($tarn, 'gloss-medium', passes: 10);
        $this->coat($crag, 'casting-plaster', 5.0, name: 'Rock plaster');
        $this->coat($crag, 'earth-paint', name: 'Dark rock base', colour: 'Wet rock');
        foreach ([$meadow, $bank] as $grass) {
            $this->coat($grass, 'pulp-plaster-spreading', 4.0);
            $this->coat($grass, 'earth-paint', colour: 'Birch floor');
            $this->coat($grass, 'sifted-soil', 1.0);
            $this->coat($grass, 'fibre-2mm', share: $grass === $meadow ? 0.7 : 0.4);
            $this->coat($grass, 'fibre-4mm', share: 0.35);
        }
    }

    /** @param  callable(string): string  $board */
    private function others(Project $land, callable $board): void
    {
        $birch = $this->zone(
            $board('Birch Cutting'),
            'Cutting sides',
            slope: [20.0, 90.0],
            near: ['run' => $this->run($land, 'Birch line'), 'from' => 24.0, 'to' => 140.0],
        );
        $weir = $this->zone(
            $board('Weir Bend'),
            'Embankment',
            near: ['run' => $this->run($land, 'Weir line'), 'from' => 24.0, 'to' => 110.0],
        );
        $yard = $this->zone($board('Fell Halt'), 'Yard', outline: [[3120, 235], [3900, 235], [3900, 330], [3120, 330]]);
        foreach ([[$birch, 4.0], [$weir, 5.0], [$yard, 3.0]] as [$zone, $mm]) {
            $this->coat($zone, 'pulp-plaster-spreading', $mm);
            $this->coat($zone, 'earth-paint', colour: $zone === $weir ? 'Weir earth' : '');
        }
        $this->coat($weir, 'sifted-soil', 1.0);
    }

    /** @return list<HiddenThing> */
    private function hidden(string $board): array
    {
        $lead = [[180.0, 300.0], [180.0, 520.0], [60.0, 560.0]];

        return [
            new HiddenThing($this->uids->next(), $board, HiddenKind::Wire, $lead, 2.0, 6.0, 3.0, 'feed 2'),
            new HiddenThing($this->uids->next(), $board, HiddenKind::Screw, [[600.0, 40.0]], -30.0, 8.0, 5.0),
        ];
    }

    /** @return list<CoatApplication> */
    private function history(Project $project): array
    {
        $work = (new PlanReport())->work($project, $this->minute(0, '12:00'));
        $laid = [];
        foreach (
            [
                ['Formation', 'Pulp plaster', 1, -17, '19:40'],
                ['Tarn', 'Bed plaster', 1, -17, '20:20'],
                ['Crag', 'Rock plaster', 1, -16, '19:35'],
                ['Meadow', 'Pulp plaster', 1, -15, '10:00'],
                ['Birch bank', 'Pulp plaster', 1, -14, '19:30'],
                ['Formation', 'Earth paint', 1, -9, '19:30'],
                ['Meadow', 'Earth paint', 1, -9, '19:55'],
                ['Tarn', 'Bed paint', 1, -8, '19:30'],
                ['Meadow', 'Sifted soil', 1, -6, '10:00'],
                ['Tarn', 'Gloss medium', 1, -4, '20:50'],
                ['Tarn', 'Gloss medium', 2, -1, '20:55'],
                ['Birch bank', 'Earth paint', 1, -1, '19:45'],
                ['Yard', 'Pulp plaster', 1, -1, '20:05'],
            ] as [$zone, $coat, $pass, $days, $clock]
        ) {
            array_push($laid, ...$this->lay($work, $zone, $coat, $pass, $this->minute($days, $clock)));
        }
        $last = $this->lay($work, 'Embankment', 'Pulp plaster', 1, $this->thisMinute() - 130);
        array_push($laid, ...$last);
        usort($laid, fn (CoatApplication $a, CoatApplication $b): int => $a->startedAt <=> $b->startedAt);

        return array_values(array_map(self::asItWent(...), $laid, array_keys($laid)));
    }

    /** Not every move took what the plan had for it; it ended when it ended. */
    private static function asItWent(CoatApplication $one, int $k): CoatApplication
    {
        $slower = $one->recipe->id === 'earth-paint' ? 1.25 + 0.05 * ($k % 4) : 1.0 + 0.04 * ($k % 3);

        return $one->but(startedAt: (int) $one->endedAt - max(1, (int) round($slower * $one->minutes)));
    }

    /** @return list<CoatApplication> the strips of a pass, one after the other */
    private function lay(BenchWork $work, string $zone, string $coat, int $pass, int $at): array
    {
        $out = [];
        foreach ($work->moves as $move) {
            if ($move->zone->name === $zone && $move->coat->title() === $coat && $move->pass === $pass) {
                $out[] = $work->begin($move, $this->uids->next(), $at, $at + $move->minutes);
                $at += $move->minutes;
            }
        }

        return $out;
    }

    /** @return list<BenchTime> */
    private function times(): array
    {
        $out = [];
        foreach ([1 => 1, 2, 3, 4] as $weekday) {
            $out[] = new BenchTime($this->uids->next(), BenchTimeKind::Weekly, $weekday, null, 1170, 1290);
        }
        $out[] = new BenchTime($this->uids->next(), BenchTimeKind::Weekly, 6, null, 600, 780);

        return $out;
    }

    /**
     * @param  list<array{int|float, int|float}>|null  $outline
     * @param  array{float, float}|null  $slope
     * @param  array{run: string|null, from: float, to: float}|null  $near
     * @param  list<string>  $without
     */
    private function zone(
        string $board,
        string $name,
        ?array $outline = null,
        ?array $slope = null,
        ?array $near = null,
        array $without = [],
    ): string {
        $ring = $outline === null ? null : array_map(fn (array $p): array => [(float) $p[0], (float) $p[1]], $outline);
        $zone = new Zone($this->uids->next(), $board, $name, $ring, $slope, $near, $without);
        $this->zones[] = $zone;

        return $zone->uid;
    }

    private function coat(
        string $zone,
        string $recipe,
        ?float $mm = null,
        float $share = 1.0,
        int $passes = 1,
        string $name = '',
        string $colour = '',
    ): void {
        $this->coats[] = new Coat(
            $this->uids->next(),
            $zone,
            $this->library->recipe($recipe),
            $mm,
            $share,
            $passes,
            $name,
            colour: ($this->colours[$colour] ?? null)?->uid,
        );
    }

    /** @return list<array{float, float}> */
    private function oval(float $x, float $y, float $a, float $b): array
    {
        return array_map(
            fn (int $k): array => [round($x + $a * cos(($k * M_PI) / 12)), round($y + $b * sin(($k * M_PI) / 12))],
            range(0, 23),
        );
    }

    private function run(Project $land, string $name): string
    {
        return array_values(array_filter($land->runs, fn (Run $run): bool => $run->name === $name))[0]->uid;
    }

    private function thisMinute(): int
    {
        return intdiv($this->clock->now()->getTimestamp(), 60);
    }

    private function day(int $days): string
    {
        return $this->clock->now()->modify("{$days} days")->format('Y-m-d');
    }

    /** A time of day so many days from today, on the layout's wall clock. */
    private function minute(int $days, string $clock): int
    {
        return intdiv((new DateTimeImmutable($this->day($days).' '.$clock, new DateTimeZone('Europe/Oslo')))->getTimestamp(), 60);
    }
}
