<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/** What has to lie between the end of one job and the start of another; whole minutes. */
interface TimeLag
{
    /** The first start after an end; never earlier for a later end. */
    public function earliest(int $end): int;

    /** The last start for a job that ran from `$start` to `$end`; null when there is none. */
    public function latest(int $start, int $end): ?int;

    /** From when on it may start again once the last start is missed; null when it never may. */
    public function again(int $end): ?int;

    /** The least that can ever lie between. */
    public function least(): int;
}
