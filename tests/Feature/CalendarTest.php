<?php

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\Core\Belonging\MembershipRole;
use Tests\Support\English;

beforeEach(fn () => $this->school());

function term(): Term
{
    return Term::query()
        ->with(['school', 'closures'])
        ->orderBy('starts_on')
        ->firstOrFail();
}

const PERIODS = "1 9:00-9:45\n2 10:00-10:45\n3 11:15-12:00";

test('a day plan is added, a series is tied to a period of it, and follows a short day', function () {
    $this->as('A-1')
        ->post('/term/day-plans', ['plan_name' => 'School day', 'periods' => PERIODS])
        ->assertRedirect('/term')
        ->assertSessionHas('said', 'Day plan School day saved: no session changes.');
    $this->post('/term/day-plans', [
        'plan_name' => 'Short day',
        'periods' => '2 9:30-10:00',
    ])->assertSessionHasNoErrors();
    $this->get('/sections/STA?change=new')->assertSee('3, 11:15–12:00');
    $this->post('/sections/STA/series', [
        'title' => '',
        'kind' => 'weekly',
        'weekdays' => [2, 4],
        'every' => 1,
        'at' => 'period',
        'period' => '2',
        'starts_on' => '2027-02-09',
        'end_kind' => 'term',
    ])->assertSessionHasNoErrors();
    $series = $this->section('STA')->series()->firstOrFail();
    $plan = DB::table('day_plans')->where('name', 'Short day')->value('id');
    // First it is told what would change, and nothing is saved.
    $this->post('/term/short-days', [
        'short_day' => '2027-03-04',
        'short_plan' => $plan,
        'short_reason' => 'Market',
        'look' => '1',
    ])->assertSessionHas('look', 'If you save: 1 session moves (1 series).');
    expect(DB::table('short_days')->count())->toBe(0);
    $this->post('/term/short-days', [
        'short_day' => '2027-03-04',
        'short_plan' => $plan,
        'short_reason' => 'Market',
    ])->assertSessionHas('said', 'Thu 4 Mar is a short day: 1 session moves (1 series).');
    $this->get('/term')->assertSee('short')->assertSee('Market');

    $short = $series->sessions()->where('day', '2027-03-04')->firstOrFail();
    expect($series->period)
        ->toBe('2')
        ->and($short->starts_at->toIso8601ZuluString())
        ->toBe('2027-03-04T08:30:00Z')
        ->and($short->ends_at->toIso8601ZuluString())
        ->toBe('2027-03-04T09:00:00Z')
        ->and($short->moved_from)
        ->toBeNull();
    // The usual plan changes: what is to come moves with its period.
    $this->post('/term/day-plans', [
        'plan' => DB::table('day_plans')->where('name', 'School day')->value('id'),
        'plan_name' => 'School day',
        'periods' => "1 9:00-9:45\n2 10:15-11:00",
    ])->assertSessionHasNoErrors();
    expect($series->refresh()->start_minute)
        ->toBe(615)
        ->and($series->sessions()->where('day', '2027-03-02')->firstOrFail()->starts_at->toIso8601ZuluString())
        ->toBe('2027-03-02T09:15:00Z');
    $this->delete(
        '/term/day-plans/'.DB::table('day_plans')->where('name', 'School day')->value('id'),
    )->assertSessionHasErrors('plan_name');
    $this->delete('/term/short-days/'.DB::table('short_days')->value('id'))->assertSessionHas('said');
});

test('what cannot be of day plans, short and opened days is told beside its field', function (
    string $method,
    string $path,
    array $with,
    string $field,
    string $words,
) {
    $this->as('A-1')->post('/term/day-plans', ['plan_name' => 'School day', 'periods' => PERIODS]);
    $with = array_map(fn ($v) => $v === 'PLAN' ? DB::table('day_plans')->value('id') : $v, $with);
    $this->call($method, $path, $with)->assertSessionHasErrors([$field => $words]);
})->with([
    [
        'POST',
        '/term/day-plans',
        ['plan_name' => 'Other', 'periods' => "1 9-9:45\n2 9:30-10"],
        'periods',
        'The periods 1 and 2 overlap: 1 ends at 09:45, 2 starts at 09:30.',
    ],
    [
        'POST',
        '/term/day-plans',
        ['plan_name' => 'School day', 'periods' => PERIODS],
        'plan_name',
        'There is already a day plan called "School day".',
    ],
    [
        'POST',
        '/term/day-plans',
        ['plan_name' => '', 'periods' => ''],
        'plan_name',
        'Enter a name for the day plan, of up to 60 characters.',
    ],
    [
        'POST',
        '/term/short-days',
        ['short_day' => '2027-02-16', 'short_plan' => 'PLAN', 'short_reason' => 'x'],
        'short_day',
        'Tue 16 Feb is closed: Carnival. Choose an open day.',
    ],
    [
        'POST',
        '/term/short-days',
        ['short_day' => '2027-06-16', 'short_plan' => 'PLAN', 'short_reason' => 'x'],
        'short_day',
        'Wed 16 Jun is closed: Outside the term. Choose an open day.',
    ],
    [
        'POST',
        '/term/short-days',
        ['short_day' => '2027-02-18', 'short_plan' => 'PLAN', 'short_reason' => ''],
        'short_reason',
        'Enter why the day is short; everybody can read it.',
    ],
    [
        'POST',
        '/term/opened-days',
        ['open_day' => '2027-02-18'],
        'open_day',
        'Choose a Saturday or Sunday of the term.',
    ],
    [
        'PUT',
        '/term/rotation',
        ['rotation_kind' => 'day', 'rotation_n' => '0'],
        'rotation_n',
        'A rotation has 2 to 12 days. For none, choose "no rotation".',
    ],
    [
        'PUT',
        '/term/rotation',
        [
            'rotation_kind' => 'day',
            'rotation_n' => '3',
            'lettered' => '1',
            'pin_day' => '2027-02-18',
            'pin_to' => 'D',
        ],
        'pin_to',
        '"D" is not a rotation day. There are A, B, C.',
    ],
    [
        'PUT',
        '/term/rotation',
        [
            'rotation_kind' => 'day',
            'rotation_n' => '3',
            'lettered' => '1',
            'pin_day' => '2027-02-16',
            'pin_to' => 'A',
        ],
        'pin_day',
        'Tue 16 Feb is not an open day of the term, so it cannot be a rotation day.',
    ],
    [
        'PUT',
        '/term/hours',
        ['opens' => '18', 'closes' => '9'],
        'closes',
        'School would close before it opens. Enter a later end.',
    ],
    [
        'POST',
        '/terms',
        ['term_title' => 'Summer', 'term_first' => '2027-04-20', 'term_last' => '2027-07-01'],
        'term_first',
        'It would overlap Spring term, Mon 11 Jan to Fri 23 Apr. Choose other days.',
    ],
    [
        'POST',
        '/terms',
        ['term_title' => 'Summer', 'term_first' => '2027-07-20', 'term_last' => '2027-07-01'],
        'term_last',
        'The term "Summer" ends on 2027-07-01, before it starts on 2027-07-20.',
    ],
    [
        'POST',
        '/sections/STA/series',
        [
            'kind' => 'rotation',
            'labels' => ['A'],
            'start_time' => '9',
            'end_time' => '9:45',
            'starts_on' => '2027-02-09',
            'end_kind' => 'term',
        ],
        'rotation',
        'This term has no rotation days. Set them on the term page first.',
    ],
    [
        'POST',
        '/sections/STA/series',
        [
            'kind' => 'weekly',
            'weekdays' => [1],
            'at' => 'period',
            'period' => '9',
            'starts_on' => '2027-02-09',
            'end_kind' => 'term',
        ],
        'period',
        'The usual day plan has no such period. Choose one of its periods, or a clock time.',
    ],
]);

test('rotation days are set, pinned, and a series meets on them; the sessions follow a pin', function () {
    $this->as('A-1')
        ->put('/term/rotation', ['rotation_kind' => 'day', 'rotation_n' => '2', 'lettered' => '1'])
        ->assertSessionHas('said', 'Rotation saved: no session changes.');
    $this->get('/sections/STA?change=new')->assertSee('Rotation day');
    $this->post('/sections/STA/series', [
        'title' => '',
        'kind' => 'rotation',
        'labels' => ['B'],
        'start_time' => '14:00',
        'end_time' => '14:45',
        'starts_on' => '2027-02-09',
        'end_kind' => 'term',
    ])->assertSessionHasNoErrors();
    $series = $this->section('STA')->series()->firstOrFail();
    $first = $series->sessions()->where('starts_at', '>', '2027-02-09')->pluck('day')->take(3)->all();

    expect($first)
        ->toBe(['2027-02-10', '2027-02-12', '2027-02-19'])
        ->and(English::said($series->plan()->said()))
        ->toBe('Day B 14:00–14:45');
    $this->put('/term/rotation', [
        'rotation_kind' => 'day',
        'rotation_n' => '2',
        'lettered' => '1',
        'pin_day' => '2027-02-18',
        'pin_to' => 'b',
    ])->assertSessionHas('said', fn (string $said) => str_contains($said, 'new'));
    expect($series->sessions()->where('day', '>=', '2027-02-12')->pluck('day')->take(3)->all())->toBe([
        '2027-02-12',
        '2027-02-18',
        '2027-02-22',
    ]);
    $this->get('/term')->assertSee('Thu 18 Feb is B');
    $this->put('/term/rotation', [
        'rotation_kind' => 'day',
        'rotation_n' => '2',
        'lettered' => '1',
        'unpin' => '2027-02-18',
    ]);
    expect(term()->rotation['pins'] ?? null)->toBe([]);
});

test('a Saturday that is opened can be chosen, and no other Saturday is lost', function () {
    $this->as('A-1')->get('/sections/STA?change=new')->assertDontSee('id="wd-6"', false);
    $this->post('/term/opened-days', ['open_day' => 'Sat 27 Feb'])->assertSessionHasNoErrors();
    $this->get('/sections/STA?change=new')->assertSee('id="wd-6"', false)->assertDontSee('id="wd-7"', false);
    $this->post('/sections/STA/series', [
        'kind' => 'weekly',
        'weekdays' => [2, 6],
        'start_time' => '11:15',
        'end_time' => '12',
        'starts_on' => '23 Feb',
        'end_kind' => 'date',
        'ends_on' => 'Sat 13 Mar',
    ])->assertSessionHasNoErrors();
    $days = fn () => $this->section('STA')
        ->series()
        ->firstOrFail()
        ->sessions()
        ->orderBy('day')
        ->pluck('state', 'day');
    expect($days()->map->value->all())->toBe([
        '2027-02-23' => 'planned',
        '2027-02-27' => 'planned',
        '2027-03-02' => 'planned',
        '2027-03-09' => 'planned',
    ]);
    // What was decided of the Saturday waits with it and comes back.
    Session::query()
        ->where('day', '2027-02-27')
        ->update(['note' => 'Bring boots']);
    $this->delete('/term/opened-days/'.DB::table('opened_days')->value('id'));
    expect($days()->get('2027-02-27')?->value)->not->toBe('planned');
    $this->post('/term/opened-days', ['open_day' => '27/2'])->assertSessionHasNoErrors();
    expect($days()->get('2027-02-27')->value)->toBe('planned');
    expect(Session::query()->where('day', '2027-02-27')->value('note'))->toBe('Bring boots');
});

test('dates are typed as people type them, and told beside their field', function () {
    $close = fn (string $first, string $last) => $this->as('A-1')->post('/term/closures', [
        'first' => $first,
        'last' => $last,
        'reason' => 'Storm',
    ]);
    $close('9', '')->assertSessionHasErrors([
        'first' => '"9" could be any of these: Tue 9 Feb, Tue 9 Mar, Fri 9 Apr. Add the month.',
    ]);
    $close('Fri 2 Mar', '')->assertSessionHasErrors('first');
    $close('2 Mar', 'later')->assertSessionHasErrors([
        'last' => '"later" is not a date. Write it as 18 Feb, 18/2 or Thu 18.',
    ]);
    $close('2 Mar', '3/3')->assertSessionHasNoErrors();
    expect(
        DB::table('closures')
            ->where('reason', 'Storm')
            ->get(['starts_on', 'ends_on'])
            ->map(fn ($r) => (array) $r)
            ->all(),
    )->toBe([['starts_on' => '2027-03-02', 'ends_on' => '2027-03-03']]);
    // The page that only looks says it itself.
    $this->get('/?date=soon')->assertOk();
});

test('a Saturday is opened and closed again', function () {
    $this->as('A-1')
        ->post('/term/opened-days', ['open_day' => '2027-02-20'])
        ->assertSessionHas('said');
    $this->get('/term')->assertSee('Sat 20 Feb');
    $this->get('/timetable?week=6')->assertSee('Sat 20 Feb');
    expect(term()->calendar()->isOpen(Nomada\Core\Term\LocalDate::parse('2027-02-20')->day))->toBeTrue();
    $this->delete('/term/opened-days/'.DB::table('opened_days')->value('id'));
    expect(DB::table('opened_days')->count())->toBe(0);
});

test('closing days offers to make up what falls on them; each lost session takes a free time once', function () {
    $this->as('A-1')
        ->post('/term/closures', [
            'first' => '2027-03-02',
            'last' => '2027-03-02',
            'reason' => 'Storm',
            'then' => 'made-up',
        ])
        ->assertRedirect('/term/make-ups?reason=Storm');
    $this->get('/term/make-ups?reason=Storm')
        ->assertOk()
        ->assertSee('Y8 Marine Science')
        ->assertSee('everybody is free');
    $lost = Session::query()
        ->where('day', '2027-03-02')
        ->where('state', 'lost')
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->firstOrFail();
    $this->post('/term/make-ups', [
        'take' => [$lost->id => '2027-03-03 720 47'],
        'reason' => 'Storm',
    ])->assertSessionHas('said', '1 session made up.');
    $this->post('/term/make-ups', ['take' => [$lost->id => '2027-03-03 780 47']])->assertSessionHasErrors([
        'form' => 'Y8 Marine Science: Tue 2 Mar has already been made up.',
    ]);
    $made = Session::query()->where('makes_up', '2027-03-02')->firstOrFail();

    expect($made->is_extra)
        ->toBeTrue()
        ->and($made->day)
        ->toBe('2027-03-03')
        ->and($made->starts_at->toIso8601ZuluString())
        ->toBe('2027-03-03T11:00:00Z');
    $this->get('/sections/MAR')->assertSee('makes up Tue 2 Mar');
    $this->get('/term/make-ups?reason=Storm')->assertDontSee('Y8 Marine Science');
    // Open again, the session is held; the one that makes it up stays until somebody takes it out.
    $this->delete('/term/closures/'.DB::table('closures')->where('reason', 'Storm')->value('id'));
    expect(
        Session::query()
            ->where('day', '2027-03-02')
            ->whereRelation('series.section', 'sourced_id', 'MAR')
            ->value('state')?->value,
    )->toBe('planned');
});

test(
    'closed days go out as iCalendar and come in again, with what falls on them before they are taken',
    function () {
        $out = $this->as('A-1')
            ->get('/term/closed-days.ics')
            ->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
            ->getContent();
        expect($out)->toContain('SUMMARY:Carnival')->toContain('DTEND;VALUE=DATE:20270218');
        $more = str_replace(
            'END:VCALENDAR',
            "BEGIN:VEVENT\r\nUID:storm\r\nDTSTAMP:20261201T080000Z\r\nSUMMARY:Storm\r\nDTSTART;VALUE=DATE:20270302\r\n".
                "END:VEVENT\r\nBEGIN:VEVENT\r\nUID:far\r\nDTSTAMP:20261201T080000Z\r\nSUMMARY:Far\r\n".
                "DTSTART;VALUE=DATE:20270802\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\n".
                "UID:visit\r\nDTSTAMP:20261201T080000Z\r\nSUMMARY:Visit\r\n".
                "DTSTART;TZID=Europe/Madrid:20270309T090000\r\nDURATION:PT3H\r\nEND:VEVENT\r\n".
                "BEGIN:VEVENT\r\nUID:after\r\nDTSTAMP:20261201T080000Z\r\nSUMMARY:After\r\n".
                "DTSTART;VALUE=DATE:20270423\r\nDTEND;VALUE=DATE:20270501\r\nEND:VEVENT\r\nEND:VCALENDAR",
            (string) $out,
        );
        $at = $this->post('/term/closed-days', [
            'calendar' => UploadedFile::fake()->createWithContent('days.ics', $more),
        ])->headers->get('Location');
        $this->get((string) $at)
            ->assertOk()
            ->assertSee('already closed')
            ->assertSee('2 sessions of 2 sections')
            ->assertSee('outside the term')
            ->assertSee('· shortened to the term')
            ->assertSee('only 09:00–12:00 in the file; if ticked, the whole day is closed');
        $page = (string) $this->get((string) $at)->getContent();
        preg_match_all('/name="take\[\]" value="(\w+)"\s+(checked)?/', $page, $boxes);
        expect($boxes[2])->toBe(['checked', '', 'checked']);
        $this->post((string) $at)->assertSessionHasErrors('take');
        $this->post((string) $at, ['take' => [$boxes[1][0]]])->assertSessionHas(
            'said',
            '1 closed day range added. Publish to announce it.',
        );
        expect(DB::table('closures')->where('reason', 'Visit')->count())->toBe(0);
        expect(Session::query()->where('day', '2027-03-02')->pluck('state')->map->value->unique()->all())->toBe([
            'lost',
        ]);
        $at = $this->post('/term/closed-days', [
            'calendar' => UploadedFile::fake()->createWithContent('x.ics', 'hello'),
        ])->headers->get('Location');
        $this->get((string) $at)->assertSee('This is not an iCalendar file (RFC 5545). Export the calendar as .ics.');
        $this->post('/term/closed-days', [])->assertSessionHasErrors('calendar');
    },
);

test('a second term stands beside the first, and takes over its plan', function () {
    $this->as('A-1')->post('/term/day-plans', ['plan_name' => 'School day', 'periods' => PERIODS]);
    $this->post('/terms', [
        'term_title' => 'Summer term',
        'term_first' => '2027-05-03',
        'term_last' => '2027-07-09',
    ])->assertSessionHasNoErrors();
    $in = '/in/'.Term::query()->where('title', 'Summer term')->value('sourced_id');
    $this->get("$in/")->assertSee('You have no section in this term yet.');
    $this->post("$in/terms/copies", ['from' => term()->id])->assertSessionHas(
        'said',
        'Copied: 3 sections and 2 series.',
    );
    // What a form was drawn in counts, wherever it is sent.
    $summer = Term::query()->where('title', 'Summer term')->firstOrFail();
    $this->post('/terms/copies', ['from' => term()->id, '_term' => $summer->sourced_id])->assertSessionHas(
        'said',
        'Copied: 0 sections and 0 series.',
    );
    $marine = $summer->sections()->where('title', 'Marine Science')->firstOrFail();

    expect($marine->series()->firstOrFail()->sessions()->where('state', 'planned')->count())
        ->toBe(20)
        ->and($marine->memberships()->pluck('role')->all())
        ->toBe([MembershipRole::Teacher])
        ->and($summer->dayPlans()->count())
        ->toBe(1);
    $this->get("$in/")
        ->assertSee('Y8 Marine Science')
        ->assertSee("$in/term", false);
    $this->get("$in/term")
        ->assertSee('Summer term')
        ->assertSee('Preview');
    $this->delete('/terms/'.term()->id)->assertSessionHasErrors('term');
    // Chosen in one tab, the other stays where it is; students are always in the clock's.
    $this->post('/term/choice', ['term' => $summer->id])->assertRedirect("$in/term");
    $this->get('/term')->assertSee('61 school days');
    $this->as('S-1')->get('/me')->assertSee('Marine Science');
    $this->as('A-1')->post('/terms', [
        'term_title' => 'Autumn',
        'term_first' => '2027-09-06',
        'term_last' => '2027-12-17',
    ]);
    $this->delete('/terms/'.Term::query()->where('title', 'Autumn')->value('id'))->assertSessionHas(
        'said',
        'Autumn removed.',
    );
});

test('a weekend day that is open within closed days is not opened twice', function () {
    $open = fn () => $this->as('A-1')->post('/term/opened-days', ['open_day' => 'Sat 27 Feb']);
    $open()->assertSessionHasNoErrors();
    DB::table('closures')->insert([
        'term_id' => term()->id,
        'uid' => 'storm',
        'starts_on' => '2027-02-26',
        'ends_on' => '2027-03-01',
        'reason' => 'Storm',
    ]);
    $open()->assertSessionHasErrors('open_day');
    expect(DB::table('opened_days')->count())->toBe(1);
});
