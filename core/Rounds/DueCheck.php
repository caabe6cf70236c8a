<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rounds;

use IdleRidge\Core\Project\Section;

/** Something to look at now: what to ask, how to find out, where, and what waits for it. */
final readonly class DueCheck
{
    /**
     * @param  string  $key the same for the same question about the same thing as it lies there now
     * @param  string  $how what one does to find out
     * @param  string  $where in words
     * @param  array{float, float}|null  $at section coordinates, mm; null where it is the whole board
     * @param  list<string>  $holds coats (uid) that are not gone on with before it is right
     * @param  int  $minutes that putting it right usually takes
     */
    public function __construct(
        public string $key,
        public Section $section,
        public RoundMoment $moment,
        public string $asks,
        public string $how,
        public string $where,
        public ?array $at = null,
        public array $holds = [],
        public int $minutes = 10,
    ) {
    }
}
