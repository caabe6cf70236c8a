<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/** How one water of a layout is to be made: by which school, how deep, and how its bed is coloured. Depths in mm. */
final readonly class WaterPlan
{
    public const START_SCHOOL = 'water-resin';

    public const MAX_BANDS = 6;

    public const MAX_COATS = 30;

    /** A pot of two parts that weighs more heats itself until it smokes, g: the end of the table of pot lives. */
    public const HOTTEST_POT_G = 1000.0;

    /**
     * @param  string  $water uid of the pond or stream
     * @param  string  $school key of one that answers the question of water
     * @param  float|null  $fill from its deepest place up; null up to its level
     * @param  int|null  $coats thin coats one over the other; null as many as the school has
     * @param  int  $bands by depth in which the bed is coloured
     * @param  bool  $darkRim whether it is dark at the rim and lighter in the middle
     * @param  float|null  $potG the largest pot of two parts; null as large as it stays cool
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $water,
        public string $school = self::START_SCHOOL,
        public ?float $fill = null,
        public ?int $coats = null,
        public int $bands = 3,
        public bool $darkRim = false,
        public ?float $potG = null,
        public array $extra = [],
    ) {
        if ($fill !== null) {
            InvalidValue::unlessBetween($fill, 0.2, 300.0, 'The depth of the water', 'mm', 'fill_mm');
        }
        if ($coats !== null) {
            InvalidValue::unlessBetween($coats, 1, self::MAX_COATS, 'The number of thin coats', '', 'coats');
        }
        InvalidValue::unlessBetween($bands, 1, self::MAX_BANDS, 'The number of colours', '', 'bands');
        if ($potG !== null && $potG > self::HOTTEST_POT_G) {
            throw new InvalidValue(
                sprintf(
                    'A pot of %s heats itself until it smokes: at most %s, better %s.',
                    Format::text($potG, 'g'),
                    Format::text(self::HOTTEST_POT_G, 'g'),
                    Format::text(200.0, 'g'),
                ),
                'pot_g',
            );
        }
        if ($potG !== null) {
            InvalidValue::unlessBetween($potG, 10.0, self::HOTTEST_POT_G, 'A pot', 'g', 'pot_g');
        }
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }
}
