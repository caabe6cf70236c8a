<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\CarriedBoard;
use IdleRidge\Core\Cuts\Frame;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Units;

/** Boards of common sizes as they would weigh and stand with land like that of a layout on them: what to build next. */
final readonly class BoardSizes
{
    /** Sizes that sheets and timber are cut to without waste, mm. */
    private const COMMON_MM = [
        'metric' => [[1200.0, 600.0], [1200.0, 450.0], [1000.0, 500.0], [900.0, 600.0], [800.0, 400.0], [600.0, 400.0]],
        'imperial' => [[1219.2, 609.6], [1219.2, 457.2], [914.4, 609.6], [914.4, 457.2], [762.0, 381.0], [609.6, 457.2]],
    ];

    /** Land where there is none yet to go by: so high over the board, mm, and so heavy, kg to m²; starting values. */
    private const LAND_HIGH_MM = 150.0;

    private const LAND_KG_PER_M2 = 5.0;

    /**
     * @param  float  $high of the tallest board with its frame, mm
     * @param  float  $land kg to m²
     */
    private function __construct(private BoardBuild $build, public float $high, public float $land)
    {
    }

    /** @param  list<BoardWeight>  $weights of the boards there are */
    public static function like(array $weights, BoardBuild $build): self
    {
        $high = $kg = $area = 0.0;
        foreach ($weights as $weight) {
            [$w, $d, $h] = $weight->box;
            $high = max($high, $h);
            $kg += $weight->dry() - self::bare($w, $d, $build);
            $area += $w * $d;
        }

        return $area > 0.0
            ? new self($build, $high, max(0.0, $kg) / ($area / 1e6))
            : new self($build, $build->top + $build->timberHigh + self::LAND_HIGH_MM, self::LAND_KG_PER_M2);
    }

    /** @throws InvalidValue naming the side */
    public function board(float $width, float $depth): CarriedBoard
    {
        InvalidValue::unlessBetween($width, 50.0, 6000.0, 'The width', 'mm', 'width');
        InvalidValue::unlessBetween($depth, 50.0, 6000.0, 'The depth', 'mm', 'depth');

        return new CarriedBoard(
            '',
            '',
            $width,
            $depth,
            $this->high,
            self::bare($width, $depth, $this->build) + ($this->land * $width * $depth) / 1e6,
        );
    }

    /** @return list<CarriedBoard> */
    public function common(Units $units): array
    {
        return array_map(fn (array $size): CarriedBoard => $this->board(...$size), self::COMMON_MM[$units->value]);
    }

    /** A frame and its top, kg. */
    private static function bare(float $width, float $depth, BoardBuild $build): float
    {
        return Frame::under($width, $depth, $build)->weight($build) + $build->topWeight($width, $depth);
    }
}
