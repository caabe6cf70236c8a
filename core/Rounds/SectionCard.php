<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rounds;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Journal\CheckResult;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Project\HiddenThing;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\StructureKind;

/** What one has to know of a board to carry it, store it and set it up. */
final readonly class SectionCard
{
    private const DELICATE = [RecipeTrait::Trees, RecipeTrait::Wires, RecipeTrait::Posts];

    /**
     * @param  list<array{zone: string, top: string}>  $stands zones and what lies on top of each
     * @param  list<array{title: string, zone: string, until: int}>  $curing not dry through until then (minutes of Unix time, 90 % sure)
     * @param  list<string>  $fragile
     * @param  list<string>  $off what is taken off before it is carried
     * @param  list<CheckResult>  $mends what was not right
     * @param  list<HiddenThing>  $hidden
     */
    private function __construct(
        public array $stands,
        public array $curing,
        public array $fragile,
        public array $off,
        public array $mends,
        public array $hidden,
    ) {
    }

    public static function of(BenchWork $work, Section $section): self
    {
        $zones = $work->project->works->zonesOf($section->uid);
        $laid = array_values(array_filter(
            $work->project->works->laid,
            fn (CoatApplication $l): bool => $l->section === $section->uid && $l->endedAt !== null,
        ));
        $top = $curing = $fragile = [];
        foreach ($laid as $one) {
            $name = $zones[$one->zone]->name ?? 'a zone that is gone';
            $top[$name] = $one->title;
            $until = (int) ceil($work->reached($one, BenchPlan::through($one->recipe->cure->minutes), 0.9));
            if ($until > $work->now) {
                $curing["{$one->title} {$name}"] = ['title' => $one->title, 'zone' => $name, 'until' => $until];
            }
            foreach (self::delicate($one) as $what) {
                $fragile["{$what} on {$name}"] = true;
            }
        }
        usort($curing, fn (array $a, array $b): int => $b['until'] <=> $a['until']);
        $off = ['rolling stock'];
        foreach ($work->project->runsNear($section) as $run) {
            foreach ($run->structures as $structure) {
                $p = $run->alignment->pointAt(($structure->from + $structure->to) / 2.0);
                $isHere = $p->x >= 0.0 && $p->y >= 0.0 && $p->x <= $section->width && $p->y <= $section->depth;
                if ($structure->kind === StructureKind::Bridge && $isHere) {
                    $off[] = "what stands on the bridge of {$run->name}";
                }
            }
        }

        foreach ($work->project->works->growth->standsOn($section->uid) as $stand) {
            if ($stand->socket !== null && $stand->trees !== []) {
                $tall = max(array_map(fn (Tree $t): float => $t->height, $stand->trees));
                $off[] = count($stand->trees)." trees of {$stand->name}, up to ".Format::length($tall).', into their box';
            }
        }

        return new self(
            array_map(fn (string $zone, string $title): array => ['zone' => $zone, 'top' => $title], array_keys($top), array_values($top)),
            $curing,
            array_keys($fragile),
            array_values(array_unique($off)),
            array_values(array_filter($work->mending->open, fn (CheckResult $r): bool => $r->section === $section->uid)),
            HiddenThing::on($work->project, $section),
        );
    }

    /** @return list<string> what of it breaks or bends at a touch */
    private static function delicate(CoatApplication $laid): array
    {
        $recipe = $laid->recipe;
        $traits = array_filter(self::DELICATE, fn (RecipeTrait $t): bool => $recipe->is($t));

        return match (true) {
            $traits !== [] => [lcfirst($recipe->name)],
            $recipe->family === Family::Fibre => ['standing fibre'],
            $recipe->family === Family::Growth || $recipe->stage === Stage::Lineside => [lcfirst($recipe->name)],
            $recipe->family === Family::Resin || $recipe->family === Family::Gloss => ['the water’s surface'],
            default => [],
        };
    }
}
