<?php

declare(strict_types=1);

namespace App\Pages\Journal;

use App\Computed\Journal\JournalSearch;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use DateTimeZone;
use IdleRidge\Core\Interchange\Csv;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Format;

/** A section's history as a sheet to print, oldest first; all entries as a table. */
final readonly class ShowHistory
{
    public function __construct(private ProjectLoader $load, private ComputedPlan $desk, private JournalSearch $search)
    {
    }

    /** @return array<string, mixed> for the view journal.history */
    public function of(Layout $layout, string $uid): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($uid);
        $entries = $this->search->history($layout, $uid);
        $words = EntryWords::in($project, $this->desk->minute());
        $photos = $this->search->photos($layout, $entries);
        $notes = [];
        foreach ($entries as $entry) {
            if ($entry->about !== null) {
                $notes[$entry->about][] = $entry;
            }
        }
        $days = [];
        foreach (array_filter($entries, fn (JournalEntry $e): bool => $e->about === null) as $entry) {
            $days[$words->day($entry)][] = $words->of($entry, $notes[$entry->uid] ?? [], $photos[$entry->uid] ?? []);
        }

        return [
            'layout' => $layout,
            'section' => $section,
            'days' => $days,
            'count' => count($entries),
            'pictures' => array_sum(array_map(count(...), $photos)),
        ];
    }

    /** @return string CSV, one entry a row, oldest first */
    public function csv(Layout $layout): string
    {
        $project = $this->load->of($layout);
        $words = EntryWords::in($project, $this->desk->minute());
        $clock = new ClockWords(new DateTimeZone($layout->zone), $this->desk->minute());
        $entries = $this->search->all($layout);
        $photos = $this->search->photos($layout, $entries);
        $rows = [];
        foreach ($entries as $entry) {
            $said = $words->of($entry);
            $rows[] = [
                $clock->at($entry->at)->format('Y-m-d H:i'),
                $entry->kind->value,
                $said['section'],
                $entry->work->zoneName ?? '',
                $entry->work->title ?? '',
                $entry->sentence,
                $entry->work === null ? '' : (string) Format::number($entry->work->area / 1e4, 'dm²', 2),
                (string) ($entry->work->minutes ?? ''),
                (string) ($entry->work->estimate ?? ''),
                $said['amounts'],
                $said['lots'],
                $said['pots'],
                $entry->work->colour['name'] ?? '',
                $entry->temperature === null ? '' : (string) Format::number($entry->temperature, '°C', 1),
                (string) ($entry->humidity ?? ''),
                $entry->verdict->value ?? '',
                $entry->who ?? '',
                (string) count($photos[$entry->uid] ?? []),
                $entry->uid,
                $entry->about ?? '',
            ];
        }

        return Csv::write([
            'when', 'kind', 'section', 'zone', 'coat', 'what', Format::column('area', 'dm²'), 'minutes', 'planned_min', 'amounts', 'lots',
            'pots', 'colour', Format::column('air', '°C'), 'air_rh', 'verdict', 'who', 'pictures', 'uid', 'about',
        ], $rows);
    }
}
