<?php

declare(strict_types=1);

use App\Http\Controllers\BoardController;
use App\Http\Controllers\CalculatorController;
use App\Http\Controllers\CheckController;
use App\Http\Controllers\DeliverableController;
use App\Http\Controllers\HouseRequirementController;
use App\Http\Controllers\ListController;
use App\Http\Controllers\ManyScenesController;
use App\Http\Controllers\NamesController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\PresetController;
use App\Http\Controllers\ProductionController;
use App\Http\Controllers\RecheckController;
use App\Http\Controllers\ReferenceController;
use App\Http\Controllers\RenderController;
use App\Http\Controllers\RenderLogController;
use App\Http\Controllers\RequirementController;
use App\Http\Controllers\SceneController;
use App\Http\Controllers\SharedChangeController;
use App\Http\Controllers\SheetController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\SpecificationController;
use App\Http\Controllers\TokenController;
use App\Http\Controllers\WaiverController;
use Illuminate\Support\Facades\Route;

// more digits than a number of rows has are no id
foreach ([
    'change', 'check', 'deliverable', 'link', 'log', 'message', 'preset', 'production', 'specification', 'token',
    'waiver',
] as $id) {
    Route::pattern($id, '[0-9]{1,18}');
}

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'show'])->name('sign-in');
    Route::post('/sign-in', [SignInController::class, 'store']);
});

// for somebody without a sign-in: the signature is looked at by the controller, which says why a link is closed
Route::get('/sheets/{link}', [SheetController::class, 'open'])->middleware('throttle:60,1')->name('sheet.open');

Route::middleware(['auth', 'throttle:work'])->group(function (): void {
    Route::post('/sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::get('/', [ProductionController::class, 'index'])->name('productions');
    Route::get('/calculator', [CalculatorController::class, 'show'])->name('calculator');

    Route::prefix('/productions/{production}')->group(function (): void {
        Route::get('/', [ProductionController::class, 'show'])->name('production');
        Route::get('/deliverables/new', [DeliverableController::class, 'create'])->name('deliverable.new');
        Route::post('/deliverables', [DeliverableController::class, 'store'])->name('deliverable.store');
        Route::get('/house', [HouseRequirementController::class, 'show'])->name('house');
        Route::patch('/house', [HouseRequirementController::class, 'update'])->name('house.update');
        Route::get('/list', [ListController::class, 'show'])->name('list');
        Route::post('/list/read', [ListController::class, 'read'])->name('list.read');
        Route::post('/list', [ListController::class, 'store'])->name('list.store');
        Route::get(
            '/deliverables.{format}',
            [ListController::class, 'export'],
        )->middleware('throttle:costly')->name('list.export');
        Route::get('/together', [SharedChangeController::class, 'show'])->name('together');
        Route::post(
            '/together/read',
            [SharedChangeController::class, 'read'],
        )->middleware('throttle:costly')->name('together.read');
        Route::post('/together', [SharedChangeController::class, 'store'])->name('together.store');
        Route::get('/proof', [SharedChangeController::class, 'proof'])->middleware('throttle:costly')->name('proof');
        Route::get('/reference', [ReferenceController::class, 'browse'])->name('reference');
        Route::post(
            '/reference',
            [ReferenceController::class, 'propose'],
        )->middleware('throttle:costly')->name('reference.propose');
        Route::post('/presets', [PresetController::class, 'store'])->name('preset.store');
        Route::get('/board', [BoardController::class, 'show'])->name('board');
        Route::get('/results.csv', [BoardController::class, 'grades'])->middleware('throttle:costly')->name('grades');
        Route::get('/outbox', [BoardController::class, 'outbox'])->name('outbox');
        Route::post('/outbox', [BoardController::class, 'write'])->name('outbox.write');
        Route::delete('/outbox', [BoardController::class, 'clear'])->name('outbox.clear');
        Route::get(
            '/outbox.{format}',
            [BoardController::class, 'export'],
        )->middleware('throttle:costly')->name('outbox.export');
        Route::get('/scenes', [ManyScenesController::class, 'show'])->name('scenes');
        Route::post(
            '/scenes/read',
            [ManyScenesController::class, 'read'],
        )->middleware('throttle:costly')->name('scenes.read');
        Route::post('/scenes', [ManyScenesController::class, 'store'])->name('scenes.store');
        Route::get('/render', [RenderController::class, 'plan'])->middleware('throttle:costly')->name('plan');
        Route::patch('/pool', [RenderController::class, 'keepPool'])->name('pool');
        Route::get('/names', [NamesController::class, 'show'])->name('names');
        Route::patch('/names', [NamesController::class, 'update'])->name('names.update');
        Route::post('/names', [NamesController::class, 'import'])->name('names.import');
        Route::get('/field-map.json', [NamesController::class, 'export'])->name('names.export');
        Route::post('/log-shapes', [NamesController::class, 'shape'])->middleware('throttle:costly')->name('shape');
    });
    Route::delete('/messages/{message}', [BoardController::class, 'drop'])->name('message.drop');
    Route::get('/tokens', [TokenController::class, 'show'])->name('tokens');
    Route::post('/tokens', [TokenController::class, 'store'])->name('tokens.store');
    Route::delete('/tokens/{token}', [TokenController::class, 'destroy'])->name('tokens.drop');
    Route::patch('/presets/{preset}', [PresetController::class, 'rename'])->name('preset.rename');
    Route::delete('/presets/{preset}', [PresetController::class, 'destroy'])->name('preset.destroy');

    Route::prefix('/specifications/{specification}')->group(function (): void {
        Route::get('/', [SpecificationController::class, 'show'])->name('revisions');
        Route::patch('/', [SpecificationController::class, 'rename'])->name('specification.rename');
        Route::post('/parts', [SpecificationController::class, 'parts'])->name('specification.parts');
        Route::post('/recheck', [RecheckController::class, 'specification'])->name('specification.recheck');
    });

    Route::prefix('/deliverables/{deliverable}')->group(function (): void {
        Route::redirect('/', '/deliverables/{deliverable}/frames');
        Route::get('/specification', [DeliverableController::class, 'specification'])->name('specification');
        Route::get('/scene', [DeliverableController::class, 'scene'])->name('scene');
        Route::get('/frames', [DeliverableController::class, 'frames'])->name('frames');
        Route::patch('/requirements', [RequirementController::class, 'update'])->name('requirements');
        Route::post('/approved', [RequirementController::class, 'approve'])->name('approved');
        Route::patch('/values', [RequirementController::class, 'value'])->name('values');
        Route::post('/presence', [RequirementController::class, 'presence'])->name('presence');
        Route::get('/hand-out', [SheetController::class, 'show'])->name('hand-out');
        Route::get('/sheet.{format}', [SheetController::class, 'file'])->middleware('throttle:costly')->name('sheet');
        Route::post('/sheets', [SheetController::class, 'share'])->name('sheet.share');
        Route::post('/scene', [SceneController::class, 'store'])->name('scene.store');
        Route::post('/scene/pieces', [SceneController::class, 'piece'])->name('scene.piece');
        Route::get('/scene/enter', [SceneController::class, 'entry'])->name('scene.entry');
        Route::post('/scene/typed', [SceneController::class, 'typedIn'])->name('scene.typed');
        Route::put('/scene/part', [SceneController::class, 'part'])->name('scene.part');
        Route::post('/scene/names', [SceneController::class, 'point'])->name('scene.point');
        Route::get(
            '/settings.{format}',
            [SceneController::class, 'template'],
        )->whereIn('format', ['json', 'txt'])->name('scene.template');
        Route::post('/ticks', [WaiverController::class, 'tick'])->name('tick');
        Route::get('/render', [RenderController::class, 'show'])->name('render');
        Route::patch('/render', [RenderController::class, 'update'])->name('render.update');
        Route::get('/logs', [RenderLogController::class, 'logs'])->name('logs');
        Route::post('/logs', [RenderLogController::class, 'send'])->name('logs.send');
        Route::post('/logs/follow', [RenderLogController::class, 'beginFollowing'])->name('logs.begin');
        Route::get('/intake', [CheckController::class, 'browse'])->name('intake');
        Route::post('/checks', [CheckController::class, 'store'])->middleware('throttle:costly')->name('checks.store');
    });
    Route::delete('/sheets/{link}', [SheetController::class, 'revoke'])->name('sheet.revoke');
    Route::post(
        '/changes/{change}/{way}',
        [RequirementController::class, 'turn'],
    )->whereIn('way', ['undo', 'redo'])->name('change.turn');

    Route::get('/logs/{log}', [RenderLogController::class, 'follow'])->name('log');
    Route::delete('/logs/{log}', [RenderLogController::class, 'forget'])->name('log.drop');
    Route::post('/checks/{check}/waivers', [WaiverController::class, 'store'])->name('waive');
    Route::delete('/waivers/{waiver}', [WaiverController::class, 'destroy'])->name('waiver.drop');
    Route::get('/checks/{check}', [CheckController::class, 'show'])->name('check');
    Route::get('/checks/{check}/progress', [CheckController::class, 'follow'])->name('check.progress');
    Route::post(
        '/productions/{production}/recheck',
        [RecheckController::class, 'production'],
    )->name('production.recheck');
    Route::post('/checks/{check}/again', [RecheckController::class, 'one'])->name('check.again');
    Route::post('/checks/{check}/stop', [CheckController::class, 'stop'])->name('check.stop');
    Route::get(
        '/checks/{check}/pictures/{part}/{frame}',
        [PictureController::class, 'show'],
    )->where('frame', '-?\d{1,10}')
        ->middleware('throttle:pictures')
        ->withoutMiddleware('throttle:work')
        ->name('check.picture');
    Route::get(
        '/checks/{check}/report.{format}',
        [CheckController::class, 'report'],
    )->middleware('throttle:costly')->name('check.report');
});

// asked at each keystroke, so counted apart from the rest of the work
Route::middleware(['auth', 'throttle:typing'])->group(function (): void {
    Route::post(
        '/deliverables/{deliverable}/understand',
        [RequirementController::class, 'understand'],
    )->name('understand');
    Route::post('/deliverables/{deliverable}/scene/try', [SceneController::class, 'attempt'])->name('scene.try');
    Route::post(
        '/productions/{production}/plan',
        [RenderController::class, 'attempt'],
    )->middleware('throttle:costly')->name('plan.try');
    Route::post(
        '/productions/{production}/log-shapes/try',
        [NamesController::class, 'tryPatterns'],
    )->middleware('throttle:costly')->name('shape.try');
    Route::post(
        '/productions/{production}/understand',
        [HouseRequirementController::class, 'understand'],
    )->name('house.understand');
    Route::post('/calculate', [CalculatorController::class, 'work'])->name('calculate');
});
