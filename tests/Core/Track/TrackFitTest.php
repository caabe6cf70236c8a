<?php

declare(strict_types=1);

namespace Tests\Core\Track;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\Alignment;
use IdleRidge\Core\Track\TrackFit;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Tangents and arcs laid through points: what was drawn comes back, and what does not fit is told. */
final class TrackFitTest extends TestCase
{
    private const LINE = [
        ['kind' => 'tangent', 'length_mm' => 420.0],
        ['kind' => 'arc', 'radius_mm' => 720.0, 'angle_deg' => -28.0],
        ['kind' => 'tangent', 'length_mm' => 461.6],
    ];

    public function test_a_chain_comes_back_piece_by_piece(): void
    {
        foreach ([4.0, 20.0, 80.0] as $step) {
            $fit = TrackFit::through(self::points(self::LINE, $step));
            $this->assertSame(['tangent', 'arc', 'tangent'], array_column($fit->pieces, 'kind'), "every {$step} mm");
            $this->assertEqualsWithDelta(420.0, $fit->pieces[0]['length_mm'] ?? 0.0, 0.05);
            $this->assertEqualsWithDelta(720.0, $fit->pieces[1]['radius_mm'] ?? 0.0, 0.1);
            $this->assertEqualsWithDelta(-28.0, $fit->pieces[1]['angle_deg'] ?? 0.0, 0.01);
            $this->assertEqualsWithDelta([30.0, 200.0, 10.0], [$fit->start->x, $fit->start->y, $fit->headingDeg], 0.01);
            $this->assertLessThan(0.01, $fit->worst);
        }
    }

    public function test_two_points_are_a_tangent_and_a_circle_one_arc(): void
    {
        $straight = TrackFit::through([[0.0, 0.0], [0.0, 250.0]]);
        $this->assertEqualsWithDelta(['kind' => 'tangent', 'length_mm' => 250.0], $straight->pieces[0], 1e-6);
        $this->assertEqualsWithDelta(90.0, $straight->headingDeg, 1e-6);
        $circle = TrackFit::through(self::points([['kind' => 'arc', 'radius_mm' => 450.0, 'angle_deg' => 300.0]], 10.0));
        $this->assertCount(1, $circle->pieces);
        $this->assertEqualsWithDelta(300.0, $circle->pieces[0]['angle_deg'] ?? 0.0, 0.05);
    }

    public function test_what_wavers_is_fitted_in_the_middle_and_the_rest_told(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $points = array_map(
            fn (array $p): array => [$p[0] + 0.3 * self::float($random, -1.0, 1.0), $p[1] + 0.3 * self::float($random, -1.0, 1.0)],
            self::points(self::LINE, 10.0),
        );
        $fit = TrackFit::through($points);
        $this->assertLessThanOrEqual(TrackFit::TOLERANCE_MM, $fit->worst);
        $this->assertGreaterThan(0.1, $fit->mean, 'noise does not vanish');
        $this->assertLessThanOrEqual(5, count($fit->pieces));
        $this->assertLessThan(1.0, self::off($fit, self::LINE), 'the line it was drawn from lies near');
    }

    public function test_transitions_are_approached_by_arcs_within_the_tolerance(): void
    {
        $pieces = [
            ['kind' => 'tangent', 'length_mm' => 300.0],
            ['kind' => 'transition', 'length_mm' => 200.0, 'from_radius_mm' => 0.0, 'to_radius_mm' => 600.0],
            ['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 40.0],
        ];
        $fit = TrackFit::through(self::points($pieces, 10.0));
        $this->assertLessThanOrEqual(TrackFit::TOLERANCE_MM, $fit->worst);
        $this->assertLessThan(TrackFit::TOLERANCE_MM + 0.2, self::off($fit, $pieces));
    }

    public function test_random_chains_come_back_within_a_hair(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $pieces = [];
            for ($k = 0, $n = $random->getInt(1, 5); $k < $n; $k++) {
                $pieces[] =
                    $k % 2 === $seed % 2
                        ? ['kind' => 'tangent', 'length_mm' => self::float($random, 80.0, 500.0)]
                        : [
                            'kind' => 'arc',
                            'radius_mm' => self::float($random, 300.0, 1500.0),
                            'angle_deg' => self::float($random, 8.0, 60.0) * ($random->getInt(0, 1) === 1 ? 1.0 : -1.0),
                        ];
            }
            $fit = TrackFit::through(self::points($pieces, 12.0));
            $this->assertLessThanOrEqual(TrackFit::TOLERANCE_MM, $fit->worst, "seed {$seed}");
            $this->assertLessThan(TrackFit::TOLERANCE_MM + 0.3, self::off($fit, $pieces), "seed {$seed}");
        }
    }

    public function test_lines_that_are_no_track_are_refused(): void
    {
        foreach (
            [
                'shorter than 10 mm' => [[0.0, 0.0], [3.0, 0.0]],
                'is it in millimetres' => [[0.0, 0.0], [2e5, 0.0]],
                'bends to a radius' => array_map(fn (int $k): array => [60.0 * cos($k / 10.0), 60.0 * sin($k / 10.0)], range(0, 40)),
            ] as $words => $points
        ) {
            try {
                TrackFit::through($points);
                $this->fail($words);
            } catch (InvalidValue $refusal) {
                $this->assertStringContainsString($words, $refusal->getMessage());
            }
        }
        $this->assertCount(1, TrackFit::through([[0.0, 0.0], [0.0, 0.0], [100.0, 0.0], [100.0, 0.0]])->pieces, 'points twice in one place');
    }

    private static function float(Randomizer $random, float $least, float $most): float
    {
        return $least + (($most - $least) * $random->getInt(0, 1_000_000)) / 1e6;
    }

    /**
     * @param list<array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float, from_radius_mm?: float,
     *     to_radius_mm?: float}> $pieces
     * @return list<array{float, float}>
     */
    private static function points(array $pieces, float $step): array
    {
        $line = Alignment::from(new Point(30.0, 200.0), 10.0, $pieces);
        $n = max(1, (int) round($line->length / $step));

        return array_map(
            fn (int $k): array => [$line->pointAt(($line->length * $k) / $n)->x, $line->pointAt(($line->length * $k) / $n)->y],
            range(0, $n),
        );
    }

    /**
     * @param  list<array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float, from_radius_mm?: float,
     *     to_radius_mm?: float}>  $pieces
     */
    private static function off(TrackFit $fit, array $pieces): float
    {
        $laid = Alignment::from($fit->start, $fit->headingDeg, $fit->pieces);

        return max(array_map(fn (array $p): float => abs($laid->nearest(new Point($p[0], $p[1]))['offset']), self::points($pieces, 5.0)));
    }
}
