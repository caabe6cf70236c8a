<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Coats\Step;
use IdleRidge\Core\Coats\StepKind;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Track\StructureKind;

/**
 * What wetting, spraying and plaster would reach beside it: each is named, with what to put over it and when to take that off.
 */
final class ProtectFinished implements WorkRule
{
    /** How far drops and splashes go from a hand, and how far a mist drifts, mm. Starting values. */
    private const SPLASH_MM = 40.0;

    private const DRIFT_MM = 120.0;

    /** What is spoiled easily, and what is put over it. */
    private const NAMES = ['road' => 'damp paper', 'rock' => 'damp paper', 'rails' => 'film and tape', 'backdrop' => 'film and tape',
        'water' => 'film', 'portal' => 'a plug of paper'];

    public function ids(): array
    {
        return ['protect'];
    }

    public function check(BenchPlan $plan): array
    {
        $works = $plan->work->project->works;
        $found = [];
        foreach ($plan->work->surveys as $section => $survey) {
            $finished = $this->finished($plan, (string) $section);
            $portals = $this->portals($plan, (string) $section);
            foreach ($works->zonesOf((string) $section) as $zone) {
                $coats = $works->coatsOf($zone->uid);
                $masked = array_filter($coats, fn (Coat $c): bool => $c->recipe->is(RecipeTrait::Mask)) !== [];
                foreach ($masked ? [] : $coats as $coat) {
                    $reach = $survey->isWhole($coat, $coat->applications()) ? 0.0 : self::reach($coat);
                    $names = [];
                    foreach ($reach > 0.0 ? $finished : [] as $uid => $name) {
                        if ($uid !== $zone->uid && $survey->liesWithin((string) $uid, $zone->uid, $reach)) {
                            $names[$name] = true;
                        }
                    }
                    $near = fn (Point $p): bool => array_filter(
                        $survey->zones[$zone->uid]->rings,
                        fn (array $ring): bool => Polygon::depth($ring, $p->x, $p->y) > -$reach,
                    ) !== [];
                    if ($reach > 0.0 && array_filter($portals, $near) !== []) {
                        $names['portal'] = true;
                    }
                    if ($names !== []) {
                        $found[] = $this->finding($plan, (string) $section, $coat, array_keys($names), $reach);
                    }
                }
            }
        }

        return $found;
    }

    /** How far a coat splashes, drips or drifts; 0 where it stays where it is put. */
    private static function reach(Coat $coat): float
    {
        $reach = 0.0;
        foreach ($coat->recipe->turns() as $recipe) {
            $kinds = array_map(fn (Step $s): StepKind => $s->kind, $recipe->steps);
            $reach = max($reach, match (true) {
                $recipe->is(RecipeTrait::Solvent, RecipeTrait::Mist) || in_array(StepKind::Fixing, $kinds, true) => self::DRIFT_MM,
                $recipe->is(RecipeTrait::Messy, RecipeTrait::Wash) || in_array(StepKind::Wetting, $kinds, true) => self::SPLASH_MM,
                default => 0.0,
            });
        }

        return $reach;
    }

    /** @return array<string, string> uid of a zone on which something was laid that is spoiled easily → its name */
    private function finished(BenchPlan $plan, string $section): array
    {
        $out = [];
        foreach ($plan->work->project->works->laidOn($section) as $laid) {
            $recipe = $laid->recipe;
            $name = match (true) {
                $recipe->is(RecipeTrait::Backdrop) => 'backdrop',
                in_array($recipe->family, [Family::Gloss, Family::Resin], true) => 'water',
                $recipe->family === Family::Ballast, $recipe->is(RecipeTrait::Rails) => 'rails',
                $recipe->stage === Stage::Hard => 'road',
                $recipe->stage === Stage::Rock => 'rock',
                default => null,
            };
            if ($name !== null) {
                $out[$laid->zone] = $name;
            }
        }

        return $out;
    }

    /** @return list<Point> ends of tunnels, section coordinates */
    private function portals(BenchPlan $plan, string $section): array
    {
        $out = [];
        $board = $plan->work->project->section($section);
        foreach ($plan->work->project->runsNear($board) as $run) {
            foreach ($run->structures as $structure) {
                foreach ($structure->kind === StructureKind::Tunnel ? [$structure->from, $structure->to] : [] as $station) {
                    $out[] = $board->placement->toSection($run->alignment->pointAt($station));
                }
            }
        }

        return $out;
    }

    /** @param  list<string>  $names */
    private function finding(BenchPlan $plan, string $section, Coat $coat, array $names, float $reach): Finding
    {
        $over = array_map(fn (string $name): string => self::NAMES[$name]." over the {$name}", $names);
        $off = match (true) {
            $coat->recipe->is(RecipeTrait::Rewets) => 'Off again within the hour, while the glue is soft; wipe what bled.',
            $coat->recipe->is(RecipeTrait::Messy) => 'Off again while the plaster is soft.',
            default => 'Off again once the mist has settled.',
        };

        return CoatPair::on(
            $plan,
            $section,
            $coat->zone,
            'protect',
            Severity::Hint,
            'Cover '.implode(', ', $names)." before {$coat->title()}",
            ['reaches' => new Quantity($reach, 'mm', 'how far it splashes, drips or drifts: a starting value', decimals: 0)],
            'It splashes, drifts or runs, and what is finished beside it cannot be cleaned.',
            ucfirst(implode(', ', $over)).'. '.$off,
        );
    }
}
