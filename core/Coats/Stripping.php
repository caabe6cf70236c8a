<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Mechanism;

/**
 * Taking off what was laid. Where its glue softens again it is wetted, left to soak and lifted, and the ground has to dry; where it
 * does not, it is cut out dry. Starting values, as timed.
 */
final readonly class Stripping
{
    public const SOAK_MINUTES = 30;

    private const WATER_ML_PER_M2 = 300.0;

    private const LIFT_MINUTES_PER_DM2 = 3.0;

    private const CUT_MINUTES_PER_DM2 = 6.0;

    private const SET_UP_MINUTES = 5;

    /** Minutes until wetted ground is dry to the touch, fit for the next coat and dry through. */
    private const DRIES = ['touch_dry' => 60.0, 'next_coat' => 480.0, 'dry_through' => 1440.0];

    /**
     * @param  bool  $wet whether it is wetted
     * @param  int  $minutes of hands, soaking not counted
     * @param  float  $water ml
     * @param  list<MaterialAmount>  $lost what was laid and cannot be used again
     */
    private function __construct(public bool $wet, public int $minutes, public float $water, public array $lost)
    {
    }

    /** @param  list<CoatApplication>  $laid what comes off, all of it */
    public static function of(array $laid): self
    {
        $softens = fn (CoatApplication $l): bool => $l->recipe->is(RecipeTrait::Rewets);
        // What takes nothing left nothing to take off. Coats over one another come off with the lowest, once.
        $areas = $lowest = [];
        foreach (array_filter($laid, fn (CoatApplication $l): bool => $l->amounts !== []) as $one) {
            $key = "{$one->coat}/{$one->pass}";
            $areas[$one->zone][$key] = ($areas[$one->zone][$key] ?? 0.0) + $one->area;
            $lowest[$one->zone] ??= $one;
        }
        $minutes = (float) self::SET_UP_MINUTES;
        $water = 0.0;
        foreach ($areas as $zone => $sums) {
            $area = max($sums);
            $minutes += ($area / 1e4) * ($softens($lowest[$zone]) ? self::LIFT_MINUTES_PER_DM2 : self::CUT_MINUTES_PER_DM2);
            $water += $softens($lowest[$zone]) ? ($area / 1e6) * self::WATER_ML_PER_M2 : 0.0;
        }
        $lost = MaterialAmount::sum(array_merge(...array_column($laid, 'amounts'), ...[[]]));

        return new self($water > 0.0, (int) ceil($minutes - 1e-9), $water, $lost);
    }

    /** How the ground dries after it was wetted for it. */
    public static function figures(): CureFigures
    {
        return new CureFigures('stripped', 'Ground that was wetted', Mechanism::Evaporation, self::DRIES);
    }

    /** What was taken off with water, as the wet ground that it left; null where it came off dry. */
    public static function ground(CoatApplication $off): ?CoatApplication
    {
        if ($off->strippedAt === null || ! $off->recipe->is(RecipeTrait::Rewets)) {
            return null;
        }
        $recipe = new Recipe(
            self::figures(),
            "{$off->title} stripped",
            'Strip it',
            $off->recipe->stage,
            $off->recipe->family,
            [],
            new Labour(0.0, 0.0),
            steps: [new Step(StepKind::Lift, 'Wet it, let it soak, lift it')],
            check: 'not cool to the back of the hand',
        );

        return $off->but(recipe: $recipe, title: $recipe->name, mm: 1.0, startedAt: $off->strippedAt, endedAt: $off->strippedAt, ticks: []);
    }
}
