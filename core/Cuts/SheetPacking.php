<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Inches;
use IdleRidge\Core\Measure\RoundSteps;

/**
 * Sheets to lay on one another so that they come up to a height: as near under it as the thicknesses go, and of the ways to
 * come so near the one with the fewest pieces. Exact, in tenths of a millimetre where all are such, in 64ths of an inch where
 * all are those, else in hundredths of a millimetre.
 */
final readonly class SheetPacking
{
    private const UNITS_MM = [0.1, Inches::MM / 64.0];

    private const FINEST_MM = 0.01;

    /** @param  list<array{thickness: float, count: int}>  $sheets the thickest first */
    private function __construct(public float $height, public array $sheets, public float $rest)
    {
    }

    /** @param  list<float>  $thicknesses mm */
    public static function to(float $height, array $thicknesses): self
    {
        $unit = self::unit($thicknesses);
        $room = max(0, (int) floor($height / $unit + 1e-6));
        // Units → the thickness as it is called.
        $kinds = [];
        foreach ($thicknesses as $thickness) {
            $units = (int) round($thickness / $unit);
            if ($units > 0 && $units <= $room) {
                $kinds[$units] = $thickness;
            }
        }
        krsort($kinds);
        // Height in units → fewest pieces that come to it, and the last of them.
        $fewest = [0 => 0];
        $last = [];
        for ($h = 1; $h <= $room; $h++) {
            foreach ($kinds as $kind => $thickness) {
                if (isset($fewest[$h - $kind]) && (! isset($fewest[$h]) || $fewest[$h] > $fewest[$h - $kind] + 1)) {
                    $fewest[$h] = $fewest[$h - $kind] + 1;
                    $last[$h] = $kind;
                }
            }
        }
        $counts = [];
        for ($h = max(array_keys($fewest)); $h > 0; $h -= $last[$h]) {
            $counts[$last[$h]] = ($counts[$last[$h]] ?? 0) + 1;
        }
        krsort($counts);
        $sheets = array_map(
            fn (int $units, int $count): array => ['thickness' => $kinds[$units], 'count' => $count],
            array_keys($counts),
            $counts,
        );
        $stands = array_sum(array_map(fn (array $s): float => $s['count'] * $s['thickness'], $sheets));

        return new self($height, $sheets, max(0.0, $height - $stands));
    }

    /** @param  list<float>  $thicknesses mm */
    private static function unit(array $thicknesses): float
    {
        foreach (self::UNITS_MM as $unit) {
            if (array_filter($thicknesses, fn (float $t): bool => ! RoundSteps::isMultiple($t, $unit)) === []) {
                return $unit;
            }
        }

        return self::FINEST_MM;
    }

    /** “3 × 20 + 2” */
    public function words(): string
    {
        $n = Format::nominal(...);
        $words = array_map(
            fn (array $s): string => $s['count'] === 1 ? $n($s['thickness']) : $s['count'].' × '.$n($s['thickness']),
            $this->sheets,
        );

        return $words === [] ? '' : implode(' + ', $words);
    }
}
