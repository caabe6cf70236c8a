<?php

declare(strict_types=1);

namespace App\Computed\Journal;

use App\Models\JournalEntry as EntryRow;
use App\Models\Layout;
use App\Models\Photo as PhotoRow;
use IdleRidge\Core\Interchange\JournalFile;
use IdleRidge\Core\Interchange\Record;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Journal\Photo;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Finds entries by their words, zone, coat, material, lot, day and pictures. What was added to an entry is found as that entry. */
final class JournalSearch
{
    /** Columns of the index that a field of the search looks in. */
    private const COLUMNS = ['zone' => 'zone', 'coat' => 'coat', 'material' => 'materials', 'lot' => 'lots'];

    /** A page is read from its newest entry on, whatever else there is an index for. */
    private const NEWEST_FIRST = 'journal_entries as e indexed by journal_when';

    private const MAX_REDONE = 8;

    /** A query names no more entries than this; of more it looks through all. */
    private const MAX_NAMED = 500;

    /** What entries that add to another are about. */
    private const ADDITIONS =
        "select json_extract(a.data, '$.about') from journal_entries a indexed by journal_about "
            ."where a.layout_id = ? and json_extract(a.data, '$.about') is not null";

    /**
     * @param  array<string, string>  $by words, zone, coat, material, lot, section (uid), from, to (days), picture, verdict
     * @param  string  $before where the page before ended: moment|id
     * @return array{entries: list<JournalEntry>, before: string|null} newest first, without what adds to them
     */
    public function page(Layout $layout, array $by, string $before, int $most): array
    {
        $query = DB::table(DB::raw(self::NEWEST_FIRST))
            ->where('e.layout_id', $layout->id)
            ->whereRaw("json_extract(e.data, '$.about') is null");
        $this->narrow($query, $layout, array_filter($by, fn (string $v): bool => $v !== ''));
        if (preg_match('/^(\d{4}-\d\d-\d\dT\d\d:\d\dZ)\|(\d+)$/', $before, $at) === 1) {
            $query->whereRaw("(json_extract(e.data, '$.at'), e.id) < (?, ?)", [$at[1], (int) $at[2]]);
        }
        $rows = $query
            ->orderByRaw("json_extract(e.data, '$.at') desc, e.id desc")
            ->limit($most + 1)
            ->get(['e.id', 'e.uid', 'e.data'])
            ->all();
        $more = count($rows) > $most;
        $rows = array_slice($rows, 0, $most);
        $last = $rows === [] ? null : $rows[count($rows) - 1];

        return [
            'entries' => array_map(fn (object $row): JournalEntry => self::read((string) $row->data, (string) $row->uid), $rows),
            'before' => $more && $last !== null ? json_decode($last->data)->at."|{$last->id}" : null,
        ];
    }

    /** @return list<JournalEntry> of a section, oldest first, additions included */
    public function history(Layout $layout, string $section): array
    {
        return self::entries(
            DB::table('journal_entries as e')
                ->where('e.layout_id', $layout->id)
                ->whereRaw("json_extract(e.data, '$.section') = ?", [$section]),
        );
    }

    /** @return list<JournalEntry> of work that was done or stopped, oldest first */
    public function wrought(Layout $layout): array
    {
        return self::entries(
            DB::table('journal_entries as e')
                ->where('e.layout_id', $layout->id)
                ->whereIn(DB::raw("json_extract(e.data, '$.kind')"), [JournalKind::Done->value, JournalKind::Stopped->value]),
        );
    }

    /** @return list<JournalEntry> oldest first */
    public function all(Layout $layout): array
    {
        return self::entries(DB::table('journal_entries as e')->where('e.layout_id', $layout->id));
    }

    /**
     * What was added to entries, and what cost was paid for what they laid.
     *
     * @param  list<JournalEntry>  $entries
     * @return array<string, list<JournalEntry>> uid of the entry → additions, oldest first
     */
    public function additions(Layout $layout, array $entries): array
    {
        $out = [];
        $uids = array_map(fn (JournalEntry $e): string => $e->uid, $entries);
        $found = DB::table(DB::raw('journal_entries as e indexed by journal_about'))
            ->where('e.layout_id', $layout->id)
            ->whereIn(DB::raw("json_extract(e.data, '$.about')"), $uids);
        foreach (self::entries($found) as $entry) {
            $out[(string) $entry->about][] = $entry;
        }

        return $out;
    }

    /**
     * What else is told of the work that an entry tells of: stripped, laid again, undone, found dry.
     *
     * @return list<JournalEntry>
     */
    public function alike(Layout $layout, JournalEntry $entry): array
    {
        if ($entry->laid === null) {
            return [];
        }
        $found = DB::table('journal_entries as e')
            ->where('e.layout_id', $layout->id)
            ->where('e.uid', '<>', $entry->uid)
            ->whereRaw("json_extract(e.data, '$.laid') = ?", [$entry->laid]);
        $alike = self::entries($found);
        $off = array_values(array_filter($alike, fn (JournalEntry $e): bool => $e->kind === JournalKind::Stripped))[0] ?? null;

        return $off === null || $entry->work === null ? $alike : [...$alike, ...$this->redone($layout, $entry->work->coat, $off)];
    }

    /** @return list<JournalEntry> what it cost to lay again what was taken off */
    private function redone(Layout $layout, string $coat, JournalEntry $off): array
    {
        return self::entries(
            DB::table('journal_entries as e')
                ->where('e.layout_id', $layout->id)
                ->whereRaw("json_extract(e.data, '$.kind') = ?", [JournalKind::Done->value])
                ->whereRaw("json_extract(e.data, '$.work.coat') = ?", [$coat])
                ->whereRaw("json_extract(e.data, '$.at') >= ?", [WorksFile::iso($off->at)])
                ->limit(self::MAX_REDONE),
        );
    }

    public function entry(Layout $layout, string $uid): ?JournalEntry
    {
        $row = EntryRow::query()->where('layout_id', $layout->id)->where('uid', $uid)->first();

        return $row === null ? null : self::read($row->data, $row->uid);
    }

    /**
     * @param  list<JournalEntry>  $entries
     * @return array<string, list<Photo>> uid of the entry → its pictures
     */
    public function photos(Layout $layout, array $entries): array
    {
        $out = [];
        $uids = array_map(fn (JournalEntry $e): string => $e->uid, $entries);
        $rows = PhotoRow::query()
            ->here()
            ->where('layout_id', $layout->id)
            ->when(
                count($uids) <= self::MAX_NAMED,
                fn ($q) => $q->whereIn(DB::raw("json_extract(data, '$.entry')"), $uids),
            )
            ->orderBy('position')
            ->get();
        foreach ($rows as $row) {
            $photo = JournalRows::photo($row);
            $out[(string) $photo->entry][] = $photo;
        }

        return $out;
    }

    public function count(Layout $layout): int
    {
        return DB::table('journal_entries')->where('layout_id', $layout->id)->count();
    }

    /**
     * What is said in an addition is found as what it adds to.
     *
     * @param  array<string, string>  $by
     */
    private function narrow(Builder $query, Layout $layout, array $by): void
    {
        $match = self::match($by);
        if ($match !== '') {
            $found = 'select rowid from journal_words where journal_words match ?';
            $query->whereRaw(
                "(e.id in ({$found}) or e.uid in (".self::ADDITIONS." and a.id in ({$found})))",
                [$match, $layout->id, $match],
            );
        }
        if (isset($by['verdict'])) {
            $query->whereRaw(
                'e.uid in ('.self::ADDITIONS." and json_extract(a.data, '$.verdict') = ?)",
                [$layout->id, $by['verdict']],
            );
        }
        if (isset($by['picture'])) {
            $query->whereRaw("e.uid in (select json_extract(p.data, '$.entry') from photos p where p.layout_id = ?)", [$layout->id]);
        }
        if (isset($by['section'])) {
            $query->whereRaw("json_extract(e.data, '$.section') = ?", [$by['section']]);
        }
        if (isset($by['from'])) {
            $query->whereRaw("json_extract(e.data, '$.at') >= ?", [$by['from']]);
        }
        if (isset($by['to'])) {
            $query->whereRaw("json_extract(e.data, '$.at') < ?", [$by['to']]);
        }
    }

    /**
     * A search as the index takes it: every word by its beginning, in its column where one is named.
     *
     * @param  array<string, string>  $by
     */
    private static function match(array $by): string
    {
        $terms = [];
        foreach (['words' => ''] + self::COLUMNS as $field => $column) {
            preg_match_all('/[\p{L}\p{N}]+/u', $by[$field] ?? '', $words);
            foreach (array_slice($words[0], 0, 12) as $word) {
                $terms[] = ($column === '' ? '' : "{$column} : ")."\"{$word}\"*";
            }
        }

        return implode(' AND ', $terms);
    }

    /** @return list<JournalEntry> oldest first */
    private static function entries(Builder $found): array
    {
        return array_values(
            array_map(
                fn (object $row): JournalEntry => self::read((string) $row->data, (string) $row->uid),
                $found
                    ->orderByRaw("json_extract(e.data, '$.at'), e.id")
                    ->get(['e.uid', 'e.data'])
                    ->all(),
            ),
        );
    }

    private static function read(string $data, string $uid): JournalEntry
    {
        return JournalFile::entry(new Record(json_decode($data, false, 64, JSON_THROW_ON_ERROR), '/journal'), $uid);
    }
}
