<?php

use Illuminate\Support\Facades\Route;
use Nomada\App\Http\Controllers\Joining\DoorController;
use Nomada\App\Http\Controllers\Joining\DropInController;
use Nomada\App\Http\Controllers\Joining\EnterController;
use Nomada\App\Http\Controllers\Joining\JoiningController;
use Nomada\App\Http\Controllers\Joining\LinkController;
use Nomada\App\Http\Controllers\Joining\LiveController;
use Nomada\App\Http\Controllers\Joining\SeriesDoorController;
use Nomada\Core\Joining\LinkSecret;
use Nomada\Core\Joining\ShortAddress;

// The door: a guest's pass opens without an account; every other link asks to sign in first.
Route::get('/join/{secret}', [DoorController::class, 'show'])
    ->where('secret', LinkSecret::PATTERN)
    ->middleware('throttle:door')
    ->name('door');
Route::post('/join/{secret}', [DoorController::class, 'enter'])
    ->where('secret', LinkSecret::PATTERN)
    ->middleware('throttle:door')
    ->name('door.enter');
Route::post('/join/{secret}/pass', [DoorController::class, 'askForPass'])
    ->where('secret', LinkSecret::PATTERN)
    ->middleware('throttle:code')
    ->name('door.ask');
// Asked every few seconds by everybody who waits: it starts no session and asks for nobody.
Route::get('/join/{secret}/look', [DoorController::class, 'look'])
    ->where('secret', LinkSecret::PATTERN)
    ->withoutMiddleware('web')
    ->middleware(['throttle:look', 'signed'])
    ->name('door.look');

Route::middleware('auth')->group(function (): void {
    // The door: for anybody who is signed in; who gets in is its own answer.
    Route::get('/go/{address}', [DoorController::class, 'short'])
        ->where('address', ShortAddress::PATTERN)
        ->middleware('throttle:door')
        ->name('short');
    Route::get('/enter/{series}', [EnterController::class, 'series'])
        ->whereNumber('series')
        ->name('enter');
    Route::get('/enter/rooms/{room}', [EnterController::class, 'room'])
        ->whereNumber('room')
        ->name('enter.room');
    Route::get('/join', [DoorController::class, 'ask'])->name('join');
    Route::post('/join', [DoorController::class, 'find'])
        ->middleware('throttle:code')
        ->name('join.find');

    Route::middleware('can:staff')->group(function (): void {
        Route::get('/joining', [JoiningController::class, 'index'])->name('joining');
        Route::get('/joining/rows', [JoiningController::class, 'rows'])
            ->middleware('looks')
            ->name('joining.rows');
        // Each series chosen is authorised on its own.
        Route::post('/joining/acts', [JoiningController::class, 'act'])->name('joining.act');
        Route::get('/joining/acts/{result}', [JoiningController::class, 'result'])->name('joining.result');
        Route::post('/joining/acts/{result}/undoing', [JoiningController::class, 'undoResult'])->name(
            'joining.result.undo',
        );
        Route::get('/sections/{section}/series/{series}/joining', [SeriesDoorController::class, 'show'])
            ->middleware('can:serve,section')
            ->scopeBindings()
            ->name('series.door');

        Route::middleware('can:serve,section')
            ->scopeBindings()
            ->group(function (): void {
                Route::put('/sections/{section}/series/{series}/preset', [
                    SeriesDoorController::class,
                    'preset',
                ])->name('series.preset');
                Route::put('/sections/{section}/series/{series}/rules', [
                    SeriesDoorController::class,
                    'door',
                ])->name('series.rules');
                Route::delete('/sections/{section}/series/{series}/sessions/{session}/rules', [
                    SeriesDoorController::class,
                    'asSeries',
                ])->name('series.rules.session');
                Route::post('/sections/{section}/series/{series}/openness', [
                    SeriesDoorController::class,
                    'accept',
                ])->name('series.open.accept');
                Route::post('/sections/{section}/series/{series}/hiding', [
                    SeriesDoorController::class,
                    'hide',
                ])->name('series.hide');
                Route::post('/sections/{section}/series/{series}/replacement', [
                    SeriesDoorController::class,
                    'replace',
                ])->name('series.replace');
                Route::put('/sections/{section}/series/{series}/short-address', [
                    SeriesDoorController::class,
                    'name',
                ])->name('series.short');
                Route::post('/sections/{section}/series/{series}/guests', [
                    SeriesDoorController::class,
                    'guest',
                ])->name('series.guest');
                Route::delete('/sections/{section}/series/{series}/guests/{link}', [
                    SeriesDoorController::class,
                    'withdraw',
                ])->name('series.guest.withdraw');
            });
        Route::get('/live/{session}', [LiveController::class, 'show'])->name('live');
        Route::post('/live/{session}', [LiveController::class, 'act'])->name('live.act');
        // Each drop-in room is authorised by its section.
        Route::get('/joining/drop-in', [DropInController::class, 'index'])->name('drop-ins');
        Route::post('/joining/drop-in', [DropInController::class, 'store'])->name('drop-ins.store');
        Route::put('/joining/drop-in/{room}', [DropInController::class, 'update'])->name('drop-ins.update');
        Route::post('/joining/drop-in/{room}/hiding', [DropInController::class, 'hide'])->name('drop-ins.hide');
        Route::post('/joining/drop-in/{room}/replacement', [DropInController::class, 'replace'])->name(
            'drop-ins.replace',
        );
        Route::delete('/joining/drop-in/{room}', [DropInController::class, 'destroy'])->name('drop-ins.destroy');
        Route::get('/joining/drop-in/{room}/live', [LiveController::class, 'dropIn'])->name('drop-in.live');
        Route::post('/joining/drop-in/{room}/live', [LiveController::class, 'dropInAct'])->name('drop-in.live.act');
        // Each section chosen is authorised on its own (ChosenSections).
        Route::post('/joining/links', [LinkController::class, 'store'])->name('links.store');
    });

    Route::middleware('can:coordinate')->group(function (): void {
        Route::get('/joining/presets', [JoiningController::class, 'presets'])->name('presets');
        Route::post('/joining/presets', [JoiningController::class, 'storePreset'])->name('presets.store');
        Route::delete('/joining/presets/{key}', [JoiningController::class, 'destroyPreset'])->name(
            'presets.destroy',
        );
        Route::get('/joining/audit', [JoiningController::class, 'audit'])->name('audit');
        Route::get('/joining/audit.csv', [JoiningController::class, 'export'])->name('audit.export');
    });
});
