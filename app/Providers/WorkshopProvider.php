<?php

declare(strict_types=1);

namespace App\Providers;

use App\Database\ImmediateConnector;
use App\Devices\HttpRoomLogger;
use App\Devices\RoomLogger;
use App\Models\Layout;
use App\Workshop\Files\LibraryFiles;
use App\Workshop\Journal\KeepJournal;
use App\Workshop\Land\LandDesk;
use App\Workshop\Revising\Seen;
use App\Workshop\Revising\StepTurned;
use App\Workshop\Revising\Turn;
use App\Workshop\Time\BenchClock;
use App\Workshop\Time\ClockDoubt;
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
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
        $this->app->scoped(LandDesk::class);
        $this->app->scoped(Seen::class);
        $this->app->scoped(Turn::class);
        $this->app->bind(RoomLogger::class, HttpRoomLogger::class);
        $this->app->singleton(Library::class, fn (): Library => LibraryFiles::kept(base_path('library')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        // Stands in every form that changes a layout: what it was made from.
        Blade::directive('seen', fn (): string => '<input type="hidden" name="seen" value="<?php echo app('.Seen::class.'::class)->step; ?>">');
        View::composer('components.page', function (\Illuminate\View\View $view): void {
            $layout = $view->getData()['layout'] ?? null;
            $view->with('doubt', $layout instanceof Layout && $layout->exists ? $this->app->make(ClockDoubt::class)->of($layout) : null);
        });
        Event::listen(StepTurned::class, fn (StepTurned $step) => $this->app->make(KeepJournal::class)->turned($step));
    }
}
