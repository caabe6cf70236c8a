<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Plan\PlanSearch;
use App\Models\Layout;
use IdleRidge\Core\Measure\UnitsInUse;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Looks for a better plan for a while, out of the way of the screens. */
final class SearchPlan implements ShouldQueue
{
    use Dispatchable, InteractsWithQueue, Queueable;

    public int $tries = 1;

    public int $timeout = 120;

    public function __construct(private readonly int $layout, private readonly string $search)
    {
    }

    public function handle(PlanSearch $search): void
    {
        $layout = Layout::query()->find($this->layout);
        if ($layout !== null) {
            UnitsInUse::during($layout->unitsInUse(), fn () => $search->run($layout, $this->search));
        }
    }
}
