<?php

declare(strict_types=1);

use App\Http\Controllers\ApiController;
use Illuminate\Support\Facades\Route;

Route::middleware(['throttle:work', 'auth:sanctum'])->prefix('/productions/{production}/deliverables/{code}')->group(function (): void {
    Route::post('/scene', [ApiController::class, 'check'])->name('api.check');
    Route::get('/check', [ApiController::class, 'newest'])->name('api.newest');
    Route::get('/settings', [ApiController::class, 'template'])->name('api.template');
});
