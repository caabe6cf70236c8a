<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\Packed;

/**
 * How an amount (area, length) lies along one axis: so much between each two lines of a raster, evenly within them. Strips
 * are cut from it, and what lies in a strip is read off it.
 */
final class AreaProfile
{
    /** @var array{string, string, string}|null as it was kept, until it is asked for: of most profiles of a layout nothing is */
    private ?array $packed = null;

    /**
     * @param  list<float>  $lines rising, mm
     * @param  array<int, float>  $amounts gap between two lines → amount; empty gaps may be left out
     */
    public function __construct(private array $lines, private array $amounts)
    {
    }

    /** @return array{string, string, string} */
    public function __serialize(): array
    {
        return $this->packed ?? [
            Packed::floats($this->lines),
            Packed::counts(array_keys($this->amounts)),
            Packed::floats($this->amounts),
        ];
    }

    /** @param  array{string, string, string}  $packed */
    public function __unserialize(array $packed): void
    {
        $this->packed = $packed;
    }

    private function unpack(): void
    {
        if ($this->packed !== null) {
            $this->lines = Packed::toFloats($this->packed[0]);
            $this->amounts = array_combine(Packed::toCounts($this->packed[1]), Packed::toFloats($this->packed[2]));
            $this->packed = null;
        }
    }

    public function total(): float
    {
        $this->unpack();

        return array_sum($this->amounts);
    }

    public function times(float $factor): self
    {
        $this->unpack();

        return new self($this->lines, array_map(fn (float $amount): float => $amount * $factor, $this->amounts));
    }

    public function between(float $from, float $to): float
    {
        $this->unpack();
        $sum = 0.0;
        foreach ($this->amounts as $k => $amount) {
            $low = max($from, $this->lines[$k]);
            $high = min($to, $this->lines[$k + 1]);
            if ($high > $low) {
                $sum += $amount * ($high - $low) / ($this->lines[$k + 1] - $this->lines[$k]);
            }
        }

        return $sum;
    }

    /**
     * Strips of equal amounts.
     *
     * @param  bool  $fromHigh the first strip lies at the high end: from back to front
     * @return list<array{float, float}> the outer two reach beyond the raster's ends
     */
    public function strips(int $count, bool $fromHigh): array
    {
        $total = $this->total();
        $amounts = $this->amounts;
        ksort($amounts);
        $cuts = [];
        $sum = 0.0;
        foreach ($amounts as $k => $amount) {
            while (count($cuts) < $count - 1 && $amount > 0.0 && $sum + $amount >= $total * (count($cuts) + 1) / $count) {
                $t = ($total * (count($cuts) + 1) / $count - $sum) / $amount;
                $cuts[] = $this->lines[$k] + $t * ($this->lines[$k + 1] - $this->lines[$k]);
            }
            $sum += $amount;
        }
        $edges = [$this->lines[0] - 1.0, ...$cuts, $this->lines[count($this->lines) - 1] + 1.0];
        $strips = [];
        for ($k = 0; $k < count($edges) - 1; $k++) {
            $strips[] = [$edges[$k], $edges[$k + 1]];
        }

        return $fromHigh ? array_reverse($strips) : $strips;
    }

    /** Where the given share of all lies before, counted from the low or the high end. */
    public function cutAt(float $share, bool $fromHigh): float
    {
        $wanted = $this->total() * ($fromHigh ? 1.0 - $share : $share);
        $amounts = $this->amounts;
        ksort($amounts);
        $sum = 0.0;
        foreach ($amounts as $k => $amount) {
            if ($amount > 0.0 && $sum + $amount >= $wanted) {
                return $this->lines[$k] + ($wanted - $sum) / $amount * ($this->lines[$k + 1] - $this->lines[$k]);
            }
            $sum += $amount;
        }

        return $this->lines[count($this->lines) - 1];
    }
}
