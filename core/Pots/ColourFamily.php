<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Coats\Colour;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Plan\BenchWork;

/** A colour with those that are lighter or darker of it: what the plan still takes of each, all mixed from one. */
final readonly class ColourFamily
{
    /** To so many parts of a colour come those of a base, for a shade of it. */
    private const PARTS_OF_A_BASE = 10.0;

    /**
     * @param  float  $own ml that coats of the colour itself take
     * @param  list<array{colour: Colour, ml: float, from: float, add: float}>  $shades ml of a shade, of it from this colour, and of the
     *     base that comes to it
     */
    private function __construct(public Colour $colour, public float $own, public array $shades)
    {
    }

    public static function of(BenchWork $work, Colour $colour): self
    {
        $shades = [];
        foreach ($work->project->works->colours as $one) {
            $tied = $one->tied;
            if ($tied !== null && $tied['of'] === $colour->uid) {
                $ml = self::paint($work, $one->uid);
                $from = $ml * self::PARTS_OF_A_BASE / (self::PARTS_OF_A_BASE + $tied['parts']);
                $shades[] = ['colour' => $one, 'ml' => $ml, 'from' => $from, 'add' => $ml - $from];
            }
        }

        return new self($colour, self::paint($work, $colour->uid), $shades);
    }

    /** What is mixed of the colour now for itself and for all its shades, ml. */
    public function whole(): float
    {
        return $this->own + array_sum(array_column($this->shades, 'from'));
    }

    /**
     * Base paints of an amount of a colour, by their parts.
     *
     * @return list<array{base: string, parts: float, ml: float}>
     */
    public static function bases(Colour $colour, float $ml): array
    {
        $sum = array_sum(array_column($colour->mix, 'parts'));

        return array_map(
            fn (array $one): array => ['base' => $one['base'], 'parts' => $one['parts'], 'ml' => $ml * $one['parts'] / $sum],
            $colour->mix,
        );
    }

    private static function paint(BenchWork $work, string $colour): float
    {
        $sum = 0.0;
        foreach ($work->moves as $move) {
            foreach ($move->coat->colour === $colour ? $move->amounts : [] as $one) {
                $sum += self::isPaint($one) ? $one->amount : 0.0;
            }
        }

        return $sum;
    }

    private static function isPaint(MaterialAmount $one): bool
    {
        return str_ends_with($one->material, 'paint');
    }
}
