<?php

declare(strict_types=1);

use App\Http\Controllers\CalculatorController;
use App\Http\Controllers\CheckController;
use App\Http\Controllers\DeliverableController;
use App\Http\Controllers\HouseController;
use App\Http\Controllers\ListController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\PresetController;
use App\Http\Controllers\ProductionController;
use App\Http\Controllers\ReferenceController;
use App\Http\Controllers\RequirementController;
use App\Http\Controllers\SceneController;
use App\Http\Controllers\SheetController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\SpecificationController;
use App\Http\Controllers\TogetherController;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'show'])->name('sign-in');
    Route::post('/sign-in', [SignInController::class, 'store']);
});

// for somebody without a sign-in: the signature is looked at by the controller, which says why a link is closed
Route::get('/sheets/{link}', [SheetController::class, 'open'])->whereNumber('link')->middleware('throttle:60,1')->name('sheet.open');

Route::middleware(['auth', 'throttle:work'])->group(function (): void {
    Route::post('/sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::get('/', [ProductionController::class, 'index'])->name('productions');
    Route::get('/calculator', [CalculatorController::class, 'show'])->name('calculator');

    Route::prefix('/productions/{production}')->whereNumber('production')->group(function (): void {
        Route::get('/', [ProductionController::class, 'show'])->name('production');
        Route::get('/deliverables/new', [DeliverableController::class, 'create'])->name('deliverable.new');
        Route::post('/deliverables', [DeliverableController::class, 'store'])->name('deliverable.store');
        Route::get('/house', [HouseController::class, 'show'])->name('house');
        Route::patch('/house', [HouseController::class, 'update'])->name('house.update');
        Route::get('/list', [ListController::class, 'show'])->name('list');
        Route::post('/list/read', [ListController::class, 'read'])->name('list.read');
        Route::post('/list', [ListController::class, 'store'])->name('list.store');
        Route::get('/deliverables.{format}', [ListController::class, 'export'])->name('list.export');
        Route::get('/together', [TogetherController::class, 'show'])->name('together');
        Route::post('/together/read', [TogetherController::class, 'read'])->name('together.read');
        Route::post('/together', [TogetherController::class, 'store'])->name('together.store');
        Route::get('/proof', [TogetherController::class, 'proof'])->name('proof');
        Route::get('/reference', [ReferenceController::class, 'browse'])->name('reference');
        Route::post('/reference', [ReferenceController::class, 'propose'])->name('reference.propose');
        Route::post('/presets', [PresetController::class, 'store'])->name('preset.store');
    });
    Route::patch('/presets/{preset}', [PresetController::class, 'rename'])->whereNumber('preset')->name('preset.rename');
    Route::delete('/presets/{preset}', [PresetController::class, 'destroy'])->whereNumber('preset')->name('preset.destroy');

    Route::prefix('/specifications/{specification}')->whereNumber('specification')->group(function (): void {
        Route::get('/', [SpecificationController::class, 'show'])->name('revisions');
        Route::patch('/', [SpecificationController::class, 'rename'])->name('specification.rename');
        Route::post('/parts', [SpecificationController::class, 'parts'])->name('specification.parts');
        Route::post('/recheck', [SpecificationController::class, 'recheck'])->name('specification.recheck');
    });

    Route::prefix('/deliverables/{deliverable}')->whereNumber('deliverable')->group(function (): void {
        Route::redirect('/', '/deliverables/{deliverable}/frames');
        Route::get('/specification', [DeliverableController::class, 'specification'])->name('specification');
        Route::get('/scene', [DeliverableController::class, 'scene'])->name('scene');
        Route::get('/frames', [DeliverableController::class, 'frames'])->name('frames');
        Route::patch('/requirements', [RequirementController::class, 'update'])->name('requirements');
        Route::patch('/values', [RequirementController::class, 'value'])->name('values');
        Route::post('/presence', [RequirementController::class, 'presence'])->name('presence');
        Route::get('/hand-out', [SheetController::class, 'show'])->name('hand-out');
        Route::get('/sheet.{format}', [SheetController::class, 'file'])->name('sheet');
        Route::post('/sheets', [SheetController::class, 'share'])->name('sheet.share');
        Route::post('/scene', [SceneController::class, 'store'])->name('scene.store');
        Route::get('/intake', [CheckController::class, 'browse'])->name('intake');
        Route::post('/checks', [CheckController::class, 'store'])->name('checks.store');
    });
    Route::delete('/sheets/{link}', [SheetController::class, 'revoke'])->whereNumber('link')->name('sheet.revoke');
    Route::post('/changes/{change}/{way}', [RequirementController::class, 'turn'])->whereNumber('change')->whereIn('way', ['undo', 'redo'])->name('change.turn');

    Route::get('/checks/{check}', [CheckController::class, 'show'])->whereNumber('check')->name('check');
    Route::get('/checks/{check}/progress', [CheckController::class, 'follow'])->whereNumber('check')->name('check.progress');
    Route::post('/checks/{check}/stop', [CheckController::class, 'stop'])->whereNumber('check')->name('check.stop');
    Route::get('/checks/{check}/pictures/{part}/{frame}', [PictureController::class, 'show'])->whereNumber('check')->where('frame', '-?\d{1,10}')->name('check.picture');
    Route::get('/checks/{check}/report.{format}', [CheckController::class, 'report'])->whereNumber('check')->name('check.report');
});

// asked at each keystroke, so counted apart from the rest of the work
Route::middleware(['auth', 'throttle:typing'])->group(function (): void {
    Route::post('/deliverables/{deliverable}/understand', [RequirementController::class, 'understand'])->whereNumber('deliverable')->name('understand');
    Route::post('/productions/{production}/understand', [HouseController::class, 'understand'])->whereNumber('production')->name('house.understand');
    Route::post('/calculate', [CalculatorController::class, 'work'])->name('calculate');
});
