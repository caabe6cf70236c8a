<?php

declare(strict_types=1);

namespace App\Workshop\Journal;

use App\Drawing\ClockWords;
use App\Models\Layout;
use App\Workshop\Land\ShowRail;
use App\Workshop\LoadProject;
use App\Workshop\Plan\PlanDesk;
use DateTimeZone;
use IdleRidge\Core\Measure\Length;
use IdleRidge\Core\Project\JournalEntry;

/** What was done and seen, the latest day first. */
final readonly class ShowJournal
{
    private const MOST = 200;

    public function __construct(private LoadProject $load, private PlanDesk $desk, private ShowRail $rail)
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
        foreach (array_slice($entries, 0, self::MOST) as $entry) {
            $days[$words->at($entry->at)->format('l j F')][] = [
                'clock' => $words->clock($entry->at), 'kind' => $entry->kind, 'section' => $names[$entry->section] ?? 'a board that is gone', 'sentence' => $entry->sentence,
                'air' => $entry->temperature === null ? '' : Length::decimal($entry->temperature, 1).' °C, '.Length::decimal((float) $entry->humidity, 0).' %',
                'amounts' => implode(' · ', array_map(fn (array $a): string => Length::decimal($a['amount'], $a['amount'] < 10 ? 1 : 0)." {$a['unit']} {$a['material']}", $entry->amounts)),
            ];
        }

        return ['layout' => $layout, 'days' => $days, 'count' => count($entries), 'most' => self::MOST, 'first' => $project->sections[0] ?? null, 'rail' => $this->rail->of($project, null)];
    }
}
