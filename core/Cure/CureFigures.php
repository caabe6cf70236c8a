<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * How one recipe cures: minutes to each milestone in the reference air at its reference thickness, what drives it, how
 * thickness scales it, and the temperature below which no film forms.
 */
final readonly class CureFigures
{
    /**
     * @param  array<string, float>  $minutes milestone → minutes; what does not apply is left out
     *
     * @throws InvalidValue for a recipe that cannot be
     */
    public function __construct(
        public string $id,
        public string $name,
        public Mechanism $mechanism,
        public array $minutes,
        public float $referenceMm = 1.0,
        public float $exponent = 0.0,
        public ?float $filmTemperature = null,
    ) {
        if (preg_match('~^(?=.{1,120}$)[a-z0-9-]{1,60}(\+[a-z0-9-]+)*(/\d)?$~', $id) !== 1) {
            throw new InvalidValue('A recipe’s id is small letters, digits and hyphens.', 'id');
        }
        InvalidValue::unlessBetween($referenceMm, 0.01, 200.0, 'The reference thickness', 'mm', 'reference_mm');
        InvalidValue::unlessBetween($exponent, 0.0, 3.0, 'The exponent of thickness', '', 'exponent');
        if ($minutes === []) {
            throw new InvalidValue('A recipe needs the time of one milestone at least.', 'minutes');
        }
        $before = 0.0;
        foreach (Milestone::cases() as $milestone) {
            $time = $minutes[$milestone->value] ?? null;
            if ($time === null) {
                continue;
            }
            InvalidValue::unlessBetween($time, 0.1, 200_000.0, 'The time', 'min', "minutes/{$milestone->value}");
            if ($time < $before) {
                throw new InvalidValue('Each milestone comes after the one before.', "minutes/{$milestone->value}");
            }
            $before = $time;
        }
        $unknown = array_diff(array_keys($minutes), array_map(fn (Milestone $m): string => $m->value, Milestone::cases()));
        if ($unknown !== []) {
            throw new InvalidValue('“'.reset($unknown).'” is not a milestone.', 'minutes');
        }
    }
}
