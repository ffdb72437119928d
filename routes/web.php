<?php

use Illuminate\Support\Facades\Route;
use Nomada\App\Http\Controllers\BoardController;
use Nomada\App\Http\Controllers\ClockController;
use Nomada\App\Http\Controllers\FindController;
use Nomada\App\Http\Controllers\Joining\DoorController;
use Nomada\App\Http\Controllers\Joining\JoiningController;
use Nomada\App\Http\Controllers\Joining\LinkController;
use Nomada\App\Http\Controllers\PersonController;
use Nomada\App\Http\Controllers\Presence\RecordsController;
use Nomada\App\Http\Controllers\Presence\TodayController;
use Nomada\App\Http\Controllers\Publishing\FeedController;
use Nomada\App\Http\Controllers\Publishing\PublishingController;
use Nomada\App\Http\Controllers\Publishing\RunController;
use Nomada\App\Http\Controllers\Registration\MeController;
use Nomada\App\Http\Controllers\Registration\RegistrationController;
use Nomada\App\Http\Controllers\Registration\RosterController;
use Nomada\App\Http\Controllers\SignInController;
use Nomada\App\Http\Controllers\Term\ClosureController;
use Nomada\App\Http\Controllers\Term\ImportController;
use Nomada\App\Http\Controllers\Term\TermController;
use Nomada\App\Http\Controllers\Timetable\ClashController;
use Nomada\App\Http\Controllers\Timetable\SectionController;
use Nomada\App\Http\Controllers\Timetable\SeriesController;
use Nomada\App\Http\Controllers\Timetable\SessionController;
use Nomada\App\Http\Controllers\Timetable\TimetableController;
use Nomada\Core\Joining\LinkSecret;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'create'])->name('sign-in');
    Route::post('/sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in')->name('sign-in.store');
    Route::post('/sign-in/demo', [SignInController::class, 'demo'])->name('sign-in.demo');
});

Route::get('/feeds/{secret}.ics', FeedController::class)->where('secret', LinkSecret::PATTERN)->middleware('throttle:door')->name('feed');

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::post('/clock', ClockController::class)->name('clock');
    Route::get('/', BoardController::class)->name('board');
    Route::get('/me', MeController::class)->name('me');

    // The door: for whoever is signed in; who gets in is its own answer.
    Route::get('/join', [DoorController::class, 'ask'])->name('join');
    Route::post('/join', [DoorController::class, 'find'])->middleware('throttle:code')->name('join.find');
    Route::get('/join/{secret}', [DoorController::class, 'show'])->where('secret', LinkSecret::PATTERN)->middleware('throttle:door')->name('door');
    Route::post('/join/{secret}', [DoorController::class, 'enter'])->where('secret', LinkSecret::PATTERN)->middleware('throttle:door')->name('door.enter');

    Route::middleware('can:staff')->group(function (): void {
        Route::get('/term', TermController::class)->name('term');
        Route::get('/timetable', TimetableController::class)->name('timetable');
        Route::get('/timetable/clashes', [ClashController::class, 'index'])->name('clashes');
        Route::get('/joining', JoiningController::class)->name('joining');
        Route::get('/registration', RegistrationController::class)->name('registration');
        Route::get('/publishing', [PublishingController::class, 'index'])->name('publishing');
        Route::get('/today', TodayController::class)->name('today');
        Route::get('/records', RecordsController::class)->name('records');
        Route::get('/find', FindController::class)->middleware('looks')->name('find');
        Route::get('/people/{sourcedId}', PersonController::class)->name('person');

        Route::get('/sections/{section}', SectionController::class)->name('section');
        // Who may is asked before what was typed is read.
        Route::middleware('can:timetable,section')->scopeBindings()->group(function (): void {
            Route::post('/sections/{section}/series/preview', [SeriesController::class, 'preview'])->middleware('looks')->name('series.preview');
            Route::post('/sections/{section}/series', [SeriesController::class, 'store'])->name('series.store');
            Route::put('/sections/{section}/series/{series}', [SeriesController::class, 'update'])->name('series.update');
            Route::delete('/sections/{section}/series/{series}', [SeriesController::class, 'destroy'])->name('series.destroy');
            Route::post('/sections/{section}/series/{series}/sessions/{session}/cancellation', [SessionController::class, 'cancel'])->name('session.cancel');
            Route::put('/sections/{section}/series/{series}/sessions/{session}', [SessionController::class, 'move'])->name('session.move');
            Route::delete('/sections/{section}/series/{series}/sessions/{session}/cancellation', [SessionController::class, 'restore'])->name('session.restore');
        });

        // Each section chosen is authorised on its own (ChosenSections).
        Route::post('/joining/links', [LinkController::class, 'store'])->name('links.store');
        Route::post('/registration/rosters', [RosterController::class, 'store'])->name('rosters.store');
        Route::post('/publishing/chosen', [PublishingController::class, 'choose'])->name('publishing.choose');
        Route::post('/publishing/runs', [PublishingController::class, 'store'])->name('publishing.store');
        Route::get('/publishing/runs', [RunController::class, 'index'])->name('runs');
        Route::get('/publishing/runs/{run}', [RunController::class, 'show'])->name('run');
        Route::get('/publishing/runs/{run}/progress', [RunController::class, 'progress'])->middleware('looks')->name('run.progress');
        Route::post('/publishing/runs/{run}/again', [RunController::class, 'again'])->name('run.again');
        Route::get('/publishing/sections/{section}', [PublishingController::class, 'section'])->middleware('looks')->name('publishing.section');
    });

    Route::middleware('can:coordinate')->group(function (): void {
        Route::get('/term/closing', [ClosureController::class, 'preview'])->name('closures.preview');
        Route::post('/term/closures', [ClosureController::class, 'store'])->name('closures.store');
        Route::delete('/term/closures/{closure}', [ClosureController::class, 'destroy'])->name('closures.destroy');
        Route::post('/timetable/clashes', [ClashController::class, 'accept'])->name('clashes.accept');
        Route::delete('/timetable/clashes', [ClashController::class, 'reopen'])->name('clashes.reopen');
        Route::get('/term/import', [ImportController::class, 'create'])->name('import');
        Route::post('/term/import', [ImportController::class, 'store'])->name('import.store');
        Route::get('/term/import/{key}', [ImportController::class, 'preview'])->name('import.preview');
        Route::post('/term/import/{key}', [ImportController::class, 'take'])->name('import.take');
    });
});
