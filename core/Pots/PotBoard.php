<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Cure\Milestone;
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
        $cups = $current === null ? [] : $this->ofLaid($current);
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

    /** @return list<Mixture> of what was begun */
    public function ofLaid(CoatApplication $laid): array
    {
        $work = $this->plan->work;
        $known = $laid->recipe->cure->minutes[Milestone::WorkableUntil->value] ?? null;
        $workable = $known === null
            ? null
            : $work->dryingOf($laid)->least($laid->recipe->cure, Milestone::WorkableUntil, $laid->mm, 1.0 - $work->certainty());

        return $this->mixtures->of(
            $laid->recipe,
            $laid->amounts,
            [self::idOf($laid)],
            (float) $laid->minutes,
            $laid->area / 1e4 * $laid->recipe->layers($laid->mm),
            $workable,
            $this->colourOf($laid->coat),
        );
    }

    /** What stands for an application that is being laid where a move stands for one to come. */
    public static function idOf(CoatApplication $laid): string
    {
        return "{$laid->coat}.{$laid->pass}";
    }

    public function colourOf(string $coat): ?string
    {
        foreach ($this->plan->work->project->works->coats as $one) {
            if ($one->uid === $coat) {
                return $one->colour;
            }
        }

        return null;
    }

    /**
     * @param  list<Mixture>  $cups
     * @return list<PotOffer>
     */
    private function offers(array $cups): array
    {
        $starts = array_map(fn (array $at): int => $at[0], $this->plan->at());
        $work = $this->plan->work;

        return array_map(function (Mixture $m) use ($starts, $work): PotOffer {
            $its = array_intersect_key($starts, array_flip($m->moves));

            return PotOffer::of($m, $work->project->works->store, $work->now, $its === [] ? null : min($its), $this->cup);
        }, $cups);
    }
}
