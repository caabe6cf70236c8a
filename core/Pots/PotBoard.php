<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\PlacedMove;

/** The pots that a plan asks for: of what is being laid, of a session, of a single move. */
final readonly class PotBoard
{
    public function __construct(private BenchPlan $plan, private Mixtures $mixtures, private ?float $cup)
    {
    }

    /**
     * For what is being laid and all moves of a session still to come.
     *
     * @param  list<PlacedMove>  $moves in their order
     * @return list<PotOffer> in the order in which they are needed
     */
    public function session(array $moves): array
    {
        $work = $this->plan->work;
        $current = $work->current();
        $cups = $current === null ? [] : $this->mixtures->ofLaid($work, $current);
        foreach (PotRound::of($work, $this->mixtures, $moves) as $mixture) {
            $same = array_keys(array_filter($cups, fn (Mixture $m): bool => $m->key === $mixture->key && ! $m->kind->sets()));
            if ($same === []) {
                $cups[] = $mixture;
            } else {
                $cups[$same[0]] = $cups[$same[0]]->and($mixture);
            }
        }

        return $this->offers(array_values($cups));
    }

    /** @return list<PotOffer> for one move */
    public function move(Move $move): array
    {
        return $this->offers($this->mixtures->ofMove($this->plan->work, $move));
    }

    /**
     * @param  list<Mixture>  $cups
     * @return list<PotOffer>
     */
    private function offers(array $cups): array
    {
        $starts = array_map(fn (array $at): int => $at[0], $this->plan->at());
        $work = $this->plan->work;
        $store = $work->project->works->store;
        $colours = array_column($work->project->works->colours, 'name', 'uid');

        return array_map(function (Mixture $m) use ($starts, $work, $store, $colours): PotOffer {
            $its = array_intersect_key($starts, array_flip($m->moves));
            $name = $m->colour === null ? null : $colours[$m->colour] ?? null;
            $m = $name === null ? $m : $m->but(title: "{$m->title}, {$name}");

            return PotOffer::of($this->mixtures->atHand($m, $store), $store, $work->now, $its === [] ? null : min($its), $this->cup);
        }, $cups);
    }
}
