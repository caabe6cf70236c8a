<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/**
 * How boards go into a load space: level, on shelves of a rack, each shelf as high as the highest board on it, with room for hands around
 * every board; what a load has no room or strength for goes with the next. The fewest loads of some orders are taken, of those the lowest.
 */
final readonly class LoadPlan
{
    /** Room for hands and packing around a board, mm: a starting value. */
    public const AROUND_MM = 10.0;

    /** What a shelf itself takes of the height, mm: a starting value. */
    public const SHELF_MM = 12.0;

    /**
     * @param  list<LoadedBoard>  $boards in the order in which they are loaded
     * @param  array<string, float>  $never uid of a board that has no room even alone → what is missing of it, mm or kg over the limit
     */
    private function __construct(public array $boards, public array $never)
    {
    }

    /** @param  list<CarriedBoard>  $boards */
    public static function of(LoadSpace $space, array $boards): self
    {
        $never = [];
        foreach ($boards as $board) {
            $lacks = self::lacks($space, $board);
            if ($lacks > 0.0) {
                $never[$board->uid] = $lacks;
            }
        }
        $rest = array_values(array_filter($boards, fn (CarriedBoard $b): bool => ! isset($never[$b->uid])));
        $best = null;
        foreach (
            [
                fn (CarriedBoard $b): array => [$b->height, $b->width * $b->depth],
                fn (CarriedBoard $b): array => [$b->width * $b->depth, $b->height],
                fn (CarriedBoard $b): array => [$b->weight, $b->height],
            ] as $rank
        ) {
            usort($rest, fn (CarriedBoard $a, CarriedBoard $b): int => $rank($b) <=> $rank($a));
            $loaded = self::loaded($space, $rest);
            $worth = self::worth($loaded);
            if ($best === null || $worth < $best[0]) {
                $best = [$worth, $loaded];
            }
        }

        return new self($best[1], $never);
    }

    /** How many boards of one size go into one load. */
    public static function most(LoadSpace $space, CarriedBoard $board): int
    {
        if (self::lacks($space, $board) > 0.0) {
            return 0;
        }
        $size = self::around($board);
        $fits = max(1, (int) floor(($space->length * $space->width) / ($size[0] * $size[1])));
        $floor = count(FloorPacking::of(array_fill(0, $fits, $size), $space->length, $space->width));
        $shelves = (int) floor(($space->height + self::SHELF_MM + 1e-6) / ($board->height + self::SHELF_MM));
        $borne = $space->limit === null ? PHP_INT_MAX : (int) floor($space->limit / max(1e-9, $board->weight) + 1e-9);

        return min($floor * $shelves, $borne);
    }

    public function loads(): int
    {
        return $this->boards === [] ? 0 : max(array_map(fn (LoadedBoard $b): int => $b->load, $this->boards));
    }

    /** @return list<LoadedBoard> */
    public function load(int $number): array
    {
        return array_values(array_filter($this->boards, fn (LoadedBoard $b): bool => $b->load === $number));
    }

    /** What a board takes more than there is, alone in the space: mm, or kg where it is too heavy; nothing where it has room. */
    private static function lacks(LoadSpace $space, CarriedBoard $board): float
    {
        [$a, $b] = self::around($board);
        [$long, $short] = [max($a, $b), min($a, $b)];
        [$length, $width] = [max($space->length, $space->width), min($space->length, $space->width)];
        $mm = max(0.0, $long - $length, $short - $width, $board->height - $space->height);

        return $mm > 1e-6 ? $mm : max(0.0, $board->weight - ($space->limit ?? INF));
    }

    /** @return array{float, float} */
    private static function around(CarriedBoard $board): array
    {
        return [$board->width + self::AROUND_MM, $board->depth + self::AROUND_MM];
    }

    /**
     * @param  list<CarriedBoard>  $rest all of which have room alone
     * @return list<LoadedBoard>
     */
    private static function loaded(LoadSpace $space, array $rest): array
    {
        $out = [];
        for ($load = 1; $rest !== []; $load++) {
            $left = $space->limit ?? INF;
            $bottom = 0.0;
            for ($shelf = 1; ; $shelf++) {
                $highest = array_filter(
                    $rest,
                    fn (CarriedBoard $b): bool => $bottom + $b->height <= $space->height + 1e-6 && $b->weight <= $left + 1e-9,
                );
                if ($highest === []) {
                    break;
                }
                $first = $highest[array_key_first($highest)];
                $weighs = $first->weight;
                $sizes = [array_key_first($highest) => self::around($first)];
                foreach ($highest as $k => $board) {
                    if (! isset($sizes[$k]) && $board->height <= $first->height + 1e-6 && $weighs + $board->weight <= $left + 1e-9) {
                        $sizes[$k] = self::around($board);
                        $weighs += $board->weight;
                    }
                }
                foreach (FloorPacking::of($sizes, $space->length, $space->width) as $k => [$x, $y, $along, $across]) {
                    $out[] = new LoadedBoard($rest[$k], $load, $shelf, $x, $y, $bottom, $along, $across);
                    $left -= $rest[$k]->weight;
                    unset($rest[$k]);
                }
                $bottom += $first->height + self::SHELF_MM;
            }
            $rest = array_values($rest);
        }

        return $out;
    }

    /**
     * @param  list<LoadedBoard>  $loaded
     * @return array{int, float}
     */
    private static function worth(array $loaded): array
    {
        $loads = $loaded === [] ? 0 : max(array_map(fn (LoadedBoard $b): int => $b->load, $loaded));
        $top = max([0.0, ...array_map(fn (LoadedBoard $b): float => $b->load === $loads ? $b->z + $b->board->height : 0.0, $loaded)]);

        return [$loads, $top];
    }
}
