<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** One kind of coat on ground that holds track asks for another that comes after it there: where none is planned, it is told. */
abstract class Followed implements WorkRule
{
    /** Track shorter than this in a zone is the edge of something else, mm. */
    private const MIN_TRACK_MM = 20.0;

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach ($plan->work->surveys as $section => $survey) {
            $all = $this->coats($plan, (string) $section);
            $order = $plan->work->order((string) $section);
            foreach ($all as [$coat, $place]) {
                if (! $this->asks($coat->recipe) || $survey->zones[$coat->zone]->trackX->total() < self::MIN_TRACK_MM) {
                    continue;
                }
                $after = array_filter(
                    $all,
                    fn (array $other): bool => $this->answers($other[0]->recipe) &&
                        ($other[0]->zone === $coat->zone
                            ? $other[1] > $place
                            : $survey->overlap($other[0]->zone, $coat->zone) !== null && $order->isBefore($coat, $other[0])),
                );
                if ($after === []) {
                    $found[$coat->zone] = CoatPair::on(
                        $plan,
                        (string) $section,
                        $coat->zone,
                        $this->id(),
                        Severity::Hint,
                        $this->subject($coat),
                        [],
                        $this->why(),
                        $this->do(),
                    );
                }
            }
        }

        return array_values($found);
    }

    public function ids(): array
    {
        return [$this->id()];
    }

    abstract protected function id(): string;

    abstract protected function asks(Recipe $recipe): bool;

    abstract protected function answers(Recipe $recipe): bool;

    abstract protected function subject(Coat $coat): string;

    abstract protected function why(): string;

    abstract protected function do(): string;

    /** @return list<array{Coat, int}> each with its place on its zone */
    private function coats(BenchPlan $plan, string $section): array
    {
        $out = [];
        foreach ($plan->work->project->works->zonesOf($section) as $zone) {
            foreach ($plan->work->project->works->coatsOf($zone->uid) as $place => $coat) {
                $out[] = [$coat, $place];
            }
        }

        return $out;
    }
}
