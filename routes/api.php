<?php

declare(strict_types=1);

use App\Http\Controllers\ApiController;
use App\Http\Middleware\NeedsScope;
use App\Http\Middleware\SlowGuesses;
use Illuminate\Support\Facades\Route;

Route::middleware(
    [SlowGuesses::class, 'throttle:work', 'auth:sanctum'],
)->prefix('/productions/{production}/deliverables/{code}')->group(function (): void {
    Route::post('/scene', [ApiController::class, 'check'])->middleware(NeedsScope::class.':check')->name('api.check');
    Route::get('/check', [ApiController::class, 'newest'])->middleware(NeedsScope::class.':read')->name('api.newest');
    Route::get(
        '/settings',
        [ApiController::class, 'template'],
    )->middleware(NeedsScope::class.':read')->name('api.template');
});
