<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use App\Models\Record;

/** Collects what one revision does, row by row. */
final class ChangeSet
{
    /** @var list<array{table: string, uid: string, before: array<string, mixed>|null, after: array<string, mixed>|null}> */
    private array $rows = [];

    public function __construct(private readonly Freshness $freshness)
    {
    }

    /** @throws StaleRecord when it was changed since the page was made that this comes from */
    public function save(Record $record): void
    {
        if ($record->isDirty()) {
            $this->freshness->unlessStale($record, $record->getDirty());
        }
        $this->add($record);
    }

    /** Saves what was reckoned from the row as it stands, not as it was seen: a step up, a note more. */
    public function add(Record $record): void
    {
        $before = $record->exists ? self::row($record->getRawOriginal()) : null;
        if ($before !== null && ! $record->isDirty()) {
            return;
        }
        if ($before === null) {
            $record->save();
        } else {
            $record->rev++;
            $changed = $record->newQuery()->whereKey($record->id)->where('rev', $before['rev'])->update($record->getDirty());
            $changed === 1 ? $record->syncOriginal() : throw StaleRecord::of($record, Freshness::name($record), $record->getDirty());
        }
        $this->rows[] = [
            'table' => $record->getTable(),
            'uid' => $record->uid,
            'before' => $before,
            'after' => self::row($record->getAttributes()),
        ];
    }

    /** @throws StaleRecord as above */
    public function delete(Record $record): void
    {
        $this->freshness->unlessStale($record, []);
        $this->rows[] = [
            'table' => $record->getTable(),
            'uid' => $record->uid,
            'before' => self::row($record->getRawOriginal()),
            'after' => null,
        ];
        $record->delete();
    }

    /** @return list<array{table: string, uid: string, before: array<string, mixed>|null, after: array<string, mixed>|null}> */
    public function rows(): array
    {
        return $this->rows;
    }

    /**
     * @param  array<string, mixed>  $attributes
     * @return array<string, mixed>
     */
    private static function row(array $attributes): array
    {
        return array_diff_key($attributes, ['id' => true]);
    }
}
