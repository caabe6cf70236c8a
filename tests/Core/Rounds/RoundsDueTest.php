<?php

declare(strict_types=1);

namespace Tests\Core\Rounds;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Journal\CheckAnswer;
use IdleRidge\Core\Journal\CheckResult;
use IdleRidge\Core\Journal\Journal;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rounds\DueCheck;
use IdleRidge\Core\Rounds\RoundMoment;
use IdleRidge\Core\Rounds\RoundsDue;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use IdleRidge\Core\Track\Run;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** A board of 1200 × 600 mm with a line along it: what has to be looked at as its coats go on. */
final class RoundsDueTest extends TestCase
{
    private const NOW = '2026-10-12T12:00Z';

    public function test_before_the_first_plaster_the_foam_is_looked_at(): void
    {
        $coats = [$this->coat(20, 'pulp-plaster-spreading'), $this->coat(21, 'earth-paint')];
        $due = $this->due($coats, land: true);
        $this->assertSame(['film', 'gaps'], $this->kinds($due));
        $this->assertSame([Build::uid(20)], $due[0]->holds, 'paint waits for plaster anyway');
        $this->assertSame([], $this->kinds($this->due([$coats[1]], land: true)), 'nothing goes onto the foam itself');
        $this->assertSame([], $this->kinds($this->due($coats)), 'no land');
        $laid = $this->laid($coats[0], '2026-10-12T11:00Z');
        $this->assertNotContains('film', $this->kinds($this->due($coats, [$laid], land: true)));
    }

    /** Paint at the recipe's own air is ready for the next coat after two hours, as likely as not. */
    public function test_what_is_ready_is_looked_at_before_more_goes_over_it(): void
    {
        $coats = [$this->coat(20, 'earth-paint'), $this->coat(21, 'sifted-soil')];
        $wet = $this->due($coats, [$this->laid($coats[0], '2026-10-12T10:01Z')]);
        $this->assertSame([], $this->kinds($wet));
        $due = $this->due($coats, [$this->laid($coats[0], '2026-10-12T09:59Z')]);
        $this->assertSame(['cured'], $this->kinds($due));
        $this->assertSame([RoundMoment::BeforeNext, [Build::uid(21)]], [$due[0]->moment, $due[0]->holds]);
        $this->assertEqualsWithDelta([300.0, 225.0], $due[0]->at, 1e-6);
        // With nothing to come over it, nobody asks.
        $this->assertSame([], $this->kinds($this->due([$coats[0]], [$this->laid($coats[0], '2026-10-12T09:59Z')])));
    }

    public function test_cover_is_looked_over_for_bare_spots_and_fibres_want_a_trial(): void
    {
        $coats = [$this->coat(20, 'sifted-soil'), $this->coat(21, 'fibre-2mm')];
        $due = $this->due($coats, [$this->laid($coats[0], '2026-10-08T10:00Z')]);
        $this->assertEqualsCanonicalizing(['applicator', 'bare', 'cured'], $this->kinds($due));
        $this->assertSame('applicator', $this->kinds($due)[0], 'what is glued next comes first');
        $this->assertSame([], $this->kinds($this->due([...$coats])), 'the soil is not laid yet');
    }

    public function test_ballast_is_looked_at_before_and_after_it_is_glued(): void
    {
        $runs = $this->points();
        $coats = [$this->coat(20, 'stone-ballast'), $this->coat(21, 'earth-paint')];
        $now = $this->due($coats, [$this->laid($coats[0], '2026-10-12T11:30Z', null)], $runs);
        $this->assertSame(['stones'], $this->kinds($now));
        $this->assertSame(RoundMoment::BeforeGluing, $now[0]->moment);
        $this->assertStringContainsString('points of Run 2', $now[0]->where);
        $glued = $this->due($coats, [$this->laid($coats[0], '2026-10-08T11:30Z')], $runs);
        $this->assertEqualsCanonicalizing(['blades', 'flangeways', 'flangeways', 'tops', 'tops', 'cured'], $this->kinds($glued));
        $this->assertSame([Build::uid(21)], $glued[0]->holds);
        $wet = $this->due($coats, [$this->laid($coats[0], '2026-10-12T11:00Z')], $runs);
        $this->assertSame([], $this->kinds($wet));
    }

    public function test_runs_are_gone_along_that_lie_on_the_board(): void
    {
        $coats = [$this->coat(20, 'pulp-plaster-spreading')];
        $laid = [$this->laid($coats[0], '2026-10-08T11:30Z')];
        $short = fn (float $length): array => [Build::straight(1, 300.0, 0.0, 0.0, length: $length)];
        $this->assertSame(['clear'], $this->kinds($this->due($coats, $laid, $short(100.0))));
        $this->assertSame([], $this->kinds($this->due($coats, $laid, $short(99.0))));
        $this->assertSame([], $this->kinds($this->due($coats, [], $short(600.0))), 'nothing stands beside it');
        $asks = $this->due($coats, $laid, $short(600.0))[0]->asks;
        $this->assertSame('Does the coach go through without touching?', $asks);
        $bored = [Build::straight(1, 300.0, 0.0, 0.0, structures: [['kind' => 'tunnel', 'from_mm' => 400.0, 'to_mm' => 700.0]])];
        $this->assertContains('reach', $this->kinds($this->due($coats, [], $bored)));
    }

    public function test_a_week_before_a_visit_and_a_show_the_board_is_gone_over(): void
    {
        $visit = fn (string $day): array => [new BenchTime(Build::uid(80), BenchTimeKind::Visit, null, $day, 1080, 1200)];
        $this->assertCount(4, $this->due([], times: $visit('2026-10-19')));
        $this->assertSame([], $this->due([], times: $visit('2026-10-20')));
        $this->assertCount(4, $this->due([], times: $visit('2026-10-12')));
        $this->assertSame([], $this->due([], times: $visit('2026-10-11')));
        $show = $this->due([], show: '2026-10-15');
        $this->assertCount(4, $show);
        $this->assertSame(RoundMoment::BeforeShow, $show[0]->moment);
    }

    public function test_what_was_answered_is_not_asked_again_until_it_is_laid_anew(): void
    {
        $coats = [$this->coat(20, 'earth-paint'), $this->coat(21, 'sifted-soil')];
        $laid = $this->laid($coats[0], '2026-10-12T08:00Z');
        $key = $this->due($coats, [$laid])[0]->key;
        $said = fn (CheckAnswer $answer, string $at): array => [
            new CheckResult(Build::uid(61), Build::minute($at), $key, Build::uid(901), $answer, 'Has it set?'),
        ];
        foreach ([CheckAnswer::Right, CheckAnswer::NotRight] as $answer) {
            $this->assertSame([], $this->due($coats, [$laid], checks: $said($answer, '2026-10-10T11:00Z')));
        }
        $this->assertSame([], $this->due($coats, [$laid], checks: $said(CheckAnswer::Later, '2026-10-12T00:01Z')));
        $this->assertSame(['cured'], $this->kinds($this->due($coats, [$laid], checks: $said(CheckAnswer::Later, '2026-10-12T00:00Z'))));
        $again = $laid->but(uid: Build::uid(59));
        $this->assertSame(['cured'], $this->kinds($this->due($coats, [$again], checks: $said(CheckAnswer::Right, '2026-10-12T11:00Z'))));
    }

    /**
     * @param  list<DueCheck>  $due
     * @return list<string>
     */
    private function kinds(array $due): array
    {
        return array_map(fn (DueCheck $c): string => (string) strtok($c->key, '.'), $due);
    }

    private function coat(int $n, string $recipe): Coat
    {
        return new Coat(Build::uid($n), Build::uid(1), Build::recipe($recipe));
    }

    private function laid(Coat $coat, string $at, ?int $for = 20): CoatApplication
    {
        $from = Build::minute($at) - 20;

        return new CoatApplication(
            Build::uid(50),
            Build::uid(901),
            Build::uid(1),
            $coat->uid,
            1,
            $coat->title(),
            $coat->recipe,
            $coat->mm,
            [[[100.0, 100.0], [500.0, 100.0], [500.0, 350.0], [100.0, 350.0]]],
            1e5,
            0.0,
            20,
            [],
            $from,
            $for === null ? null : $from + $for,
        );
    }

    /** @return list<Run> a line and a branch that begins on it */
    private function points(): array
    {
        return [
            Build::straight(1, 225.0, 0.0, 0.0),
            Build::run(2, 400.0, 225.0, 0.0, [['kind' => 'arc', 'radius_mm' => 800.0, 'angle_deg' => 20.0]], 0.0),
        ];
    }

    /**
     * @param  list<Coat>  $coats
     * @param  list<CoatApplication>  $laid
     * @param  list<Run>  $runs
     * @param  list<CheckResult>  $checks
     * @param  list<BenchTime>  $times
     * @return list<DueCheck>
     */
    private function due(
        array $coats,
        array $laid = [],
        array $runs = [],
        bool $land = false,
        array $checks = [],
        array $times = [],
        ?string $show = null,
    ): array {
        $zone = Build::zone(1, ['section' => Build::uid(901), 'outline' => Build::square(100, 100, 500, 350)]);
        $works = new Works([$zone], $coats, $laid, [], $times, new Journal(checks: $checks));
        $spots = $land ? [Build::spot(3, 300.0, 300.0, 60.0), Build::spot(4, 900.0, 300.0, 20.0)] : [];
        $base = Build::project($runs, $spots, $show === null ? ['zone' => 'UTC'] : ['zone' => 'UTC', 'showOn' => $show]);
        $project = Project::of($base->layout, $base->sections, $runs, $spots, works: $works);
        $flat = Build::planeSurvey([$zone]);
        $survey = SectionSurvey::of($flat, new Placement(0.0, 0.0, 0.0), $works->zonesOf(Build::uid(901)), $coats, $laid);

        return RoundsDue::of(new BenchWork($project, [Build::uid(901) => $survey], Build::minute(self::NOW)))->due;
    }
}
