<?php

use App\Http\Controllers\CutsController;
use App\Http\Controllers\FeatureController;
use App\Http\Controllers\FileController;
use App\Http\Controllers\HistoryController;
use App\Http\Controllers\LandController;
use App\Http\Controllers\LayoutController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\SectionController;
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
    Route::post('/sections', [SectionController::class, 'store'])->name('sections.store');

    Route::prefix('sections/{section}')->group(function (): void {
        Route::patch('/', [SectionController::class, 'update'])->name('sections.update');
        Route::delete('/', [SectionController::class, 'destroy'])->name('sections.destroy');
        Route::get('/land', [LandController::class, 'show'])->name('land.show');
        Route::get('/cuts', CutsController::class)->name('cuts.show');
        Route::post('/land/preview', [LandController::class, 'preview'])->name('land.preview');
        Route::post('/land/grip', [LandController::class, 'grip'])->name('land.grip');
        Route::get('/relief/{hash}.png', [LandController::class, 'relief'])->where('hash', '[0-9a-f]{40}')->name('land.relief');
        Route::post('/features', [FeatureController::class, 'store'])->name('features.store');
        Route::patch('/features/{feature}', [FeatureController::class, 'update'])->name('features.update');
        Route::delete('/features/{feature}', [FeatureController::class, 'destroy'])->name('features.destroy');
        Route::post('/runs', [RunController::class, 'store'])->name('runs.store');
        Route::patch('/runs/{run}', [RunController::class, 'update'])->name('runs.update');
        Route::delete('/runs/{run}', [RunController::class, 'destroy'])->name('runs.destroy');
    });
});
