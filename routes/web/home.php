<?php

use Illuminate\Support\Facades\Route;
use Nomada\App\Http\Controllers\BoardController;
use Nomada\App\Http\Controllers\ClockController;
use Nomada\App\Http\Controllers\FindController;
use Nomada\App\Http\Controllers\HouseController;
use Nomada\App\Http\Controllers\PersonController;
use Nomada\App\Http\Controllers\SignInController;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'create'])->name('sign-in');
    Route::post('/sign-in', [SignInController::class, 'store'])
        ->middleware('throttle:sign-in')
        ->name('sign-in.store');
    Route::get('/sign-in/code', [SignInController::class, 'second'])->name('sign-in.code');
    Route::post('/sign-in/code', [SignInController::class, 'enter'])
        ->middleware('throttle:sign-in')
        ->name('sign-in.enter');
    Route::post('/sign-in/demo', [SignInController::class, 'demo'])->name('sign-in.demo');
});

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::post('/clock', ClockController::class)->name('clock');
    Route::get('/', BoardController::class)->name('board');
    Route::get('/board/rows', [BoardController::class, 'rows'])
        ->middleware(['can:staff', 'looks'])
        ->name('board.rows');

    Route::middleware('can:staff')->group(function (): void {
        Route::get('/find', FindController::class)->middleware('looks')->name('find');
        Route::get('/people/{sourcedId}', PersonController::class)->name('person');
    });

    Route::middleware('can:coordinate')->group(function (): void {
        Route::get('/house', HouseController::class)->name('house');
        Route::put('/people/{sourcedId}/recorded', [PersonController::class, 'recorded'])->name('person.recorded');
        Route::post('/people/{sourcedId}/links', [PersonController::class, 'renewLinks'])->name(
            'person.links.renew',
        );
        Route::post('/people/{sourcedId}/disabled', [PersonController::class, 'disable'])->name('person.disabled');
        Route::delete('/people/{sourcedId}/disabled', [PersonController::class, 'enable'])->name('person.enabled');
    });
});
