<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Measure\Format;

/**
 * Sheets to lay on one another so that they come up to a height: as near under it as the thicknesses go, and of the ways to
 * come so near the one with the fewest pieces. Exact, in tenths of a millimetre.
 */
final readonly class SheetPacking
{
    private const UNITS_PER_MM = 10.0;

    /** @param  list<array{thickness: float, count: int}>  $sheets the thickest first */
    private function __construct(public float $height, public array $sheets, public float $rest)
    {
    }

    /** @param  list<float>  $thicknesses mm */
    public static function to(float $height, array $thicknesses): self
    {
        $room = max(0, (int) floor(self::UNITS_PER_MM * $height + 1e-6));
        $kinds = array_values(
            array_unique(
                array_filter(
                    array_map(fn (float $t): int => (int) round(self::UNITS_PER_MM * $t), $thicknesses),
                    fn (int $t): bool => $t > 0 && $t <= $room,
                ),
            ),
        );
        rsort($kinds);
        // Height in tenths → fewest pieces that come to it, and the last of them.
        $fewest = [0 => 0];
        $last = [];
        for ($h = 1; $h <= $room; $h++) {
            foreach ($kinds as $kind) {
                if (isset($fewest[$h - $kind]) && (! isset($fewest[$h]) || $fewest[$h] > $fewest[$h - $kind] + 1)) {
                    $fewest[$h] = $fewest[$h - $kind] + 1;
                    $last[$h] = $kind;
                }
            }
        }
        $h = max(array_keys($fewest));
        $rest = $height - $h / self::UNITS_PER_MM;
        $counts = [];
        for (; $h > 0; $h -= $last[$h]) {
            $counts[$last[$h]] = ($counts[$last[$h]] ?? 0) + 1;
        }
        krsort($counts);

        return new self(
            $height,
            array_map(
                fn (int $t, int $count): array => ['thickness' => $t / self::UNITS_PER_MM, 'count' => $count],
                array_keys($counts),
                $counts,
            ),
            max(0.0, $rest),
        );
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
