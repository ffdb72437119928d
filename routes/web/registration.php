<?php

use Illuminate\Support\Facades\Route;
use Nomada\App\Http\Controllers\Registration\DeskController;
use Nomada\App\Http\Controllers\Registration\LetterController;
use Nomada\App\Http\Controllers\Registration\MeController;
use Nomada\App\Http\Controllers\Registration\RegisterController;
use Nomada\App\Http\Controllers\Registration\RegistrationController;
use Nomada\App\Http\Controllers\Registration\ReplyController;
use Nomada\App\Http\Controllers\Registration\RosterController;
use Nomada\App\Http\Controllers\Registration\TemplateController;

// By the link in a guardian's letter, without signing in; it is signed, and stops nothing but that person's letters.
Route::get('/letters/{person}/stop', [LetterController::class, 'stopping'])
    ->middleware(['signed', 'throttle:door'])
    ->name('letters.stop');
Route::post('/letters/{person}/stop', [LetterController::class, 'stop'])
    ->middleware(['signed', 'throttle:door'])
    ->name('letters.stop.keep');
// Answers to invitations, handed on by a mail server; the address is on Places.
Route::post('/replies', ReplyController::class)
    ->middleware(['signed', 'throttle:look'])
    ->name('replies');

Route::middleware('auth')->group(function (): void {
    Route::get('/me', MeController::class)->name('me');
    Route::put('/me/language', [MeController::class, 'language'])->name('me.language');
    // A student's own registration; staff only look at the page.
    Route::get('/register/{series}', [RegisterController::class, 'show'])->name('register');

    Route::middleware('can:study')->group(function (): void {
        Route::post('/register/{series}', [RegisterController::class, 'store'])
            ->middleware('throttle:code')
            ->name('register.store');
        Route::delete('/register/{series}/{registration}', [RegisterController::class, 'destroy'])
            ->withoutScopedBindings()
            ->name('register.destroy');
    });

    Route::middleware('can:staff')->group(function (): void {

        Route::middleware('can:serve,section')
            ->scopeBindings()
            ->group(function (): void {
                Route::put('/sections/{section}/series/{series}/registering', [
                    DeskController::class,
                    'mode',
                ])->name('series.registering');
                Route::post('/sections/{section}/series/{series}/letters', [
                    LetterController::class,
                    'invite',
                ])->name('series.invite');
                Route::post('/sections/{section}/series/{series}/letters/{link}', [
                    LetterController::class,
                    'again',
                ])
                    ->withoutScopedBindings()
                    ->name('series.again');
            });
        Route::get('/registration', RegistrationController::class)->name('registration');
        Route::get('/registration/rows', [RegistrationController::class, 'rows'])
            ->middleware('looks')
            ->name('registration.rows');
        // Each registration is authorised by its section.
        Route::get('/registration/desk', [DeskController::class, 'index'])->name('desk');
        Route::post('/registration/certain', [DeskController::class, 'certain'])->name('desk.certain');
        Route::post('/registration/{registration}/acceptance', [DeskController::class, 'accept'])->name(
            'desk.accept',
        );
        Route::post('/registration/{registration}/decline', [DeskController::class, 'decline'])->name(
            'desk.decline',
        );
        Route::post('/registration/{registration}/section', [DeskController::class, 'send'])->name('desk.send');
        Route::delete('/registration/{registration}/decision', [DeskController::class, 'undo'])->name('desk.undo');
        Route::delete('/registration/{registration}', [DeskController::class, 'withdraw'])->name('desk.withdraw');
        Route::post('/registration/rosters', [RosterController::class, 'store'])->name('rosters.store');
    });

    Route::middleware('can:coordinate')->group(function (): void {
        Route::get('/registration/letters', [TemplateController::class, 'show'])->name('letters');
        Route::put('/registration/letters/{kind}/{language}', [TemplateController::class, 'update'])->name(
            'letters.update',
        );
        Route::delete('/registration/letters/{kind}/{language}', [TemplateController::class, 'destroy'])->name(
            'letters.destroy',
        );
    });
});
