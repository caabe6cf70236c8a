<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Cure\Milestone;

/** A moment that must not be missed: until when a material can be worked, from when and until when something has to follow. */
final readonly class Countdown
{
    /** What is due later than this is not counted down yet, minutes. */
    private const MAX_MINUTES_AHEAD = 720;

    /** A pot that has set is told for so long. */
    private const MINUTES_AFTER = 60;

    private function __construct(public string $kind, public string $title, public string $place, public int $at, public string $why)
    {
    }

    /** @return list<self> the next first */
    public static function of(BenchWork $work): array
    {
        $all = [];
        foreach ($work->project->works->laid as $laid) {
            $place = $work->project->section($laid->section)->name;
            $wet = $laid->endedAt === null ? $laid->wetSince() : null;
            if ($wet !== null && isset($laid->recipe->cure->minutes[Milestone::WorkableUntil->value])) {
                $at = (int) floor(
                    $work
                        ->dryingOf($laid)
                        ->reached($laid->recipe->cure, Milestone::WorkableUntil, $laid->mm, $wet, 1.0 - $work->certainty()),
                );
                $all[] = new self('workable', $laid->title, $place, $at, 'what was mixed first may no longer be worked after it');
            }
        }
        $store = $work->project->works->store;
        foreach ($store->pots() as $pot) {
            $until = $store->amount($pot->uid) > 0.0 ? $pot->workableUntil : null;
            if ($until !== null && $until > $work->now - self::MINUTES_AFTER) {
                $all[] = new self('workable', ucfirst($pot->title), 'in the cup', $until, 'what was mixed sets in the cup after it');
            }
        }
        foreach ($work->moves as $id => $move) {
            foreach ($work->bases[$id] as $base) {
                if ($base->window === null || ! ($base->under instanceof CoatApplication) || $base->under->endedAt === null) {
                    continue;
                }
                $gap = $work->windowOf($base, $move->section->uid);
                [$opens, $closes] = [$gap->earliest($base->under->endedAt), $gap->latest($base->under->startedAt, $base->under->endedAt)];
                if ($closes >= $work->now) {
                    $all[] =
                        $opens > $work->now
                            ? new self(
                                'opens',
                                $move->title(),
                                $move->section->name,
                                $opens,
                                "not before it after “{$base->under->title}”; until then leave it",
                            )
                            : new self(
                                'closes',
                                $move->title(),
                                $move->section->name,
                                $closes,
                                $base->window->missed === '' ? 'after it, it is too late' : $base->window->missed,
                            );
                }
            }
        }
        $all = array_values(
            array_filter($all, fn (self $c): bool => $c->at > $work->now - 60 && $c->at < $work->now + self::MAX_MINUTES_AHEAD),
        );
        usort($all, fn (self $a, self $b): int => $a->at <=> $b->at);

        return $all;
    }
}
