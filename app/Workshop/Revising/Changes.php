<?php

declare(strict_types=1);

namespace App\Workshop\Revising;

use App\Models\Record;

/** Collects what one revision does, row by row. */
final class Changes
{
    /** @var list<array{table: string, uid: string, before: array<string, mixed>|null, after: array<string, mixed>|null}> */
    private array $rows = [];

    public function save(Record $record): void
    {
        $before = $record->exists ? self::row($record->getRawOriginal()) : null;
        if ($before !== null && ! $record->isDirty()) {
            return;
        }
        if ($before !== null) {
            $record->rev++;
        }
        $record->save();
        $this->rows[] = ['table' => $record->getTable(), 'uid' => $record->uid, 'before' => $before, 'after' => self::row($record->getAttributes())];
    }

    public function delete(Record $record): void
    {
        $this->rows[] = ['table' => $record->getTable(), 'uid' => $record->uid, 'before' => self::row($record->getRawOriginal()), 'after' => null];
        $record->delete();
    }

    /** @return list<array{table: string, uid: string, before: array<string, mixed>|null, after: array<string, mixed>|null}> */
    public function rows(): array
    {
        return $this->rows;
    }

    /**
     * @param array<string, mixed> $attributes
     * @return array<string, mixed>
     */
    private static function row(array $attributes): array
    {
        return array_diff_key($attributes, ['id' => true]);
    }
}
