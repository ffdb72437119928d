<?php

use Illuminate\Support\Facades\Route;

// Ids are numbers that fit the database's; anything else is no page.
foreach (
    [
        'pass',
        'result',
        'room',
        'person',
        'session',
        'series',
        'registration',
        'change',
        'rule',
        'enrolment',
        'link',
        'closure',
        'plan',
        'import',
        'day',
        'term',
        'account',
        'added',
        'placement',
        'material',
        'recording',
        'part',
        'absence',
        'webhook',
        'message',
        'changeRequest',
        'seriesToPlace',
        'solverRun',
        'timetableDraft',
        'wish',
    ] as $id
) {
    Route::pattern($id, '[0-9]{1,18}');
}

foreach (glob(__DIR__.'/web/*.php') ?: [] as $room) {
    require $room;
}
