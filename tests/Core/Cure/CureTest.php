<?php

declare(strict_types=1);

namespace Tests\Core\Cure;

use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\CureClock;
use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\TestCase;
use Tests\Fixtures;

final class CureTest extends TestCase
{
    public function test_vapour_and_evaporation(): void
    {
        foreach (Fixtures::vectors('vapour') as $of) {
            $air = new Climate($of['T'], $of['RH']);
            $this->assertEqualsWithDelta($of['saturation_kPa'], $air->saturation(), 1e-4);
            $this->assertEqualsWithDelta($of['vpd_kPa'], $air->vapourDeficit(), 1e-4);
        }
        foreach (Fixtures::vectors('evaporation') as $of) {
            $this->assertEqualsWithDelta($of['rate'], Mechanism::Evaporation->rate(new Climate($of['T'], $of['RH'], $of['airflow'])), 1e-4);
        }
        $this->assertSame(0.02, Mechanism::Evaporation->rate(new Climate(20.0, 100.0)));
    }

    public function test_the_other_mechanisms(): void
    {
        foreach (
            [
                'two_part' => Mechanism::TwoPart,
                'moisture' => Mechanism::Moisture,
                'hydration' => Mechanism::Hydration,
                'solvent' => Mechanism::Solvent,
            ] as $group => $mechanism
        ) {
            foreach (Fixtures::vectors($group) as $of) {
                $this->assertEqualsWithDelta(
                    $of['rate'],
                    $mechanism->rate(new Climate($of['T'], $of['RH'] ?? 50.0, $of['airflow'] ?? 1.0)),
                    1e-4,
                    "{$group} at {$of['T']}",
                );
            }
        }
        $this->assertSame(0.6, Mechanism::Hydration->rate(new Climate(0.0, 50.0)));
        $this->assertSame(1.5, Mechanism::Hydration->rate(new Climate(45.0, 50.0)));
    }

    public function test_a_dose_is_used_up_as_the_air_changes(): void
    {
        $of = Fixtures::vectors('dose');
        $steps = array_map(
            fn (array $s): array => [
                'minutes' => $s['minutes'] === null ? null : (float) $s['minutes'],
                'air' => new Climate($s['T'], $s['RH']),
            ],
            $of['steps'],
        );
        $this->assertEqualsWithDelta($of['reached_min'], CureClock::reached($of['t_ref_min'], Mechanism::Evaporation, $steps), 0.01);
        $this->assertSame(100.0, CureClock::reached(100.0, Mechanism::Evaporation, [['minutes' => 300.0, 'air' => Climate::reference()]]));
        $this->assertSame(
            400.0,
            CureClock::reached(400.0, Mechanism::Evaporation, [['minutes' => 300.0, 'air' => Climate::reference()]]),
            'the last step lasts',
        );
    }

    public function test_thickness_and_confined_joints(): void
    {
        $of = Fixtures::vectors('thickness');
        $this->assertEqualsWithDelta(
            $of['t_min'],
            $of['t_ref_min'] * CureClock::thickness($of['h_ref_mm'], $of['h_mm'], $of['exponent']),
            0.01,
        );
        foreach (Fixtures::vectors('confined') as $case) {
            $this->assertEqualsWithDelta(
                $case['t_min'],
                CureClock::confined($case['half_width_mm'], $case['thinner_sheet_mm'], $case['filmed'], Climate::reference()),
                0.1,
            );
        }
    }

    public function test_quantiles(): void
    {
        foreach (Fixtures::vectors('quantiles') as $of) {
            $this->assertEqualsWithDelta($of['factor'], CureClock::factor($of['q'], $of['prior_sd']), 1e-4);
        }
        $this->assertEqualsWithDelta(1.0 / CureClock::factor(0.001), CureClock::factor(0.999), 1e-6);
    }

    public function test_plaster_sets_by_hydration_and_then_dries(): void
    {
        $plaster = new CureFigures(
            'pulp',
            'Pulp plaster',
            Mechanism::Hydration,
            ['workable_until' => 30.0, 'touch_dry' => 120.0, 'next_coat' => 720.0, 'dry_through' => 2160.0],
            6.0,
            1.5,
        );
        $here = CureClock::medians($plaster, Climate::reference());
        $this->assertEquals($plaster->minutes, $here);
        $cold = CureClock::medians($plaster, new Climate(10.0, 70.0));
        $this->assertEqualsWithDelta(120.0 / 0.7, $cold['touch_dry'], 1e-6);
        $this->assertEqualsWithDelta(120.0 / 0.7 + 2040.0 / 0.31525, $cold['dry_through'], 0.1);
        $thick = CureClock::medians($plaster, Climate::reference(), 12.0);
        $this->assertSame(120.0, $thick['touch_dry'], 'thickness leaves the setting alone');
        $this->assertEqualsWithDelta(120.0 + 2040.0 * 2.0 ** 1.5, $thick['dry_through'], 1e-6);
    }

    public function test_white_glue_spoils_in_the_cold(): void
    {
        $glue = new CureFigures('white-glue', 'White glue', Mechanism::Evaporation, ['touch_dry' => 60.0], filmTemperature: 8.0);
        $this->assertTrue(CureClock::spoils($glue, new Climate(7.9, 50.0)));
        $this->assertFalse(CureClock::spoils($glue, new Climate(8.0, 50.0)));
    }

    public function test_rooms_and_recipes_that_cannot_be_are_refused(): void
    {
        foreach (
            [
                'temp' => fn () => new Climate(-40.0, 50.0),
                'rh' => fn () => new Climate(20.0, 120.0),
                'airflow' => fn () => new Climate(20.0, 50.0, 0.0),
                'minutes' => fn () => new CureFigures('a', 'A', Mechanism::Solvent, []),
                'minutes/dry_through' => fn () => new CureFigures('a', 'A', Mechanism::Solvent, [
                    'next_coat' => 50.0,
                    'dry_through' => 20.0,
                ]),
                'id' => fn () => new CureFigures('A b', 'A', Mechanism::Solvent, ['touch_dry' => 1.0]),
                'mm' => fn () => CureClock::medians(
                    new CureFigures('a', 'A', Mechanism::Solvent, ['touch_dry' => 1.0]),
                    Climate::reference(),
                    -1.0,
                ),
            ] as $place => $make
        ) {
            try {
                $make();
                $this->fail("{$place} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }
}
