<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/**
 * The timber under a board: two long pieces over its whole length, cross pieces between them never further apart than the gap,
 * and how they come out of stock lengths (the longest first into the first length that has room: Johnson 1973). A piece longer
 * than the stock is spliced. mm.
 */
final readonly class Frame
{
    /** What a saw takes, mm. */
    private const SAW_KERF_MM = 2.0;

    /**
     * @param  list<array{name: string, length: float, count: int}>  $parts
     * @param  list<list<array{name: string, length: float}>>  $bars stock lengths with what is cut from each
     * @param  list<string>  $spliced
     */
    private function __construct(public array $parts, public array $bars, public array $spliced, public float $length)
    {
    }

    public static function under(float $width, float $depth, BoardBuild $build): self
    {
        [$long, $short] = [max($width, $depth), min($width, $depth) - 2.0 * $build->timber];
        $cross = 1 + max(1, (int) ceil(($long - $build->timber) / ($build->gap + $build->timber) - 1e-9));
        $parts = [['name' => 'long side', 'length' => $long, 'count' => 2]];
        if ($short > 0.0) {
            $parts[] = ['name' => 'cross piece', 'length' => $short, 'count' => $cross];
        }
        $spliced = $pieces = [];
        foreach ($parts as $part) {
            for ($k = 0; $k < $part['count']; $k++) {
                $stretches = (int) ceil($part['length'] / $build->stock - 1e-9);
                for ($n = 0; $n < $stretches; $n++) {
                    $pieces[] = [
                        'name' => $part['name'].($stretches > 1 ? ', '.($n + 1).' of '.$stretches : ''),
                        'length' => $part['length'] / $stretches,
                    ];
                }
            }
            if ($part['length'] > $build->stock) {
                $spliced[] = $part['name'];
            }
        }
        usort($pieces, fn (array $a, array $b): int => $b['length'] <=> $a['length']);
        $bars = $room = [];
        foreach ($pieces as $piece) {
            $at = null;
            foreach ($room as $k => $left) {
                if ($left >= $piece['length'] - 1e-9) {
                    $at = $k;
                    break;
                }
            }
            $at ??= count($bars);
            $bars[$at][] = $piece;
            $room[$at] = ($room[$at] ?? $build->stock) - $piece['length'] - self::SAW_KERF_MM;
        }

        return new self(
            $parts,
            array_values($bars),
            $spliced,
            array_sum(array_map(fn (array $p): float => $p['length'] * $p['count'], $parts)),
        );
    }

    /** kg */
    public function weight(BoardBuild $build): float
    {
        return ($this->length * $build->timber * $build->timberHigh * Densities::TIMBER_KG_PER_M3) / 1e9;
    }
}
