<?php

use App\Http\Controllers\CoatsController;
use App\Http\Controllers\CutsController;
use App\Http\Controllers\FeatureController;
use App\Http\Controllers\FileController;
use App\Http\Controllers\HistoryController;
use App\Http\Controllers\LandController;
use App\Http\Controllers\LandWorkController;
use App\Http\Controllers\LayoutController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\RoomController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\SectionController;
use App\Workshop\Land\TakeLand;
use Illuminate\Support\Facades\Route;

Route::get('/', [LayoutController::class, 'index'])->name('layouts.index');
Route::post('/layouts', [LayoutController::class, 'store'])->name('layouts.store');
Route::post('/layouts/import', [FileController::class, 'import'])->name('layouts.import');

Route::prefix('layouts/{layout}')->scopeBindings()->group(function (): void {
    Route::get('/', [LayoutController::class, 'show'])->name('layouts.show');
    Route::get('/settings', [LayoutController::class, 'settings'])->name('layouts.settings');
    Route::patch('/', [LayoutController::class, 'update'])->name('layouts.update');
    Route::delete('/', [LayoutController::class, 'destroy'])->name('layouts.destroy');
    Route::post('/restore', [LayoutController::class, 'restore'])->name('layouts.restore');
    Route::get('/export', [FileController::class, 'export'])->name('layouts.export');
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
    Route::post('/times', [PlanController::class, 'addSession'])->name('times.store');
    Route::delete('/times/{session}', [PlanController::class, 'removeSession'])->withoutScopedBindings()->name('times.destroy');
    Route::patch('/show-on', [PlanController::class, 'showOn'])->name('layouts.show-on');
    Route::post('/rooms', [RoomController::class, 'store'])->name('rooms.store');
    Route::patch('/rooms/{room}', [RoomController::class, 'update'])->name('rooms.update');
    Route::delete('/rooms/{room}', [RoomController::class, 'destroy'])->name('rooms.destroy');
    Route::post('/sections', [SectionController::class, 'store'])->name('sections.store');

    Route::prefix('sections/{section}')->group(function (): void {
        Route::patch('/', [SectionController::class, 'update'])->name('sections.update');
        Route::delete('/', [SectionController::class, 'destroy'])->name('sections.destroy');
        Route::get('/land', [LandController::class, 'show'])->name('land.show');
        Route::get('/cuts', CutsController::class)->name('cuts.show');
        Route::get('/coats', [CoatsController::class, 'show'])->name('coats.show');
        Route::post('/zones', [CoatsController::class, 'storeZone'])->name('zones.store');
        Route::patch('/zones/{zone}', [CoatsController::class, 'updateZone'])->name('zones.update');
        Route::delete('/zones/{zone}', [CoatsController::class, 'destroyZone'])->name('zones.destroy');
        Route::post('/zones/{zone}/coats', [CoatsController::class, 'storeCoat'])->name('coats.store');
        Route::patch('/zones/{zone}/coats/{coat}', [CoatsController::class, 'updateCoat'])->name('coats.update');
        Route::delete('/zones/{zone}/coats/{coat}', [CoatsController::class, 'destroyCoat'])->name('coats.destroy');
        Route::get('/land/at', [LandController::class, 'at'])->name('land.at');
        Route::get('/land/tape', [LandController::class, 'tape'])->name('land.tape');
        Route::get('/land/take/{form}', [LandController::class, 'take'])->whereIn('form', array_keys(TakeLand::FORMS))->name('land.take');
        Route::get('/land/compare', [LandWorkController::class, 'compare'])->name('land.compare');
        Route::post('/land/candidate', [LandWorkController::class, 'candidate'])->name('land.candidate');
        Route::get('/land/mesh', [LandWorkController::class, 'mesh'])->name('land.mesh');
        Route::post('/land/bring', [LandWorkController::class, 'bring'])->name('land.bring');
        Route::post('/land/edge', [LandWorkController::class, 'edge'])->name('land.edge');
        Route::post('/land/preview', [LandController::class, 'preview'])->name('land.preview');
        Route::post('/land/grip', [LandController::class, 'grip'])->name('land.grip');
        Route::get('/relief/{hash}.png', [LandController::class, 'relief'])->where('hash', '[0-9a-f]{40}')->name('land.relief');
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
