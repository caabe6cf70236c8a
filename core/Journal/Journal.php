<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

use IdleRidge\Core\Measure\InvalidValue;

/** What is remembered of a layout: entries, pictures, what was checked, where something went wrong, and what was tried on scrap. */
final readonly class Journal
{
    /**
     * @param  list<JournalEntry>  $entries
     * @param  list<Photo>  $photos
     * @param  list<CheckResult>  $checks
     * @param  list<Stall>  $stalls
     * @param  list<Trial>  $trials
     */
    public function __construct(
        public array $entries = [],
        public array $photos = [],
        public array $checks = [],
        public array $stalls = [],
        public array $trials = [],
    ) {
    }

    /** @return array<string, list<JournalEntry|Photo|CheckResult|Stall|Trial>> by what a file calls them */
    public function lists(): array
    {
        return [
            'journal' => $this->entries,
            'photos' => $this->photos,
            'checks' => $this->checks,
            'stalls' => $this->stalls,
            'trials' => $this->trials,
        ];
    }

    /** What a plan is made of: what is not right holds back. */
    public function planned(): self
    {
        $bad = fn (CheckResult $one): bool => $one->answer === CheckAnswer::NotRight;

        return new self(checks: array_values(array_filter(CheckResult::standing($this->checks), $bad)));
    }

    /** @return list<InvalidValue> with JSON pointers: additions to what is not there */
    public function faults(): array
    {
        $faults = [];
        $entries = array_column($this->entries, 'uid', 'uid');
        foreach ($this->entries as $k => $entry) {
            if ($entry->about !== null && ! isset($entries[$entry->about])) {
                $faults[] = new InvalidValue('There is no such entry to add to.', "/journal/{$k}/about");
            }
        }

        return $faults;
    }
}
