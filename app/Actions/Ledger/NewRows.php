<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use App\Computed\Clock\UlidGenerator;
use App\Models\JsonRecord;
use App\Models\Layout;

/** New rows of the kind that stand in one JSON column. */
final readonly class NewRows
{
    public function __construct(private UlidGenerator $uids)
    {
    }

    public function uid(): string
    {
        return $this->uids->next();
    }

    /**
     * @template T of JsonRecord
     *
     * @param  class-string<T>  $model
     * @param  array<string, mixed>  $values as a file holds them, with the uid
     * @return T
     */
    public function add(ChangeSet $changes, Layout $layout, string $model, array $values): JsonRecord
    {
        $last = (int) $model::query()->where('layout_id', $layout->id)->max('position');
        $row = (new $model(['uid' => $values['uid'], 'layout_id' => $layout->id, 'rev' => 1, 'position' => $last + 1]))->keep($values);
        $changes->save($row);

        return $row;
    }
}
