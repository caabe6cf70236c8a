<?php

declare(strict_types=1);

namespace App\Computed\Journal;

use App\Models\JournalEntry as EntryRow;
use App\Models\Layout;
use App\Models\Photo as PhotoRow;
use IdleRidge\Core\Interchange\JournalFile;
use IdleRidge\Core\Interchange\Record;
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

    private const ROOT = "coalesce(json_extract(e.data, '$.about'), e.uid)";

    /**
     * @param  array<string, string>  $by words, zone, coat, material, lot, section (uid), from, to (days), picture, verdict
     * @param  string  $before where the page before ended: moment|id
     * @return array{entries: list<JournalEntry>, before: string|null} newest first, without what adds to them
     */
    public function page(Layout $layout, array $by, string $before, int $most): array
    {
        $query = DB::table('journal_entries as e')->where('e.layout_id', $layout->id);
        if (self::looksForMore($by)) {
            $query->whereIn('e.uid', $this->roots($layout, $by));
        } else {
            $query->whereRaw("json_extract(e.data, '$.about') is null");
            $this->plain($query, $by);
        }
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
        $found = DB::table('journal_entries as e')
            ->where('e.layout_id', $layout->id)
            ->whereIn(DB::raw("json_extract(e.data, '$.about')"), $uids);
        foreach (self::entries($found) as $entry) {
            $out[(string) $entry->about][] = $entry;
        }

        return $out;
    }

    /**
     * What else is told of the work that an entry tells of: stripped, undone, found dry.
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

        return self::entries($found);
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
            ->where('layout_id', $layout->id)
            ->whereIn(DB::raw("json_extract(data, '$.entry')"), $uids)
            ->orderBy('position')
            ->get();
        foreach ($rows as $row) {
            $photo = JournalFile::photo(new Record($row->values(), '/photos'), $row->uid);
            $out[(string) $photo->entry][] = $photo;
        }

        return $out;
    }

    public function count(Layout $layout): int
    {
        return DB::table('journal_entries')->where('layout_id', $layout->id)->count();
    }

    /** @param  array<string, string>  $by */
    private static function looksForMore(array $by): bool
    {
        $fields = array_intersect_key($by, ['words' => 1, 'verdict' => 1] + self::COLUMNS);

        return array_filter($fields, fn (string $v): bool => $v !== '') !== [];
    }

    /** @param  array<string, string>  $by */
    private function roots(Layout $layout, array $by): Builder
    {
        $query = DB::table('journal_entries as e')
            ->where('e.layout_id', $layout->id)
            ->selectRaw(self::ROOT);
        $match = self::match($by);
        if ($match !== '') {
            $query->whereRaw('e.id in (select rowid from journal_words where journal_words match ?)', [$match]);
        }
        if (($by['verdict'] ?? '') !== '') {
            $query->whereRaw("json_extract(e.data, '$.verdict') = ?", [$by['verdict']]);
        }
        $this->plain($query, $by);

        return $query;
    }

    /** @param  array<string, string>  $by */
    private function plain(Builder $query, array $by): void
    {
        $by = array_filter($by, fn (string $v): bool => $v !== '');
        if (isset($by['section'])) {
            $query->whereRaw("json_extract(e.data, '$.section') = ?", [$by['section']]);
        }
        if (isset($by['from'])) {
            $query->whereRaw("json_extract(e.data, '$.at') >= ?", [$by['from']]);
        }
        if (isset($by['to'])) {
            $query->whereRaw("json_extract(e.data, '$.at') < ?", [$by['to']]);
        }
        if (isset($by['picture'])) {
            $query->whereRaw(
                self::ROOT." in (select json_extract(p.data, '$.entry') from photos p where p.layout_id = ?)",
                [$query->wheres[0]['value']],
            );
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
