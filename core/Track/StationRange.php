<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

/** A range of stations over which something holds, with its least and greatest value and the integral along it. */
final readonly class StationRange
{
    private const BRIDGED_GAP_MM = 30.0;

    private function __construct(
        public float $from,
        public float $to,
        public float $least,
        public float $greatest,
        public float $integral,
    ) {
    }

    /**
     * Gathers samples into stretches. In each bin `$step` mm long the greatest value counts; gaps up to BRIDGED mm, as a
     * face one or two cells wide leaves them on a raster, do not part a stretch.
     *
     * @param  list<array{float, float}>  $samples station, value
     * @param  float  $within stretches end at 0 and here
     * @return list<self>
     */
    public static function gather(array $samples, float $step, float $within): array
    {
        $bins = [];
        $low = [];
        $high = [];
        foreach ($samples as [$station, $value]) {
            $bin = (int) floor($station / $step);
            $bins[$bin] = max($bins[$bin] ?? -INF, $value);
            $low[$bin] = min($low[$bin] ?? INF, $station);
            $high[$bin] = max($high[$bin] ?? -INF, $station);
        }
        ksort($bins);
        $out = [];
        $group = [];
        foreach (array_keys($bins) as $bin) {
            if ($group !== [] && ($bin - $group[count($group) - 1] - 1) * $step > self::BRIDGED_GAP_MM) {
                $out[] = self::over($group, $bins, $low, $high, $step, $within);
                $group = [];
            }
            $group[] = $bin;
        }
        if ($group !== []) {
            $out[] = self::over($group, $bins, $low, $high, $step, $within);
        }

        return $out;
    }

    public function length(): float
    {
        return $this->to - $this->from;
    }

    /**
     * @param  non-empty-list<int>  $group
     * @param  array<int, float>  $bins
     * @param  array<int, float>  $low
     * @param  array<int, float>  $high
     */
    private static function over(array $group, array $bins, array $low, array $high, float $step, float $within): self
    {
        $first = $group[0];
        $last = $group[count($group) - 1];
        $values = array_map(fn (int $bin): float => $bins[$bin], $group);
        $from = max(0.0, $low[$first] - $step / 2.0);
        $to = min($within, $high[$last] + $step / 2.0);

        return new self($from, $to, min($values), max($values), array_sum($values) / count($values) * ($to - $from));
    }
}
