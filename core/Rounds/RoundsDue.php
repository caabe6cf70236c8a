<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rounds;

use DateTimeImmutable;
use IdleRidge\Core\Journal\CheckAnswer;
use IdleRidge\Core\Journal\CheckResult;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Schedule\BenchTimeKind;

/** Checks due on a layout, made from what stands in it, in the order of a walk round it: board by board, along the track. */
final readonly class RoundsDue
{
    /** A visit or show is prepared for in the days before it. */
    public const DAYS_BEFORE = 7;

    /** What was put off comes back after so many minutes. */
    public const LATER_MIN = 720;

    /**
     * @param  list<DueCheck>  $due not yet answered, in the order of the walk
     * @param  list<DueCheck>  $later put off, asked again afterwards
     * @param  array<string, DueCheck>  $all by key, answered ones included
     */
    private function __construct(public array $due, public array $later, public array $all)
    {
    }

    public static function of(BenchWork $work): self
    {
        $standing = CheckResult::standing($work->project->works->journal->checks);
        $due = $later = $all = [];
        foreach ($work->project->sections as $k => $section) {
            $here = [
                ...(new BuildChecks($work, $section))->all(),
                ...(new TrackChecks($work, $section))->all(),
                ...self::visits($work, $section),
            ];
            usort($here, fn (DueCheck $a, DueCheck $b): int => self::turn($a) <=> self::turn($b));
            foreach ($here as $one) {
                $all[$one->key] = $one;
                $said = $standing[$one->key] ?? null;
                if ($said === null || ($said->answer === CheckAnswer::Later && $work->now - $said->at >= self::LATER_MIN)) {
                    $due[] = $one;
                } elseif ($said->answer === CheckAnswer::Later) {
                    $later[] = $one;
                }
            }
        }

        return new self($due, $later, $all);
    }

    /** @return array{int, float, string} */
    private static function turn(DueCheck $one): array
    {
        return [$one->moment->turn(), $one->at[0] ?? INF, $one->key];
    }

    /** @return list<DueCheck> before somebody comes, and before a show */
    private static function visits(BenchWork $work, Section $section): array
    {
        $out = [];
        foreach (self::dates($work) as [$date, $moment]) {
            $days = intdiv((new DateTimeImmutable($date, $work->zone()))->getTimestamp(), 60) - $work->now;
            if ($days > self::DAYS_BEFORE * 1440 || $days < -1440) {
                continue;
            }
            foreach (
                [
                    ['rails', 'Are the rail tops clean?', 'a finger along both rails stays clean'],
                    ['loose', 'Is nothing loose on it?', 'a soft brush and the vacuum through a stocking bring nothing up'],
                    ['drive', 'Does the shortest engine go through both ways?', 'slowly, once each way over the whole board'],
                    ['edges', 'Are edges and joints whole?', 'a hand along all four edges; bolts, dowels and plugs at hand'],
                ] as [$kind, $asks, $how]
            ) {
                $out[] = new DueCheck("{$moment->name}.{$date}.{$kind}.{$section->uid}", $section, $moment, $asks, $how, 'whole board');
            }
        }

        return $out;
    }

    /** @return list<array{string, RoundMoment}> day, and for what */
    private static function dates(BenchWork $work): array
    {
        $out = [];
        foreach ($work->project->works->times as $time) {
            if ($time->kind === BenchTimeKind::Visit && $time->date !== null) {
                $out[] = [$time->date, RoundMoment::BeforeVisit];
            }
        }
        $show = $work->project->layout->showOn;

        return $show === null ? $out : [...$out, [$show, RoundMoment::BeforeShow]];
    }
}
