<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * A stretch of a run on a bridge, where it asks nothing of the land below, in a tunnel, where it leaves the land above, or
 * beside a wall, where the land steps at the formation's edge. `thick` is that of a bridge's deck or a tunnel's lining, `inside`
 * the width between linings (null for as wide as vehicles and margin need), mm.
 */
final readonly class Structure
{
    /** What a deck takes under the formation, mm: a starting value. */
    public const DECK_THICKNESS_MM = 8.0;

    private function __construct(
        public StructureKind $kind,
        public float $from,
        public float $to,
        public float $thick,
        public int $piers,
        public ?float $inside,
    ) {
    }

    /**
     * @param array<array-key, array{kind: string, from_mm: float, to_mm: float, deck_mm?: float, piers?: int|float, lining_mm?: float,
     *     inside_mm?: float}> $given
     * @return list<self> by station
     *
     * @throws InvalidValue for one that leaves its run, or two of a place
     */
    public static function along(array $given, float $length): array
    {
        $out = [];
        foreach ($given as $k => $one) {
            $kind = InvalidValue::unlessOneOf(StructureKind::class, $one['kind'], "structures/{$k}/kind");
            $word = $kind->word();
            foreach (['from_mm', 'to_mm'] as $end) {
                if (! is_finite($one[$end]) || $one[$end] < 0.0 || $one[$end] > $length + 0.05) {
                    throw new InvalidValue(
                        sprintf('The %s leaves its run, which goes from 0 to %s.', $word, Format::length($length, 1)),
                        "structures/{$k}/{$end}",
                    );
                }
            }
            if ($one['to_mm'] - $one['from_mm'] < 5.0) {
                throw new InvalidValue(
                    "A {$word} is at least ".Format::length(5.0, 1).' long, and ends after it begins.',
                    "structures/{$k}/to_mm",
                );
            }
            $made = self::made($kind, $one, $length, "structures/{$k}");
            foreach ($out as $other) {
                if (
                    $made->from < $other->to &&
                    $other->from < $made->to &&
                    ($made->kind === $other->kind || ($made->isWall() === $other->isWall() && ! $made->isWall()))
                ) {
                    throw new InvalidValue(
                        sprintf(
                            'It overlaps the %s from %s to %s.',
                            $other->kind->word(),
                            round($other->from, 1),
                            round($other->to, 1),
                        ),
                        "structures/{$k}/from_mm",
                    );
                }
            }
            $out[] = $made;
        }
        usort($out, fn (self $a, self $b): int => [$a->from, $a->kind->value] <=> [$b->from, $b->kind->value]);

        return $out;
    }

    public function isWall(): bool
    {
        return $this->kind->side() !== null;
    }

    public function length(): float
    {
        return $this->to - $this->from;
    }

    /** @return list<float> stations of a bridge's piers, evenly between its abutments */
    public function pierStations(): array
    {
        $out = [];
        for ($k = 1; $k <= $this->piers; $k++) {
            $out[] = $this->from + ($this->length() * $k) / ($this->piers + 1);
        }

        return $out;
    }

    /** @return array{kind: string, from_mm: float, to_mm: float, deck_mm?: float, piers?: int, lining_mm?: float, inside_mm?: float} */
    public function toArray(): array
    {
        $out = ['kind' => $this->kind->value, 'from_mm' => $this->from, 'to_mm' => $this->to];
        if ($this->kind === StructureKind::Bridge) {
            return $out + ['deck_mm' => $this->thick, 'piers' => $this->piers];
        }

        return $this->kind === StructureKind::Tunnel
            ? $out + ['lining_mm' => $this->thick] + ($this->inside === null ? [] : ['inside_mm' => $this->inside])
            : $out;
    }

    /**
     * @param  array{kind: string, from_mm: float, to_mm: float, deck_mm?: float, piers?: int|float, lining_mm?: float,
     *     inside_mm?: float} $one
     */
    private static function made(StructureKind $kind, array $one, float $length, string $at): self
    {
        $thick = 0.0;
        $piers = 0;
        $inside = null;
        if ($kind === StructureKind::Bridge) {
            $thick = InvalidValue::unlessBetween($one['deck_mm'] ?? self::DECK_THICKNESS_MM, 0.5, 100.0, 'The deck', 'mm', "{$at}/deck_mm");
            $piers = $one['piers'] ?? 0;
            if ($piers != (int) $piers || $piers < 0 || $piers > 40) {
                throw new InvalidValue('A bridge stands on 0 to 40 piers between its abutments.', "{$at}/piers");
            }
        } elseif ($kind === StructureKind::Tunnel) {
            $thick = InvalidValue::unlessBetween($one['lining_mm'] ?? 0.0, 0.0, 50.0, 'The lining', 'mm', "{$at}/lining_mm");
            $inside = isset($one['inside_mm'])
                ? InvalidValue::unlessBetween($one['inside_mm'], 10.0, 500.0, 'The width inside', 'mm', "{$at}/inside_mm")
                : null;
        }

        return new self($kind, $one['from_mm'], min($length, $one['to_mm']), $thick, (int) $piers, $inside);
    }
}
