<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Schedule\ReasonKind;

/** How far a coat has come: its state, how many of its applications are laid, and what comes next of it. */
final readonly class CoatState
{
    private function __construct(
        public Coat $coat,
        public DryingState $state,
        public int $laid,
        public int $all,
        public ?CoatApplication $last,
        public ?PlacedMove $next,
        public ?UnplacedMove $held,
    ) {
    }

    public static function of(BenchPlan $plan, Coat $coat): self
    {
        $laid = $plan->work->project->works->laidFrom($coat->uid);
        $planned = array_values(array_filter($plan->moves, fn (PlacedMove $p): bool => $p->move->coat->uid === $coat->uid));
        $held = array_values(array_filter($plan->unplaced, fn (UnplacedMove $u): bool => $u->move->coat->uid === $coat->uid));
        $isBlocked = $held !== [] && in_array($held[0]->kind, [ReasonKind::Cold, ReasonKind::Short], true);
        $state = $isBlocked ? DryingState::Blocked : DryingState::Bare;
        if ($laid !== []) {
            // What is wettest says how the whole coat may be treated.
            $states = array_map($plan->work->state(...), $laid);
            $state = in_array(DryingState::Wet, $states, true)
                ? DryingState::Wet
                : (in_array(DryingState::Setting, $states, true)
                    ? DryingState::Setting
                    : DryingState::Ready);
        }

        return new self(
            $coat,
            $state,
            count($laid),
            count($laid) + count($planned) + count($held),
            $laid[count($laid) - 1] ?? null,
            $planned[0] ?? null,
            $held[0] ?? null,
        );
    }

    public function isWhole(): bool
    {
        return $this->laid > 0 && $this->laid === $this->all;
    }
}
