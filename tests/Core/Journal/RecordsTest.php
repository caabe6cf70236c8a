<?php

declare(strict_types=1);

namespace Tests\Core\Journal;

use IdleRidge\Core\Cure\AirSpan;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cure\RoomAir;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Journal\CheckAnswer;
use IdleRidge\Core\Journal\CheckResult;
use IdleRidge\Core\Journal\Journal;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Journal\Mishap;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Journal\Stall;
use IdleRidge\Core\Journal\Trial;
use IdleRidge\Core\Journal\TrialFigures;
use IdleRidge\Core\Journal\Verdict;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\HiddenKind;
use IdleRidge\Core\Project\HiddenThing;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** What is remembered, and what it has to hold to be remembered. */
final class RecordsTest extends TestCase
{
    public function test_a_note_is_as_long_as_a_hand_writes_and_no_longer(): void
    {
        $entry = fn (JournalKind $kind, int $long): JournalEntry => $this->entry($kind, str_repeat('ä', $long));
        $entry(JournalKind::Noted, JournalEntry::MAX_NOTE);
        $entry(JournalKind::Done, JournalEntry::MAX_SENTENCE);
        $this->refused('sentence', fn () => $entry(JournalKind::Noted, JournalEntry::MAX_NOTE + 1));
        $this->refused('sentence', fn () => $entry(JournalKind::Done, JournalEntry::MAX_SENTENCE + 1));
        $this->refused('sentence', fn () => $entry(JournalKind::Noted, 0));
    }

    public function test_a_verdict_needs_no_words(): void
    {
        $this->assertSame('', $this->entry(JournalKind::Noted, ' ', verdict: Verdict::NotAgain)->sentence);
        $this->refused('about', fn () => $this->entry(JournalKind::Noted, 'x', about: Build::uid(1)));
    }

    public function test_a_stall_lies_on_a_run_and_in_a_pass(): void
    {
        $stall = fn (float $station, int $pass, int $long = 60): Stall => new Stall(
            Build::uid(1), 0, Build::uid(2), $station, str_repeat('ä', $long), Mishap::cases()[0], false, $pass,
        );
        foreach ([[0.0, 1], [1e6, 100_000]] as [$station, $pass]) {
            $this->assertSame([$station, $pass], [$stall($station, $pass)->station, $stall($station, $pass)->pass]);
        }
        $this->refused('station', fn () => $stall(-0.1, 1));
        $this->refused('station', fn () => $stall(1e6 + 0.1, 1));
        $this->refused('pass', fn () => $stall(0.0, 0));
        $this->refused('pass', fn () => $stall(0.0, 100_001));
        $this->refused('vehicle', fn () => $stall(0.0, 1, 61));
    }

    public function test_of_a_check_the_newest_answer_stands(): void
    {
        $said = fn (int $n, int $at, string $key, CheckAnswer $answer): CheckResult => new CheckResult(
            Build::uid($n),
            $at,
            $key,
            Build::uid(9),
            $answer,
            'Is it?',
        );
        $all = [
            $said(1, 50, 'a', CheckAnswer::Right),
            $said(2, 20, 'a', CheckAnswer::NotRight),
            $said(3, 10, 'b', CheckAnswer::Right),
            $said(4, 10, 'b', CheckAnswer::NotRight),
            // Of one minute the last that was said, whatever its uid.
            $said(6, 30, 'c', CheckAnswer::NotRight),
            $said(5, 30, 'c', CheckAnswer::Right),
        ];
        $standing = CheckResult::standing($all);
        $this->assertSame([CheckAnswer::Right, CheckAnswer::NotRight], [$standing['a']->answer, $standing['b']->answer]);
        $this->assertSame(CheckAnswer::Right, $standing['c']->answer);
        // A plan is made of what holds back, and changes with nothing else.
        $planned = (new Journal(checks: $all))->planned();
        $this->assertSame([Build::uid(4)], array_map(fn (CheckResult $r): string => $r->uid, $planned->checks));
    }

    public function test_a_picture_lies_within_its_bounds(): void
    {
        $photo = new Photo(Build::uid(1), 0, Build::uid(2), str_repeat('0a', 32), 2048, 1536);
        foreach (
            [
                'hash' => ['hash' => str_repeat('0A', 32)],
                'width_px' => ['width' => 2049],
                'height_px' => ['height' => 0],
                'caption' => ['caption' => str_repeat('x', Photo::MAX_CAPTION + 1)],
                'patch/x' => ['patch' => ['x' => 1.001, 'y' => 0.0, 'hex' => '#000000']],
                'patch/hex' => ['patch' => ['x' => 0.5, 'y' => 0.0, 'hex' => '#12345']],
                'place/heading_deg' => ['place' => ['x' => 0.0, 'y' => 0.0, 'heading' => 361.0]],
            ] as $place => $change
        ) {
            $this->refused($place, fn () => $photo->but(...$change));
        }
        $this->assertSame([[2048, 1536], [320, 240]], [$photo->shape('large'), $photo->shape('small')]);
        $this->assertSame([200, 100], $photo->but(width: 200, height: 100)->shape('small'), 'never made larger');
        $this->refused('size', fn () => $photo->shape('huge'));
        $photo->but(patch: ['x' => 1.0, 'y' => 0.0, 'hex' => '#000000'], place: ['x' => -5000.0, 'y' => 0.0, 'heading' => 360.0]);
    }

    /**
     * Earth paint on a dm²: 5 minutes to set up and 0.8 a dm², 167 ml/m² and 8 % waste. A fifth more was used, the work took 6.6 min and
     * drying half as long again: 200.4 ml/m², 1.6 min/dm², touch dry after one and a half of its minutes.
     */
    public function test_a_trial_gives_figures_of_its_own(): void
    {
        $recipe = Build::recipe('earth-paint');
        [$paint] = TrialFigures::amounts($recipe, 1e4, 0.1);
        $this->assertEqualsWithDelta(0.01 * 167.0 * 1.08, $paint->amount, 0.01);
        $trial = new Trial(
            Build::uid(1),
            0,
            'More paint',
            'earth-paint',
            'Earth paint',
            1e4,
            0.1,
            [['material' => 'earth paint', 'unit' => 'ml', 'said' => 1.8, 'used' => 2.16]],
            5.8,
            60.0,
            6.6,
            90.0,
        );
        $this->assertEqualsWithDelta(1.2, $trial->usedOfSaid(), 1e-9);
        $written = RecipeFile::write($recipe);
        $figures = (new TrialFigures($trial, $recipe))->figures($written);
        $this->assertEqualsWithDelta(200.4, (float) $figures['parts'][0]['value'], 0.01);
        $this->assertSame('1.6', $figures['labour']['minutes_per_dm2']);
        $this->assertEqualsWithDelta(1.5 * $written['minutes']['touch_dry'], (float) $figures['minutes']['touch_dry'], 0.5);
        // What is as the recipe says, stays.
        $as = ['material' => 'earth paint', 'unit' => 'ml', 'said' => 1.8, 'used' => 1.8];
        $same = $trial->but(amounts: [$as], minutes: 5.8, dry: 60.0);
        $this->assertSame([], (new TrialFigures($same, $recipe))->figures($written));
    }

    public function test_a_trial_is_refused_where_it_cannot_be(): void
    {
        $trial = new Trial(Build::uid(1), 0, 'T', 'r', 'R', 100.0, 1.0, [], 1.0);
        $this->refused('area', fn () => $trial->but(area: 99.9));
        $this->refused('name', fn () => $trial->but(name: ' '));
        $this->refused('minutes', fn () => $trial->but(minutes: 0.0));
        $this->refused('dry', fn () => $trial->but(dry: 0.5));
        $this->assertNull($trial->usedOfSaid());
    }

    /** A log of an hour at 20 °C and an hour at 10 °C, by quarters of an hour: five readings of each and the last again. */
    public function test_the_air_over_a_cure_is_of_the_room(): void
    {
        $room = Room::of(Build::uid(1), 'Shed', 20.0, 10.0, 50.0, 70.0);
        $air = new RoomAir($room, new \DateTimeZone('UTC'));
        $noon = intdiv((int) strtotime('2026-10-12T12:00Z'), 60);
        $span = AirSpan::over($air, $noon, $noon + 60);
        $this->assertSame([20.0, 20.0, 20.0], $span->temperature);
        $day = AirSpan::over($air, $noon, $noon + 1440);
        $this->assertSame([10.0, 20.0], [$day->temperature[0], $day->temperature[2]]);
        $this->assertSame([50.0, 70.0], [$day->humidity[0], $day->humidity[2]]);
        $this->assertTrue($day->temperature[1] > 10.0 && $day->temperature[1] < 20.0);
        $this->assertSame($span->humidity, AirSpan::over($air, $noon, $noon)->humidity);
    }

    public function test_what_is_hidden_lies_at_a_place_or_along_a_line(): void
    {
        $thing = fn (HiddenKind $kind, array $points, float $bottom = 0.0, float $top = 5.0): HiddenThing => new HiddenThing(
            Build::uid(1),
            Build::uid(2),
            $kind,
            $points,
            $bottom,
            $top,
        );
        $this->refused('points', fn () => $thing(HiddenKind::Screw, [[0.0, 0.0], [5.0, 5.0]]));
        $this->refused('points', fn () => $thing(HiddenKind::Wire, [[0.0, 0.0]]));
        $this->refused('top', fn () => $thing(HiddenKind::Screw, [[0.0, 0.0]], 5.0, 4.9));
        $places = $thing(HiddenKind::Wire, [[0.0, 0.0], [12.0, 0.0], [12.0, 4.0]])->places(5.0);
        $this->assertSame([[0.0, 0.0], [4.0, 0.0], [8.0, 0.0], [12.0, 0.0], [12.0, 4.0]], $places);
        $this->assertSame('screw', $thing(HiddenKind::Screw, [[0.0, 0.0]])->called());
    }

    private function entry(JournalKind $kind, string $text, mixed ...$more): JournalEntry
    {
        return new JournalEntry(
            ...$more + [
                'uid' => Build::uid(1),
                'at' => 0,
                'kind' => $kind,
                'section' => Build::uid(2),
                'laid' => null,
                'sentence' => $text,
            ],
        );
    }

    /** @param  callable(): mixed  $make */
    private function refused(string $place, callable $make): void
    {
        try {
            $make();
            $this->fail("{$place} is not refused");
        } catch (InvalidValue $refusal) {
            $this->assertSame($place, $refusal->place);
        }
    }
}
