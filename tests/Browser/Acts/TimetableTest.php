<?php

use Illuminate\Support\Facades\DB;
use Tests\Support\RunningCopy;

// The coordinator's first two stops, in the real interface. The steps follow each other.

const HISTORY = '[data-name="Y8 History"]';

test(
    'a session is moved by keys: what it clashes with is said while it moves, its reach is asked, and the move is '.
        'undone',
    function () {
        $copy = RunningCopy::shared();
        $copy->freshDemo();
        $b = browser()->as($copy->url(), 'A-01', '/timetable?week=7')->see('sessions clash');
        $b->focus(HISTORY)->wait(
            fn (): bool => $b->count('.shade.is-free') > 0 && $b->count('.shade.is-students') > 0,
            'the row to be shaded',
        );
        $b->keys('ARROW_RIGHT')->see(
            'Y8 History: Thu 25 Feb, 10:35–11:20 · 19 students are elsewhere',
            '.moving-words',
        );
        $b->keys('ARROW_RIGHT', 'ARROW_RIGHT', 'ARROW_RIGHT')->see(
            'Y8 History: Thu 25 Feb, 10:50–11:35',
            '.moving-words',
        );
        expect($b->text('.moving-words'))->not->toContain('elsewhere');
        $b->script(
            'arguments[0].dispatchEvent(new KeyboardEvent("keydown", {key: "ArrowLeft", shiftKey: true, bubbles: '.
                'true}))',
            $b->find(HISTORY),
        );
        $b->see('Wed 24 Feb, 10:50–11:35', '.moving-words')
            ->keys('ESCAPE')
            ->wait(fn (): bool => $b->count('.is-moving') === 0, 'it to be put back');
        $b->keys('ARROW_RIGHT', 'ARROW_RIGHT', 'ARROW_RIGHT', 'ARROW_RIGHT', 'ENTER')
            ->see('Apply this change to', '#move-dialog')
            ->see('This and later', '#move-dialog')
            ->see('7 sessions move', '#move-dialog');
        $b->choose('#move-dialog [value=later]')
            ->click('#move-dialog .btn-main')
            ->see('This session and the later ones were moved.');
        expect($b->path())->toContain('week=7')->and($b->count('.is-wrong'.HISTORY))->toBe(0);

        $b->open('/sections/8HIS')
            ->see('from Thu 25 Feb on: moved to Thu 10:50–11:35')
            ->see('Thu 10:30–11:15, from Thu 25 Feb: Thu 10:50–11:35')
            ->press('Undo from Thu 25 Feb on: moved to Thu 10:50–11:35')
            ->see('Undone: from Thu 25 Feb on')
            ->see('undone by C. Marrero');
        expect($b->text('#day-2027-02-25'))->toContain('10:30–11:15');
    },
);

test('a session is dragged with the mouse, alone, and a click still opens it', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/timetable?week=7');
    $b->drag('[data-name="Y7 Art"]', -70)
        ->see('Apply this change to', '#move-dialog')
        ->see('Move Y7 Art', '#move-dialog')
        ->choose('#move-dialog [value=this]')
        ->click('#move-dialog .btn-main')
        ->see('Session moved to Fri 26 Feb');
    expect(
        DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->where('series.title', 'Art')
            ->whereNotNull('moved_from')
            ->pluck('day')
            ->all(),
    )->toBe(['2027-02-26']);
    $b->click('[data-name="Y7 Art"]')
        ->waitForPath('#session=\d+#')
        ->see('Y7 Art', 'aside')
        ->see('moved from Fri 26 Feb', 'aside');
    // What is left again stays where it was.
    $b->open('/timetable?week=7')
        ->drag('[data-name="Y7 Art"]', -40)
        ->see('Apply this change', '#move-dialog')
        ->press('Cancel')
        ->wait(fn (): bool => $b->count('.is-moving') === 0, 'it to be put back');
});

test('days are closed by dragging over them, and what falls on them is made up', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/term');
    $b->dragTo('[data-day="2027-03-02"]', '[data-day="2027-03-03"]');
    expect($b->script('return [document.getElementById("first").value, document.getElementById("last").value]'))
        ->toBe(['2027-03-02', '2027-03-03'])
        ->and($b->count('.is-marked'))
        ->toBe(2);
    $b->keys('Storm')
        ->press('Preview closure')
        ->see('18 sessions of 16 sections would be lost')
        ->choose('[value=made-up]')
        ->press('Close these days')
        ->see('Storm is closed')
        ->see('Sessions to make up')
        ->press('Make up selected sessions')
        ->see('sessions made up.');
    $b->open('/term')->see('18 sessions of 16 sections lost');
    expect(
        DB::table('sessions')
            ->whereIn('makes_up', ['2027-03-02', '2027-03-03'])
            ->count(),
    )->toBe(18);
});

test('a lost session takes a free time with one click', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/sections/9CHE');
    $b->press('Make up the session of Fri 29 Jan')
        ->see('Make up')
        ->see('everybody is free')
        ->click('.free form button')
        ->see('Make-up session added on')
        ->see('makes up Fri 29 Jan');
    expect($b->count('svg.line.large .diamond'))->toBe(1);
});

test('a series meets in a period of the day plan and on rotation weeks, read back in a sentence', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/sections/10STA?change=new');
    $b->choose('#k-rotation')
        ->choose('#rl-B')
        ->choose('#rw-3')
        ->choose('#at-period')
        ->script(
            "const s = document.querySelector('[name=period]'); s.value = '5'; s.dispatchEvent(new Event('change', ".
                '{bubbles: true}))',
        );
    $b->see('Rotation week B, Wed, in period 5, usually 14:00 to 14:45', '.made')
        ->press('Plan this series')
        ->see('Statistics planned: Week B, Wed period 5, 14:00–14:45.');
    expect(DB::table('series')->where('title', 'Statistics')->value('period'))->toBe('5');
});

test('the timetable prints on A4, landscape', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/timetable?week=7')->settle();
    preg_match_all('/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/', $b->pdf(), $m);

    expect($m[0])
        ->toHaveCount(1)
        ->and((float) $m[1][0])
        ->toBeGreaterThan(838.0)
        ->toBeLessThan(845.0)
        ->and((float) $m[2][0])
        ->toBeGreaterThan(592.0)
        ->toBeLessThan(598.0);
});

test(
    'a teacher asks for what is late, a coordinator accepts it from home, and undoes it like any change',
    function () {
        $copy = RunningCopy::shared();
        $copy->freshDemo();
        $b = browser()->as($copy->url(), 'T-02', '/sections/8MAR?day=2027-02-09')->see('so a coordinator decides');
        $b->fill('move_start', '16:00')
            ->fill('move_end', '16:47')
            ->fill('why', 'The tide is late')
            ->press('Move')
            ->see('Sent to the coordinators as a request.')
            ->see('waiting for a coordinator');

        $b->as($copy->url(), 'A-01', '/')->press('Decide')->see('The tide is late')->see('No clashes.');
        $b->press('Accept and save Y8 Marine Science: moved Tue 9 Feb')->see('Saved as Nadir Haddad requested.');
        $b->as($copy->url(), 'T-02', '/sections/8MAR?day=2027-02-09')->see('accepted')->see('16:00–16:47');
        $b->as($copy->url(), 'A-01', '/sections/8MAR')->press('Undo moved Tue 9 Feb')->see('Undone');
        expect($b->text('#day-2027-02-09'))->toContain('10:00–10:47');
    },
);
