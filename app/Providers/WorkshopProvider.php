<?php

declare(strict_types=1);

namespace App\Providers;

use App\Workshop\Land\LandDesk;
use App\Workshop\Time\BenchClock;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\ServiceProvider;
use Psr\Clock\ClockInterface;

final class WorkshopProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(ClockInterface::class, fn (): BenchClock => new BenchClock(config('ridge.now'), config('ridge.clock_file')));
        $this->app->scoped(LandDesk::class);
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
    }
}
