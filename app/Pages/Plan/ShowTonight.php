<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Computed\Land\ComputedLand;
use App\Computed\Plan\ComputedPlan;
use App\Computed\Plan\ComputedPots;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Coats\ActSteps;
use App\Pages\Rail\ShowRail;
use App\Pages\Rounds\ShowRounds;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Hazard;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\ZoneArea;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Countdown;
use IdleRidge\Core\Plan\DryingState;
use IdleRidge\Core\Plan\PackingList;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Rounds\RoundsDue;

/** The Tonight screen: the session's moves, what dries, what cannot be done and why. */
final readonly class ShowTonight
{
    private const NOT_SHOWN_OVER = 3;

    /** What begins no longer than this before a session belongs to it. */
    private const SAME_EVENING_MINUTES = 240;

    private const ROUND_MINUTES = 15;

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ComputedLand $land,
        private ShowRail $rail,
        private ComputedPots $pots,
    ) {
    }

    /** @return array<string, mixed> for the view tonight.show */
    public function of(Layout $layout): array
    {
        $project = $this->load->of($layout);
        $plan = $this->desk->planOf($project, $this->desk->minute());
        $work = $plan->work;
        $words = new ClockWords($work->zone(), $work->now);
        $page = $this->page($plan, $words);
        $current = $work->current();

        return [
            'layout' => $layout,
            'project' => $project,
            'page' => $page,
            'sure' => Decimal::trimmed(100.0 * $work->certainty(), 0).' %',
            'words' => $words,
            'current' => $current,
            'rail' => $this->rail->of($project, null, $work),
            'first' => $project->sections[0] ?? null,
            'currentZone' => $current === null ? '' : $project->works->zonesOf($current->section)[$current->zone]->name ?? '',
            'steps' => $current === null ? [] : ActSteps::of($current->recipe),
            'cautions' => $current === null ? [] : ActSteps::ofTheWhole($current->recipe),
            'amounts' => $current === null ? [] : MaterialAmount::sum($current->amounts),
            'left' => $current === null ? 0 : max(0, $current->startedAt + $current->minutes - $work->now),
            'facts' => $page === null ? [] : $this->facts($page, $project),
            'window' => $page === null ? null : SessionDrawing::of($page),
            'rows' => $page === null ? [] : array_map(fn (PlacedMove $p): array => $this->row($page, $p), $page->moves),
            'drying' => $this->drying($plan),
            'not' => $this->notTonight($plan, $page, $words),
            'where' => $page === null ? null : $this->where($page, $project),
            'kit' => $page === null ? null : PackingList::of($page->moves),
            'countdowns' => array_map(
                fn (Countdown $c): array => [
                    'kind' => $c->kind,
                    'title' => $c->title,
                    'place' => $c->place,
                    'at' => $c->at,
                    'clock' => $words->moment($c->at),
                    'left' => $c->at - $work->now,
                    'why' => $c->why,
                ],
                Countdown::of($work),
            ),
            'mends' => ShowRounds::mends($plan, $words, $project),
            'checksDue' => count(RoundsDue::of($work)->due),
            'hasCoats' => $project->works->coats !== [],
            'allDone' => $work->moves === [] && $project->works->laid !== [],
        ];
    }

    private function page(BenchPlan $plan, ClockWords $words): ?TonightPage
    {
        $session = $plan->session();
        if ($session === null) {
            return null;
        }
        $current = $plan->work->current();
        $done = array_values(
            array_filter(
                $plan->work->project->works->laid,
                fn (CoatApplication $l): bool => $l->endedAt !== null && $l->startedAt >= $session[0] && $l->startedAt < $session[1],
            ),
        );
        // Whoever begins before the session is at the bench all the same: long before it, that is an evening of its own.
        if ($current !== null && $session[0] - $current->startedAt > self::SAME_EVENING_MINUTES) {
            $session = [$current->startedAt, max($plan->work->endOf($current), $plan->work->now) + self::ROUND_MINUTES, 1];
        } elseif ($current !== null) {
            $session[0] = min($session[0], $current->startedAt);
        }

        return new TonightPage(
            $plan,
            $words,
            $session,
            $done,
            $current,
            $plan->within(min($plan->work->planFrom(), $session[0]), $session[1]),
        );
    }

    /** @return list<array{label: string, figures: list<array{Quantity, string|null}>}> */
    private function facts(TonightPage $page, Project $project): array
    {
        $hands = PlacedMove::sum($page->moves);
        $pots = $this->pots->toMix($page->plan);
        $place = $page->plan->work->project->works->rooms[0] ?? null;
        $facts = [
            [
                'label' => 'Hands on',
                'figures' => [
                    [
                        new Quantity($hands, 'min', 'minutes of the moves still to come'),
                        'min in '.count($page->moves).(count($page->moves) === 1 ? ' move' : ' moves'),
                    ],
                ],
            ],
            [
                'label' => 'Free',
                'figures' => [
                    [
                        new Quantity(
                            $page->plan->freeIn($page->plan->session() ?? $page->session),
                            'min',
                            'what is left of the session less hands-on time',
                        ),
                        'min of the session',
                    ],
                ],
            ],
            [
                'label' => 'To weigh and mix',
                'figures' => [
                    [new Quantity($pots, 'pots', 'cups of the session less what stands mixed'), $pots === 1 ? 'pot' : 'pots'],
                ],
            ],
        ];
        if ($place !== null) {
            $drying = $page->plan->work->dryingIn($place);
            $air = $drying->air->at($page->words->now);
            [$how, $whose] = $drying->air->isRead()
                ? ['read, or usual at this hour', 'learned']
                : ['set for this hour of the day', 'yours'];
            $slower = 1.0 / Mechanism::Evaporation->rate($air);
            $facts[] = [
                'label' => "{$place->name} air, ".($drying->air->isRead() ? 'as read' : 'as set'),
                'figures' => [
                    [new Quantity($air->temperature, '°C', $how, [], $whose, 1), null],
                    [
                        new Quantity($air->humidity, '% RH', $how, [], $whose, 0),
                        '% RH, drying takes '.Decimal::trimmed($slower, 1).' times as long',
                    ],
                ],
            ];
        }

        return $facts;
    }

    /** @return array<string, mixed> */
    private function row(TonightPage $page, PlacedMove $placed): array
    {
        $move = $placed->move;
        $opens = $page->plan->opens($move);
        $ready = $page->plan->reached(
            $placed,
            $opens[1] ?? $move->recipe->needsOf($move->recipe),
            $page->plan->work->certainty(),
        );

        return [
            'id' => $move->id,
            'start' => $page->words->clock($placed->start),
            'title' => $move->title(),
            'place' => $move->place(),
            'minutes' => $placed->minutes(),
            'joined' => $placed->isJoined(),
            'area' => new Quantity($move->area / 100.0, 'cm²', 'true surface that is covered', [
                'of the zone' => Decimal::trimmed(100.0 * $move->coat->share, 0).' %',
            ]),
            'steps' => ActSteps::of($move->recipe),
            'stepWords' => ActSteps::words($move->recipe),
            'cautions' => $move->recipe->cautions,
            'sparks' => in_array(Hazard::Sparks, $move->recipe->hazards, true),
            'late' => $page->plan->afterItsWindow($placed),
            'amounts' => MaterialAmount::sum($move->amounts),
            'why' => $placed->reason()->text,
            'opens' => $opens === null ? null : $opens[0]->move->name(),
            'ready' => $page->words->moment($ready),
            'check' => $move->recipe->check,
        ];
    }

    /** @return list<array<string, mixed>> */
    private function drying(BenchPlan $plan): array
    {
        $rows = [];
        foreach ($plan->work->project->works->laid as $laid) {
            $state = $plan->work->state($laid);
            if ($laid->endedAt === null || ! in_array($state, [DryingState::Wet, DryingState::Setting], true)) {
                continue;
            }
            $milestone = $plan->opens($laid)[1] ?? $laid->recipe->needsOf($laid->recipe);
            $half = $plan->work->reached($laid, $milestone, 0.5) - $plan->work->now;
            $most = $plan->work->reached($laid, $milestone, 0.9) - $plan->work->now;
            $rows["{$laid->coat}.{$laid->pass}"] = [
                'uid' => $laid->uid,
                'state' => $state,
                'title' => $laid->title,
                'section' => $plan->work->project->section($laid->section)->name,
                'left' => ClockWords::range($half, $most),
                'tail' => DryingTailDrawing::of(max(0.0, $half), $most, $state->value),
                'until' => $milestone === Milestone::DryThrough ? 'dry through' : 'next coat',
                'doubt' => $half <= 0.0,
                'check' => $laid->recipe->check,
                'most' => $most,
            ];
        }
        usort($rows, fn (array $a, array $b): int => $a['most'] <=> $b['most']);

        return $rows;
    }

    /** @return list<array{kind: string, title: string, place: string, text: string}> one for each zone: the coat that would be next */
    private function notTonight(BenchPlan $plan, ?TonightPage $page, ClockWords $words): array
    {
        $end = $page === null ? $plan->work->now : $page->session[1];
        $rows = [];
        foreach ($plan->unplaced as $unplaced) {
            $rows[$unplaced->move->zone->uid] ??= [
                'kind' => $unplaced->kind->word(),
                'title' => $unplaced->move->coat->title(),
                'place' => $unplaced->move->place(),
                'text' => $unplaced->text,
            ];
        }
        foreach ($plan->moves as $placed) {
            $zone = $placed->move->zone->uid;
            if ($placed->start >= $end && ! isset($rows[$zone]) && ! $this->isOnTonight($page, $zone)) {
                $reason = $page === null ? $placed->reason() : $plan->notWithin($placed->move, $page->session);
                $rows[$zone] = [
                    'kind' => $reason->kind->word(),
                    'title' => $placed->move->coat->title(),
                    'place' => $placed->move->place(),
                    'text' => ucfirst($reason->text).'; planned '.$words->moment($placed->start),
                ];
            }
        }

        return array_slice(array_values($rows), 0, self::NOT_SHOWN_OVER);
    }

    private function isOnTonight(?TonightPage $page, string $zone): bool
    {
        return $page !== null && array_filter($page->moves, fn (PlacedMove $p): bool => $p->move->zone->uid === $zone) !== [];
    }

    private function where(TonightPage $page, Project $project): ?Svg
    {
        $marks = $minutes = [];
        $number = $page->next();
        foreach ($page->moves as $placed) {
            $move = $placed->move;
            $rings = $move->patch($page->plan->work->surveys[$move->section->uid]->zones[$move->zone->uid]->rings);
            [$x, $y] = ZoneArea::roomiest($rings);
            $marks[] = ['section' => $move->section->uid, 'x' => $x, 'y' => $y, 'number' => $number++, 'rings' => $rings];
            $minutes[$move->section->uid] = ($minutes[$move->section->uid] ?? 0) + $placed->minutes();
        }

        return WhereDrawing::of($project, $this->land->thumbs($project), $marks, $minutes);
    }
}
