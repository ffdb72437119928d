<?php

use Illuminate\Support\Facades\Route;
use Nomada\App\Http\Controllers\Presence\AbsenceController;
use Nomada\App\Http\Controllers\Presence\AttendanceController;
use Nomada\App\Http\Controllers\Presence\PresenceListController;
use Nomada\App\Http\Controllers\Presence\RecordingController;
use Nomada\App\Http\Controllers\Presence\RecordsController;
use Nomada\App\Http\Controllers\Presence\TodayController;

// By the link in a guardian's letter: the children's attendance, and where an absence is told.
Route::middleware(['signed', 'throttle:door'])->group(function (): void {
    Route::get('/children/{person}', [AbsenceController::class, 'children'])->name('children');
    Route::post('/children/{person}', [AbsenceController::class, 'tellForChild'])->name('children.tell');
});

Route::middleware('auth')->group(function (): void {
    // A recording is for anybody who hosts its session, and for students to whom it is released: asked for each.
    Route::get('/recordings/{recording}', [RecordingController::class, 'show'])->name('recording');
    Route::post('/recordings/{recording}/word', [RecordingController::class, 'word'])
        ->middleware('throttle:code')
        ->name('recording.word');
    Route::post('/recordings/{recording}/place', [RecordingController::class, 'place'])->name('recording.place');
    Route::get('/recordings/{recording}/parts/{part}', [RecordingController::class, 'part'])->name(
        'recording.part',
    );
    Route::get('/recordings/{recording}/parts/{part}/words.vtt', [RecordingController::class, 'transcript'])->name(
        'recording.transcript',
    );
    Route::get('/sections/{section}/recordings', [RecordingController::class, 'search'])->name('recordings.search');

    Route::middleware('can:study')->group(function (): void {
        Route::get('/me/attendance', [AbsenceController::class, 'own'])->name('attendance.own');
    });

    Route::middleware('can:staff')->group(function (): void {
        Route::get('/today', TodayController::class)->name('today');
        Route::post('/today/start', [TodayController::class, 'start'])->name('today.start');
        Route::get('/sections/{section}/start', [TodayController::class, 'choose'])->name('today.choose');
        Route::get('/records', RecordsController::class)->name('records');
        Route::get('/records/rows', [RecordsController::class, 'rows'])
            ->middleware('looks')
            ->name('records.rows');
        Route::get('/records/missed', [AbsenceController::class, 'missed'])->name('missed');
        Route::post('/records/missed', [AbsenceController::class, 'write'])->name('missed.write');
        // One student's: the sections that the viewer has in common with them.
        Route::get('/records/people/{sourcedId}', [AbsenceController::class, 'student'])->name(
            'attendance.student',
        );
        Route::get('/records/sections/{section}', [AttendanceController::class, 'section'])
            ->middleware('can:view,section')
            ->name('attendance');
        Route::get('/records/sections/{section}/as/{as}', [AttendanceController::class, 'export'])
            ->middleware('can:view,section')
            ->name('attendance.export');
        Route::get('/records/sections/{section}/sessions/{session}', [AttendanceController::class, 'session'])
            ->middleware('can:view,section')
            ->name('attendance.session');

        Route::middleware('can:serve,section')->group(function (): void {
            $sessions = '/records/sections/{section}/sessions/{session}';
            Route::post("$sessions/corrections", [AttendanceController::class, 'correct'])->name(
                'attendance.correct',
            );
            Route::delete("$sessions/corrections/{who}", [AttendanceController::class, 'asComputed'])->name(
                'attendance.as-computed',
            );
            Route::post("$sessions/reading", [AttendanceController::class, 'read'])->name('attendance.read');
            Route::put('/records/sections/{section}/formula', [AttendanceController::class, 'formula'])->name(
                'attendance.formula',
            );
            Route::put('/records/sections/{section}/scores', [AttendanceController::class, 'score'])->name(
                'attendance.score',
            );
            Route::put('/records/sections/{section}/release', [AttendanceController::class, 'byItself'])->name(
                'attendance.by-itself',
            );
            Route::get('/records/sections/{section}/lists', [PresenceListController::class, 'ask'])->name(
                'presence-lists',
            );
            Route::post('/records/sections/{section}/lists', [PresenceListController::class, 'store'])->name(
                'presence-lists.store',
            );
            Route::get('/records/sections/{section}/lists/{key}', [PresenceListController::class, 'show'])->name(
                'presence-lists.show',
            );
            Route::post('/records/sections/{section}/lists/{key}', [PresenceListController::class, 'take'])->name(
                'presence-lists.take',
            );
        });
        // Each recording is authorised by its session.
        Route::put('/recordings/{recording}/release', [RecordingController::class, 'release'])->name(
            'recording.release',
        );
        Route::delete('/recordings/{recording}/release', [RecordingController::class, 'withdraw'])->name(
            'recording.withdraw',
        );
        Route::post('/recordings/{recording}/transcript', [RecordingController::class, 'keepTranscript'])->name(
            'recording.keep-transcript',
        );
    });

    Route::middleware('can:coordinate')->group(function (): void {
        Route::post('/records/people/{sourcedId}/absences', [AbsenceController::class, 'tell'])->name(
            'absences.tell',
        );
        Route::delete('/records/people/{sourcedId}/absences/{absence}', [
            AbsenceController::class,
            'takeBack',
        ])->name('absences.take-back');
        Route::put('/records/rules', [RecordsController::class, 'rules'])->name('records.rules');
    });
});
