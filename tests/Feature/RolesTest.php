<?php

use Illuminate\Support\Facades\Route;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Term\Person;

// Every route, for everybody: what a person of each role gets. A route that is not in this table fails the last test.
const ROUTES = [
    // method, path, coordinator, own teacher, another teacher, student, nobody signed in
    'board' => ['GET', '/', 200, 200, 200, 302, 302],
    'me' => ['GET', '/me', 302, 302, 302, 200, 302],
    'term' => ['GET', '/term', 200, 200, 200, 403, 302],
    'timetable' => ['GET', '/timetable', 200, 200, 200, 403, 302],
    'clashes' => ['GET', '/timetable/clashes', 200, 200, 200, 403, 302],
    'clashes.accept' => ['POST', '/timetable/clashes', 302, 403, 403, 403, 302],
    'clashes.reopen' => ['DELETE', '/timetable/clashes', 302, 403, 403, 403, 302],
    'joining' => ['GET', '/joining', 200, 200, 200, 403, 302],
    'registration' => ['GET', '/registration', 200, 200, 200, 403, 302],
    'publishing' => ['GET', '/publishing', 200, 200, 200, 403, 302],
    'today' => ['GET', '/today', 200, 200, 200, 403, 302],
    'records' => ['GET', '/records', 200, 200, 200, 403, 302],
    'find' => ['GET', '/find?q=mar', 200, 200, 200, 403, 302],
    'person' => ['GET', '/people/S-1', 200, 200, 404, 403, 302],
    'section' => ['GET', '/sections/MAR', 200, 200, 403, 403, 302],
    'series.preview' => ['POST', '/sections/MAR/series/preview', 302, 403, 403, 403, 302],
    'series.store' => ['POST', '/sections/MAR/series', 302, 403, 403, 403, 302],
    'series.update' => ['PUT', '/sections/MAR/series/{series}', 302, 403, 403, 403, 302],
    'series.destroy' => ['DELETE', '/sections/MAR/series/{series}', 302, 403, 403, 403, 302],
    'session.cancel' => ['POST', '/sections/MAR/series/{series}/sessions/{session}/cancellation', 302, 403, 403, 403, 302],
    'session.move' => ['PUT', '/sections/MAR/series/{series}/sessions/{session}', 302, 403, 403, 403, 302],
    'session.restore' => ['DELETE', '/sections/MAR/series/{series}/sessions/{session}/cancellation', 302, 403, 403, 403, 302],
    'links.store' => ['POST', '/joining/links', 302, 302, 403, 403, 302],
    'rosters.store' => ['POST', '/registration/rosters', 302, 302, 403, 403, 302],
    'publishing.choose' => ['POST', '/publishing/chosen', 302, 302, 403, 403, 302],
    'publishing.store' => ['POST', '/publishing/runs', 302, 302, 403, 403, 302],
    'publishing.section' => ['GET', '/publishing/sections/MAR', 200, 200, 403, 403, 302],
    'runs' => ['GET', '/publishing/runs', 200, 200, 200, 403, 302],
    'run' => ['GET', '/publishing/runs/{run}', 200, 403, 403, 403, 302],
    'run.progress' => ['GET', '/publishing/runs/{run}/progress', 200, 403, 403, 403, 302],
    'run.again' => ['POST', '/publishing/runs/{run}/again', 302, 403, 403, 403, 302],
    'closures.preview' => ['GET', '/term/closing', 302, 403, 403, 403, 302],
    'closures.store' => ['POST', '/term/closures', 302, 403, 403, 403, 302],
    'closures.destroy' => ['DELETE', '/term/closures/{closure}', 302, 403, 403, 403, 302],
    'import' => ['GET', '/term/import', 200, 403, 403, 403, 302],
    'import.store' => ['POST', '/term/import', 302, 403, 403, 403, 302],
    'import.preview' => ['GET', '/term/import/01J00000000000000000000000', 404, 403, 403, 403, 302],
    'import.take' => ['POST', '/term/import/01J00000000000000000000000', 404, 403, 403, 403, 302],
    'clock' => ['POST', '/clock', 302, 302, 302, 302, 302],
    'sign-out' => ['POST', '/sign-out', 302, 302, 302, 302, 302],
    'sign-in' => ['GET', '/sign-in', 302, 302, 302, 302, 200],
    'sign-in.store' => ['POST', '/sign-in', 302, 302, 302, 302, 302],
    'sign-in.demo' => ['POST', '/sign-in/demo', 302, 302, 302, 302, 404],
    'join' => ['GET', '/join', 200, 200, 200, 200, 302],
    'join.find' => ['POST', '/join', 302, 302, 302, 302, 302],
    'door' => ['GET', '/join/AAAAAAAAAAAAAAAAAAAAAAAAAAA', 404, 404, 404, 404, 302],
    'door.enter' => ['POST', '/join/AAAAAAAAAAAAAAAAAAAAAAAAAAA', 404, 404, 404, 404, 302],
    'feed' => ['GET', '/feeds/AAAAAAAAAAAAAAAAAAAAAAAAAAA.ics', 404, 404, 404, 404, 404],
];

test('each role gets what is theirs', function (string $name) {
    $this->school();
    $run = Run::query()->create(['kind' => 'links', 'started_by' => Person::query()->where('sourced_id', 'A-1')->value('id'), 'app_time' => now()]);
    [$method, $path] = ROUTES[$name];
    $series = $this->section('MAR')->series()->firstOrFail();
    $path = strtr($path, ['{series}' => (string) $series->id, '{session}' => (string) $series->sessions()->value('id'), '{run}' => $run->id, '{closure}' => (string) Nomada\App\Models\Term\ClosedRange::query()->value('id')]);
    // The coordinator last: what may be deleted is still there for the others to be refused.
    foreach (array_reverse(['A-1', 'T-2', 'T-1', 'S-1', null], true) as $i => $who) {
        auth()->logout();
        $body = in_array($name, ['links.store', 'rosters.store', 'publishing.choose', 'publishing.store'], true) ? ['sections' => ['MAR']] : [];
        ($who === null ? $this : $this->as($who))->call($method, $path, $body)->assertStatus(ROUTES[$name][$i + 2]);
    }
})->with(array_keys(ROUTES));

test('no route is left out of this table', function () {
    $ours = collect(Route::getRoutes()->getRoutes())->filter(fn ($r) => str_starts_with((string) ($r->getActionName()), 'Nomada\\'))->map(fn ($r) => $r->getName())->values()->all();

    expect(array_diff($ours, array_keys(ROUTES)))->toBe([]);
});

test('a teacher sees only their own sections, in the lists as well', function () {
    $this->school();
    foreach (['/', '/joining', '/registration', '/records', '/publishing?show=all', '/today', '/timetable?by=section'] as $path) {
        $this->as('T-2')->get($path)->assertOk()->assertSee('Marine Science')->assertDontSee('Spanish Language');
    }
    expect($this->as('T-2')->getJson('/find?q=spanish')->json('found'))->toBe([])
        ->and($this->as('T-2')->getJson('/find?q=Piñeiral')->json('found'))->toBe([]);
});

test('a bulk act with one foreign section among them does nothing at all', function () {
    $this->school();

    $this->as('T-2')->post('/registration/rosters', ['sections' => ['MAR', 'SPA']])->assertForbidden();
    expect(Nomada\App\Models\Registration\Registration::query()->count())->toBe(0);
});
