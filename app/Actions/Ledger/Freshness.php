<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use App\Models\JsonRecord;
use App\Models\Layout;
use App\Models\Record;
use App\Models\Revision;
use Illuminate\Database\Eloquent\Builder;

/**
 * Whether a row is still as it was seen on the page that a change comes from. Told row by row: what others did beside it does not matter.
 */
final readonly class Freshness
{
    public function __construct(private SeenRevision $seen)
    {
    }

    /**
     * @param  array<string, mixed>  $sent field → value, as the row names them: both versions are shown
     *
     * @throws StaleRecord
     */
    public function unlessStale(Record $record, array $sent): void
    {
        if ($record->exists && $this->since($record)?->exists() === true) {
            throw StaleRecord::of($record, self::name($record), $sent);
        }
    }

    /** @return array<string, mixed>|null the row as it was seen, where it was changed since; null where it was not */
    public function asSeen(Record $record): ?array
    {
        $first = $this->since($record)?->orderBy('id')->first();
        foreach ($first->changes ?? [] as $change) {
            if ($change['uid'] === $record->uid) {
                return $change['before'] ?? [];
            }
        }

        return null;
    }

    public static function name(Record $record): string
    {
        if ($record instanceof Layout) {
            return 'The layout sheet';
        }
        $name =
            $record instanceof JsonRecord
                ? $record->values()->name ?? ($record->values()->title ?? '')
                : $record->getRawOriginal('name') ?? '';

        return is_string($name) && $name !== '' ? "“{$name}”" : 'What this is about';
    }

    /** @return Builder<Revision>|null the steps of others that touched it after it was seen */
    private function since(Record $record): ?Builder
    {
        if ($this->seen->step === null) {
            return null;
        }
        $layout = $record instanceof Layout ? $record->id : (int) $record->getAttribute('layout_id');

        return Revision::query()
            ->where('layout_id', $layout)
            ->where('id', '>', $this->seen->step)
            ->whereNotIn('id', $this->seen->own)
            ->whereRaw(
                "(revisions.kind = 'restore' or exists (select 1 from json_each(revisions.changes) "
                    ."as one where json_extract(one.value, '$.uid') = ?))",
                [$record->uid],
            );
    }
}
