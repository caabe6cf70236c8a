<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\FollowWindow;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\Underlayer;
use IdleRidge\Core\Plan\UnplacedMove;
use IdleRidge\Core\Schedule\ReasonKind;

/** What has to follow another coat within a while: told when no session meets it, when it is over, and when only touch tells. */
final class WindowsMet implements WorkRule
{
    /** Trait of either recipe → what the window is called; without one it is a second pour. */
    private const FINDING_BY_TRAIT = ['unmask' => 'window-masking', 'joint' => 'window-joint-cut', 'contact' => 'window-contact-glue'];

    private const TOUCH_FINDING = 'windows-empty-check-by-touch';

    public function ids(): array
    {
        return [...array_values(self::FINDING_BY_TRAIT), 'window-second-pour', self::TOUCH_FINDING];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        $at = $plan->at();
        foreach ($plan->work->moves as $id => $move) {
            foreach ($plan->work->bases[$id] as $base) {
                if ($base->window !== null) {
                    $found["{$move->coat->uid}.{$move->pass}"] ??= $this->look($plan, $move, $base, $base->window, $at);
                }
            }
        }

        return array_values(array_filter($found));
    }

    /** @param  array<string, array{int, int}>  $at */
    private function look(BenchPlan $plan, Move $move, Underlayer $base, FollowWindow $window, array $at): ?Finding
    {
        $under = $base->under;
        $gap = $plan->work->windowOf($base, $move->section->uid);
        $end = $under instanceof CoatApplication ? $plan->work->endOf($under) : $at[$under->id][1] ?? null;
        $name = $this->name($move, $base);
        if ($end === null) {
            $kept = array_filter($plan->unplaced, fn (UnplacedMove $u): bool => $u->move === $under && $u->kind === ReasonKind::Window);

            return $kept === []
                ? null
                : $this->finding(
                    $plan,
                    $move,
                    $name,
                    Severity::Care,
                    "No session meets {$move->title()}",
                    [],
                    "{$move->title()} has to follow within a while, and no session has room for both: neither is planned.",
                    'Make a session longer, or begin earlier in one.',
                );
        }
        $start = $under instanceof CoatApplication ? $under->startedAt : $at[$under->id][0];
        $minutes = [
            'opens' => new Quantity($gap->earliest($end) - $end, 'min', 'after the end of the coat below'),
            'closes' => new Quantity($gap->latest($start, $end) - $start, 'min', 'after the start of the coat below'),
        ];
        if (! isset($at[$move->id]) && $window->again === null) {
            return $this->finding(
                $plan,
                $move,
                $name,
                Severity::Care,
                "No session meets {$move->title()}",
                $minutes,
                "{$move->title()} has to follow within a while, and no session lies in it.",
                'Add a session within it.',
            );
        }
        $begins = $at[$move->id][0] ?? $plan->work->now;
        $again = $gap->again($end);
        if ($begins > $gap->latest($start, $end) && $again !== null && isset($at[$move->id]) && $begins >= $again) {
            return $this->finding(
                $plan,
                $move,
                $name,
                Severity::Hint,
                "{$move->title()} goes on what is hard",
                $minutes,
                'It comes after the while in which both would have become one, when it may be done again.',
                $window->missed === '' ? 'Try it with care.' : $window->missed,
            );
        }
        if ($begins > $gap->latest($start, $end) && $under instanceof CoatApplication) {
            return $this->finding(
                $plan,
                $move,
                $name,
                Severity::Care,
                "The time for {$move->title()} is over",
                $minutes,
                'What should have been done while the coat below was soft has to be done on a hard one.',
                $window->missed === '' ? 'Try it with care.' : $window->missed,
            );
        }

        return $gap->byTouch($end)
            ? $this->finding(
                $plan,
                $move,
                self::TOUCH_FINDING,
                Severity::Hint,
                "Only touch tells when to {$move->title()}",
                $minutes,
                'As reckoned there is no time at which it is surely right.',
                'From the first of these minutes on, try a corner every few minutes.',
            )
            : null;
    }

    /** @param  array<string, Quantity>  $figures */
    private function finding(
        BenchPlan $plan,
        Move $move,
        string $id,
        Severity $severity,
        string $subject,
        array $figures,
        string $why,
        string $do,
    ): Finding {
        return CoatPair::on($plan, $move->section->uid, $move->zone->uid, $id, $severity, $subject, $figures, $why, $do);
    }

    private function name(Move $move, Underlayer $base): string
    {
        $lower = $base->under instanceof CoatApplication ? $base->under->recipe : $base->under->recipe;
        foreach (self::FINDING_BY_TRAIT as $trait => $name) {
            if ($move->recipe->is(RecipeTrait::from($trait)) || $lower->is(RecipeTrait::from($trait))) {
                return $name;
            }
        }

        return 'window-second-pour';
    }
}
