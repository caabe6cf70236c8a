<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

/** Trees that stand, by where they are. */
final class Neighbours
{
    /** Trees of an orchard stand at their spacing exactly, as far as figures have places. */
    private const EXACT_MM = 1e-7;

    /** @var array<int, list<array{float, float, float, int}>> x, y, crown, group */
    private array $buckets = [];

    private float $widest = 0.0;

    public function __construct(private readonly float $bucket, private readonly float $spacing)
    {
    }

    public function add(float $x, float $y, float $crown, int $group): void
    {
        $this->buckets[self::key((int) floor($x / $this->bucket), (int) floor($y / $this->bucket))][] = [$x, $y, $crown, $group];
        $this->widest = max($this->widest, $crown);
    }

    /**
     * Whether a tree keeps its spacing from all of its own group, and so many times as much from all others.
     *
     * @param  float  $apart times the spacing between groups
     */
    public function allow(float $x, float $y, float $crown, int $group, float $apart): bool
    {
        $reach = ($apart * $this->spacing * ($crown + $this->widest)) / 2.0;
        [$i1, $i2] = [(int) floor(($x - $reach) / $this->bucket), (int) floor(($x + $reach) / $this->bucket)];
        [$j1, $j2] = [(int) floor(($y - $reach) / $this->bucket), (int) floor(($y + $reach) / $this->bucket)];
        for ($i = $i1; $i <= $i2; $i++) {
            for ($j = $j1; $j <= $j2; $j++) {
                foreach ($this->buckets[self::key($i, $j)] ?? [] as [$tx, $ty, $tcrown, $tgroup]) {
                    $least = ($this->spacing * ($crown + $tcrown)) / 2.0 * ($tgroup === $group ? 1.0 : $apart) - self::EXACT_MM;
                    if (($tx - $x) * ($tx - $x) + ($ty - $y) * ($ty - $y) < $least * $least) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    private static function key(int $i, int $j): int
    {
        return ($i + 1_000_000) * 4_000_000 + $j + 1_000_000;
    }
}
