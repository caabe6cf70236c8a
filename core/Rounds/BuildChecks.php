<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rounds;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Project\Section;

/** What has to be right of the land and its coats before the next goes on. */
final readonly class BuildChecks
{
    /** @var list<Coat> of the section, in their order */
    private array $coats;

    public function __construct(private BenchWork $work, private Section $section)
    {
        $zones = $work->project->works->zonesOf($section->uid);
        $this->coats = array_values(array_filter($work->project->works->coats, fn (Coat $c): bool => isset($zones[$c->zone])));
    }

    /** @return list<DueCheck> */
    public function all(): array
    {
        return [...$this->foam(), ...$this->fitted(), ...$this->holdsWater(), ...$this->laid(), ...$this->applicators()];
    }

    /** @return list<DueCheck> before the first plaster or cloth goes onto the foam */
    private function foam(): array
    {
        $first = array_filter($this->coats, fn (Coat $c): bool => $c->recipe->stage === Stage::Land);
        if ($first === [] || $this->isBegun() || ! $this->work->project->hasLand($this->section)) {
            return [];
        }
        $holds = array_values(array_map(fn (Coat $c): string => $c->uid, $first));
        $ask = fn (string $key, string $asks, string $how, int $minutes): DueCheck => new DueCheck(
            "{$key}.{$this->section->uid}",
            $this->section,
            RoundMoment::BeforeNext,
            $asks,
            $how,
            'whole board',
            null,
            $holds,
            $minutes,
        );

        return [
            $ask('film', 'Is the film off the foam?', 'a thumbnail at the edge of every sheet; plaster comes off what is left on it', 15),
            $ask(
                'gaps',
                'Are gaps between foam and frame wedged?',
                'press along the frame and between sheets: where foam moves or light shows, push in a wedge of offcut, hot melt on '
                    .'both faces',
                25,
            ),
        ];
    }

    /** @return list<DueCheck> before anything goes under trees: they are fitted dry, their shade drawn, and taken out again */
    private function fitted(): array
    {
        $out = [];
        foreach ($this->work->project->works->zonesOf($this->section->uid) as $zone) {
            $begun = $this->work->project->works->laidIn($zone->uid) !== [];
            $holds = $begun || $zone->under === [] ? [] : $this->toCome($zone->uid);
            if ($holds !== []) {
                $out[] = new DueCheck(
                    'fitted.'.$zone->uid,
                    $this->section,
                    RoundMoment::BeforeNext,
                    'Do the trees fit, and is their shade drawn?',
                    'prick the template through, bore, stand them dry; look from the viewing edge; draw round the crowns, take them out',
                    $zone->name,
                    null,
                    $holds,
                    30,
                );
            }
        }

        return $out;
    }

    /** @return list<DueCheck> before the first pour: water is let in to the mark, watched, and mopped up again */
    private function holdsWater(): array
    {
        $out = [];
        foreach ($this->work->project->works->zonesOf($this->section->uid) as $zone) {
            $pours = $zone->isBed() ? $this->pours($zone->uid) : [];
            $laid = $this->work->project->works->laidIn($zone->uid);
            $poured = array_filter($laid, fn (CoatApplication $l): bool => in_array($l->coat, $pours, true));
            if ($pours !== [] && $laid !== [] && $poured === []) {
                $out[] = new DueCheck(
                    'leak.'.$zone->uid,
                    $this->section,
                    RoundMoment::BeforeNext,
                    'Does the bed hold water for an hour?',
                    'dams on and sealed; water with a drop of detergent to the mark; tissue along foot, edge and underside stays dry; '
                        .'mop it out and leave it a day',
                    $zone->name,
                    $this->over($zone->uid),
                    $pours,
                    25,
                );
            }
        }

        return $out;
    }

    /** @return list<string> coats of a zone that are poured */
    private function pours(string $zone): array
    {
        $poured = fn (Coat $c): bool => $c->zone === $zone && $c->recipe->is(RecipeTrait::Pour);

        return array_values(array_map(fn (Coat $c): string => $c->uid, array_filter($this->coats, $poured)));
    }

    private function isBegun(): bool
    {
        return $this->work->project->works->laidOn($this->section->uid) !== [];
    }

    /** @return list<DueCheck> of what lies on top of each zone and is ready, while more is to come over it */
    private function laid(): array
    {
        $out = [];
        foreach ($this->work->project->works->zonesOf($this->section->uid) as $zone) {
            $top = $this->top($zone->uid);
            $holds = $top === null ? [] : $this->toCome($zone->uid);
            if ($top === null || $holds === [] || $this->work->reached($top, Milestone::NextCoat, 0.5) > $this->work->now) {
                continue;
            }
            $middle = self::middle($top->ringsOn($this->section->placement));
            $ask = fn (string $key, string $asks, string $how, int $minutes): DueCheck => new DueCheck(
                "{$key}.{$top->uid}",
                $this->section,
                RoundMoment::BeforeNext,
                $asks,
                $how,
                $zone->name,
                $middle,
                $holds,
                $minutes,
            );
            if ($top->recipe->check !== '') {
                $out[] = $ask('cured', "Has {$this->quoted($top)} set?", $top->recipe->check, 10);
            }
            if (in_array($top->recipe->family, [Family::Cover, Family::Fibre, Family::Growth], true)) {
                $out[] = $ask('bare', 'Is no spot left bare?', 'look along it from two sides, with a lamp held low', 15);
            }
            if ($top->recipe->is(RecipeTrait::Pour)) {
                $how = 'the back of the hand over the deepest place; a lamp from the side';
                $out[] = $ask('bubbles', 'Is it cool, and free of bubbles?', $how, 15);
            }
        }

        return $out;
    }

    /** What was laid last on a zone; null while something is being laid there. */
    private function top(string $zone): ?CoatApplication
    {
        $top = null;
        foreach ($this->work->project->works->laid as $laid) {
            if ($laid->zone === $zone) {
                if ($laid->endedAt === null) {
                    return null;
                }
                $top = $top === null || $laid->endedAt >= $top->endedAt ? $laid : $top;
            }
        }

        return $top;
    }

    /** @return list<string> coats of a zone of which something is still to lay */
    private function toCome(string $zone): array
    {
        $open = array_filter($this->work->moves, fn (Move $m): bool => $m->zone->uid === $zone);

        return array_values(array_unique(array_map(fn (Move $m): string => $m->coat->uid, array_values($open))));
    }

    /** @return list<DueCheck> before fibres are flown, once what they go into can be laid */
    private function applicators(): array
    {
        $out = [];
        foreach ($this->coats as $coat) {
            if ($coat->recipe->family !== Family::Fibre) {
                continue;
            }
            $next = array_filter(
                $this->work->moves,
                fn (Move $m): bool => $m->coat->uid === $coat->uid && $this->isNext($m),
            );
            if ($next === []) {
                continue;
            }
            $done = count($this->work->project->works->laidFrom($coat->uid));
            $out[] = new DueCheck(
                "applicator.{$coat->uid}.{$done}",
                $this->section,
                RoundMoment::BeforeGluing,
                "Was the applicator tried on scrap for {$coat->title()}?",
                'on a hand’s breadth of painted card: fibres stand, none clump, the clip has its earth',
                reset($next)->zone->name,
                $this->over($coat->zone),
                [$coat->uid],
                10,
            );
        }

        return $out;
    }

    /** @return array{float, float}|null the middle of what was laid on a zone */
    private function over(string $zone): ?array
    {
        $top = $this->top($zone);

        return $top === null ? null : self::middle($top->ringsOn($this->section->placement));
    }

    private function isNext(Move $move): bool
    {
        foreach ($this->work->bases[$move->id] as $base) {
            if ($base->under instanceof Move) {
                return false;
            }
        }

        return true;
    }

    private function quoted(CoatApplication $laid): string
    {
        return "“{$laid->title}”";
    }

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @return array{float, float}|null
     */
    private static function middle(array $rings): ?array
    {
        $points = array_merge(...$rings);

        return $points === []
            ? null
            : [array_sum(array_column($points, 0)) / count($points), array_sum(array_column($points, 1)) / count($points)];
    }
}
