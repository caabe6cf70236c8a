<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\CoatLook;
use IdleRidge\Core\Coats\Pigment;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Project\Section;

/** What lies on a board at a moment of the plan, one coat over the other, and whether its trees and posts stand yet. */
final readonly class SceneCoats
{
    /** @param  array<string, Pigment>  $bases base paints, as they look wet */
    public function __construct(private BenchPlan $plan, private array $bases)
    {
    }

    /**
     * @param  int|null  $until minute up to which planned work is done; null when all is; the plan's now for what lies there
     * @return list<array{rings: list<list<array{float, float}>>, look: CoatLook}> from the lowest up, section coordinates
     */
    public function on(Section $section, ?int $until): array
    {
        $out = [];
        foreach ($this->applied($section, $until) as [$coat, $rings]) {
            $look = CoatLook::of($coat, $this->colour($coat));
            if ($look !== null && $rings !== []) {
                $out[] = ['rings' => $rings, 'look' => $look];
            }
        }

        return $out;
    }

    /**
     * What stands by then: uids of zones whose trees or posts are set, all of them where none is among the work.
     *
     * @return array<string, bool> uid of a zone with such work → whether it is done
     */
    public function stood(Section $section, ?int $until): array
    {
        $applied = [];
        foreach ($this->applied($section, $until) as [$coat]) {
            $applied[$coat->uid] = true;
        }
        $out = [];
        foreach ($this->plan->work->project->works->zonesOf($section->uid) as $zone) {
            foreach ($this->plan->work->project->works->coatsOf($zone->uid) as $coat) {
                if ($coat->recipe->is(RecipeTrait::Trees, RecipeTrait::Posts) || $zone->along !== null) {
                    $out[$zone->uid] = ($out[$zone->uid] ?? false) || isset($applied[$coat->uid]);
                }
            }
        }

        return $out;
    }

    /** @return list<int> minutes at which sessions end in which something is laid on a board */
    public function moments(Section $section): array
    {
        $out = [];
        foreach ($this->plan->work->sessions as [$from, $to]) {
            foreach ($this->plan->within($from, $to) as $placed) {
                if ($placed->move->section->uid === $section->uid) {
                    $out[$to] = true;
                }
            }
        }

        return array_keys($out);
    }

    /** @return list<array{Coat, list<list<array{float, float}>>}> in the order in which they were or are laid */
    private function applied(Section $section, ?int $until): array
    {
        $work = $this->plan->work;
        $coats = [];
        foreach ($work->project->works->coats as $coat) {
            $coats[$coat->uid] = $coat;
        }
        $laid = $work->project->works->laidOn($section->uid);
        usort($laid, fn (CoatApplication $a, CoatApplication $b): int => $a->startedAt <=> $b->startedAt);
        $out = [];
        foreach ($laid as $one) {
            if (isset($coats[$one->coat])) {
                $out[] = [$coats[$one->coat], $one->ringsOn($section->placement)];
            }
        }
        $moves = array_filter(
            $this->plan->moves,
            fn (PlacedMove $p): bool => $p->move->section->uid === $section->uid && ($until === null || $p->end <= $until),
        );
        usort($moves, fn (PlacedMove $a, PlacedMove $b): int => $a->start <=> $b->start);
        $all = array_map(fn (PlacedMove $p): Move => $p->move, $moves);
        if ($until === null) {
            // What found no place in the sessions there are is done some day too.
            $placed = array_flip(array_map(fn (Move $m): string => $m->id, $all));
            foreach ($work->moves as $move) {
                if ($move->section->uid === $section->uid && ! isset($placed[$move->id])) {
                    $all[] = $move;
                }
            }
        }
        foreach ($all as $move) {
            $zones = isset($work->surveys[$section->uid]) ? $work->surveys[$section->uid]->zones : [];
            $rings = isset($zones[$move->zone->uid]) ? $zones[$move->zone->uid]->rings : [];
            $out[] = [$move->coat, $move->patch(array_values(array_filter($rings)))];
        }

        return $out;
    }

    private function colour(Coat $coat): ?Pigment
    {
        foreach ($this->plan->work->project->works->colours as $colour) {
            if ($colour->uid === $coat->colour) {
                return $colour->wet($this->bases)->dry();
            }
        }

        return null;
    }
}
