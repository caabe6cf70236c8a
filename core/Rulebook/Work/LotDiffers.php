<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Shelf\MaterialLot;

/** The same coat as beside it, out of another lot: batches differ in colour. */
final class LotDiffers implements WorkRule
{
    /** What one sees in the end. */
    private const SEEN = [Family::Paint, Family::Cover, Family::Fibre, Family::Ballast, Family::Growth];

    public function ids(): array
    {
        return ['lot-differs'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach ($plan->work->moves as $move) {
            if (in_array($move->recipe->family, self::SEEN, true)) {
                foreach ($this->beside($plan, $move) as $laid) {
                    $found["{$move->coat->uid}"] ??= $this->finding($plan, $move, $laid);
                }
            }
        }

        return array_values(array_filter($found));
    }

    /** @return list<CoatApplication> of the same, and of the same colour, on the same zone or one that touches it */
    private function beside(BenchPlan $plan, Move $move): array
    {
        $colours = array_column($plan->work->project->works->coats, 'colour', 'uid');
        $survey = $plan->work->surveys[$move->section->uid];

        return array_values(
            array_filter(
                $plan->work->project->works->laidOn($move->section->uid),
                fn (CoatApplication $l): bool => $l->recipe->base() === $move->recipe->base() &&
                    ($colours[$l->coat] ?? null) === $move->coat->colour &&
                    isset($survey->zones[$l->zone]) &&
                    ($l->zone === $move->zone->uid || $survey->touches($l->zone, $move->zone->uid)),
            ),
        );
    }

    private function finding(BenchPlan $plan, Move $move, CoatApplication $laid): ?Finding
    {
        $store = $plan->work->project->works->store;
        foreach ($move->amounts as $one) {
            $next = $store->lotsOf($one->material)[0] ?? null;
            $used = array_values(array_filter($store->lotsIn($laid->uid), fn (MaterialLot $l): bool => $l->material === $one->material));
            if ($next === null || $used === [] || in_array($next->uid, array_column($used, 'uid'), true)) {
                continue;
            }

            return CoatPair::on(
                $plan,
                $move->section->uid,
                $move->zone->uid,
                'lot-differs',
                Severity::Care,
                ucfirst($one->material).' from another lot than beside it',
                [],
                "“{$laid->title}” beside it was laid from the lot {$used[0]->called()}; the next is {$next->called()}.",
                'Mix the rest of the old into the new, lay a patch on scrap first, or let the change fall on an edge.',
            );
        }

        return null;
    }
}
