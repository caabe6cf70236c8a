<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

/** Obstacles by where they are, so that a place asks only those near it. */
final readonly class Obstacles
{
    private const BUCKET_MM = 40.0;

    /** What lacks less than this is as it is kept, mm. */
    public const EXACT_MM = 2e-3;

    /** @var array<int, array<int, list<Obstacle>>> */
    private array $buckets;

    private float $reach;

    /** @param  list<Obstacle>  $obstacles */
    public function __construct(array $obstacles)
    {
        $buckets = [];
        $reach = 0.0;
        foreach ($obstacles as $one) {
            $buckets[(int) floor($one->x / self::BUCKET_MM)][(int) floor($one->y / self::BUCKET_MM)][] = $one;
            $reach = max($reach, $one->stem, $one->room);
        }
        $this->buckets = $buckets;
        $this->reach = $reach;
    }

    /**
     * What a thing comes too near to, and how much room it lacks; null where it stands free.
     *
     * @param  float  $foot its height over the datum where it stands, mm; `$top` its upper end
     * @param  float  $half of its stem or post, mm; `$spread` half its crown
     * @param  float  $clear mm that crowns keep
     * @param  list<string>  $but what does not count
     * @return array{what: string, lacks: float}|null
     */
    public function met(float $x, float $y, float $foot, float $top, float $half, float $spread, float $clear, array $but = []): ?array
    {
        $reach = $this->reach + max($half, $spread + $clear);
        $met = null;
        for ($i = (int) floor(($x - $reach) / self::BUCKET_MM); $i <= (int) floor(($x + $reach) / self::BUCKET_MM); $i++) {
            if (! isset($this->buckets[$i])) {
                continue;
            }
            for ($j = (int) floor(($y - $reach) / self::BUCKET_MM); $j <= (int) floor(($y + $reach) / self::BUCKET_MM); $j++) {
                foreach ($this->buckets[$i][$j] ?? [] as $one) {
                    $away = hypot($one->x - $x, $one->y - $y);
                    $lacks = $one->stem > 0.0 ? $one->stem + $half - $away : 0.0;
                    if ($one->room > 0.0 && $top > $one->low && $foot < $one->high) {
                        $lacks = max($lacks, $one->room + $spread + $clear - $away);
                    }
                    if ($lacks > self::EXACT_MM && $lacks > ($met['lacks'] ?? 0.0) && ! in_array($one->what, $but, true)) {
                        $met = ['what' => $one->what, 'lacks' => $lacks];
                    }
                }
            }
        }

        return $met;
    }
}
