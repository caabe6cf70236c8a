<?php

declare(strict_types=1);

namespace App\Pages\Journal;

use DateTimeZone;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Project\Project;

/** Entries as a page says them. */
final readonly class EntryWords
{
    /** @param  array<string, string>  $boards uid → name */
    private function __construct(private ClockWords $clock, private array $boards)
    {
    }

    public static function in(Project $project, int $now): self
    {
        $boards = [];
        foreach ($project->sections as $section) {
            $boards[$section->uid] = $section->name;
        }

        return new self(new ClockWords(new DateTimeZone($project->layout->zone), $now), $boards);
    }

    public function day(JournalEntry|Photo $one): string
    {
        $at = $this->clock->at($one->at);

        return $at->format($at->format('Y') === $this->clock->at($this->clock->now)->format('Y') ? 'l j F' : 'l j F Y');
    }

    public function moment(int $at): string
    {
        return $this->clock->at($at)->format('j M, H:i');
    }

    /**
     * @param  list<JournalEntry>  $additions
     * @param  list<Photo>  $photos
     * @return array<string, mixed>
     */
    public function of(JournalEntry $entry, array $additions = [], array $photos = []): array
    {
        $verdict = $entry->verdict;
        foreach ($additions as $one) {
            $verdict = $one->verdict ?? $verdict;
        }

        return [
            'uid' => $entry->uid,
            'clock' => $this->clock->clock($entry->at),
            'moment' => $this->moment($entry->at),
            'kind' => $entry->kind->value,
            'bad' => $entry->kind->isBad(),
            'section' => $this->boards[$entry->section] ?? 'a board that is gone',
            'sentence' => $entry->sentence,
            'who' => $entry->who ?? '',
            'air' => $entry->temperature === null
                ? ''
                : Format::text($entry->temperature, '°C', 1).', '.Decimal::trimmed((float) $entry->humidity, 0).' %',
            'amounts' => implode(' · ', array_map(
                fn (array $a): string => implode(' ', MaterialAmount::shown($a['amount'], $a['unit']))." {$a['material']}",
                $entry->amounts,
            )),
            'lots' => implode(', ', $entry->work->lots ?? []),
            'pots' => implode(', ', $entry->work->pots ?? []),
            'colour' => $entry->work?->colour,
            'took' => self::took($entry),
            'verdict' => $verdict?->value,
            'said' => $entry->verdict?->value,
            'notes' => array_map(fn (JournalEntry $one): array => $this->of($one), $additions),
            'photos' => $photos,
        ];
    }

    /** “31 min, 3 more than the plan had” */
    private static function took(JournalEntry $entry): string
    {
        $took = $entry->work?->minutes;
        $had = $entry->work?->estimate;
        if ($took === null) {
            return '';
        }
        $more = $had === null ? 0 : $took - $had;

        return ClockWords::span((float) $took).match (true) {
            $had === null => '',
            $more === 0 => ', as planned',
            $more > 0 => ', '.ClockWords::span((float) $more).' more than planned',
            default => ', '.ClockWords::span((float) -$more).' less than planned',
        };
    }
}
