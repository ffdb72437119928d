<?php

use Illuminate\Support\Facades\Route;
use Nomada\App\Http\Controllers\Timetable\ChangeRequestController;
use Nomada\App\Http\Controllers\Timetable\ClashController;
use Nomada\App\Http\Controllers\Timetable\ContactTimeController;
use Nomada\App\Http\Controllers\Timetable\DraftController;
use Nomada\App\Http\Controllers\Timetable\EventImportController;
use Nomada\App\Http\Controllers\Timetable\FixController;
use Nomada\App\Http\Controllers\Timetable\HistoryController;
use Nomada\App\Http\Controllers\Timetable\LicenceController;
use Nomada\App\Http\Controllers\Timetable\MovesController;
use Nomada\App\Http\Controllers\Timetable\SectionController;
use Nomada\App\Http\Controllers\Timetable\SeriesController;
use Nomada\App\Http\Controllers\Timetable\SeriesToPlaceController;
use Nomada\App\Http\Controllers\Timetable\SessionController;
use Nomada\App\Http\Controllers\Timetable\SharingController;
use Nomada\App\Http\Controllers\Timetable\TeacherRightsController;
use Nomada\App\Http\Controllers\Timetable\TimetableController;
use Nomada\App\Http\Controllers\Timetable\WishController;

Route::middleware('auth')->group(function (): void {
    Route::middleware('can:staff')->group(function (): void {
        Route::get('/timetable', TimetableController::class)->name('timetable');
        Route::get('/timetable/sheets', [TimetableController::class, 'sheets'])->name('timetable.sheets');
        Route::get('/timetable/clashes', [ClashController::class, 'index'])->name('clashes');
        Route::get('/timetable/contact-time', [ContactTimeController::class, 'index'])->name('contact-time');
        Route::get('/timetable/contact-time/rows', [ContactTimeController::class, 'rows'])
            ->middleware('looks')
            ->name('contact-time.rows');
        Route::get('/timetable/contact-time.{as}', [ContactTimeController::class, 'export'])
            ->where('as', 'csv|xlsx')
            ->name('contact-time.export');
        Route::get('/timetable/wishes', [WishController::class, 'index'])->name('wishes');
        Route::post('/timetable/wishes', [WishController::class, 'store'])->name('wishes.store');
        Route::delete('/timetable/wishes/{wish}', [WishController::class, 'destroy'])->name('wishes.destroy');
        Route::get('/sections/{section}', SectionController::class)->name('section');
        Route::get('/requests', [ChangeRequestController::class, 'index'])->name('requests');
        Route::delete('/requests/{changeRequest}', [ChangeRequestController::class, 'withdraw'])->name(
            'requests.withdraw',
        );

        // Who may is asked before what was typed is read.
        Route::middleware('can:timetable,section')
            ->scopeBindings()
            ->group(function (): void {
                Route::post('/sections/{section}/series/preview', [SeriesController::class, 'preview'])
                    ->middleware('looks')
                    ->name('series.preview');
                Route::post('/sections/{section}/series', [SeriesController::class, 'store'])->name('series.store');
                Route::post('/sections/{section}/to-place', [SeriesToPlaceController::class, 'store'])->name(
                    'to-place.store',
                );
                Route::post('/sections/{section}/to-place/{seriesToPlace}/time', [
                    SeriesToPlaceController::class,
                    'place',
                ])->name('to-place.place');
                Route::get('/sections/{section}/to-place/{seriesToPlace}/busy', [
                    SeriesToPlaceController::class,
                    'busy',
                ])
                    ->middleware('looks')
                    ->name('to-place.busy');
                Route::delete('/sections/{section}/to-place/{seriesToPlace}', [
                    SeriesToPlaceController::class,
                    'destroy',
                ])->name('to-place.destroy');
                Route::put('/sections/{section}/series/{series}', [SeriesController::class, 'update'])->name(
                    'series.update',
                );
                Route::delete('/sections/{section}/series/{series}', [SeriesController::class, 'destroy'])->name(
                    'series.destroy',
                );
                Route::post('/sections/{section}/series/{series}/sections', [
                    SharingController::class,
                    'store',
                ])->name('series.share');
            });
        // Teachers, too, as far as the school lets them (ChangeByTeacher).
        Route::middleware('can:change,section')
            ->scopeBindings()
            ->group(function (): void {
                Route::post('/sections/{section}/series/{series}/sessions/{session}/cancellation', [
                    SessionController::class,
                    'cancel',
                ])->name('session.cancel');
                Route::put('/sections/{section}/series/{series}/sessions/{session}', [
                    SessionController::class,
                    'move',
                ])->name('session.move');
                Route::post('/sections/{section}/series/{series}/sessions/{session}/moving', [
                    SessionController::class,
                    'look',
                ])
                    ->middleware('looks')
                    ->name('session.look');
                Route::get('/sections/{section}/series/{series}/sessions/{session}/busy', [
                    SessionController::class,
                    'busy',
                ])
                    ->middleware('looks')
                    ->name('session.busy');
                Route::put('/sections/{section}/series/{series}/sessions/{session}/particulars', [
                    SessionController::class,
                    'tell',
                ])->name('session.tell');
                Route::delete('/sections/{section}/series/{series}/sessions/{session}', [
                    SessionController::class,
                    'remove',
                ])->name('session.remove');
                Route::post('/sections/{section}/series/{series}/sessions', [
                    SessionController::class,
                    'add',
                ])->name('session.add');
                Route::put('/sections/{section}/series/{series}/topics', [
                    SharingController::class,
                    'topics',
                ])->name('series.topics');
                Route::post('/sections/{section}/changes/{change}/undoing', [
                    HistoryController::class,
                    'undo',
                ])->name('change.undo');
                Route::post('/sections/{section}/changes/{change}/letters', [
                    HistoryController::class,
                    'tell',
                ])->name('change.tell');
                Route::delete('/sections/{section}/series/{series}/sessions/{session}/cancellation', [
                    SessionController::class,
                    'restore',
                ])->name('session.restore');
            });
        Route::delete('/sections/{section}/series/{series}/sections/{other:sourced_id}', [
            SharingController::class,
            'destroy',
        ])
            ->middleware('can:timetable,section')
            ->withoutScopedBindings()
            ->name('series.unshare');
    });

    Route::middleware('can:coordinate')->group(function (): void {
        Route::get('/teachers/rights', [TeacherRightsController::class, 'show'])->name('rights');
        Route::put('/teachers/rights', [TeacherRightsController::class, 'update'])->name('rights.update');
        Route::put('/sections/{section}/rights', [TeacherRightsController::class, 'override'])->name(
            'rights.override',
        );
        Route::post('/requests/{changeRequest}/acceptance', [ChangeRequestController::class, 'accept'])->name(
            'requests.accept',
        );
        Route::post('/requests/{changeRequest}/refusal', [ChangeRequestController::class, 'decline'])->name(
            'requests.decline',
        );
        Route::get('/timetable/clashes/options', [ClashController::class, 'options'])
            ->middleware('looks')
            ->name('clashes.options');
        Route::get('/timetable/moves', [MovesController::class, 'create'])->name('moves');
        Route::post('/timetable/moves/preview', [MovesController::class, 'preview'])
            ->middleware('looks')
            ->name('moves.preview');
        Route::post('/timetable/moves', [MovesController::class, 'store'])->name('moves.store');
        Route::put('/timetable/contact-time', [ContactTimeController::class, 'target'])->name(
            'contact-time.target',
        );
        Route::get('/timetable/drafts', [DraftController::class, 'index'])->name('drafts');
        Route::post('/timetable/drafts', [DraftController::class, 'store'])->name('drafts.store');
        Route::post('/timetable/drafts/{timetableDraft}/taking', [DraftController::class, 'take'])->name(
            'drafts.take',
        );
        Route::delete('/timetable/drafts/{timetableDraft}', [DraftController::class, 'destroy'])->name(
            'drafts.destroy',
        );
        Route::get('/timetable/own-hours', [WishController::class, 'ownHours'])->name('own-hours');
        Route::put('/timetable/wishes/{wish}', [WishController::class, 'rule'])->name('wishes.rule');
        Route::get('/timetable/why-not', [FixController::class, 'whyNot'])
            ->middleware('looks')
            ->name('why-not');
        Route::get('/timetable/{kind}', [FixController::class, 'show'])
            ->whereIn('kind', ['fix', 'place'])
            ->name('fix');
        Route::post('/timetable/{kind}', [FixController::class, 'ask'])
            ->whereIn('kind', ['fix', 'place'])
            ->name('fix.ask');
        Route::post('/timetable/fix/{solverRun}/stopping', [FixController::class, 'stop'])->name('fix.stop');
        Route::get('/timetable/fix/{solverRun}/answers/{answer}', [FixController::class, 'preview'])
            ->whereNumber('answer')
            ->name('fix.preview');
        Route::post('/timetable/fix/{solverRun}/answers/{answer}', [FixController::class, 'take'])
            ->whereNumber('answer')
            ->name('fix.take');
        Route::get('/timetable/licences', [LicenceController::class, 'index'])->name('licences');
        Route::post('/timetable/licences/plans', [LicenceController::class, 'plan'])->name('hosting-plans.store');
        Route::delete('/timetable/licences/plans/{plan}', [LicenceController::class, 'dropPlan'])->name(
            'hosting-plans.destroy',
        );
        Route::post('/timetable/licences/accounts', [LicenceController::class, 'account'])->name(
            'host-accounts.store',
        );
        Route::put('/timetable/licences/accounts/{account}', [LicenceController::class, 'regrade'])->name(
            'host-accounts.update',
        );
        Route::delete('/timetable/licences/accounts/{account}', [LicenceController::class, 'dropAccount'])->name(
            'host-accounts.destroy',
        );
        Route::post('/timetable/licences/assignment', [LicenceController::class, 'assign'])->name(
            'licences.assign',
        );
        Route::put('/timetable/licences/series/{series}', [LicenceController::class, 'put'])->name('licences.put');
        Route::post('/timetable/licences/series/{series}/parts', [LicenceController::class, 'split'])->name(
            'licences.split',
        );
        Route::get('/timetable/calendars', [EventImportController::class, 'create'])->name('events');
        Route::post('/timetable/calendars', [EventImportController::class, 'store'])->name('events.store');
        Route::get('/timetable/calendars/{key}', [EventImportController::class, 'preview'])->name('events.preview');
        Route::post('/timetable/calendars/{key}', [EventImportController::class, 'take'])->name('events.take');
        Route::post('/timetable/clashes', [ClashController::class, 'accept'])->name('clashes.accept');
        Route::delete('/timetable/clashes', [ClashController::class, 'reopen'])->name('clashes.reopen');
    });
});
