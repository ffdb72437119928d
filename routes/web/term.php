<?php

use Illuminate\Support\Facades\Route;
use Nomada\App\Http\Controllers\Term\BeginController;
use Nomada\App\Http\Controllers\Term\CalendarController;
use Nomada\App\Http\Controllers\Term\ClosureController;
use Nomada\App\Http\Controllers\Term\ImportController;
use Nomada\App\Http\Controllers\Term\MembershipController;
use Nomada\App\Http\Controllers\Term\SetUpController;
use Nomada\App\Http\Controllers\Term\TermController;

Route::middleware('auth')->group(function (): void {

    Route::middleware('can:staff')->group(function (): void {
        Route::get('/term', TermController::class)->name('term');
        Route::get('/term/closed-days.ics', [ClosureController::class, 'export'])->name('closures.export');
        Route::post('/term/choice', [TermController::class, 'choose'])->name('term.choose');

        // Who may is asked before what was typed is read.
        Route::middleware('can:timetable,section')
            ->scopeBindings()
            ->group(function (): void {
                Route::post('/sections/{section}/people', [MembershipController::class, 'store'])->name(
                    'memberships.store',
                );
                Route::delete('/sections/{section}/people/{enrolment}', [
                    MembershipController::class,
                    'destroy',
                ])->name('memberships.destroy');
                Route::post('/sections/{section}/observer-rules', [MembershipController::class, 'rule'])->name(
                    'observer-rules.store',
                );
                Route::delete('/sections/{section}/observer-rules/{rule}', [
                    MembershipController::class,
                    'unrule',
                ])->name('observer-rules.destroy');
            });
    });

    Route::middleware('can:coordinate')->group(function (): void {
        Route::get('/set-up', [SetUpController::class, 'show'])->name('set-up');
        Route::post('/set-up/hiding', [SetUpController::class, 'hide'])->name('set-up.hide');
        Route::post('/term/imports/{import}/undoing', [ImportController::class, 'undo'])->name('import.undo');
        Route::post('/term/changes/{change}/undoing', [CalendarController::class, 'undo'])->name('calendar.undo');
        Route::get('/term/closing', [ClosureController::class, 'preview'])->name('closures.preview');
        Route::post('/term/closures', [ClosureController::class, 'store'])->name('closures.store');
        Route::post('/term/closed-days', [ClosureController::class, 'upload'])->name('closures.upload');
        Route::get('/term/closed-days/{key}', [ClosureController::class, 'read'])->name('closures.read');
        Route::post('/term/closed-days/{key}', [ClosureController::class, 'take'])->name('closures.take');
        Route::get('/term/make-ups', [ClosureController::class, 'makeUps'])->name('make-ups');
        Route::post('/term/make-ups', [ClosureController::class, 'makeUp'])->name('make-ups.store');
        Route::post('/term/day-plans', [CalendarController::class, 'plan'])->name('day-plans.store');
        Route::delete('/term/day-plans/{plan}', [CalendarController::class, 'dropPlan'])->name('day-plans.destroy');
        Route::post('/term/short-days', [CalendarController::class, 'shorten'])->name('short-days.store');
        Route::delete('/term/short-days/{day}', [CalendarController::class, 'lengthen'])->name(
            'short-days.destroy',
        );
        Route::post('/term/opened-days', [CalendarController::class, 'open'])->name('opened-days.store');
        Route::delete('/term/opened-days/{day}', [CalendarController::class, 'shut'])->name('opened-days.destroy');
        Route::put('/term/rotation', [CalendarController::class, 'rotate'])->name('rotation.update');
        Route::put('/term/hours', [CalendarController::class, 'hours'])->name('hours.update');
        Route::post('/terms', [TermController::class, 'store'])->name('terms.store');
        Route::post('/terms/copies', [TermController::class, 'copy'])->name('terms.copy');
        Route::delete('/terms/{term}', [TermController::class, 'destroy'])->name('terms.destroy');
        Route::delete('/term/closures/{closure}', [ClosureController::class, 'destroy'])->name('closures.destroy');
        Route::get('/begin', [BeginController::class, 'show'])->name('begin');
        Route::post('/begin', [BeginController::class, 'store'])->name('begin.store');
        Route::get('/begin/sample', [BeginController::class, 'sample'])->name('begin.sample');
        Route::get('/term/import', [ImportController::class, 'create'])->name('import');
        Route::post('/term/import', [ImportController::class, 'store'])->name('import.store');
        Route::get('/term/import/{key}', [ImportController::class, 'preview'])->name('import.preview');
        Route::post('/term/import/{key}', [ImportController::class, 'take'])->name('import.take');
    });
});
