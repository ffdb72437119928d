<?php

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Session;
use Nomada\Core\Interchange\Calendar\EventReader;
use Nomada\Core\Timetable\PlannedSession;
use Tests\Support\English;

beforeEach(fn () => $this->school());

function uploadOf(string $events): UploadedFile
{
    return UploadedFile::fake()->createWithContent(
        'mine.ics',
        "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//T//T//EN\r\n".
            str_replace("\n", "\r\n", trim($events)).
            "\r\nEND:VCALENDAR\r\n",
    );
}

const CLASS_OF_STA =
    "BEGIN:VEVENT\nUID:sta-1\nDTSTAMP:20261201T080000Z\nSUMMARY:8STA with the boats\n".
    "DTSTART;TZID=Europe/Madrid:20270210T140000\nDTEND;TZID=Europe/Madrid:20270210T144500\n".
    "RRULE:FREQ=WEEKLY;UNTIL=20270423T215959Z\nEXDATE;TZID=Europe/Madrid:20270303T140000\nEND:VEVENT\n";

const DENTIST =
    "BEGIN:VEVENT\nUID:dentist\nDTSTAMP:20261201T080000Z\nSUMMARY:Dentist\n".
    "DTSTART;TZID=Europe/Madrid:20270225T110000\nDTEND;TZID=Europe/Madrid:20270225T130000\nEND:VEVENT\n";

test('a teacher\'s calendar becomes series by code, and busy times that free times avoid', function () {
    $at = (string) $this->as('A-1')
        ->post('/timetable/calendars', ['calendar' => uploadOf(CLASS_OF_STA.DENTIST), 'teacher' => 'T-1'])
        ->headers->get('Location');
    $this->get($at)
        ->assertOk()
        ->assertSee('1 matched by code')
        ->assertSee('Dentist')
        ->assertSee('busy time of I. Belmar')
        ->assertSee('7 sessions, 3 lost');
    expect($this->section('STA')->series()->count())->toBe(0);
    $this->post($at, ['choice' => ['STA', 'busy']])->assertSessionHas(
        'said',
        '1 series added, 0 changed, 0 unchanged, 1 busy times.',
    );
    $series = $this->section('STA')->series()->firstOrFail();

    expect(English::said($series->plan()->said()))
        ->toBe('Wed 14:00–14:45')
        ->and($series->sessions()->where('day', '2027-03-03')->firstOrFail()->state->value)
        ->toBe('cancelled')
        ->and($series->sessions()->where('state', 'planned')->count())
        ->toBe(7)
        ->and($series->title)
        ->toBe('8STA with the boats')
        ->and(DB::table('busy_blocks')->count())
        ->toBe(1);
    $this->get('/timetable?week=7')->assertSee('Busy: Dentist');
    Artisan::call('nomada:free-times', ['--section' => ['STA'], '--json' => true, '--most' => 200]);
    $thursdays = array_filter(
        json_decode(Artisan::output(), true),
        fn (array $f): bool => str_starts_with($f['time'], 'Thu 11') || str_starts_with($f['time'], 'Thu 12'),
    );
    expect(array_filter($thursdays, fn (array $f): bool => $f['clear'] === $f['sessions']))->toBe([]);
    // The same again: nothing; changed: the same series changes.
    $at = (string) $this->post('/timetable/calendars', [
        'calendar' => uploadOf(CLASS_OF_STA),
        'teacher' => 'T-1',
    ])->headers->get('Location');
    $this->get($at)->assertSee('already imported, unchanged');
    $this->post($at, ['choice' => ['STA']])->assertSessionHas(
        'said',
        '0 series added, 0 changed, 1 unchanged, 0 busy times.',
    );
    $at = (string) $this->post('/timetable/calendars', [
        'calendar' => uploadOf(str_replace('T140000', 'T150000', str_replace('T144500', 'T154500', CLASS_OF_STA))),
    ])->headers->get('Location');
    $this->get($at)->assertSee('changes the series that it made');
    $this->post($at, ['choice' => ['STA']])->assertSessionHas(
        'said',
        '0 series added, 1 changed, 0 unchanged, 0 busy times.',
    );
    expect($this->section('STA')->series()->count())
        ->toBe(1)
        ->and(English::said($series->refresh()->plan()->said()))
        ->toBe('Wed 15:00–15:45');
});

test('what matches no section is listed to be matched by hand; without a choice nothing is taken', function () {
    $at = (string) $this->as('A-1')
        ->post('/timetable/calendars', ['calendar' => uploadOf(str_replace('8STA', 'Sums', CLASS_OF_STA))])
        ->headers->get('Location');
    $this->get($at)->assertSee('0 matched by code')->assertSee('leave it out');
    $this->post($at, ['choice' => ['leave']])->assertSessionHas(
        'said',
        '0 series added, 0 changed, 0 unchanged, 0 busy times.',
    );
    $this->get($at)->assertNotFound();
});

test('a calendar that cannot be read is told with line and property', function (string $text, string $words) {
    $at = (string) $this->as('A-1')
        ->post('/timetable/calendars', ['calendar' => UploadedFile::fake()->createWithContent('x.ics', $text)])
        ->headers->get('Location');
    $this->get($at)->assertOk()->assertSee($words)->assertSee('No event of this term in the file');
})->with([
    ['hello', 'This is not an iCalendar file (RFC 5545). Export the calendar as .ics.'],
    [
        fn () => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:a\r\n".
            "DTSTART;TZID=Mars/Olympus:20270301T100000\r\nDTEND;TZID=Mars/Olympus:20270301T104500\r\nEND:VEVENT\r\n".
            "END:VCALENDAR\r\n",
        'Mars/Olympus',
    ],
]);

test('a file is needed, and a known teacher', function () {
    $this->as('A-1')
        ->post('/timetable/calendars', [])
        ->assertSessionHasErrors(['calendar' => 'Choose a calendar file (.ics).']);
    $this->post('/timetable/calendars', [
        'calendar' => uploadOf(DENTIST),
        'teacher' => 'nobody',
    ])->assertSessionHasErrors('teacher');
});

test(
    'a section\'s, a teacher\'s and a student\'s calendar go out, and come back through our own reader without loss',
    function () {
        $this->as('A-1')->put(
            '/sections/MAR/series/'.
                $this->section('MAR')->series()->value('series.id').
                '/sessions/'.
                Session::query()
                    ->where('day', '2027-02-18')
                    ->whereRelation('series.section', 'sourced_id', 'MAR')
                    ->value('id'),
            ['move_day' => '2027-02-19', 'move_start' => '12', 'move_end' => '12:30'],
        );
        $text = (string) $this->get('/sections/MAR/calendar.ics')->assertOk()->getContent();
        // As compact as it gets: one rule, what is taken out of it, one session moved.
        expect(substr_count($text, 'BEGIN:VEVENT'))
            ->toBe(2)
            ->and($text)
            ->toContain('RRULE:FREQ=WEEKLY;BYDAY=TU,TH;UNTIL=')
            ->toContain('RECURRENCE-ID;TZID=Europe/Madrid:20270218T100000')
            ->toContain('CATEGORIES:MAR')
            ->not->toContain('RDATE');
        $term = $this->section('MAR')
            ->load(['term.school', 'term.closures'])
            ->term->calendar();
        [$events, $faults] = EventReader::read($text, 'x.ics', $term);
        $spans = fn (array $sessions): array => array_map(
            fn (PlannedSession $s): array => [$s->start, $s->end],
            $sessions,
        );
        $ours = Session::query()
            ->where('state', 'planned')
            ->whereRelation('series.section', 'sourced_id', 'MAR')
            ->orderBy('starts_at')
            ->get()
            ->map(fn (Session $s): array => [(int) $s->starts_at->timestamp, (int) $s->ends_at->timestamp])
            ->all();

        expect($faults)->toBe([])->and($spans($events[0]->sessions))->toBe($ours);
        expect(
            substr_count(
                (string) $this->get('/people/T-1/calendar.ics')->assertOk()->getContent(),
                'SUMMARY:Spanish Language',
            ),
        )->toBe(0);
        expect((string) $this->get('/people/T-1/calendar.ics')->getContent())->toContain(
            'SUMMARY:Y7 Spanish Language',
        );
        $this->as('T-2')->get('/people/T-1/calendar.ics')->assertNotFound();
    },
);

test('a student\'s own feed has their own links, and dies when its address is renewed', function () {
    $this->standins();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    $own = fn (string $who): string => (string) Nomada\App\Models\Joining\JoinLink::query()
        ->inForce()
        ->whereRelation('person', 'sourced_id', $who)
        ->firstOrFail()
        ->address();
    $this->as('S-1')->get('/me')->assertOk();
    $feed = route('feed', (string) Person::query()->where('sourced_id', 'S-1')->firstOrFail()->feed_secret);
    auth()->logout();
    $text = str_replace("\r\n ", '', (string) $this->get($feed)->assertOk()->getContent());
    expect($text)->toContain($own('S-1'))->not->toContain($own('S-2'));
    // The file that staff take has nobody's own link.
    expect(
        str_replace("\r\n ", '', (string) $this->as('A-1')->get('/people/S-1/calendar.ics')->getContent()),
    )->not->toContain($own('S-1'));
    $this->as('S-1')->post('/me/feed')->assertSessionHas('said');
    $this->get($feed)->assertNotFound();
});
