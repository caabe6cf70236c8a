<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use SplPriorityQueue;

/** Jobs that may be placed, the lowest rank first. */
final class RankQueue
{
    /** @var SplPriorityQueue<int, string> */
    private SplPriorityQueue $queue;

    public function __construct()
    {
        $this->queue = new SplPriorityQueue;
    }

    public function insert(string $id, int $rank): void
    {
        $this->queue->insert($id, -$rank);
    }

    public function next(): ?string
    {
        $next = $this->queue->isEmpty() ? null : $this->queue->extract();

        return is_string($next) ? $next : null;
    }
}
