<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\Plan\ComputedPlan;
use App\Devices\SimulatedRoom;
use App\Pages\Air\AirDrawing;
use App\Pages\Air\LearnedDrawing;
use App\Pages\Coats\CureRingDrawing;
use App\Pages\Plan\DryingPage;
use App\Pages\Plan\DryingTailDrawing;
use App\Pages\Plan\SessionDrawing;
use App\Pages\Plan\TimelineDrawing;
use App\Pages\Plan\TonightPage;
use App\Pages\Words\LearnedWords;
use DateTimeZone;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Cure\LearnedFactor;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cure\RoomAir;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Plan\BenchPlan;
use SimpleXMLElement;
use Tests\Build;
use Tests\Demo;

/** Drawings of time: what stands where, and how wide, is what the plan says. */
final class TimeDrawingTest extends FeatureCase
{
    public function test_a_tail_is_longer_for_longer_and_its_taper_follows_its_half(): void
    {
        $ends = function (float $half, float $most): array {
            preg_match_all(
                '/[\d.]+ [\d.]+/',
                (string) $this->xml(DryingTailDrawing::of($half, $most, 'wet'))->xpath('//path[contains(@class,"tail-fill")]')[0]['d'],
                $found,
            );

            return array_map(fn (string $p): float => (float) explode(' ', $p)[0], array_slice($found[0], 1, 2));
        };
        $before = [0.0, 0.0];
        foreach ([[10.0, 25.0], [30.0, 80.0], [120.0, 300.0], [700.0, 1500.0]] as [$half, $most]) {
            $here = $ends($half, $most);
            $this->assertGreaterThan($before[0], $here[0]);
            $this->assertGreaterThan($here[0], $here[1]);
            $before = $here;
        }
        // A doubling is one step of the axis.
        $this->assertEqualsWithDelta(15.3, $ends(120.0, 400.0)[0] - $ends(60.0, 400.0)[0], 0.11);
    }

    public function test_a_ring_turns_with_the_root_of_time(): void
    {
        $angle = function (float $since): float {
            $hand = (string) $this->xml(CureRingDrawing::of($since, 60.0, 180.0, 1440.0, 'a coat'))->xpath(
                '//path[contains(@class,"ring-hand")]',
            )[0]['d'];
            preg_match('/L([\d.]+) ([\d.]+)/', $hand, $to);
            $turn = atan2((float) $to[1] - 66.0, 66.0 - (float) $to[2]);

            return $turn < 0.0 ? $turn + 2.0 * M_PI : $turn;
        };
        foreach ([15.0, 60.0, 360.0, 1000.0] as $since) {
            $this->assertEqualsWithDelta(2.0 * M_PI * 0.96 * sqrt($since / 1440.0), $angle($since), 0.01);
        }
        $this->assertEqualsWithDelta($angle(1440.0), $angle(9000.0), 1e-6, 'past its end it stays there');
    }

    public function test_panes_of_the_lit_window_are_as_wide_as_their_minutes(): void
    {
        [$plan, $words] = $this->twoWeeks();
        $session = $plan->session();
        $moves = $plan->within($session[0], $session[1]);
        $xml = $this->xml(SessionDrawing::of(new TonightPage($plan, $words, $session, [], null, $moves)));
        $panes = $xml->xpath('//rect[starts-with(@class,"pane")]');
        $this->assertCount(count($moves), $panes);
        $scale = 696.0 / ($session[1] - $session[0]);
        foreach ($moves as $k => $placed) {
            $this->assertEqualsWithDelta(
                30.0 + $scale * ($placed->start - $session[0]),
                (float) $panes[$k]['x'],
                1.6,
                $placed->move->title(),
            );
            $this->assertEqualsWithDelta($scale * $placed->minutes(), (float) $panes[$k]['width'], 3.2, $placed->move->title());
        }
    }

    public function test_the_drying_line_has_every_move_at_its_time_in_its_lane(): void
    {
        [$plan, $words] = $this->twoWeeks();
        $from = intdiv($words->at($words->now)->setTime(0, 0)->getTimestamp(), 60);
        $picked = $plan->moves[3]->move->id;
        $xml = $this->xml(
            TimelineDrawing::of(
                new DryingPage($plan, $words, $from, 35, $plan->chain(), $picked, fn (string $move): string => "/x?move={$move}"),
            ),
        );
        $links = [];
        foreach ($xml->xpath('//a') as $link) {
            parse_str((string) parse_url((string) $link['href'], PHP_URL_QUERY), $query);
            $links[$query['move']] = $link;
        }
        $lanes = [];
        foreach ($plan->moves as $placed) {
            $link = $links[$placed->move->id] ?? null;
            $this->assertNotNull($link, $placed->move->title());
            $work = $link->xpath('.//rect[starts-with(@class,"work")]')[0];
            $this->assertEqualsWithDelta(196.0 + (938.0 * ($placed->start - $from)) / (35 * 1440), (float) $work['x'], 1.6);
            $lanes[$placed->move->zone->uid][] = (float) $work['y'];
            $this->assertStringContainsString($placed->move->title(), (string) $link['aria-label']);
        }
        foreach ($lanes as $ys) {
            $this->assertCount(1, array_unique($ys), 'one zone, one lane');
        }
        $this->assertCount(count($lanes), array_unique(array_map(fn (array $ys): float => $ys[0], $lanes)), 'two zones, two lanes');
        $this->assertCount(1, $xml->xpath('//rect[contains(@class,"work on")]'));
        $names = array_map('strval', $xml->xpath('//text[contains(@class,"dusk-word")]'));
        foreach ($plan->work->project->sections as $section) {
            $this->assertContains($section->name, $names);
        }
    }

    public function test_air_is_drawn_where_it_was_read_and_thin_where_it_is_expected(): void
    {
        $now = Build::minute('2026-10-14T16:00Z');
        $zone = new DateTimeZone('Europe/Oslo');
        $room = Room::of(Build::uid(1), 'Shed', 15.0, 5.0, 60.0, 80.0);
        $readings = (new SimulatedRoom(3, 10.0, 3.0, 70.0))->readings($now - 1440 * 5, $now);
        $log = AirLog::of(array_values(array_filter($readings, fn (array $r): bool => $r[0] < $now - 3000 || $r[0] > $now - 2400)));
        $xml = $this->xml(AirDrawing::of(new RoomAir($room, $zone, $log), $log, $now, $zone));
        $gaps = count($log->gaps());
        $this->assertGreaterThan(0, $gaps);
        $this->assertCount(2 * ($gaps + 1), $xml->xpath('//path[@class="air-read"]'), 'no line over what is not known');
        $this->assertCount(2, $xml->xpath('//path[@class="air-ahead"]'));
        $last = fn (string $class): float => max(
            array_map(
                fn ($p): float => max(array_map('floatval', preg_split('/[ML ]/', (string) $p['d'], -1, PREG_SPLIT_NO_EMPTY) ?: [])),
                $xml->xpath("//path[@class=\"{$class}\"]"),
            ),
        );
        $this->assertLessThan($last('air-ahead'), $last('air-read'));
        $bare = $this->xml(AirDrawing::of(new RoomAir($room, $zone), null, $now, $zone));
        $this->assertSame([], $bare->xpath('//path[@class="air-read"]'));
        $this->assertStringContainsString('Shed', (string) $bare['aria-label']);
    }

    public function test_what_was_learned_is_said_and_shown(): void
    {
        $this->assertSame('', LearnedWords::of(LearnedFactor::nothing(), 'Earth paint', 'Shed'));
        $slow = LearnedFactor::from(array_fill(0, 6, [0.35, 0.45]));
        $this->assertStringContainsString('Earth paint takes 1.4', LearnedWords::of($slow, 'Earth paint', 'Shed'));
        $this->assertStringContainsString('seen 6 times', LearnedWords::of($slow, 'Earth paint', 'Shed'));
        $this->assertStringContainsString(
            'its figures’ time in Shed (seen once)',
            LearnedWords::of(LearnedFactor::from([[-0.1, 0.1]]), 'Earth paint', 'Shed'),
        );
        $dot = fn (LearnedFactor $l): float => (float) $this->xml(LearnedDrawing::of($l))->xpath('//circle')[0]['cx'];
        $this->assertSame(60.0, $dot(LearnedFactor::nothing()));
        $this->assertEqualsWithDelta(60.0 + (40.0 * $slow->mean) / M_LN2, $dot($slow), 0.06);
        $width = fn (LearnedFactor $l): float => (float) $this->xml(LearnedDrawing::of($l))->xpath('//rect')[0]['width'];
        $this->assertLessThan($width(LearnedFactor::nothing()), $width($slow), 'what is known better is narrower');
    }

    /** @return array{BenchPlan, ClockWords} */
    private function twoWeeks(): array
    {
        $plan = app(ComputedPlan::class)->plan(Demo::store());

        return [$plan, new ClockWords($plan->work->zone(), $plan->work->now)];
    }

    private function xml(Svg $svg): SimpleXMLElement
    {
        $xml = simplexml_load_string($svg->toHtml());
        $this->assertInstanceOf(SimpleXMLElement::class, $xml);

        return $xml;
    }
}
