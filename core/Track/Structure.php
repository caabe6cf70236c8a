<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\Refusal;

/** A stretch of a run on a bridge, where it asks nothing of the land below, or in a tunnel, where it leaves the land above. */
final readonly class Structure
{
    public const KINDS = ['bridge', 'tunnel'];

    private function __construct(public string $kind, public float $from, public float $to)
    {
    }

    /**
     * @param array<array-key, array{kind: string, from_mm: float, to_mm: float}> $given
     * @return list<self> by station
     *
     * @throws Refusal for one that leaves its run, or two that overlap
     */
    public static function along(array $given, float $length): array
    {
        $out = [];
        foreach ($given as $k => $one) {
            if (! in_array($one['kind'], self::KINDS, true)) {
                throw new Refusal("“{$one['kind']}” is neither bridge nor tunnel.", "structures/{$k}/kind");
            }
            foreach (['from_mm', 'to_mm'] as $end) {
                if (! is_finite($one[$end]) || $one[$end] < 0.0 || $one[$end] > $length + 0.05) {
                    throw new Refusal(sprintf('The %s leaves its run, which goes from 0 to %s mm.', $one['kind'], round($length, 1)), "structures/{$k}/{$end}");
                }
            }
            if ($one['to_mm'] - $one['from_mm'] < 5.0) {
                throw new Refusal("A {$one['kind']} is at least 5 mm long, and ends after it begins.", "structures/{$k}/to_mm");
            }
            foreach ($out as $other) {
                if ($one['from_mm'] < $other->to && $other->from < $one['to_mm']) {
                    throw new Refusal(sprintf('It overlaps the %s from %s to %s.', $other->kind, round($other->from, 1), round($other->to, 1)), "structures/{$k}/from_mm");
                }
            }
            $out[] = new self($one['kind'], $one['from_mm'], min($length, $one['to_mm']));
        }
        usort($out, fn (self $a, self $b): int => $a->from <=> $b->from);

        return $out;
    }

    public function length(): float
    {
        return $this->to - $this->from;
    }

    /** @return array{kind: string, from_mm: float, to_mm: float} */
    public function toArray(): array
    {
        return ['kind' => $this->kind, 'from_mm' => $this->from, 'to_mm' => $this->to];
    }
}
