<?php

declare(strict_types=1);

use App\Http\Controllers\Api;
use App\Http\Middleware\AnswerPrograms;
use App\Http\Middleware\AskScope;
use App\Http\Middleware\NeedsScope;
use App\Http\Middleware\OnlyOnce;
use App\Http\Middleware\SlowGuesses;
use Illuminate\Support\Facades\Route;

Route::get('/', [Api\DescriptionController::class, 'page'])->name('api.page');
Route::get('/openapi.json', [Api\DescriptionController::class, 'document'])->name('api.document');

// all that pages do, for programs: the same addresses, rights and rules, answered as JSON
Route::middleware([
    AnswerPrograms::class, SlowGuesses::class, 'throttle:work', 'auth:sanctum', AskScope::class, OnlyOnce::class,
])
    ->prefix('/v1')
    ->name('v1.')
    ->group(function (): void {
        Route::get('/productions', [Api\ListController::class, 'productions'])->name('all.productions');
        Route::get('/productions/{production}/deliverables', [Api\ListController::class, 'deliverables'])
            ->can('view', 'production')
            ->name('all.deliverables');
        Route::get('/deliverables/{deliverable}/checks', [Api\ListController::class, 'checks'])
            ->can('view', 'deliverable')
            ->name('all.checks');
        require __DIR__.'/ledger.php';
    });

// what a deliverable is called is no id: the controllers look it up, and whether it is open to whoever asks
Route::middleware([SlowGuesses::class, 'throttle:work', 'auth:sanctum'])
    ->prefix('/productions/{production}/deliverables/{code}')
    ->group(function (): void {
        Route::post('/scene', [Api\SceneCheckController::class, 'store'])
            ->middleware(NeedsScope::class.':check')
            ->name('api.check');
        Route::get('/check', [Api\NewestCheckController::class, 'show'])
            ->middleware(NeedsScope::class.':read')
            ->name('api.newest');
        Route::get('/settings', [Api\SettingsController::class, 'show'])
            ->middleware(NeedsScope::class.':read')
            ->name('api.template');
    });
