<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use App\Models\Revision;
use Illuminate\Support\Facades\DB;

/**
 * Writers take turns: from its first read to its last write a change has the data for itself, so that what was checked is
 * still so when it is written.
 */
final class WriteTurn
{
    private bool $taken = false;

    public function __construct(private readonly SeenRevision $seen)
    {
    }

    /** Waits until nobody else writes. */
    public function take(): void
    {
        DB::beginTransaction();
        $this->taken = true;
    }

    /** What was done stands. What follows, such as the page that shows it, holds up nobody. */
    public function keep(int $layout): void
    {
        if ($this->taken) {
            $this->taken = false;
            $this->seen->step = (int) Revision::query()->where('layout_id', $layout)->max('id');
            $this->seen->own = [];
            DB::commit();
        }
    }

    /** As if nothing had been done. */
    public function drop(): void
    {
        if ($this->taken) {
            $this->taken = false;
            DB::rollBack();
        }
    }
}
