<?php

use Illuminate\Support\Facades\Route;
use Nomada\App\Http\Controllers\Publishing\DriftController;
use Nomada\App\Http\Controllers\Publishing\FeedController;
use Nomada\App\Http\Controllers\Publishing\LookController;
use Nomada\App\Http\Controllers\Publishing\MaterialController;
use Nomada\App\Http\Controllers\Publishing\PlacesController;
use Nomada\App\Http\Controllers\Publishing\PublishingController;
use Nomada\App\Http\Controllers\Publishing\ReminderController;
use Nomada\App\Http\Controllers\Publishing\RunController;
use Nomada\App\Http\Controllers\Publishing\ShowingController;
use Nomada\App\Http\Controllers\Publishing\WebhookController;
use Nomada\Core\Joining\LinkSecret;

// What programs and other sites read by a secret address: it starts no session and sets no cookie.
Route::withoutMiddleware('web')
    ->where(['secret' => LinkSecret::PATTERN])
    ->group(function (): void {
        Route::get('/feeds/{secret}.ics', FeedController::class)->middleware('throttle:feed')->name('feed');
        Route::get('/feeds/{secret}.atom', [FeedController::class, 'stream'])
            ->middleware('throttle:feed')
            ->name('feed.stream');
        Route::get('/feeds/{secret}.ifb', [FeedController::class, 'busy'])
            ->middleware('throttle:feed')
            ->name('feed.busy');
        Route::get('/feeds/{secret}/page', [FeedController::class, 'page'])
            ->middleware('throttle:page')
            ->name('feed.page');
    });

Route::middleware('auth')->group(function (): void {
    // For anybody who has a part in its section, which is its own answer.
    Route::get('/materials/{file}', [MaterialController::class, 'file'])
        ->where('file', '[0-9A-HJKMNP-TV-Z]{26}')
        ->name('material');
    Route::put('/me/reminder', [ReminderController::class, 'own'])->name('me.remind');
    Route::post('/me/feed', [FeedController::class, 'renew'])->name('feed.renew');

    Route::middleware('can:staff')->group(function (): void {
        Route::get('/publishing', [PublishingController::class, 'index'])->name('publishing');
        Route::get('/people/{sourcedId}/look', LookController::class)->name('look');
        Route::get('/people/{sourcedId}/calendar.ics', [FeedController::class, 'ofPerson'])->name(
            'person.calendar',
        );
        Route::get('/sections/{section}/calendar.ics', [FeedController::class, 'ofSection'])->name(
            'section.calendar',
        );
        Route::post('/sections/{section}/materials', [MaterialController::class, 'store'])->name('materials.store');
        Route::delete('/sections/{section}/materials/{material}', [MaterialController::class, 'destroy'])->name(
            'materials.destroy',
        );
        Route::post('/sections/{section}/addresses', [FeedController::class, 'renewSection'])->name(
            'section.addresses',
        );
        Route::put('/sections/{section}/reminder', [ReminderController::class, 'section'])->name('section.remind');
        Route::get('/sections/{section}/cartridge', [FeedController::class, 'cartridge'])->name(
            'section.cartridge',
        );
        Route::post('/publishing/chosen', [PublishingController::class, 'choose'])->name('publishing.choose');
        Route::post('/publishing/runs', [PublishingController::class, 'store'])->name('publishing.store');
        Route::get('/publishing/runs', [RunController::class, 'index'])->name('runs');
        Route::get('/publishing/runs/{run}', [RunController::class, 'show'])->name('run');
        Route::get('/publishing/runs/{run}/progress', [RunController::class, 'progress'])
            ->middleware('looks')
            ->name('run.progress');
        Route::post('/publishing/runs/{run}/again', [RunController::class, 'again'])->name('run.again');
        Route::post('/publishing/runs/{run}/halt', [RunController::class, 'halt'])->name('run.halt');
        Route::post('/publishing/runs/{run}/going-on', [RunController::class, 'goOn'])->name('run.go-on');
        Route::get('/publishing/runs/{run}/record.csv', [RunController::class, 'csv'])->name('run.csv');
        Route::get('/publishing/drift', [DriftController::class, 'show'])->name('drift');
        Route::post('/publishing/drift/look', [DriftController::class, 'look'])->name('drift.look');
        Route::post('/publishing/drift/back', [DriftController::class, 'putBack'])->name('drift.back');
        Route::post('/publishing/drift/kept', [DriftController::class, 'keep'])->name('drift.keep');
        // Authorised by the placement's section.
        Route::delete('/publishing/drift/kept/{placement}', [DriftController::class, 'takeBack'])->name(
            'drift.take-back',
        );
        Route::post('/publishing/added/{section}/{added}', [DriftController::class, 'leave'])
            ->middleware('can:serve,section')
            ->name('added.leave');
        Route::delete('/publishing/added/{section}/{added}', [DriftController::class, 'remove'])
            ->middleware('can:serve,section')
            ->name('added.remove');
        Route::get('/publishing/sections/{section}', [PublishingController::class, 'section'])
            ->middleware('looks')
            ->name('publishing.section');
    });

    Route::middleware('can:coordinate')->group(function (): void {
        Route::get('/publishing/places', [PlacesController::class, 'show'])->name('places');
        Route::get('/publishing/showing', [ShowingController::class, 'school'])->name('showing');
        Route::put('/publishing/showing', [ShowingController::class, 'keepSchool'])->name('showing.keep');
        Route::get('/publishing/showing/{section}', [ShowingController::class, 'section'])->name('showing.section');
        Route::put('/publishing/showing/{section}', [ShowingController::class, 'keepSection'])->name(
            'showing.section.keep',
        );
        Route::delete('/publishing/showing/{section}', [ShowingController::class, 'reset'])->name(
            'showing.section.reset',
        );
        Route::get('/term/roster', [FeedController::class, 'roster'])->name('roster');
        Route::put('/publishing/places/{service}', [PlacesController::class, 'update'])->name('places.update');
        Route::put('/publishing/places/{service}/trial', [PlacesController::class, 'try'])->name('places.try');
        Route::delete('/publishing/places/{service}', [PlacesController::class, 'reset'])->name('places.reset');
        Route::get('/publishing/webhooks', [WebhookController::class, 'index'])->name('webhooks');
        Route::post('/publishing/webhooks', [WebhookController::class, 'store'])->name('webhooks.store');
        Route::post('/publishing/webhooks/{webhook}/trial', [WebhookController::class, 'try'])->name(
            'webhooks.try',
        );
        Route::delete('/publishing/webhooks/{webhook}', [WebhookController::class, 'destroy'])->name(
            'webhooks.destroy',
        );
        Route::post('/publishing/webhooks/messages/{message}/again', [WebhookController::class, 'again'])->name(
            'webhooks.again',
        );
        Route::post('/publishing/rooms', [PlacesController::class, 'rooms'])->name('places.rooms');
    });
});
