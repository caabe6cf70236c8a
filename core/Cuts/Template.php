<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Measure\Format;

/** A drawing at full size, mm: what is cut, what is only marked, places of dowels, and words. Rings are closed, lines are not. */
final readonly class Template
{
    /**
     * @param  list<list<array{float, float}>>  $cut rings
     * @param  list<list<array{float, float}>>  $marked rings
     * @param  list<list<array{float, float}>>  $lines
     * @param  list<array{float, float}>  $dowels
     * @param  list<array{float, float, string}>  $words
     */
    public function __construct(
        public string $name,
        public string $title,
        public array $cut,
        public array $marked = [],
        public array $lines = [],
        public array $dowels = [],
        public array $words = [],
    ) {
    }

    public function titled(string $title): self
    {
        return new self(...['title' => $title] + get_object_vars($this));
    }

    /**
     * All that a page has to be printed for.
     *
     * @return list<list<array{float, float}>>
     */
    public function outlines(): array
    {
        return [...$this->cut, ...$this->marked, ...$this->lines];
    }

    /**
     * The pieces of one layer, with the outline of what is glued onto them and dowels through both.
     *
     * @return list<self> one a piece
     */
    public static function ofLayer(FoamStack $stack, int $index): array
    {
        $out = [];
        $layer = $stack->layer($index);
        if ($layer !== null) {
            [$next, $below] = [$stack->layer($index + 1), $stack->layer($index - 1)];
            foreach ($layer->pieces as $piece) {
                $over =
                    $next === null
                        ? []
                        : array_merge(...array_map(fn (Piece $p): array => self::lieOn($p, $piece) ? $p->rings : [], $next->pieces));
                $dowels = [
                    ...$next === null ? [] : Dowels::between($piece, $next),
                    ...$below === null ? [] : self::through($piece, $below, $layer),
                ];
                $out[] = new self(
                    $piece->id,
                    sprintf('%s, %s thick, bottom at %s', $piece->id, Format::sheet($layer->thickness), Format::cell($layer->bottom, 1)),
                    $piece->rings,
                    $over,
                    [],
                    $dowels,
                    [[...self::middle($piece), $piece->id]],
                );
            }
        }

        return $out;
    }

    /** @return list<array{float, float}> the dowels that come up from the layer below through this piece */
    private static function through(Piece $piece, Layer $below, Layer $layer): array
    {
        $out = [];
        foreach ($below->pieces as $under) {
            foreach (Dowels::between($under, $layer) as $p) {
                if ($piece->holds(...$p)) {
                    $out[] = $p;
                }
            }
        }

        return $out;
    }

    /** Whether a piece touches the one under it. */
    public static function lieOn(Piece $upper, Piece $lower): bool
    {
        foreach ($upper->rings[0] as [$x, $y]) {
            if ($lower->holds($x, $y)) {
                return true;
            }
        }

        return $upper->holds(...$lower->rings[0][0] ?? [0.0, 0.0]);
    }

    /** @return array{float, float} */
    private static function middle(Piece $piece): array
    {
        $deepest = Dowels::deepest([$piece], $piece->rings[0], 1);

        return $deepest[0] ?? ($piece->rings[0][0] ?? [0.0, 0.0]);
    }
}
