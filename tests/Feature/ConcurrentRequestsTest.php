<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\ActResult;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\ClosedRange;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\FormVersion;

beforeEach(function () {
    $this->standins();
    $files = Tests\Support\SmallSchool::files();
    $this->school([
        'users.csv' => $files['users.csv']."A-2,,administrator,Brais,Souto,brais@school.example,,,\n",
    ]);
    momentAt('2027-02-09');
    $this->series = Series::query()->whereRelation('section', 'sourced_id', 'MAR')->firstOrFail();
    $this->session = $this->series->sessions()->where('day', '2027-03-02')->firstOrFail();
});

/** The editor of Marine Science, as it was opened. */
function editor($test, array $change = []): array
{
    return [
        ...[
            '_drawn' => FormVersion::field("series:{$test->series->id}"),
            'plan_touched' => '0',
            'title' => 'Marine Science',
            'kind' => 'weekly',
            'weekdays' => [2, 4],
            'start_time' => '10:00',
            'end_time' => '10:47',
            'starts_on' => '2027-01-12',
            'end_kind' => 'date',
            'ends_on' => '2027-04-23',
        ],
        ...$change,
    ];
}

test('whoever saves a series second sees both, and nothing is written; both changes can stand', function () {
    $path = "/sections/MAR/series/{$this->series->id}";
    $mine = editor($this, ['title' => 'Tides and shores']);
    $this->as('A-2')
        ->put($path, editor($this, ['start_time' => '9:30', 'end_time' => '10:17', 'plan_touched' => '1']))
        ->assertSessionHasNoErrors();
    $answer = $this->as('A-1')->put($path, $mine)->assertStatus(409);
    $answer
        ->assertSee('Brais Souto changed it on Tue 9 Feb 09:56')
        ->assertSee('Tue Thu 09:30–10:17')
        ->assertSee('Tides and shores')
        ->assertSee('Keep both changes');
    expect($this->series->fresh()->title)
        ->toBe('Marine Science')
        ->and($this->series->fresh()->start_minute)
        ->toBe(570);
    $this->put($path, [...$mine, '_drawn' => FormVersion::field("series:{$this->series->id}"), 'keep_plan' => '1']);
    expect($this->series->fresh()->title)
        ->toBe('Tides and shores')
        ->and($this->series->fresh()->start_minute)
        ->toBe(570)
        ->and($this->series->sessions()->where('starts_at', '>', '2027-03-01')->first()->starts_at->format('H:i'))
        ->toBe('08:30');
});

test('where both changed the same thing both cannot stand, and mine can be saved knowingly', function () {
    $path = "/sections/MAR/series/{$this->series->id}";
    $mine = editor($this, ['start_time' => '11:00', 'end_time' => '11:47', 'plan_touched' => '1']);
    $this->as('A-2')->put(
        $path,
        editor($this, ['start_time' => '9:30', 'end_time' => '10:17', 'plan_touched' => '1']),
    );
    $this->as('A-1')
        ->put($path, $mine)
        ->assertStatus(409)
        ->assertDontSee('Keep both changes')
        ->assertSee('You both changed the same field, so only one version can be kept');
    $this->put($path, [
        ...$mine,
        '_drawn' => FormVersion::field("series:{$this->series->id}"),
    ])->assertSessionHasNoErrors();
    expect($this->series->fresh()->start_minute)->toBe(660);
});

test('a form knows what it was drawn from, whatever it is about', function (string $kind, Closure $forms) {
    [$subject, $method, $path, $theirs, $mine, $row] = $forms($this);
    $drawn = FormVersion::field($subject);
    $this->as('A-2')->call($method, $path, [...$theirs, '_drawn' => $drawn]);
    expect(session('errors'))->toBeNull();
    $before = $row();
    $this->as('A-1')
        ->call($method, $path, [...$mine, '_drawn' => $drawn])
        ->assertStatus(409);
    expect($row())->toBe($before);
    // Sent once more, drawn from what is there now, it is saved.
    $this->call($method, $path, [...$mine, '_drawn' => FormVersion::field($subject)])->assertStatus(302);
    expect($row())->not->toBe($before);
})->with([
    'a session told of' => [
        'told',
        fn ($t): array => [
            "told:{$t->session->id}",
            'PUT',
            "/sections/MAR/series/{$t->series->id}/sessions/{$t->session->id}/particulars",
            ['title' => 'Visit'],
            ['title' => 'Harbour'],
            fn () => $t->session->fresh()->title,
        ],
    ],
    'a session moved' => [
        'place',
        fn ($t): array => [
            "place:{$t->session->id}",
            'PUT',
            "/sections/MAR/series/{$t->series->id}/sessions/{$t->session->id}",
            ['move_day' => '2027-03-03', 'move_start' => '12:00', 'move_end' => '12:47', 'reach' => 'this'],
            ['move_day' => '2027-03-05', 'move_start' => '12:00', 'move_end' => '12:47', 'reach' => 'this'],
            fn () => $t->session->fresh()->day,
        ],
    ],
    'a door' => [
        'door',
        fn ($t): array => [
            "door:{$t->series->id}",
            'PUT',
            "/sections/MAR/series/{$t->series->id}/rules",
            doorForm(['opens_before' => 5]),
            doorForm(['opens_before' => 8]),
            fn () => json_encode($t->series->fresh()->door),
        ],
    ],
    'a letter' => [
        'letter',
        fn ($t): array => [
            'letter:declined:en',
            'PUT',
            '/registration/letters/declined/en',
            ['subject' => 'No seat', 'text' => "Hello {name},\n{class}: {reason}"],
            ['subject' => 'Sorry', 'text' => "Hello {name},\n{class}: {reason}"],
            fn () => DB::table('templates')->where('kind', 'declined')->value('subject'),
        ],
    ],
    'open hours' => [
        'hours',
        fn ($t): array => [
            "hours:{$t->series->section->term_id}",
            'PUT',
            '/term/hours',
            ['opens' => '8:00', 'closes' => '18:00'],
            ['opens' => '9:00', 'closes' => '18:00'],
            fn () => $t->series->section->term->fresh()->opens_minute,
        ],
    ],
]);

function doorForm(array $change): array
{
    return [
        ...[
            'opens_before' => 10,
            'opens_before_hosts' => 15,
            'needs_host' => 1,
            'straight_in' => 'accepted',
            'one_device' => 1,
            'speak' => 'everyone',
            'camera' => 'everyone',
            'chat' => 'everyone',
            'screen' => 'host',
            'draw' => 'host',
            'record' => 'host',
            'muted_on_entry' => 1,
        ],
        ...$change,
    ];
}

test('an act is done once, whatever brings its form again, and says the same', function () {
    $form = ['first' => '2027-03-02', 'last' => '2027-03-02', 'reason' => 'Storm', '_act' => 'k1'];
    $first = $this->as('A-1')->post('/term/closures', $form);
    $again = $this->post('/term/closures', $form);

    expect($again->headers->get('Location'))
        ->toBe($first->headers->get('Location'))
        ->and(session('said'))
        ->toContain('Storm is closed')
        ->and(ClosedRange::query()->where('reason', 'Storm')->count())
        ->toBe(1);
    // Another answer in the same form is another act; somebody else's form with the same key is theirs.
    $this->post('/term/closures', [
        ...$form,
        'first' => '2027-03-03',
        'last' => '2027-03-03',
    ])->assertSessionHasNoErrors();
    $this->as('A-2')->post('/term/closures', $form)->assertSessionHasErrors('first');
    expect(ClosedRange::query()->where('reason', 'Storm')->count())->toBe(2);
});

test('a form that was sent back with a fault has done nothing, and may come again', function () {
    $form = ['first' => '2027-03-02', 'last' => '2027-03-02', 'reason' => '', '_act' => 'k2'];
    $this->as('A-1')->post('/term/closures', $form)->assertSessionHasErrors('reason');
    $this->post('/term/closures', $form)->assertSessionHasErrors('reason');
    expect(DB::table('processed_forms')->count())->toBe(0);
});

test('every form that is sent has a key of its own, and its term', function () {
    foreach (['/term', '/sections/MAR?change='.$this->series->id, '/joining', '/registration/letters'] as $page) {
        $html = (string) $this->as('A-1')->get($page)->assertOk()->getContent();
        preg_match_all('/<form[^>]*method="post".*?<\/form>/s', $html, $forms);
        expect($forms[0])->not->toBe([]);
        foreach ($forms[0] as $form) {
            expect($form)->toMatch('/name="_act" value="\w{22}"/')->toContain('name="_term" value="27S"');
        }
        preg_match_all('/name="_act" value="(\w+)"/', $html, $keys);
        expect(array_unique($keys[1]))->toHaveCount(count($keys[1]));
    }
});

test(
    'what came of an act on many is a page of its own; reloading it does nothing, and it can be taken back',
    function () {
        Illuminate\Support\Facades\Artisan::call('nomada:links');
        $ids = Series::query()->orderBy('id')->pluck('id')->all();
        $at = $this->as('A-1')
            ->post('/joining/acts', ['series' => $ids, 'act' => 'preset', 'preset' => 'guest-lecture', 'sure' => 1])
            ->assertRedirect()
            ->headers->get('Location');
        $links = JoinLink::query()->count();
        $this->get($at)->assertSee('2 series changed')->assertSee('Undo');
        $this->as('A-2')->get($at)->assertOk();
        $this->as('T-2')->get($at)->assertNotFound();
        Series::query()
            ->whereKey($ids[0])
            ->update(['preset' => 'lesson']);
        $this->as('A-1')
            ->post("$at/undoing")
            ->assertSessionHas('said', '1 undone; 1 have been changed since and stay as they are.');
        expect(Series::query()->whereKey($ids[1])->value('preset'))->toBe('lesson');
        $this->post("$at/undoing")->assertSessionHasErrors('act');
        // A link that was replaced is replaced once, however often its page is read.
        $at = $this->post('/joining/acts', ['series' => $ids, 'act' => 'replace', 'sure' => 1])->headers->get(
            'Location',
        );
        $made = JoinLink::query()->count() - $links;
        $this->get($at)->assertSee('publish to update')->assertDontSee('Undo');
        $this->get($at);
        expect(JoinLink::query()->count() - $links)
            ->toBe($made)
            ->and(ActResult::query()->count())
            ->toBe(2);
    },
);
