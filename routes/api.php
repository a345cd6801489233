<?php

declare(strict_types=1);

use App\Http\Controllers\Api;
use App\Http\Middleware\NeedsScope;
use App\Http\Middleware\SlowGuesses;
use Illuminate\Support\Facades\Route;

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
