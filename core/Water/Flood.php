<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Geometry\HeightMesh;
use SplPriorityQueue;

/**
 * Water that spreads over the nodes of a mesh: what hangs together with a seed below a level, and the lowest level at which it finds
 * the edge (priority flood: R. Barnes, C. Lehman and D. Mulla, Computers & Geosciences 62, 2014; what lies no higher than the water
 * is filled at once, without a place in the queue). Nodes by their index in the mesh; heights in mm.
 */
final readonly class Flood
{
    private int $n;

    private int $m;

    public function __construct(private HeightMesh $mesh)
    {
        $this->n = count($mesh->xs);
        $this->m = count($mesh->ys);
    }

    /** The node nearest to a place. */
    public function node(float $x, float $y): int
    {
        return self::nearest($this->mesh->ys, $y) * $this->n + self::nearest($this->mesh->xs, $x);
    }

    /** @return array{float, float} */
    public function place(int $node): array
    {
        return [$this->mesh->xs[$node % $this->n], $this->mesh->ys[intdiv($node, $this->n)]];
    }

    /** @return array<int, true> nodes under water; none where the seed is dry */
    public function wet(int $seed, float $level): array
    {
        if ($this->mesh->z[$seed] >= $level) {
            return [];
        }
        $wet = [$seed => true];
        $open = [$seed];
        while ($open !== []) {
            $p = array_pop($open);
            foreach ($this->beside($p) as $q) {
                if (! isset($wet[$q]) && $this->mesh->z[$q] < $level) {
                    $wet[$q] = true;
                    $open[] = $q;
                }
            }
        }

        return $wet;
    }

    /**
     * How high water at a seed may rise before it leaves by an edge that no dam closes, and the way it takes then.
     *
     * @param  array<int, true>  $dammed nodes along the edge by which it cannot leave
     * @param  array<int, true>  $outlets nodes by which it leaves though they are no edge
     */
    public function spill(int $seed, array $dammed = [], array $outlets = []): ?Spill
    {
        $flooded = [];
        $end = $this->rise($seed, $dammed, $outlets, $flooded);

        if ($end === null) {
            return null;
        }
        [$level, $over] = $end;
        // From there on it runs down: what it filled before it rose over that place is behind it.
        $behind = array_filter($flooded, fn (int $by): bool => $by !== $over);

        return new Spill($level, $this->runs($over, $behind, $dammed, $outlets));
    }

    /**
     * The way down from a place to an edge or an outlet, through hollows that it fills.
     *
     * @param  array{float, float}  $place
     * @param  array<int, true>  $outlets
     * @return non-empty-list<array{float, float}>
     */
    public function down(array $place, array $outlets = []): array
    {
        return $this->runs($this->node(...$place), [], [], $outlets);
    }

    /**
     * @param  array<int, true>  $dammed
     * @param  array<int, true>  $outlets
     * @param  array<int, int>  $flooded filled with what comes under water, and the node that it rose over for that
     * @return array{float, int}|null the level, and the node that it has to rise over
     */
    private function rise(int $seed, array $dammed, array $outlets, array &$flooded): ?array
    {
        $queue = $this->queue();
        $queue->insert([$seed, $seed], -$this->mesh->z[$seed]);
        $seen = [$seed => true];
        $below = [];
        $level = $this->mesh->z[$seed];
        while ($below !== [] || ! $queue->isEmpty()) {
            [$p, $over] = $below !== [] ? array_pop($below) : $this->next($queue);
            if ($this->mesh->z[$p] > $level) {
                [$level, $over] = [$this->mesh->z[$p], $p];
            }
            if (isset($outlets[$p]) || ($this->isEdge($p) && ! isset($dammed[$p]))) {
                return [$level, $over];
            }
            $flooded[$p] = $over;
            foreach ($this->beside($p) as $q) {
                if (! isset($seen[$q])) {
                    $seen[$q] = true;
                    if ($this->mesh->z[$q] <= $level) {
                        $below[] = [$q, $over];
                    } else {
                        $queue->insert([$q, $over], -$this->mesh->z[$q]);
                    }
                }
            }
        }

        return null;
    }

    /**
     * @param  array<int, int>  $behind nodes that it does not run back to
     * @param  array<int, true>  $dammed
     * @param  array<int, true>  $outlets
     * @return non-empty-list<array{float, float}>
     */
    private function runs(int $over, array $behind, array $dammed, array $outlets): array
    {
        $queue = $this->queue();
        $queue->insert([$over, $over], -$this->mesh->z[$over]);
        $seen = $behind + [$over => $over];
        $from = [];
        $p = $over;
        while (! $queue->isEmpty()) {
            [$p] = $this->next($queue);
            if (isset($outlets[$p]) || ($this->isEdge($p) && ! isset($dammed[$p]))) {
                break;
            }
            foreach ($this->around($p) as $q) {
                if (! isset($seen[$q])) {
                    $seen[$q] = $p;
                    $from[$q] = $p;
                    $queue->insert([$q, $p], -$this->mesh->z[$q]);
                }
            }
        }
        $path = [$this->place($p)];
        while ($p !== $over) {
            $p = $from[$p];
            $path[] = $this->place($p);
        }

        return array_reverse($path);
    }

    private function isEdge(int $p): bool
    {
        return $p % $this->n === 0 || $p % $this->n === $this->n - 1 || $p < $this->n || $p >= $this->n * ($this->m - 1);
    }

    /** @return SplPriorityQueue<float, array{int, int}> */
    private function queue(): SplPriorityQueue
    {
        /** @var SplPriorityQueue<float, array{int, int}> $queue */
        $queue = new SplPriorityQueue();

        return $queue;
    }

    /**
     * @param  SplPriorityQueue<float, array{int, int}>  $queue
     * @return array{int, int}
     */
    private function next(SplPriorityQueue $queue): array
    {
        /** @var array{int, int} $next */
        $next = $queue->extract();

        return $next;
    }

    /** @return list<int> */
    private function beside(int $p): array
    {
        $i = $p % $this->n;
        if ($i > 0 && $i < $this->n - 1 && $p >= $this->n && $p < $this->n * ($this->m - 1)) {
            return [$p - 1, $p + 1, $p - $this->n, $p + $this->n];
        }
        $out = [];
        if ($i > 0) {
            $out[] = $p - 1;
        }
        if ($i < $this->n - 1) {
            $out[] = $p + 1;
        }
        if ($p >= $this->n) {
            $out[] = $p - $this->n;
        }
        if ($p < $this->n * ($this->m - 1)) {
            $out[] = $p + $this->n;
        }

        return $out;
    }

    /** @return list<int> with those at the corners, after those beside */
    private function around(int $p): array
    {
        $i = $p % $this->n;
        $out = $this->beside($p);
        foreach ([-$this->n => $p >= $this->n, $this->n => $p < $this->n * ($this->m - 1)] as $row => $there) {
            if ($there && $i > 0) {
                $out[] = $p + $row - 1;
            }
            if ($there && $i < $this->n - 1) {
                $out[] = $p + $row + 1;
            }
        }

        return $out;
    }

    /** @param  list<float>  $line */
    private static function nearest(array $line, float $value): int
    {
        $best = 0;
        foreach ($line as $k => $at) {
            if (abs($at - $value) < abs($line[$best] - $value)) {
                $best = $k;
            }
        }

        return $best;
    }
}
