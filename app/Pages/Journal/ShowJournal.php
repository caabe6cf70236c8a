<?php

declare(strict_types=1);

namespace App\Pages\Journal;

use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Rail\ShowRail;
use DateTimeZone;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Shelf\MaterialLot;

/** What was done and seen, the latest day first. */
final readonly class ShowJournal
{
    private const MAX_ENTRIES = 200;

    public function __construct(private ProjectLoader $load, private ComputedPlan $desk, private ShowRail $rail)
    {
    }

    /** @return array<string, mixed> for the view journal.show */
    public function of(Layout $layout): array
    {
        $project = $this->load->of($layout);
        $words = new ClockWords(new DateTimeZone($layout->zone), $this->desk->minute());
        $names = array_column(array_map(fn ($s): array => [$s->uid, $s->name], $project->sections), 1, 0);
        $entries = $project->works->journal;
        usort($entries, fn (JournalEntry $a, JournalEntry $b): int => [$b->at, $b->uid] <=> [$a->at, $a->uid]);
        $days = [];
        foreach (array_slice($entries, 0, self::MAX_ENTRIES) as $entry) {
            $days[$words->at($entry->at)->format('l j F')][] = [
                'clock' => $words->clock($entry->at),
                'kind' => $entry->kind,
                'section' => $names[$entry->section] ?? 'a board that is gone',
                'sentence' => $entry->sentence,
                'air' => $entry->temperature === null
                        ? ''
                        : Decimal::trimmed($entry->temperature, 1).' °C, '.Decimal::trimmed((float) $entry->humidity, 0).' %',
                'amounts' => implode(
                    ' · ',
                    array_map(
                        fn (array $a): string => Decimal::trimmed($a['amount'], $a['amount'] < 10 ? 1 : 0).
                            " {$a['unit']} {$a['material']}",
                        $entry->amounts,
                    ),
                ),
                'lots' => $entry->laid === null || $entry->kind !== 'done'
                    ? ''
                    : implode(', ', array_map(
                        fn (MaterialLot $l): string => "{$l->material} {$l->called()}",
                        $project->works->store->lotsIn($entry->laid),
                    )),
            ];
        }

        return [
            'layout' => $layout,
            'days' => $days,
            'count' => count($entries),
            'most' => self::MAX_ENTRIES,
            'first' => $project->sections[0] ?? null,
            'rail' => $this->rail->of($project, null),
        ];
    }
}
