<?php

declare(strict_types=1);

namespace App\Providers;

use App\Actions\Journal\Hand;
use App\Actions\Journal\SaveJournal;
use App\Actions\Ledger\SeenRevision;
use App\Actions\Ledger\StepReverted;
use App\Actions\Ledger\WriteTurn;
use App\Computed\Clock\BenchClock;
use App\Computed\Clock\ClockDoubt;
use App\Computed\ComputedCache;
use App\Computed\Land\ComputedLand;
use App\Computed\Library\LibraryFiles;
use App\Database\ImmediateConnector;
use App\Devices\BenchScale;
use App\Devices\HttpBenchScale;
use App\Devices\HttpRoomLogger;
use App\Devices\RoomLogger;
use App\Models\Layout;
use IdleRidge\Core\Coats\Library;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;
use Psr\Clock\ClockInterface;

final class WorkshopProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(ClockInterface::class, fn (): BenchClock => new BenchClock(config('ridge.now'), config('ridge.clock_file')));
        $this->app->singleton(
            ComputedCache::class,
            fn (): ComputedCache => new ComputedCache(base_path('core'), (string) config('cache.stores.computed.path')),
        );
        $this->app->terminating(fn () => $this->app->make(ComputedCache::class)->saveParts());
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
        $this->app->scoped(ComputedLand::class);
        $this->app->scoped(SeenRevision::class);
        $this->app->scoped(WriteTurn::class);
        $this->app->scoped(Hand::class);
        $this->app->bind(RoomLogger::class, HttpRoomLogger::class);
        $this->app->bind(BenchScale::class, HttpBenchScale::class);
        $this->app->singleton(Library::class, fn (): Library => $this->app->make(LibraryFiles::class)->kept(base_path('library')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        // Stands in every form that changes a layout: what it was made from.
        Blade::directive(
            'seen',
            fn (): string => '<input type="hidden" name="seen" value="<?php echo app('.SeenRevision::class.'::class)->step; ?>">',
        );
        View::composer('components.page', function (\Illuminate\View\View $view): void {
            $layout = $view->getData()['layout'] ?? null;
            $view->with('doubt', $layout instanceof Layout && $layout->exists ? $this->app->make(ClockDoubt::class)->of($layout) : null);
        });
        Event::listen(StepReverted::class, fn (StepReverted $step) => $this->app->make(SaveJournal::class)->turned($step));
    }
}
