<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * A pot while it is weighed in: which line is being added, how far it has come, and what becomes of the others when one was overshot:
 * the whole pot grows with it. Grams on a scale that was set to nothing with the empty cup.
 */
final readonly class Weighing
{
    /** What nobody pours more finely: so much of a line, and a gram at least. Starting values. */
    private const TOLERANCE_SHARE = 0.02;

    private const TOLERANCE_G = 1.0;

    /** A line under so many grams has to be right to a tenth of itself. */
    private const SMALL_SHARE = 0.1;

    /** Two readings that differ by no more are of a scale at rest. */
    private const REST_G = 0.3;

    private const MAX_STEPS = 60;

    /**
     * @param  list<array{int, float}>  $done lines that were added, with what the scale showed then
     * @param  int|null  $line that is being added; null when all are in
     * @param  float  $from what the scale showed before it
     * @param  float  $target what it shows once it is in
     * @param  float  $factor so many times the pot that was planned
     * @param  array<int, float>  $more line → g that are to come to it again
     */
    private function __construct(
        public array $done,
        public ?int $line,
        public float $from,
        public float $target,
        public float $reading,
        public float $factor,
        public array $more,
        public bool $over,
    ) {
    }

    /**
     * @param  list<PotLine>  $lines all of which can be weighed
     * @param  list<array{int, float}>  $done
     * @param  float|null  $before the reading before this one: a scale at rest steps on by itself once what it weighs is right
     * @param  bool  $left whether what is too much is left so
     *
     * @throws InvalidValue
     */
    public static function of(array $lines, array $done, float $reading, ?float $before = null, bool $left = false): self
    {
        InvalidValue::unlessBetween($reading, -50_000.0, 50_000.0, 'The scale', 'g', 'scale');
        if (count($done) > self::MAX_STEPS || array_filter($done, fn (array $one): bool => ! isset($lines[$one[0]])) !== []) {
            throw new InvalidValue('That is not this pot.', 'done');
        }
        $planned = array_map(
            fn (PotLine $l): float => $l->portion->grams() ?? throw new InvalidValue("{$l->portion->material} is not weighed.", 'pot'),
            $lines,
        );
        $now = self::at($planned, $done, $reading);
        $rests = $before !== null && abs($reading - $before) <= self::REST_G;
        if ($now->line === null || ! (($rests && $now->isThere($planned)) || ($left && $now->over))) {
            return $now;
        }

        return self::at($planned, [...$done, [$now->line, $reading]], $reading);
    }

    /** How much of the line that is being added is in, 0 … 1 and beyond. */
    public function share(): float
    {
        return $this->line === null ? 1.0 : max(0.0, ($this->reading - $this->from) / max(0.1, $this->target - $this->from));
    }

    /** Grams still to come to the line; less than nothing where there is too much. */
    public function left(): float
    {
        return $this->target - $this->reading;
    }

    /** @param  list<float>  $planned */
    private function isThere(array $planned): bool
    {
        return $this->line !== null && abs($this->left()) <= self::tolerance($planned[$this->line]);
    }

    /**
     * @param  list<float>  $planned
     * @param  list<array{int, float}>  $done
     */
    private static function at(array $planned, array $done, float $reading): self
    {
        $added = array_fill(0, count($planned), 0.0);
        $from = 0.0;
        foreach ($done as [$line, $scale]) {
            $added[$line] += $scale - $from;
            $from = $scale;
        }
        $seen = array_unique(array_column($done, 0));
        $factor = self::factor($planned, $added);
        $missing = self::missing($planned, $added, $seen, $factor);
        $line = array_values(array_diff(array_keys($planned), $seen))[0] ?? array_key_first($missing);
        if ($line === null) {
            return new self($done, null, $from, $from, $reading, $factor, [], false);
        }
        $target = $from + $planned[$line] * $factor - $added[$line];
        $over = $reading > $target + self::tolerance($planned[$line]);
        if ($over) {
            // As it would be if it stayed like this.
            $factor = max($factor, ($added[$line] + $reading - $from) / $planned[$line]);
            $missing = self::missing($planned, $added, $seen, $factor);
        }

        return new self($done, $line, $from, $target, $reading, $factor, $missing, $over);
    }

    /**
     * @param  list<float>  $planned
     * @param  array<int, float>  $added
     */
    private static function factor(array $planned, array $added): float
    {
        $factor = 1.0;
        foreach ($planned as $k => $grams) {
            $factor = $added[$k] > $grams + self::tolerance($grams) ? max($factor, $added[$k] / $grams) : $factor;
        }

        return $factor;
    }

    /**
     * @param  list<float>  $planned
     * @param  array<int, float>  $added
     * @param  array<int>  $seen
     * @return array<int, float> of lines that were added already
     */
    private static function missing(array $planned, array $added, array $seen, float $factor): array
    {
        $out = [];
        foreach ($seen as $k) {
            $short = $planned[$k] * $factor - $added[$k];
            if ($short > self::tolerance($planned[$k])) {
                $out[$k] = $short;
            }
        }
        ksort($out);

        return $out;
    }

    private static function tolerance(float $grams): float
    {
        return max(self::TOLERANCE_SHARE * $grams, min(self::TOLERANCE_G, self::SMALL_SHARE * $grams));
    }
}
