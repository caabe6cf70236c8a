<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Journal\CheckAnswer;
use IdleRidge\Core\Journal\CheckResult;
use IdleRidge\Core\Project\Project;

/** What was found not right on a round and is to be put right, and what waits for that. */
final readonly class Mending
{
    /**
     * @param  array<string, CheckResult>  $open uid → what was found
     * @param  array<string, non-empty-list<CheckResult>>  $heldBack move → what has to be put right before it
     */
    private function __construct(public array $open, public array $heldBack, private int $longest)
    {
    }

    /**
     * @param  array<string, Move>  $moves
     * @param  int  $longest minutes of the longest session
     */
    public static function of(Project $project, array $moves, int $longest): self
    {
        $open = $held = [];
        foreach (CheckResult::standing($project->works->journal->checks) as $result) {
            if ($result->answer !== CheckAnswer::NotRight) {
                continue;
            }
            $open[$result->uid] = $result;
            foreach ($moves as $id => $move) {
                if (in_array($move->coat->uid, $result->holds, true)) {
                    $held[$id][] = $result;
                }
            }
        }

        return new self($open, $held, $longest);
    }

    /** No more than the longest session has. */
    public function minutes(CheckResult $mend): int
    {
        return max(1, min($mend->minutes, $this->longest));
    }
}
