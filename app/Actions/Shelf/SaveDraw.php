<?php

declare(strict_types=1);

namespace App\Actions\Shelf;

use App\Actions\Ledger\ChangeSet;
use App\Computed\Plan\ComputedPlan;
use App\Computed\Plan\ComputedPots;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Pots\StockDraw;
use IdleRidge\Core\Shelf\MovementCause;

/** What was laid comes off the shelf: out of its pots, and out of lots for what stood in none. */
final readonly class SaveDraw
{
    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ComputedPots $pots,
        private ShelfRows $rows,
    ) {
    }

    public function laid(ChangeSet $changes, Layout $layout, CoatApplication $laid): void
    {
        $project = $this->load->of($layout);
        $store = $project->works->store;
        if ($store->lots === []) {
            return;
        }
        $cups = $this->pots->mixtures()->ofLaid($this->desk->work($project, $this->desk->minute()), $laid);
        $taken = StockDraw::of($store, $laid, $cups);
        $this->rows->take($changes, $layout, $store, $taken, MovementCause::Laid, (int) $laid->endedAt, $laid->uid);
    }
}
