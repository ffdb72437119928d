<?php

use Nomada\App\View\Shape;
use Nomada\App\View\Timetable\TermLine;
use Nomada\Core\Term\LocalDate;
use Tests\Core\Scenario;

// What is drawn is text that PHP computed: it can be read without a browser.

test('a term line puts five school days of each week side by side', function () {
    $line = new TermLine(Scenario::term(), 500, 40);
    $x = fn (string $day): float => $line->x(LocalDate::parse($day)->day);
    $week = $x('2027-01-18') - $x('2027-01-11');

    expect(round($week, 1))
        ->toBe(round(488 / 15, 1))
        ->and($x('2027-01-12') - $x('2027-01-11'))
        ->toEqualWithDelta($week / 5, 0.11)
        // A weekend day stands behind Friday and before Monday.
        ->and($x('2027-01-16'))
        ->toBeGreaterThan($x('2027-01-15'))
        ->toBeLessThan($x('2027-01-18'))
        ->and($x('2027-04-23'))
        ->toBeLessThan(494);
});

test('closed ranges are bands as wide as their days, and every week has its label', function () {
    $line = new TermLine(Scenario::term(), 500, 40);
    $bands = $line->bands();
    $day = 488 / 15 / 5;

    expect(array_column($bands, 'reason'))
        ->toBe(['Staff day', 'Carnival', 'Easter break'])
        ->and($bands[1]['width'])
        ->toEqualWithDelta(3 * $day, 0.3)
        ->and($bands[2]['width'])
        ->toEqualWithDelta(10 * $day, 0.3)
        ->and(array_column($line->labels(), 'text'))
        ->toBe([
            '11 Jan',
            '18',
            '25',
            '1 Feb',
            '8',
            '15',
            '22',
            '1 Mar',
            '8',
            '15',
            '22',
            '29',
            '5 Apr',
            '12',
            '19',
        ]);
});

test('now is a line within the term, and none outside it', function () {
    $line = new TermLine(Scenario::term());
    $day = LocalDate::parse('2027-02-09')->day;

    expect($line->now($day, 720))
        ->toBe($line->x($day))
        ->and($line->now($day, 0))
        ->toBeLessThan($line->x($day))
        ->and($line->now(LocalDate::parse('2027-05-01')->day))
        ->toBeNull();
});

test('each state is one path with a dot a day, and the script is told the days', function () {
    $line = new TermLine(Scenario::term());
    $days = array_map(fn (string $d): int => LocalDate::parse($d)->day, [
        '2027-02-09',
        '2027-02-11',
        '2027-02-18',
        '2027-02-23',
    ]);
    $svg = (string) $line->draw(
        ['past' => [$days[0]], 'changed' => [$days[1]], 'wrong' => [$days[2]], 'planned' => [$days[3]]],
        'Y8 "Marine" <Science>',
        $days[0],
        592,
        '/sections/MAR',
    );

    expect($svg)
        ->toContain('data-days="29 31 38 43"')
        ->toContain('aria-label="Y8 &quot;Marine&quot; &lt;Science&gt;: 4 sessions"')
        ->toContain('class="half"')
        ->toContain('class="cross"')
        ->toContain('class="stop ring"')
        ->not->toContain('<Science>')
        ->and(substr_count($svg, 'class="band"'))
        ->toBe(3)
        ->and(simplexml_load_string($svg))
        ->not->toBeFalse();
});

test('shapes are used by name, with words where they stand alone', function () {
    expect((string) Shape::svg('leave', 'as it "should" be'))
        ->toContain('href="#s-past"')
        ->toContain('aria-label="as it &quot;should&quot; be"')
        ->and((string) Shape::svg('published'))
        ->toContain('aria-hidden="true"');
    foreach (['published', 'planned', 'changed', 'makeup', 'past', 'wrong', 'add', 'remove', 'drift'] as $name) {
        expect((string) Shape::symbols())->toContain("id=\"s-$name\"");
    }
});

test(
    'a week folds its closed days and gives their width to the open ones; what overlaps stands in two lanes',
    function () {
        $this->school([
            'timetable.csv' => Tests\Support\SmallSchool::files()['timetable.csv'].
                "STA,Statistics,2027-01-14T09:20,45,,FREQ=WEEKLY;BYDAY=TH\n",
        ]);
        $page = fn (int $week, string $by) => app(Nomada\App\View\Timetable\Week\WeekQuery::class)->page(
            Nomada\App\Models\Term\Term::query()
                ->with(['school', 'closures'])
                ->firstOrFail(),
            Nomada\App\Models\Term\Person::query()->where('sourced_id', 'A-1')->firstOrFail(),
            $week,
            $by,
        );
        $rows = fn (Nomada\App\View\Timetable\Week\WeekPage $of): array => array_column($of->grid->rows, null, 'name');
        $carnival = $page(6, 'teacher');

        expect(array_column($carnival->grid->days, 'width'))
            ->toBe([26.0, 26.0, 26.0, 526.0, 526.0])
            ->and($carnival->grid->days[0]->closed)
            ->toBe('Carnival')
            // Inés Belmar teaches Spanish 9:00 to 9:40 and Statistics from 9:20.
            ->and($rows($carnival)['I. Belmar']->lanes)
            ->toBe(2)
            ->and(array_keys($rows($page(6, 'section'))))
            ->toBe(['Y7 Spanish Language', 'Y8 Marine Science', 'Y8 Statistics'])
            ->and(array_keys($rows($page(6, 'year'))))
            ->toBe(['Year 7', 'Year 8'])
            ->and($page(11, 'teacher')->grid->rows)
            ->toBe([])
            ->and($page(99, 'nonsense')->week)
            ->toBe(5);
        $this->as('A-1')->get('/timetable?week=11')->assertSee('No session this week')->assertSee('Easter break');
    },
);

test(
    'of a week some teachers, sections, courses or years are shown, or only what clashes, as the address says',
    function () {
        $this->standins();
        $this->school();
        $week = fn (string $query) => $this->as('A-1')
            ->get("/timetable?week=7&by=section&$query")
            ->assertOk();
        $week('')->assertSee('Y8 Marine Science')->assertSee('Y7 Spanish Language')->assertSee('Show…');
        $week('year=8')
            ->assertSee('Y8 Marine Science')
            ->assertDontSee('Y7 Spanish Language')
            ->assertSee('Shown: Y8 ▾');
        $week('words=HAD')->assertSee('Y8 Marine Science')->assertDontSee('Y7 Spanish Language');
        // Every word, from its beginning, in any order, whatever its marks.
        $week('words=lang+7')->assertSee('Y7 Spanish Language')->assertDontSee('Y8 Marine Science');
        $week('words=sp%C3%A2n')->assertSee('Y7 Spanish Language');
        $week('words=anguage')->assertSee('No match in this week')->assertSee('Show all');
        $week('words=had&year=7')->assertSee('No match in this week');
        $week('clashes=1')->assertSee('No match in this week');
        // It stays when the week is turned.
        $week('year=8')->assertSee('/timetable?week=8&amp;by=section&amp;year=8', false);
        $week('words=<b>x')->assertSee('value="&lt;b&gt;x"', false);
    },
);

test('every component of the house says what it is for, and is shown where the page is on', function () {
    $components = Nomada\App\View\House\HousePage::of(resource_path('views/components'))->components;
    expect(count($components))->toBeGreaterThan(50)->and(array_keys($components, '', true))->toBe([]);
    $this->school();
    $this->as('A-1')->get('/house')->assertOk()->assertSee('x-page-head')->assertSee('Something is wrong');
    config(['nomada.house' => false]);
    $this->get('/house')->assertNotFound();
});
