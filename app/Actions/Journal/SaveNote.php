<?php

declare(strict_types=1);

namespace App\Actions\Journal;

use App\Computed\Journal\JournalSearch;
use App\Models\Layout;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Journal\Verdict;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;

/** What a hand adds to the journal: a note of its own, or one about an entry, with whether one would do it again. */
final readonly class SaveNote
{
    public function __construct(private SaveJournal $journal, private JournalSearch $search)
    {
    }

    /**
     * @param  string|null  $about uid of the entry that it adds to; without it of a section
     *
     * @throws InvalidValue when it says nothing, or too much
     */
    public function add(Layout $layout, ?string $about, string $section, string $text, string $verdict): JournalEntry
    {
        $original = null;
        if ($about !== null) {
            $original = $this->search->entry($layout, $about) ?? throw new InvalidValue('There is no such entry to add to.', 'note');
            $original = $original->about === null ? $original : $this->search->entry($layout, $original->about) ?? $original;
        }
        $judged = $verdict === '' ? null : InvalidValue::unlessOneOf(Verdict::class, $verdict, 'verdict');
        $text = trim(Words::plain($text));
        if ($text === '' && $judged === null) {
            throw new InvalidValue('Write what you saw, or say whether you would do it again.', 'note');
        }
        if (mb_strlen($text) > JournalEntry::MAX_NOTE) {
            $most = number_format(JournalEntry::MAX_NOTE, 0, '', ' ');
            throw new InvalidValue("A note has at most {$most} characters; this has ".mb_strlen($text).'. Nothing was written.', 'note');
        }
        if ($original === null && $layout->sections()->where('uid', $section)->doesntExist()) {
            throw new InvalidValue('Which board is it about?', 'section');
        }

        return $this->journal->write($layout, JournalKind::Noted, $original->section ?? $section, null, $text, [
            'about' => $original?->uid,
            'verdict' => $judged,
            'work' => $original?->work === null ? null : $original->work->named(),
        ]);
    }
}
