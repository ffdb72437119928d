<?php

use Illuminate\Support\Facades\Artisan;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\App\View\Timetable\Board\BoardDays;
use Nomada\App\View\Timetable\Board\BoardQuery;
use Nomada\App\View\Timetable\Board\BoardRow;
use Nomada\App\View\Timetable\Week\WeekRow;
use Nomada\App\View\Timetable\Week\WeekSheets;
use Tests\Support\SmallSchool;

/** @return array<string, BoardRow> by section */
function boardRows($test): array
{
    app()->forgetScopedInstances();
    $rows = app(BoardQuery::class)->rows(
        Term::query()
            ->with(['school', 'closures'])
            ->firstOrFail(),
        Nomada\App\Models\Term\Person::query()->where('sourced_id', 'A-1')->firstOrFail(),
    );

    return array_column(array_map(fn (BoardRow $r): array => [$r->sourcedId, $r], $rows), 1, 0);
}

/** @return array<string, array<string, list<int>>> the days of each section by their state, by sourcedId */
function boardDays(object $test): array
{
    $rows = boardRows($test);
    $days = app(BoardDays::class)->of(Term::query()->firstOrFail(), array_values($rows));

    return array_map(fn (BoardRow $r): array => $days[$r->id], $rows);
}

test('a row says when a section meets, who teaches it, and how far it has come', function () {
    $this->school();
    $row = boardRows($this)['MAR'];

    expect($row->name)
        ->toBe('Y8 Marine Science')
        ->and($row->meets)
        ->toBe('Tue Thu 10:00–10:47')
        ->and($row->teacher)
        ->toBe('N. Haddad')
        ->and(app(BoardQuery::class)->sessions([$row->id]))
        ->toBe(25)
        ->and($row->status->roster)
        ->toBe(3)
        ->and($row->status->registered)
        ->toBe(0)
        ->and(array_map(count(...), boardDays($this)['MAR']))
        ->toBe(['past' => 8, 'planned' => 17]);
});

test('stops turn from planned to published to changed, week by week', function () {
    $this->standins();
    $this->school();
    Artisan::call('nomada:links', ['--section' => ['MAR']]);
    Artisan::call('nomada:publish', ['--section' => ['MAR']]);
    expect(array_map(count(...), boardDays($this)['MAR']))->toBe(['past' => 8, 'published' => 17]);

    $series = $this->section('MAR')->series()->firstOrFail();
    $session = $series->sessions()->where('day', '2027-02-25')->value('id');
    $this->as('A-1')
        ->put("/sections/MAR/series/{$series->id}/sessions/$session", [
            'move_day' => '2027-02-26',
            'move_start' => '10',
            'move_end' => '10:47',
        ])
        ->assertSessionHasNoErrors();
    $days = boardDays($this)['MAR'];

    // Only the week of the moved session says something else now: Tuesday 23 and Friday 26 February.
    expect(array_map(count(...), $days))->toBe(['past' => 8, 'published' => 15, 'changed' => 2]);
});

test('a session of today is past once it has ended, not before', function () {
    $this->school();
    foreach (['2027-02-09T10:46:00+01:00' => 8, '2027-02-09T10:47:00+01:00' => 9] as $at => $past) {
        app(Clock::class)->set(strtotime($at));
        expect(boardDays($this)['MAR']['past'])->toHaveCount($past);
    }
});

test('who has left counts on the roster no more', function () {
    $this->school();
    app(Clock::class)->set(strtotime('2027-02-20T12:00:00+01:00'));
    expect(boardRows($this)['MAR']->status->roster)->toBe(3);
    app(Clock::class)->set(strtotime('2027-02-21T12:00:00+01:00'));
    expect(boardRows($this)['MAR']->status->roster)->toBe(2);
});

test('years stand in their order, and filters leave what they name', function () {
    $files = SmallSchool::files();
    $this->school([
        'classes.csv' => str_replace('STA,,Statistics,08', 'STA,,Statistics,10', $files['classes.csv']),
    ]);
    $page = (string) $this->as('A-1')->get('/')->getContent();
    expect(strpos($page, 'Year 7 ·'))
        ->toBeLessThan(strpos($page, 'Year 8 ·'))
        ->and(strpos($page, 'Year 8 ·'))
        ->toBeLessThan(strpos($page, 'Year 10 ·'));

    $this->get('/?year=8')->assertSee('Y8 Marine Science')->assertDontSee('Y7 Spanish');
    $this->get('/?show=issues')
        ->assertSee('Y10 Statistics')
        ->assertSee('No timetable yet')
        ->assertDontSee('Y8 Marine Science');
    $this->get('/?show=unpublished&year=7')->assertSee('Y7 Spanish')->assertDontSee('Y10 Statistics');
    $this->get('/?year=99')->assertSee('No section');
});

test('before a school is imported, the coordinator is shown where to begin', function () {
    $this->school();
    $person = Nomada\App\Models\Term\Person::query()->where('sourced_id', 'A-1')->firstOrFail();
    Term::query()->delete();
    app()->forgetScopedInstances();

    $this->actingAs($person)->get('/')->assertRedirect('/begin');
    $this->get('/term/import')->assertOk()->assertSee('import a school');
});

test('of a large school the first rows are written whole, and the others when they are asked for', function () {
    $this->school();
    $of = (array) DB::table('sections')->where('sourced_id', 'MAR')->first();
    unset($of['id']);
    DB::table('sections')->insert(
        array_map(
            fn (int $n): array => [
                ...$of,
                'sourced_id' => "X-$n",
                'title' => sprintf('Extra %03d', $n),
                'year' => '11',
            ],
            range(1, 120),
        ),
    );
    $page = $this->as('A-1')->get('/')->assertOk()->getContent();
    expect(substr_count($page, 'class="row-s"'))
        ->toBe(123)
        // Every one can be chosen and found at once.
        ->and(substr_count($page, 'name="sections[]"'))
        ->toBe(123)
        ->and(substr_count($page, 'data-stub'))
        ->toBe(43)
        ->and(substr_count($page, 'class="line-cell"'))
        ->toBe(80);
    $asked = fn (array $ids): string => '/board/rows?'.http_build_query(['rows' => $ids]);
    $rows = $this->get($asked(['X-120', 'X-119', 'nobody']))->assertOk();
    expect(substr_count($rows->getContent(), 'row-s'))
        ->toBe(2)
        ->and($rows->getContent())
        ->not->toContain('data-stub');
    $rows->assertSee('Extra 120')->assertSee('no timetable yet');
    expect(
        substr_count(
            $this->get($asked(array_map(fn (int $n): string => "X-$n", range(1, 120))))->getContent(),
            'row-s',
        ),
    )->toBe(60);
    // A teacher's rows are those of their own sections.
    $this->as('T-2')->get($asked(['MAR', 'SPA']))->assertSee('Marine Science')->assertDontSee('Spanish Language');
});

test('a week is printed on as many sheets as it takes, and no row is cut', function (
    array $lanes,
    bool $onOne,
    array $sheets,
) {
    $rows = array_map(fn (string $name, int $n): WeekRow => new WeekRow($name, [], $n), array_keys($lanes), $lanes);
    $names = fn (array $rows): array => array_column($rows, 'name');
    expect(array_map($names, WeekSheets::of($rows, $onOne)))->toBe($sheets);
})->with([
    'nothing' => [[], false, []],
    'just as much as fits' => [['a' => 10, 'b' => 6], false, [['a', 'b']]],
    'one more' => [['a' => 10, 'b' => 7], false, [['a'], ['b']]],
    'one that is too tall for any' => [['a' => 1, 'b' => 40, 'c' => 1], false, [['a'], ['b'], ['c']]],
    'all on one' => [['a' => 10, 'b' => 40], true, [['a', 'b']]],
]);

test('the sheets of a week have their headings, and what was chosen stays chosen', function () {
    $this->school();
    $this->as('A-1')
        ->get('/timetable/sheets?week=5&by=section')
        ->assertOk()
        ->assertSee('Week 5, 8 Feb – 12 Feb, by section, Madrid time')
        ->assertSee('on one sheet')
        ->assertSee('Tue 9 Feb');
    $this->get('/timetable?week=5&words=mar')->assertSee('timetable/sheets?week=5&amp;words=mar', false);
    $this->get('/timetable/sheets?week=5&words=nobody')->assertSee('nothing to print');
});

test('the numbers of the route and of the head lead to exactly the rows that they count', function () {
    $this->school();
    momentAt('2027-02-09', '09:00');
    $links = function (string $page): array {
        $html = (string) $this->as('A-1')->get($page)->assertOk()->getContent();
        preg_match_all('~<a class="count" href="([^"]+)"><span>(\d+)~', $html, $m);

        return array_combine($m[1], array_map(intval(...), $m[2]));
    };
    $rows = fn (string $page): int => substr_count((string) $this->get($page)->assertOk()->getContent(), 'data-row="');
    $found = $links('/');
    expect(array_map(fn (string $url): string => (string) parse_url($url, PHP_URL_QUERY), array_keys($found)))
        ->toContain('show=missing');
    foreach ($found as $url => $n) {
        str_contains($url, 'missing') && expect($rows($url))->toBe($n);
    }
    $html = (string) $this->get('/')->getContent();
    preg_match('~show=issues" class="bad">(\d+)~', $html, $m);
    expect($rows('/?show=issues'))->toBe((int) $m[1]);
});
