<?php

use Illuminate\Support\Facades\Route;
use Nomada\App\Http\Controllers\Account\AccountController;
use Nomada\App\Http\Controllers\Account\PassController;
use Nomada\App\Http\Controllers\Account\PeopleController;
use Nomada\App\Http\Controllers\Term\RosterEditController;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in/forgotten', [PassController::class, 'forgotten'])->name('forgotten');
    Route::post('/sign-in/forgotten', [PassController::class, 'ask'])
        ->middleware('throttle:forgotten')
        ->name('forgotten.ask');
});

// By the link in a letter: signed, for one use, until it ends.
Route::middleware(['signed:relative', 'throttle:door'])->group(function (): void {
    Route::get('/account/passes/{pass}', [PassController::class, 'show'])->name('account.pass');
    Route::post('/account/passes/{pass}', [PassController::class, 'store'])->name('account.pass.use');
});

Route::middleware('auth')->group(function (): void {
    Route::get('/account', [AccountController::class, 'show'])->name('account');
    Route::put('/account/password', [AccountController::class, 'password'])
        ->middleware('throttle:code')
        ->name('account.password');
    Route::post('/account/second-factor', [AccountController::class, 'begin'])->name('account.second-factor');
    Route::put('/account/second-factor', [AccountController::class, 'confirm'])
        ->middleware('throttle:code')
        ->name('account.second-factor.confirm');
    Route::delete('/account/second-factor', [AccountController::class, 'drop'])
        ->middleware('throttle:code')
        ->name('account.second-factor.drop');
    Route::get('/account/codes', [AccountController::class, 'shown'])->name('account.codes');
    Route::post('/account/codes', [AccountController::class, 'codes'])
        ->middleware('throttle:code')
        ->name('account.codes.fresh');
    Route::delete('/account/sign-ins/{id?}', [AccountController::class, 'end'])
        ->where('id', '[0-9]{1,18}')
        ->name('account.sign-ins.end');

    Route::middleware('can:coordinate')->group(function (): void {
        Route::get('/people', [RosterEditController::class, 'index'])->name('people');
        Route::get('/people/new', [RosterEditController::class, 'create'])->name('people.add');
        Route::post('/people', [RosterEditController::class, 'store'])->name('people.store');
        Route::get('/people/edits/{key}', [RosterEditController::class, 'show'])
            ->where('key', '[0-9A-HJKMNP-TV-Z]{26}')
            ->name('people.preview');
        Route::post('/people/edits/{key}', [RosterEditController::class, 'take'])
            ->where('key', '[0-9A-HJKMNP-TV-Z]{26}')
            ->name('people.take');
        Route::put('/people/{sourcedId}/details', [RosterEditController::class, 'update'])->name('people.update');
        Route::post('/people/{sourcedId}/moves', [RosterEditController::class, 'move'])->name('people.move');
        Route::get('/accounts', [PeopleController::class, 'show'])->name('accounts');
        Route::post('/accounts/invitations', [PeopleController::class, 'inviteAll'])->name('accounts.invite');
        Route::post('/people/{sourcedId}/invitation', [PeopleController::class, 'invite'])->name('person.invite');
    });
});
