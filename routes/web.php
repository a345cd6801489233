<?php

declare(strict_types=1);

use App\Http\Controllers\CheckController;
use App\Http\Controllers\DeliverableController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\ProductionController;
use App\Http\Controllers\RequirementController;
use App\Http\Controllers\SceneController;
use App\Http\Controllers\SignInController;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'show'])->name('sign-in');
    Route::post('/sign-in', [SignInController::class, 'store']);
});

Route::middleware(['auth', 'throttle:work'])->group(function (): void {
    Route::post('/sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::get('/', [ProductionController::class, 'index'])->name('productions');
    Route::get('/productions/{production}', [ProductionController::class, 'show'])->whereNumber('production')->name('production');
    Route::get('/productions/{production}/deliverables/new', [DeliverableController::class, 'create'])->whereNumber('production')->name('deliverable.new');
    Route::post('/productions/{production}/deliverables', [DeliverableController::class, 'store'])->whereNumber('production')->name('deliverable.store');

    Route::prefix('/deliverables/{deliverable}')->whereNumber('deliverable')->group(function (): void {
        Route::redirect('/', '/deliverables/{deliverable}/frames');
        Route::get('/specification', [DeliverableController::class, 'specification'])->name('specification');
        Route::get('/scene', [DeliverableController::class, 'scene'])->name('scene');
        Route::get('/frames', [DeliverableController::class, 'frames'])->name('frames');
        Route::patch('/requirements', [RequirementController::class, 'update'])->name('requirements');
        Route::post('/understand', [RequirementController::class, 'understand'])->name('understand');
        Route::post('/scene', [SceneController::class, 'store'])->name('scene.store');
        Route::get('/intake', [CheckController::class, 'browse'])->name('intake');
        Route::post('/checks', [CheckController::class, 'store'])->name('checks.store');
    });

    Route::get('/checks/{check}', [CheckController::class, 'show'])->whereNumber('check')->name('check');
    Route::get('/checks/{check}/progress', [CheckController::class, 'follow'])->whereNumber('check')->name('check.progress');
    Route::post('/checks/{check}/stop', [CheckController::class, 'stop'])->whereNumber('check')->name('check.stop');
    Route::get('/checks/{check}/pictures/{part}/{frame}', [PictureController::class, 'show'])->whereNumber('check')->where('frame', '-?\d{1,10}')->name('check.picture');
    Route::get('/checks/{check}/report.{format}', [CheckController::class, 'report'])->whereNumber('check')->name('check.report');
});
