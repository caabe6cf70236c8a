<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\InvalidValue;

/** A colour of a layout's palette: base paints by parts, for a region and a season, and the coats that have it. */
final readonly class Colour
{
    public string $name;

    /** @var non-empty-list<array{base: string, parts: float}> */
    public array $mix;

    public string $season;

    /**
     * @param  list<array{base: string, parts: float}>  $mix
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(public string $uid, string $name, array $mix, string $season = '', public array $extra = [])
    {
        if (trim($name) === '' || mb_strlen($name) > 60) {
            throw new InvalidValue('A colour needs a name of 1 to 60 characters.', 'name');
        }
        if (mb_strlen($season) > 60) {
            throw new InvalidValue('At most 60 characters.', 'season');
        }
        foreach ($mix as $k => $one) {
            InvalidValue::unlessBetween($one['parts'], 0.0, 1000.0, 'The parts', '', "mix/{$k}/parts");
        }
        $mix = array_values(array_filter($mix, fn (array $one): bool => $one['parts'] > 0.0));
        if ($mix === []) {
            throw new InvalidValue('The parts come to nothing.', 'mix');
        }

        $this->name = trim($name);
        $this->mix = $mix;
        $this->season = trim($season);
    }

    /**
     * As it looks wet.
     *
     * @param  array<string, Pigment>  $bases
     *
     * @throws InvalidValue for a base that is not known
     */
    public function wet(array $bases): Pigment
    {
        return Pigment::mixed(
            array_map(
                fn (array $one): array => [
                    $bases[$one['base']] ?? throw new InvalidValue("There is no base paint “{$one['base']}”.", 'mix'),
                    $one['parts'],
                ],
                $this->mix,
            ),
        );
    }

    /** “3 ochre, 1 raw umber” */
    public function words(): string
    {
        return implode(', ', array_map(fn (array $one): string => Decimal::trimmed($one['parts'], 2).' '.$one['base'], $this->mix));
    }
}
