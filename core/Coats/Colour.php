<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\InvalidValue;

/** A colour of a layout's palette: base paints by parts, for a region and a season, and the coats that have it. */
final readonly class Colour
{
    /** Of a colour, to which so many of a base paint come for a shade of it. */
    private const PARTS_OF_A_BASE = 10.0;

    public string $name;

    /** @var non-empty-list<array{base: string, parts: float}> */
    public array $mix;

    public string $season;

    /**
     * @param  list<array{base: string, parts: float}>  $mix
     * @param  array<string, mixed>  $extra
     * @param  array{of: string, base: string, parts: float}|null  $tied uid of the colour that it is a lighter or darker of, and what
     *     comes to ten parts of that
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        string $name,
        array $mix,
        string $season = '',
        public array $extra = [],
        public ?array $tied = null,
    ) {
        if (trim($name) === '' || mb_strlen($name) > 60) {
            throw new InvalidValue('A colour needs a name of 1 to 60 characters.', 'name');
        }
        if (mb_strlen($season) > 60) {
            throw new InvalidValue('At most 60 characters.', 'season');
        }
        if ($tied !== null) {
            InvalidValue::unlessBetween($tied['parts'], 0.01, 1000.0, 'The parts', '', 'tied/parts');
            if ($tied['of'] === $uid) {
                throw new InvalidValue('A colour is not a shade of itself.', 'tied/of');
            }
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
     * A lighter or darker of a colour: so many parts of a base paint to ten parts of it. It stays tied.
     *
     * @param  array<string, mixed>  $extra
     */
    public static function shadeOf(
        self $colour,
        string $uid,
        string $name,
        string $base,
        float $parts,
        string $season,
        array $extra = [],
    ): self {
        $sum = array_sum(array_column($colour->mix, 'parts'));
        $mix = [];
        foreach ($colour->mix as $one) {
            $mix[$one['base']] = ($mix[$one['base']] ?? 0.0) + (self::PARTS_OF_A_BASE * $one['parts']) / $sum;
        }
        $mix[$base] = ($mix[$base] ?? 0.0) + $parts;

        return new self(
            $uid,
            $name,
            array_map(fn (string $of): array => ['base' => $of, 'parts' => round($mix[$of], 4)], array_keys($mix)),
            $season,
            $extra,
            ['of' => $colour->uid, 'base' => $base, 'parts' => $parts],
        );
    }

    /** The same after the colour that it is tied to was mixed otherwise. */
    public function after(self $colour): self
    {
        return $this->tied === null
            ? $this
            : self::shadeOf($colour, $this->uid, $this->name, $this->tied['base'], $this->tied['parts'], $this->season, $this->extra);
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
