<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Scale;

/** A face worked in pieces: which sieve gives a stone, how many stripes of each and how much, how many castings, where joints come. */
final class FaceWork
{
    /** Of a grade, what passes and what stays: so much smaller and larger than the stone. */
    private const SPREAD = 0.4;

    /** Castings that break or are cut away at the edges. A starting value. */
    private const CASTING_WASTE = 0.15;

    /** A stick as one holds it, mm. */
    private const STICK_MM = 15.0;

    private const STICK_MAX_MM = 400.0;

    /** @return array{low: float, mid: float, high: float} mm of the model: what stays on, the stone, what goes through */
    public static function sieve(float $stone, Scale $scale): array
    {
        $mid = $scale->toModel($stone);

        return ['low' => $mid * (1.0 - self::SPREAD), 'mid' => $mid, 'high' => $mid * (1.0 + self::SPREAD)];
    }

    /**
     * Stripes down a face, grade after grade from one side to the other and again; mixed, every grade has as much.
     *
     * @param  float  $long width of the face, mm
     * @param  float  $amount of stone in all
     * @return list<array{stone: float, stripes: int, amount: float}> for each grade
     */
    public static function stripes(CoatPieces $pieces, float $long, float $amount): array
    {
        $grades = count($pieces->stones);
        $all = $pieces->stripe > 0.0 ? max($grades, (int) round($long / $pieces->stripe)) : $grades;
        $out = [];
        foreach ($pieces->stones as $k => $stone) {
            $stripes = intdiv($all - $k - 1, $grades) + 1;
            $out[] = ['stone' => $stone, 'stripes' => $pieces->stripe > 0.0 ? $stripes : 0, 'amount' => ($amount * $stripes) / $all];
        }

        return $out;
    }

    /**
     * Castings for a face, those that break counted.
     *
     * @param  float  $area mm²
     * @param  array{float, float}  $piece mm
     */
    public static function castings(float $area, array $piece): int
    {
        return (int) ceil(($area * (1.0 + self::CASTING_WASTE)) / ($piece[0] * $piece[1]) - 1e-9);
    }

    /** Joints that come within a length, mm, the first at its beginning left out. */
    public static function joints(float $joint, Scale $scale, float $long): int
    {
        return (int) ceil($long / $scale->toModel($joint) - 1e-9) - 1;
    }

    /** A measuring stick at full size, a line for every joint. */
    public static function stick(float $joint, Scale $scale): Template
    {
        $step = $scale->toModel($joint);
        $count = max(1, (int) floor(self::STICK_MAX_MM / $step));
        $long = $count * $step;
        $lines = [];
        for ($k = 1; $k < $count; $k++) {
            $lines[] = [[$k * $step, 0.0], [$k * $step, self::STICK_MM]];
        }

        return new Template(
            'joints',
            'Joints, a measuring stick',
            [[[0.0, 0.0], [$long, 0.0], [$long, self::STICK_MM], [0.0, self::STICK_MM]]],
            lines: $lines,
            words: [[2.0, 4.0, Format::text($joint / 1000.0, 'm', 2).' at '.$scale->label().': '.Format::length($step, 2)]],
        );
    }
}
