<?php

use App\Http\Controllers\AirController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\CoatsController;
use App\Http\Controllers\CutsController;
use App\Http\Controllers\DeviceController;
use App\Http\Controllers\FeatureController;
use App\Http\Controllers\FileController;
use App\Http\Controllers\HistoryController;
use App\Http\Controllers\KeepingController;
use App\Http\Controllers\LandController;
use App\Http\Controllers\LandWorkController;
use App\Http\Controllers\LayoutController;
use App\Http\Controllers\LibraryController;
use App\Http\Controllers\PairController;
use App\Http\Controllers\PaletteController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\RoomController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\SectionController;
use App\Http\Middleware\TakeTurns;
use App\Http\Middleware\WhatWasSeen;
use App\Pages\Cuts\ExportCuts;
use App\Pages\Land\ExportLand;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;
use Illuminate\View\Middleware\ShareErrorsFromSession;

/** What a page asks while it stands there must not use up the words that the next page is to say. */
$withoutSession = [StartSession::class, ShareErrorsFromSession::class, ValidateCsrfToken::class];

Route::get('/pair', [PairController::class, 'show'])->name('pair.show');
Route::post('/pair', [PairController::class, 'store'])->name('pair.store');
Route::get('/keeping', [KeepingController::class, 'index'])->name('keeping.index');
Route::post('/keeping', [KeepingController::class, 'store'])->name('keeping.store');
Route::post('/keeping/restore', [KeepingController::class, 'restore'])->name('keeping.restore');
Route::get('/keeping/{copy}', [KeepingController::class, 'show'])->name('keeping.show');
Route::get('/devices', [DeviceController::class, 'index'])->name('devices.index');
Route::post('/devices/code', [DeviceController::class, 'code'])->name('devices.code');
Route::delete('/devices/{device}', [DeviceController::class, 'destroy'])->name('devices.destroy');
Route::get('/', [LayoutController::class, 'index'])->name('layouts.index');
Route::post('/layouts', [LayoutController::class, 'store'])->name('layouts.store');
Route::post('/layouts/import', [FileController::class, 'import'])->name('layouts.import');

Route::prefix('layouts/{layout}')
    ->scopeBindings()
    ->group(function () use ($withoutSession): void {
        Route::get('/', [LayoutController::class, 'show'])->name('layouts.show');
        Route::get('/settings', [LayoutController::class, 'settings'])->name('layouts.settings');
        Route::patch('/', [LayoutController::class, 'update'])->name('layouts.update');
        Route::delete('/', [LayoutController::class, 'destroy'])
            ->name('layouts.destroy')
            ->withoutMiddleware(WhatWasSeen::class);
        Route::post('/restore', [LayoutController::class, 'restore'])
            ->name('layouts.restore')
            ->withoutMiddleware(WhatWasSeen::class);
        Route::get('/export', [FileController::class, 'export'])->name('layouts.export');
        Route::get('/rows', [FileController::class, 'rows'])->name('layouts.rows');
        Route::get('/step', [HistoryController::class, 'step'])
            ->name('layouts.step')
            ->withoutMiddleware($withoutSession);
        Route::post('/undo', [HistoryController::class, 'undo'])->name('layouts.undo');
        Route::post('/redo', [HistoryController::class, 'redo'])->name('layouts.redo');
        Route::get('/tonight', [PlanController::class, 'tonight'])->name('tonight.show');
        Route::get('/drying', [PlanController::class, 'drying'])->name('drying.show');
        Route::get('/journal', [PlanController::class, 'journal'])->name('journal.show');
        Route::post('/moves', [PlanController::class, 'start'])->name('moves.start');
        Route::post('/moves/{application}/done', [PlanController::class, 'done'])->name('moves.done');
        Route::post('/moves/{application}/stop', [PlanController::class, 'stop'])->name('moves.stop');
        Route::post('/moves/{application}/wet', [PlanController::class, 'wet'])->name('moves.wet');
        Route::post('/laid/{application}/wet', [PlanController::class, 'foundWet'])->name('laid.wet');
        Route::post('/laid/{application}/dry', [PlanController::class, 'foundDry'])->name('laid.dry');
        Route::post('/times', [PlanController::class, 'addSession'])->name('times.store');
        Route::delete('/times/{session}', [PlanController::class, 'removeSession'])
            ->withoutScopedBindings()
            ->name('times.destroy');
        Route::get('/bench', [BenchController::class, 'show'])->name('bench.show');
        Route::patch('/bench', [BenchController::class, 'update'])->name('bench.update');
        Route::post('/bench/calendar', [BenchController::class, 'calendar'])
            ->name('bench.calendar')
            ->withoutMiddleware(TakeTurns::class);
        Route::delete('/bench/calendar', [BenchController::class, 'forget'])->name('bench.forget');
        Route::get('/bench.ics', [BenchController::class, 'ics'])->name('bench.ics');
        Route::get('/search', [BenchController::class, 'searching'])->name('search.show');
        Route::post('/search', [BenchController::class, 'beginSearch'])
            ->name('search.begin')
            ->withoutMiddleware(TakeTurns::class);
        Route::patch('/search', [BenchController::class, 'endSearch'])
            ->name('search.end')
            ->withoutMiddleware(TakeTurns::class);
        Route::get('/what-if', [BenchController::class, 'whatIf'])->name('what-if.show');
        Route::post('/what-if', [BenchController::class, 'keepWhatIf'])->name('what-if.keep');
        Route::get('/by', [BenchController::class, 'by'])->name('by.show');
        Route::get('/visits/{session}', [BenchController::class, 'visit'])
            ->withoutScopedBindings()
            ->name('visits.show');
        Route::patch('/show-on', [PlanController::class, 'showOn'])->name('layouts.show-on');
        Route::post('/rooms', [RoomController::class, 'store'])->name('rooms.store');
        Route::patch('/rooms/{room}', [RoomController::class, 'update'])->name('rooms.update');
        Route::delete('/rooms/{room}', [RoomController::class, 'destroy'])->name('rooms.destroy');
        Route::get('/rooms/{room}', [AirController::class, 'show'])->name('rooms.show');
        Route::patch('/rooms/{room}/logger', [AirController::class, 'logger'])->name('rooms.logger');
        Route::post('/rooms/{room}/read', [AirController::class, 'read'])
            ->name('rooms.read')
            ->withoutMiddleware(TakeTurns::class);
        Route::post('/rooms/{room}/air', [AirController::class, 'air'])
            ->name('rooms.air')
            ->withoutMiddleware(TakeTurns::class);
        Route::get('/library', [LibraryController::class, 'library'])->name('library.show');
        Route::post('/prices', [LibraryController::class, 'prices'])->name('prices.keep');
        Route::patch('/library/{recipe}', [LibraryController::class, 'keep'])
            ->withoutScopedBindings()
            ->name('library.keep');
        Route::delete('/library/{recipe}', [LibraryController::class, 'drop'])
            ->withoutScopedBindings()
            ->name('library.drop');
        Route::get('/palette', [PaletteController::class, 'show'])->name('palette.show');
        Route::post('/palette', [PaletteController::class, 'store'])->name('palette.store');
        Route::patch('/palette/{colour}', [PaletteController::class, 'update'])->name('palette.update');
        Route::delete('/palette/{colour}', [PaletteController::class, 'destroy'])->name('palette.destroy');
        Route::get('/rules', [LibraryController::class, 'rules'])->name('rules.show');
        Route::get('/take-off', [LibraryController::class, 'takeOff'])->name('takeoff.show');
        Route::post('/sections', [SectionController::class, 'store'])->name('sections.store');

        Route::prefix('sections/{section}')->group(function () use ($withoutSession): void {
            Route::patch('/', [SectionController::class, 'update'])->name('sections.update');
            Route::delete('/', [SectionController::class, 'destroy'])->name('sections.destroy');
            Route::get('/land', [LandController::class, 'show'])->name('land.show');
            Route::get('/cuts', CutsController::class)->name('cuts.show');
            Route::get('/cuts/take/{form}', [CutsController::class, 'take'])
                ->whereIn('form', ExportCuts::FORMS)
                ->name('cuts.take');
            Route::get('/cuts/solids', [CutsController::class, 'solids'])
                ->name('cuts.solids')
                ->withoutMiddleware($withoutSession);
            Route::post('/cuts/plan', [CutsController::class, 'plan'])->name('cuts.plan');
            Route::post('/cuts/cut', [CutsController::class, 'cut'])->name('cuts.cut');
            Route::post('/cuts/store', [CutsController::class, 'counted'])->name('cuts.store');
            Route::get('/coats', [CoatsController::class, 'show'])->name('coats.show');
            Route::get('/coats/schools', [LibraryController::class, 'schools'])->name('schools.show');
            Route::post('/zones/{zone}/school', [LibraryController::class, 'take'])
                ->withoutScopedBindings()
                ->name('schools.take');
            Route::post('/zones', [CoatsController::class, 'storeZone'])->name('zones.store');
            Route::patch('/zones/{zone}', [CoatsController::class, 'updateZone'])->name('zones.update');
            Route::delete('/zones/{zone}', [CoatsController::class, 'destroyZone'])->name('zones.destroy');
            Route::post('/zones/{zone}/coats', [CoatsController::class, 'storeCoat'])->name('coats.store');
            Route::patch('/zones/{zone}/coats/{coat}', [CoatsController::class, 'updateCoat'])->name('coats.update');
            Route::delete('/zones/{zone}/coats/{coat}', [CoatsController::class, 'destroyCoat'])->name('coats.destroy');
            Route::get('/land/at', [LandController::class, 'at'])
                ->name('land.at')
                ->withoutMiddleware($withoutSession);
            Route::get('/land/tape', [LandController::class, 'tape'])
                ->name('land.tape')
                ->withoutMiddleware($withoutSession);
            Route::get('/land/take/{form}', [LandController::class, 'take'])
                ->whereIn('form', array_keys(ExportLand::FORMS))
                ->name('land.take');
            Route::get('/land/compare', [LandWorkController::class, 'compare'])->name('land.compare');
            Route::post('/land/candidate', [LandWorkController::class, 'candidate'])->name('land.candidate');
            Route::get('/land/mesh', [LandWorkController::class, 'mesh'])
                ->name('land.mesh')
                ->withoutMiddleware($withoutSession);
            Route::post('/land/bring', [LandWorkController::class, 'bring'])
                ->name('land.bring')
                ->withoutMiddleware(TakeTurns::class);
            Route::post('/land/edge', [LandWorkController::class, 'edge'])->name('land.edge');
            Route::post('/land/preview', [LandController::class, 'preview'])
                ->name('land.preview')
                ->withoutMiddleware(TakeTurns::class);
            Route::post('/land/grip', [LandController::class, 'grip'])->name('land.grip');
            Route::get('/relief/{hash}.png', [LandController::class, 'relief'])
                ->where('hash', '[0-9a-f]{40}')
                ->name('land.relief')
                ->withoutMiddleware($withoutSession);
            Route::post('/features', [FeatureController::class, 'store'])->name('features.store');
            Route::patch('/features/{feature}', [FeatureController::class, 'update'])->name('features.update');
            Route::delete('/features/{feature}', [FeatureController::class, 'destroy'])->name('features.destroy');
            Route::post('/runs', [RunController::class, 'store'])->name('runs.store');
            Route::post('/runs/{run}/wall', [LandWorkController::class, 'wall'])->name('runs.wall');
            Route::post('/runs/{run}/beside', [LandWorkController::class, 'beside'])->name('runs.beside');
            Route::patch('/runs/{run}', [RunController::class, 'update'])->name('runs.update');
            Route::delete('/runs/{run}', [RunController::class, 'destroy'])->name('runs.destroy');
        });
    });
