<?php

declare(strict_types=1);

use App\Http\Controllers\Account;
use App\Http\Controllers\Check;
use App\Http\Controllers\People;
use App\Http\Controllers\Production;
use App\Http\Controllers\Specification;
use App\Http\Controllers\Submission;
use Illuminate\Support\Facades\Route;

// more digits than a number of rows has are no id
foreach ([
    'change', 'check', 'deliverable', 'exercise', 'handIn', 'intakeRoot', 'invitation', 'link', 'log', 'membership',
    'message', 'move', 'preset', 'production', 'specification', 'submission', 'view', 'waiver', 'webhook',
] as $id) {
    Route::pattern($id, '[0-9]{1,18}');
}
Route::pattern('failed', '[0-9a-f-]{36}');
Route::pattern('user', '[0-9]{1,18}');
Route::pattern('word', '[0-9a-f]{48}');
Route::pattern('token', '[0-9]{1,18}');
Route::pattern('picked', '[ul][0-9]{1,18}-[0-9a-f]{32}');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [Account\SignInController::class, 'create'])->name('sign-in');
    Route::post('/sign-in', [Account\SignInController::class, 'store'])->name('sign-in.store');
    Route::get('/sign-in/code', [Account\SignInCodeController::class, 'show'])->name('sign-in.code');
    Route::post('/sign-in/code', [Account\SignInCodeController::class, 'store'])->name('sign-in.code.store');
});

// for somebody without a sign-in: the signature is looked at by the controller, which says why a link is closed
Route::get('/sheets/{link}', Specification\OpenSheetController::class)->middleware('throttle:60,1')->name('sheet.open');

Route::get('/records/{link}', [Submission\RecordController::class, 'open'])
    ->middleware('throttle:60,1')
    ->name('record.open');

// whoever has such a link comes in by it, once; the controller says why one is closed
Route::middleware('throttle:30,1,join')->prefix('/join/{word}')->group(function (): void {
    Route::get('/', [People\JoinController::class, 'show'])->name('join');
    Route::post('/', [People\JoinController::class, 'store'])->name('join.new');
    Route::put('/', [People\JoinController::class, 'update'])->middleware('auth')->name('join.known');
});

// also for somebody without a sign-in, who came by a link: whoever began it is known by a word, and asked for by the
// controllers
Route::get('/own/{link}', [Check\OwnFolderController::class, 'show'])->middleware('throttle:60,1')->name('own.open');
Route::post('/own/{link}', [Check\OwnFolderController::class, 'store'])
    ->middleware('throttle:costly')
    ->name('own.begin');
Route::middleware('throttle:picked')->prefix('/picked/{picked}')->group(function (): void {
    Route::get('/', [Check\PickedFolderController::class, 'show'])->name('picked');
    Route::delete('/', [Check\PickedFolderController::class, 'destroy'])->name('picked.stop');
    Route::post('/names', [Check\PickedNamesController::class, 'store'])->name('picked.names');
    Route::post('/slices', [Check\PickedSlicesController::class, 'store'])->name('picked.slices');
});

// what somebody has of their own
Route::middleware(['auth', 'throttle:work'])->group(function (): void {
    Route::post('/sign-out', [Account\SignInController::class, 'destroy'])->name('sign-out');
    Route::get('/', [Production\ProductionController::class, 'index'])->name('productions');
    Route::get('/tokens', [Account\TokenController::class, 'index'])->name('tokens');
    Route::post('/tokens', [Account\TokenController::class, 'store'])->name('tokens.store');
    Route::delete('/tokens/{token}', [Account\TokenController::class, 'destroy'])->name('tokens.drop');
    Route::middleware('throttle:10,1,codes')->group(function (): void {
        Route::put('/codes', [Account\OneTimeCodeController::class, 'create'])->name('codes.offer');
        Route::post('/codes', [Account\OneTimeCodeController::class, 'store'])->name('codes.begin');
        Route::delete('/codes', [Account\OneTimeCodeController::class, 'destroy'])->name('codes.end');
    });
    Route::post('/sign-out/elsewhere', Account\SignOutElsewhereController::class)->name('sign-out.elsewhere');
    // few tries: whoever finds a place signed in cannot guess the password there
    Route::patch('/password', [Account\PasswordController::class, 'update'])
        ->middleware('throttle:10,1,password')
        ->name('password');
});

require __DIR__.'/ledger.php';
