<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;

const SHOWN = [
    'language' => 'en',
    'next' => 'top',
    'weeks' => 'week',
    'days_before' => '',
    'days_after' => '',
    'amount' => 'all',
    'answers' => '',
    'audience' => 'all',
];

beforeEach(function () {
    $this->standins = $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    Artisan::call('nomada:publish');
});

/** What is at the course page of a section, by item. */
function pageAt(string $section): array
{
    $answer = test()->standins->get("/course/pages/$section");

    return array_column($answer['items'], null, 'item');
}

/** The course page as a student sees it at a moment. */
function pageShown(string $section, string $at): string
{
    $test = test();

    return Http::withHeaders(['Accept' => 'text/html'])
        ->withToken($test->standins->token)
        ->get("{$test->standins->url}/course/pages/$section?at=".strtotime($at))
        ->body();
}

/** @return list<array<string, mixed>> */
function postsAt(string $section): array
{
    return test()->standins->get("/stream/sections/$section")['posts'];
}

test(
    'what stands where is chosen for the school and for a section, and stands there after the next run',
    function () {
        $this->standins->put(
            '/course/pages/MAR/items/reading-list',
            '{"title":"Reading list","block":"pinned","codes":["text"],"fields":{"Text":"Read it."}}',
        );
        $this->as('A-1')
            ->get('/publishing/showing/MAR')
            ->assertOk()
            ->assertSee('same as the school')
            ->assertSee('after &quot;Reading list&quot;', false)
            ->assertSee('in the block of its week', false);
        $this->put('/publishing/showing', ['days_before' => '7', 'answers' => 'nobody'] + SHOWN)
            ->assertRedirect('/publishing/showing')
            ->assertSessionHas('said');
        $this->put(
            '/publishing/showing/MAR',
            [
                'next' => 'after MAR/reading-list',
                'weeks' => 'top',
                'days_before' => '7',
                'days_after' => '0',
                'amount' => 'short',
                'answers' => 'answers',
                'audience' => 'chosen',
                'people' => ['S-1'],
            ] + SHOWN,
        )->assertSessionHasNoErrors();
        // Only in what it differs is its own: what the school changes later holds for the rest.
        expect(
            json_decode(DB::table('publishing_options')->whereNotNull('section_id')->value('rules'), true),
        )->toEqual([
            'next' => 'after MAR/reading-list',
            'weeks' => 'top',
            'till' => 0,
            'amount' => 'short',
            'answers' => 'answers',
            'for' => ['S-1'],
        ]);
        $this->get('/publishing/showing/MAR')->assertSee('6 settings of its own')->assertSee('1 chosen student');
        $this->get('/publishing/sections/MAR')
            ->assertSee('after MAR/reading-list')
            ->assertSee('students can reply')
            ->assertSee('1 chosen student');
        $this->work();
        // Nothing has gone there yet.
        expect(pageAt('MAR')['MAR/pinned']['settings'] ?? null)->toBeNull();

        Artisan::call('nomada:publish');
        expect(pageAt('MAR')['MAR/pinned']['settings'])
            ->toBe(['position' => 'after MAR/reading-list'])
            ->and(pageAt('MAR')['MAR/week-5']['settings'])
            ->toEqual(['position' => 'top', 'from' => '2027-01-31T23:00:00Z', 'till' => '2027-02-14T23:00:00Z'])
            ->and(postsAt('MAR')[0]['post']['settings'])
            ->toEqual(['answers' => 'answers', 'for' => ['S-1']])
            ->and(pageAt('SPA')['SPA/week-5']['settings'])
            ->toBe(['from' => '2027-01-31T23:00:00Z']);
        $shown = pageShown('MAR', '2027-02-09T08:00:00Z');
        expect(strpos($shown, 'Next session'))
            ->toBeGreaterThan(strpos($shown, 'Reading list'))
            ->and($shown)
            ->toContain('Week 5')
            ->toContain('Week 6')
            ->not->toContain('Week 4')
            ->not->toContain('Week 7');
        // Somebody takes the list away: what stood after it is where it would without.
        $this->standins->delete('/course/pages/MAR/items/reading-list');
        expect(pageShown('MAR', '2027-02-09T08:00:00Z'))->toContain('Next session');
        Artisan::call('nomada:truth');
        expect(Artisan::output())->toContain('Everybody');

        $this->delete('/publishing/showing/MAR')->assertSessionHas('said');
        $this->get('/publishing/showing/MAR')->assertSee('same as the school');
        expect(DB::table('publishing_options')->whereNotNull('section_id')->count())->toBe(0);
    },
);

test('what cannot be is refused and nothing is lost', function (array $with, string $field) {
    $this->as('A-1')
        ->from('/publishing/showing/MAR')
        ->put('/publishing/showing/MAR', $with + SHOWN)
        ->assertSessionHasErrors($field);
    $this->get('/publishing/showing/MAR')->assertOk();
    expect(DB::table('publishing_options')->count())->toBe(0);
})->with([
    'no language' => [['language' => 'es_ES!'], 'language'],
    'no place' => [['next' => 'week'], 'next'],
    'no number' => [['days_before' => 'x'], 'from'],
    'too long' => [['days_after' => '999'], 'till'],
    'no amount' => [['amount' => 'much'], 'amount'],
    'nobody chosen' => [['audience' => 'chosen'], 'for'],
    'no student of it' => [['audience' => 'chosen', 'people' => ['S-4']], 'for'],
    'a teacher' => [['audience' => 'chosen', 'people' => ['T-2']], 'for'],
]);

test('a course site that does not answer keeps where things stand', function () {
    $this->as('A-1')->put('/publishing/showing/MAR', ['next' => 'after MAR/x'] + SHOWN);
    $this->standins->behave('course', ['failures' => -1]);
    $this->get('/publishing/showing/MAR')->assertOk()->assertSee('does not respond')->assertSee('MAR/x');
});

test(
    'posts for chosen students are not in the feed that anybody may read, and whoever looks as another is told',
    function () {
        $section = Section::query()->where('sourced_id', 'MAR')->firstOrFail();
        $atom = fn (): string => app(Nomada\App\Actions\Publishing\SectionStream::class)($section, 'https://x', 1);
        expect($atom())->toContain('how to join');
        $this->as('A-1')->put('/publishing/showing/MAR', ['audience' => 'chosen', 'people' => ['S-1']] + SHOWN);
        expect($atom())->not->toContain('how to join');
        Artisan::call('nomada:publish');
        $this->get('/people/S-2/look?date=2027-02-08&time=08:00')->assertSee('posts are for other students');
        $this->get('/people/S-1/look?date=2027-02-08&time=08:00')->assertDontSee('posts are for other students');
        $stream = fn (string $as): string => Http::withHeaders(['Accept' => 'text/html'])
            ->withToken($this->standins->token)
            ->get("{$this->standins->url}/stream/sections/MAR?reader=$as")
            ->body();
        expect($stream('S-1'))->toContain('For 1 students')->and($stream('S-2'))->not->toContain('how to join');
    },
);

test('words of the places are edited, looked at with a section before they are kept, and go back', function () {
    $own = ['subject' => 'Up next in {class}', 'text' => '', 'section' => 'MAR'];
    $this->as('A-1')
        ->get('/registration/letters?kind=course-next&section=MAR')
        ->assertOk()
        ->assertSee('Next session')
        ->assertSee('default text');
    $this->put('/registration/letters/course-next/en', ['look' => '1'] + $own)
        ->assertOk()
        ->assertSee('Up next in Y8 Marine Science')
        ->assertSee('Not saved yet');
    expect(DB::table('templates')->count())->toBe(0);
    $this->put('/registration/letters/course-next/en', $own)->assertRedirect(
        '/registration/letters?kind=course-next&language=en&section=MAR',
    );
    $this->get('/publishing/sections/MAR')->assertSee('Up next in Y8 Marine Science');
    $this->work();
    Artisan::call('nomada:publish');
    expect(pageAt('MAR')['MAR/pinned']['title'])->toBe('Up next in Y8 Marine Science');
    $this->put('/registration/letters/calendar-event/en', [
        'subject' => '{series}',
        'text' => 'x',
    ])->assertSessionHasErrors('text');
    $this->put('/registration/letters/course-next/xx', $own)->assertNotFound();
    // What is put in where there is nothing yet is of the language of the words.
    foreach (
        ['en' => 'Tue 9 Feb is cancelled: boat trip', 'es' => 'mar 9 feb se cancela'] as $language => $example
    ) {
        $this->get("/registration/letters?kind=changed&language=$language")->assertSee($example);
    }
    $this->get('/registration/letters?kind=invitation&language=es')
        ->assertSee('https://nomada.example/account/pass/…')
        ->assertDontSee('https://nomada.example/join/…');
    $this->delete('/registration/letters/course-next/en')->assertSessionHas('said');
    $this->work();
    $this->get('/publishing/sections/MAR')->assertSee('Next session')->assertSee('Up next in Y8');
    $this->get('/registration/letters?kind=accepted&section=MAR')->assertSee(
        'You are registered for Y8 Marine Science',
    );
    $this->get('/registration/letters?kind=nothing&language=xx&section=nowhere')->assertOk();
});

test('a section in Spanish stands in Spanish at the places, and a calendar in its reader\'s language', function () {
    $this->as('A-1')->put('/publishing/showing/MAR', ['language' => 'es'] + SHOWN);
    $this->as('S-1')->put('/me/language', ['language' => 'en']);
    $this->work();
    Artisan::call('nomada:publish');
    $page = pageAt('MAR')['MAR/week-5'];
    expect($page['title'])
        ->toBe('Sesiones en directo')
        ->and($page['fields']['Sesiones'][0])
        ->toStartWith('mar 9 feb')
        ->and(array_keys(postsAt('MAR')[0]['post']['fields']))
        ->toContain('Horario')
        ->not->toContain('Meets');
    expect(Person::query()->where('sourced_id', 'S-1')->value('language'))->toBe('en');
    foreach (['S-1' => 'Join: ', 'S-2' => 'Entrar: '] as $person => $words) {
        $key = DB::table('published_items')
            ->where('person', $person)
            ->where('key', 'like', "$person/%")
            ->value('key');
        [, $uid] = explode('/', $key, 2);
        expect($this->standins->text("/calendar/people/$person/$uid.ics"))->toContain($words);
    }
    Artisan::call('nomada:truth');
    expect(Artisan::output())->toContain('Everybody');
    $section = Section::query()->where('sourced_id', 'MAR')->firstOrFail();
    $this->get(Nomada\App\Actions\Publishing\SectionFeed::page($section))
        ->assertSee('lang="es"', false)
        ->assertSee('Próxima sesión');
});

test('what others have added there is named, and left or taken away', function () {
    foreach (['MAR/items/reading-list', 'SPA/items/rules'] as $path) {
        $this->standins->put("/course/pages/$path", '{"title":"A list of theirs","block":"pinned","fields":{}}');
    }
    $named = fn (): array => DB::table('foreign_items')
        ->where('is_left', false)
        ->orderBy('key')
        ->pluck('key')
        ->all();
    $this->as('A-1')->post('/publishing/drift/look')->assertSessionHas('said');
    expect($named())->toBe(['MAR/reading-list', 'SPA/rules']);
    $this->get('/publishing/drift')->assertSee('A list of theirs')->assertSee('Remove');
    $id = fn (string $key): int => (int) DB::table('foreign_items')->where('key', $key)->value('id');
    // Only through its own section, and only by who serves that.
    $this->as('T-2')
        ->post('/publishing/added/MAR/'.$id('SPA/rules'))
        ->assertNotFound();
    $this->post('/publishing/added/SPA/'.$id('SPA/rules'))->assertForbidden();
    $this->post('/publishing/added/MAR/'.$id('MAR/reading-list'))->assertSessionHas('said');
    expect($named())->toBe(['SPA/rules']);
    // Somebody changes it between the look and the act.
    $this->standins->put('/course/pages/SPA/items/rules', '{"title":"Other","block":"pinned","fields":{}}');
    $this->as('A-1')
        ->delete('/publishing/added/SPA/'.$id('SPA/rules'))
        ->assertSessionHasErrors('form');
    expect(pageAt('SPA'))->toHaveKey('SPA/rules');
    Artisan::call('nomada:drift');
    $this->delete('/publishing/added/SPA/'.$id('SPA/rules'))->assertSessionHas('said');
    expect(pageAt('SPA'))->not->toHaveKey('SPA/rules');
    // What is left stays left at the next look; what is gone there is forgotten.
    $this->standins->delete('/course/pages/MAR/items/reading-list');
    Artisan::call('nomada:drift');
    expect(DB::table('foreign_items')->count())->toBe(0);
    // A person's own calendar is nobody's to look at.
    $this->standins->put('/calendar/people/S-1/dentist.ics', 'BEGIN:VCALENDAR');
    Artisan::call('nomada:drift');
    expect(DB::table('foreign_items')->count())->toBe(0);
});
