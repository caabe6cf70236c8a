<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Kept;
use App\Models\Layout;
use App\Workshop\Revising\Changes;
use App\Workshop\Time\Uids;

/** New rows of the kind that stand in one JSON column. */
final readonly class KeptRows
{
    public function __construct(private Uids $uids)
    {
    }

    public function uid(): string
    {
        return $this->uids->next();
    }

    /**
     * @template T of Kept
     *
     * @param class-string<T> $model
     * @param array<string, mixed> $values as a file holds them, with the uid
     * @return T
     */
    public function add(Changes $changes, Layout $layout, string $model, array $values): Kept
    {
        $last = (int) $model::query()->where('layout_id', $layout->id)->max('position');
        $row = (new $model(['uid' => $values['uid'], 'layout_id' => $layout->id, 'rev' => 1, 'position' => $last + 1]))->keep($values);
        $changes->save($row);

        return $row;
    }
}
