<?php

use App\Http\Controllers\AirController;
use App\Http\Controllers\BenchTimeController;
use App\Http\Controllers\CalendarController;
use App\Http\Controllers\CandidateController;
use App\Http\Controllers\CarryingController;
use App\Http\Controllers\CoatController;
use App\Http\Controllers\CurveController;
use App\Http\Controllers\CutsController;
use App\Http\Controllers\CutStockController;
use App\Http\Controllers\DeviceController;
use App\Http\Controllers\DryingController;
use App\Http\Controllers\EdgeController;
use App\Http\Controllers\FeatureController;
use App\Http\Controllers\FileController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\FormationController;
use App\Http\Controllers\GrowthController;
use App\Http\Controllers\HiddenThingController;
use App\Http\Controllers\HistoryController;
use App\Http\Controllers\JournalController;
use App\Http\Controllers\KeepingController;
use App\Http\Controllers\LandController;
use App\Http\Controllers\LandFileController;
use App\Http\Controllers\LandMeshController;
use App\Http\Controllers\LayoutController;
use App\Http\Controllers\LinesideRowController;
use App\Http\Controllers\MirrorController;
use App\Http\Controllers\MoveController;
use App\Http\Controllers\PairController;
use App\Http\Controllers\PaletteController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\PlanRulesController;
use App\Http\Controllers\PotController;
use App\Http\Controllers\PriceController;
use App\Http\Controllers\ReadyByController;
use App\Http\Controllers\RecipeController;
use App\Http\Controllers\ReliefController;
use App\Http\Controllers\RoomController;
use App\Http\Controllers\RoundController;
use App\Http\Controllers\RuleBookController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\SchoolController;
use App\Http\Controllers\SearchController;
use App\Http\Controllers\SectionController;
use App\Http\Controllers\ShelfController;
use App\Http\Controllers\ShoppingController;
use App\Http\Controllers\SpanController;
use App\Http\Controllers\StandController;
use App\Http\Controllers\TakeOffController;
use App\Http\Controllers\TonightController;
use App\Http\Controllers\TrialController;
use App\Http\Controllers\WaterController;
use App\Http\Controllers\WhatIfController;
use App\Http\Controllers\WholeController;
use App\Http\Controllers\ZoneController;
use App\Http\Middleware\TakeTurns;
use App\Http\Middleware\WhatWasSeen;
use App\Pages\Cuts\ExportCuts;
use App\Pages\Growth\ExportGrowth;
use App\Pages\Land\ExportLand;
use App\Pages\Water\ExportWater;
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
Route::get('/begin', [LayoutController::class, 'begin'])->name('layouts.begin');
Route::post('/layouts', [LayoutController::class, 'store'])->name('layouts.store');
Route::post('/layouts/import', [FileController::class, 'import'])->name('layouts.import');

Route::prefix('layouts/{layout}')
    ->scopeBindings()
    ->group(function () use ($withoutSession): void {
        Route::get('/', [LayoutController::class, 'show'])->name('layouts.show');
        Route::get('/settings', [LayoutController::class, 'settings'])->name('layouts.settings');
        Route::get('/carrying', [CarryingController::class, 'show'])->name('carrying.show');
        Route::get('/formations', [FormationController::class, 'show'])->name('formations.show');
        Route::patch('/formations', [FormationController::class, 'update'])->name('formations.update');
        Route::get('/curves', [CurveController::class, 'show'])->name('curves.show');
        Route::get('/spans', [SpanController::class, 'show'])->name('spans.show');
        Route::get('/history', [HistoryController::class, 'show'])->name('history.show');
        Route::post('/history/{step}/copy', [HistoryController::class, 'copy'])
            ->whereNumber('step')
            ->withoutMiddleware(WhatWasSeen::class)
            ->name('history.copy');
        Route::get('/whole', [WholeController::class, 'show'])->name('whole.show');
        Route::get('/whole/plan.pdf', [WholeController::class, 'plan'])->name('whole.plan');
        Route::get('/whole/templates.pdf', [WholeController::class, 'templates'])
            ->withoutMiddleware($withoutSession)
            ->name('whole.templates');
        Route::patch('/', [LayoutController::class, 'update'])->name('layouts.update');
        Route::delete('/', [LayoutController::class, 'destroy'])
            ->name('layouts.destroy')
            ->withoutMiddleware(WhatWasSeen::class);
        Route::post('/restore', [LayoutController::class, 'restore'])
            ->name('layouts.restore')
            ->withoutMiddleware(WhatWasSeen::class);
        Route::get('/export', [FileController::class, 'export'])->name('layouts.export');
        Route::get('/archive', [FileController::class, 'archive'])->name('layouts.archive');
        Route::get('/rows', [FileController::class, 'rows'])->name('layouts.rows');
        Route::get('/step', [HistoryController::class, 'step'])
            ->name('layouts.step')
            ->withoutMiddleware($withoutSession);
        Route::post('/undo', [HistoryController::class, 'undo'])->name('layouts.undo');
        Route::post('/redo', [HistoryController::class, 'redo'])->name('layouts.redo');
        Route::get('/tonight', [TonightController::class, 'show'])->name('tonight.show');
        Route::get('/drying', [DryingController::class, 'show'])->name('drying.show');
        Route::get('/pots', [PotController::class, 'show'])->name('pots.show');
        Route::get('/pots/weigh', [PotController::class, 'weigh'])
            ->name('pots.weigh')
            ->withoutMiddleware($withoutSession);
        Route::post('/pots/scale', [PotController::class, 'scale'])->name('pots.scale');
        Route::get('/pots/cards', [PotController::class, 'cards'])->name('pots.cards');
        Route::post('/pots', [PotController::class, 'store'])->name('pots.mix');
        Route::post('/pots/{pot}/stir', [PotController::class, 'stir'])
            ->withoutScopedBindings()
            ->name('pots.stir');
        Route::post('/pots/{pot}/pour', [PotController::class, 'pour'])
            ->withoutScopedBindings()
            ->name('pots.pour');
        Route::get('/shelf', [ShelfController::class, 'show'])->name('shelf.show');
        Route::post('/shelf/lots', [ShelfController::class, 'store'])->name('shelf.store');
        Route::post('/shelf/again', [ShelfController::class, 'recover'])->name('shelf.again');
        Route::get('/shelf/shopping', [ShoppingController::class, 'show'])->name('shopping.show');
        Route::post('/shelf/shopping', [ShoppingController::class, 'store'])->name('shopping.bought');
        Route::patch('/shelf/shopping', [ShoppingController::class, 'update'])->name('shopping.update');
        Route::get('/shelf/prices', [ShoppingController::class, 'prices'])->name('shopping.prices');
        Route::patch('/shelf/prices', [ShoppingController::class, 'keepPrices'])->name('shopping.keep');
        Route::get('/shelf/{table}.csv', [ShoppingController::class, 'csv'])
            ->whereIn('table', ['shopping', 'stock', 'prices'])
            ->name('shopping.csv');
        Route::post('/shelf/{table}.csv', [ShoppingController::class, 'import'])
            ->whereIn('table', ['stock', 'prices'])
            ->name('shopping.import');
        Route::patch('/shelf/lots/{lot}', [ShelfController::class, 'update'])
            ->withoutScopedBindings()
            ->name('shelf.update');
        Route::post('/shelf/lots/{lot}/count', [ShelfController::class, 'count'])
            ->withoutScopedBindings()
            ->name('shelf.count');
        Route::delete('/shelf/lots/{lot}', [ShelfController::class, 'destroy'])
            ->withoutScopedBindings()
            ->name('shelf.destroy');
        Route::get('/journal', [JournalController::class, 'show'])->name('journal.show');
        Route::post('/journal', [JournalController::class, 'store'])->name('journal.note');
        Route::get('/journal.csv', [JournalController::class, 'csv'])->name('journal.csv');
        Route::get('/journal/match', [JournalController::class, 'match'])->name('journal.match');
        Route::post('/journal/match', [JournalController::class, 'lay'])->name('journal.lay');
        Route::get('/rounds', [RoundController::class, 'show'])->name('rounds.show');
        Route::post('/rounds', [RoundController::class, 'store'])->name('rounds.answer');
        Route::post('/rounds/stalls', [RoundController::class, 'stall'])->name('rounds.stall');
        Route::delete('/rounds/stalls/{stall}', [RoundController::class, 'unstall'])->name('rounds.unstall');
        Route::get('/rounds/sections/{section}', [RoundController::class, 'card'])->name('rounds.card');
        Route::get('/find', [FindController::class, 'show'])->name('find.show');
        Route::get('/trials', [TrialController::class, 'index'])->name('trials.index');
        Route::post('/trials', [TrialController::class, 'store'])->name('trials.store');
        Route::patch('/trials/{trial}', [TrialController::class, 'update'])->name('trials.update');
        Route::post('/trials/{trial}/recipe', [TrialController::class, 'promote'])->name('trials.promote');
        Route::delete('/trials/{trial}', [TrialController::class, 'destroy'])->name('trials.destroy');
        Route::get('/journal/sections/{section}', [JournalController::class, 'history'])->name('journal.history');
        Route::post('/photos', [PhotoController::class, 'store'])
            ->name('photos.store')
            ->withoutMiddleware(TakeTurns::class);
        Route::get('/photos/{photo}', [PhotoController::class, 'show'])->name('photos.show');
        Route::patch('/photos/{photo}', [PhotoController::class, 'update'])->name('photos.update');
        Route::post('/photos/{photo}/touch', [PhotoController::class, 'touch'])->name('photos.touch');
        Route::delete('/photos/{photo}/touch', [PhotoController::class, 'clear'])->name('photos.clear');
        Route::delete('/photos/{photo}', [PhotoController::class, 'destroy'])->name('photos.destroy');
        Route::get('/pictures/{hash}-{size}.jpg', [PhotoController::class, 'picture'])
            ->where(['hash' => '[0-9a-f]{64}', 'size' => 'small|middle|large'])
            ->name('photos.picture')
            ->withoutMiddleware($withoutSession);
        Route::post('/moves', [MoveController::class, 'store'])->name('moves.start');
        Route::post('/moves/{application}/done', [MoveController::class, 'done'])->name('moves.done');
        Route::post('/moves/{application}/tick', [MoveController::class, 'tick'])->name('moves.tick');
        Route::post('/moves/{application}/stop', [MoveController::class, 'stop'])->name('moves.stop');
        Route::post('/moves/{application}/wet', [MoveController::class, 'wet'])->name('moves.wet');
        Route::post('/laid/{application}/wet', [MoveController::class, 'foundWet'])->name('laid.wet');
        Route::post('/laid/{application}/dry', [MoveController::class, 'foundDry'])->name('laid.dry');
        Route::post('/times', [BenchTimeController::class, 'store'])->name('times.store');
        Route::delete('/times/{session}', [BenchTimeController::class, 'destroy'])
            ->withoutScopedBindings()
            ->name('times.destroy');
        Route::get('/bench', [PlanRulesController::class, 'show'])->name('bench.show');
        Route::patch('/bench', [PlanRulesController::class, 'update'])->name('bench.update');
        Route::post('/bench/calendar', [CalendarController::class, 'store'])
            ->name('bench.calendar')
            ->withoutMiddleware(TakeTurns::class);
        Route::delete('/bench/calendar', [CalendarController::class, 'destroy'])->name('bench.forget');
        Route::get('/bench.ics', [CalendarController::class, 'show'])->name('bench.ics');
        Route::get('/search', [SearchController::class, 'show'])->name('search.show');
        Route::post('/search', [SearchController::class, 'store'])
            ->name('search.begin')
            ->withoutMiddleware(TakeTurns::class);
        Route::patch('/search', [SearchController::class, 'update'])
            ->name('search.end')
            ->withoutMiddleware(TakeTurns::class);
        Route::get('/what-if', [WhatIfController::class, 'show'])->name('what-if.show');
        Route::post('/what-if', [WhatIfController::class, 'store'])->name('what-if.keep');
        Route::get('/by', [ReadyByController::class, 'show'])->name('by.show');
        Route::get('/visits/{session}', [ReadyByController::class, 'visit'])
            ->withoutScopedBindings()
            ->name('visits.show');
        Route::patch('/show-on', [BenchTimeController::class, 'showOn'])->name('layouts.show-on');
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
        Route::get('/library', [RecipeController::class, 'show'])->name('library.show');
        Route::post('/prices', [PriceController::class, 'store'])->name('prices.keep');
        Route::patch('/library/{recipe}', [RecipeController::class, 'update'])
            ->withoutScopedBindings()
            ->name('library.keep');
        Route::post('/library/{recipe}/yours', [RecipeController::class, 'learn'])
            ->withoutScopedBindings()
            ->name('library.learn');
        Route::delete('/library/{recipe}', [RecipeController::class, 'destroy'])
            ->withoutScopedBindings()
            ->name('library.drop');
        Route::get('/palette', [PaletteController::class, 'show'])->name('palette.show');
        Route::post('/palette', [PaletteController::class, 'store'])->name('palette.store');
        Route::patch('/palette/{colour}', [PaletteController::class, 'update'])->name('palette.update');
        Route::delete('/palette/{colour}', [PaletteController::class, 'destroy'])->name('palette.destroy');
        Route::get('/rules', [RuleBookController::class, 'show'])->name('rules.show');
        Route::get('/take-off', [TakeOffController::class, 'show'])->name('takeoff.show');
        Route::post('/sections', [SectionController::class, 'store'])->name('sections.store');
        Route::post('/sections/beside', [SectionController::class, 'beside'])->name('sections.beside');

        Route::prefix('sections/{section}')->group(function () use ($withoutSession): void {
            Route::patch('/', [SectionController::class, 'update'])->name('sections.update');
            Route::patch('/place', [SectionController::class, 'place'])->name('sections.place');
            Route::patch('/foam', [SectionController::class, 'foam'])->name('sections.foam');
            Route::patch('/room', [SectionController::class, 'carry'])->name('sections.carry');
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
            Route::post('/cuts/cut', [CutStockController::class, 'cut'])->name('cuts.cut');
            Route::post('/cuts/hidden', [HiddenThingController::class, 'store'])->name('hidden.store');
            Route::delete('/cuts/hidden/{hiddenThing}', [HiddenThingController::class, 'destroy'])
                ->withoutScopedBindings()
                ->name('hidden.destroy');
            Route::post('/cuts/store', [CutStockController::class, 'store'])->name('cuts.store');
            Route::get('/water', [WaterController::class, 'show'])->name('water.show');
            Route::get('/water/take/{form}', [WaterController::class, 'take'])
                ->whereIn('form', ExportWater::FORMS)
                ->name('water.take');
            Route::patch('/waters/{water}', [WaterController::class, 'update'])->name('waters.update');
            Route::post('/waters/{water}/work', [WaterController::class, 'work'])->name('waters.work');
            Route::post('/waters/{water}/shore', [WaterController::class, 'shore'])->name('waters.shore');
            Route::post('/mirrors', [MirrorController::class, 'store'])->name('mirrors.store');
            Route::patch('/mirrors/{mirror}', [MirrorController::class, 'update'])->name('mirrors.update');
            Route::delete('/mirrors/{mirror}', [MirrorController::class, 'destroy'])->name('mirrors.destroy');
            Route::get('/growth', [GrowthController::class, 'show'])->name('growth.show');
            Route::get('/growth/take/{form}', [GrowthController::class, 'take'])
                ->whereIn('form', ExportGrowth::FORMS)
                ->name('growth.take');
            Route::post('/stands', [StandController::class, 'store'])->name('stands.store');
            Route::patch('/stands/{stand}', [StandController::class, 'update'])->name('stands.update');
            Route::delete('/stands/{stand}', [StandController::class, 'destroy'])->name('stands.destroy');
            Route::post('/stands/{stand}/trees', [StandController::class, 'plant'])->name('stands.plant');
            Route::patch('/stands/{stand}/trees/{tree}', [StandController::class, 'tree'])
                ->whereNumber('tree')
                ->name('stands.tree');
            Route::post('/stands/{stand}/zone', [StandController::class, 'zone'])->name('stands.zone');
            Route::post('/rows/{row}/zone', [LinesideRowController::class, 'zone'])->name('rows.zone');
            Route::post('/rows', [LinesideRowController::class, 'store'])->name('rows.store');
            Route::patch('/rows/{row}', [LinesideRowController::class, 'update'])->name('rows.update');
            Route::delete('/rows/{row}', [LinesideRowController::class, 'destroy'])->name('rows.destroy');
            Route::get('/coats', [ZoneController::class, 'show'])->name('coats.show');
            Route::get('/coats/schools', [SchoolController::class, 'show'])->name('schools.show');
            Route::post('/zones/{zone}/school', [SchoolController::class, 'store'])
                ->withoutScopedBindings()
                ->name('schools.take');
            Route::post('/zones', [ZoneController::class, 'store'])->name('zones.store');
            Route::patch('/zones/{zone}', [ZoneController::class, 'update'])->name('zones.update');
            Route::delete('/zones/{zone}', [ZoneController::class, 'destroy'])->name('zones.destroy');
            Route::post('/zones/{zone}/coats', [CoatController::class, 'store'])->name('coats.store');
            Route::patch('/zones/{zone}/coats/{coat}', [CoatController::class, 'update'])->name('coats.update');
            Route::delete('/zones/{zone}/coats/{coat}', [CoatController::class, 'destroy'])->name('coats.destroy');
            Route::get('/zones/{zone}/coats/{coat}/stick.{form}', [CoatController::class, 'stick'])
                ->name('coats.stick')
                ->whereIn('form', ['pdf', 'svg']);
            Route::post('/zones/{zone}/coats/{coat}/strip', [CoatController::class, 'strip'])->name('coats.strip');
            Route::get('/land/at', [LandController::class, 'at'])
                ->name('land.at')
                ->withoutMiddleware($withoutSession);
            Route::get('/land/tape', [LandController::class, 'tape'])
                ->name('land.tape')
                ->withoutMiddleware($withoutSession);
            Route::get('/land/take/{form}', [LandFileController::class, 'show'])
                ->whereIn('form', array_keys(ExportLand::FORMS))
                ->name('land.take');
            Route::get('/land/compare', [CandidateController::class, 'show'])->name('land.compare');
            Route::post('/land/candidate', [CandidateController::class, 'store'])->name('land.candidate');
            Route::get('/land/mesh', [LandMeshController::class, 'show'])
                ->name('land.mesh')
                ->withoutMiddleware($withoutSession);
            Route::post('/land/bring', [LandFileController::class, 'store'])
                ->name('land.bring')
                ->withoutMiddleware(TakeTurns::class);
            Route::post('/land/edge', [EdgeController::class, 'store'])->name('land.edge');
            Route::post('/land/preview', [LandController::class, 'preview'])
                ->name('land.preview')
                ->withoutMiddleware(TakeTurns::class);
            Route::post('/land/grip', [LandController::class, 'grip'])->name('land.grip');
            Route::get('/relief/{hash}.png', [ReliefController::class, 'show'])
                ->where('hash', '[0-9a-f]{40}')
                ->name('land.relief')
                ->withoutMiddleware($withoutSession);
            Route::post('/features', [FeatureController::class, 'store'])->name('features.store');
            Route::patch('/features/{feature}', [FeatureController::class, 'update'])->name('features.update');
            Route::delete('/features/{feature}', [FeatureController::class, 'destroy'])->name('features.destroy');
            Route::post('/runs', [RunController::class, 'store'])->name('runs.store');
            Route::post('/runs/{run}/wall', [RunController::class, 'wall'])->name('runs.wall');
            Route::post('/runs/{run}/beside', [RunController::class, 'beside'])->name('runs.beside');
            Route::patch('/runs/{run}', [RunController::class, 'update'])->name('runs.update');
            Route::delete('/runs/{run}', [RunController::class, 'destroy'])->name('runs.destroy');
        });
    });
