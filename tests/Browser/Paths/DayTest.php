<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Session;
use Tests\Browser\Browser;
use Tests\Support\RunningCopy;

/** The demo with Marine Science linked and registered, at five to ten. Its session of the day. */
function dayBegins(RunningCopy $copy): Session
{
    $copy->freshDemo();
    Artisan::call('nomada:links', ['--section' => ['8MAR']]);
    Artisan::call('nomada:register', ['--section' => ['8MAR']]);
    $session = Session::query()
        ->whereRelation('series.section', 'sourced_id', '8MAR')
        ->where('day', '2027-02-09')
        ->firstOrFail();
    $copy->clock('09:56');

    return $session;
}

/** Comes in by the own page, and is past the devices. */
function comesIn(Browser $b, string $how): Browser
{
    return $b
        ->press('Join')
        ->see('It starts')
        ->press('Join')
        ->see('Microphone, loudspeaker and camera')
        ->press($how)
        ->see('Chat');
}

test(
    'a whole lesson: a teacher and two students in three browsers, then attendance and the recording',
    function () {
        $copy = RunningCopy::shared();
        $session = dayBegins($copy);
        $teacher = browser()->as($copy->url(), 'T-02', "/live/$session->id");
        $galia = Browser::start();
        $farid = Browser::start();
        try {
            $teacher->see('22 have not joined')->press('Join as teacher');
            $teacher->see('You have joined. The others can join.');
            // The devices are tried before anybody hears: Chromium's own microphone beeps.
            $galia
                ->fresh($copy->url())
                ->signInAsDemo('S-8-001')
                ->size(390, 844)
                ->press('Join')
                ->see('It starts')
                ->press('Join');
            $galia->see('Before anybody hears you')->press('Try')->see('The microphone hears you.');
            expect($galia->script('return document.querySelectorAll("#mics option").length'))->toBeGreaterThan(0);
            $galia->press('All works')->see('2 people are inside');
            expect($galia->scrollsSideways())->toBeFalse();
            $farid
                ->fresh($copy->url())
                ->signIn(
                    (string) DB::table('people')->where('sourced_id', 'S-8-002')->value('email'),
                    'carnival-tide-27',
                );
            comesIn($farid, 'Join without a camera')->see('3 people are inside');
            // Hands in their order, the floor, the microphone.
            $farid->press('Raise your hand')->see('Lower your hand');
            $galia->press('Raise your hand')->see('Lower your hand');
            $teacher->see('2 inside');
            $teacher->wait(
                fn (): bool => preg_match('/1 Farid Soutiño.*2 Galia Zabalo/s', $teacher->text('.a-who')) === 1,
                'both hands in their order',
            );
            $teacher->press('More Farid')->press('Give the floor Farid')->see('Floor given.');
            $farid->see('has the floor')->press('Microphone on')->see('Microphone off');
            $teacher->see('speaking');
            // A quick question, answered and counted.
            $teacher->press('Ask a quick question')->fill('text', 'Is the tide rising?');
            $teacher->click('details[open] .btn-main')->see('Question asked.');
            $galia->see('Is the tide rising?')->press('yes');
            $farid->see('Is the tide rising?')->press('no');
            $teacher
                ->see('2 answers')
                ->press('Close question')
                ->see('Quick question: Is the tide rising? 1 yes, 1 no');
            // Anybody who has the floor draws, and needs no mouse for it.
            $farid->press('Draw')->focus('#board')->keys('ENTER', 'ARROW_RIGHT', 'ARROW_DOWN', 'ENTER', 'ESCAPE');
            $galia->wait(
                fn (): bool => $galia->script(
                    'return document.querySelector("#sheet .mark")?.getAttribute("points")',
                ) === '400,280 410,290',
                'the line drawn by keys',
            );
            $farid->press('Write')->focus('#board')->keys('ENTER')->find('#written')->sendKeys('the bar');
            $farid->press('Add');
            $galia->wait(fn (): bool => str_contains($galia->drawn(), 'the bar'), 'what was written by keys');
            // The talk: to everybody, and to the teacher alone; a line is taken away.
            $galia
                ->fill('text', 'my loudspeaker is faint')
                ->script('document.querySelector("[name=to]").value = "teacher"');
            $galia->press('Send');
            $teacher->see('to teachers only');
            $farid->fill('text', 'is it the grey part?')->press('Send')->see('Farid Soutiño: is it the grey part?');
            expect($farid->text())->not->toContain('faint');
            $teacher->see('is it the grey part?')->press('Remove is it the grey part?')->see('Message removed.');
            $galia->see('removed by the teacher');
            // The sheet, and recording, which everybody is told.
            $teacher->find('#sheet-text')->sendKeys('high water 12:40');
            $teacher->press('Add to the middle');
            $galia->wait(fn (): bool => str_contains($galia->drawn(), 'high water'), 'the sheet');
            $copy->clock('10:01');
            $teacher
                ->press('Record…')
                ->see('no recording consent')
                ->press('I have asked everybody: start recording')
                ->see('Everybody has been told.');
            $galia->see('This is recorded.');
            // Captions are a text of their own, for anybody who wants them, and never are in the talk.
            $galia->click('#captions');
            $galia->wait(fn (): bool => $galia->count('#captions-text .caption') > 0, 'captions');
            expect($galia->count('.talk .caption'))
                ->toBe(0)
                ->and($galia->count('#captions-text .caption'))
                ->toBeLessThan(3);
            expect($farid->count('.talk .caption'))->toBe(0);
            expect($teacher->accessibilityFaults())->toBe([])->and($galia->accessibilityFaults())->toBe([]);
            // The end shuts the door behind.
            $copy->clock('10:47');
            $teacher
                ->press('End for everybody')
                ->press('End session now')
                ->see('The session has ended for everybody');
            $galia->see('The session is over');
            $farid->see('The session is over');
        } finally {
            $farid->end();
        }

        // Attendance follows on its own; a correction is beside it.
        try {
            $teacher
                ->open("/records/sections/8MAR/sessions/$session->id")
                ->see('2 of 22 attended')
                ->see('20 absent');
            $teacher->press('Correct…')->script('document.querySelector("#who").value = "S-8-003"');
            $teacher->script('document.querySelector("#status").value = "present"');
            $teacher
                ->fill('why', 'came by phone')
                ->press('Save correction')
                ->see('corrected: came by phone')
                ->see('3 of 22 attended');
            expect($teacher->accessibilityFaults())->toBe([]);
            // The recording: nothing for the student before it is released, and then its parts and its words.
            $galia->open('/me')->see('Upcoming sessions');
            expect($galia->text())->not->toContain('Recordings');
            $copy->wait(function (): bool {
                Artisan::call('nomada:recording');

                return DB::table('recordings')->where('state', 'ready')->exists();
            });
            $recording = (int) DB::table('recordings')->value('id');
            $teacher->open('/records')->see('1 recording to release')->press('Release recording');
            $teacher->waitForPath('#/recordings/#')->see('Part 1')->press('Release')->see('Released.');
            expect($teacher->accessibilityFaults())->toBe([]);
            $galia
                ->open('/me')
                ->see('Recordings')
                ->press('Recording of Y8 Marine Science, Tue 9 Feb')
                ->see('Transcript');
            $galia->wait(
                fn (): bool => $galia->script('return document.querySelector("audio").duration > 60') === true,
                'the sound',
            );
            // A line of the transcript leads to its moment, and the place is kept.
            $galia->script('document.querySelectorAll(".cue button")[20].click()');
            $galia->wait(fn (): bool => $galia->count('.cue.now') === 1, 'the transcript to follow');
            $galia->script('document.querySelector("audio").pause()');
            $copy->wait(fn (): bool => DB::table('playback_positions')->where('recording_id', $recording)->exists());
            expect($galia->accessibilityFaults())->toBe([])->and($galia->scrollsSideways())->toBeFalse();
            $galia->open('/sections/8MAR/recordings?q=harbour')->see('matches');
            $teacher
                ->open("/recordings/$recording")
                ->press('Withdraw')
                ->see('Withdrawn');
            $galia->open('/me')->see('Upcoming sessions');
            expect($galia->text())->not->toContain('Recordings');
        } finally {
            $galia->end();
        }
    },
);

test('what the desk fetches behind never closes what a teacher has opened meanwhile', function () {
    $copy = RunningCopy::shared();
    $session = dayBegins($copy);
    $b = browser()->as($copy->url(), 'T-02', "/live/$session->id");
    $b->press('Join as teacher')->see('You have joined.');
    // Answers wait at this gate until somebody lets them in.
    $b->script(
        <<<'JS'
        const real = window.fetch;
        window.waiting = [];
        window.isShut = true;
        window.fetch = async (...what) => {
            const answer = await real(...what);
            if (answer.status === 200 && window.isShut) await new Promise(go => window.waiting.push(go));
            return answer;
        };
        JS
        ,
    );
    $copy->clock('10:01');
    $b->wait(fn (): bool => $b->script('return window.waiting.length') > 0, 'an answer that waits');
    $b->press('Record…')->see('Ask everybody first');
    $b->script('window.isShut = false; window.waiting.forEach(go => go())');
    // Once the answer has had its turn, what was opened is still there; closed, the page follows the day.
    $b->script('return new Promise(done => setTimeout(done, 50))');
    expect($b->text())->toContain('Ask everybody first');
    $b->keys('ESCAPE')->script('document.activeElement.blur()');
    $b->see('10:01 now');
});

test('the rehearsal shows all of it with invented students', function () {
    $copy = RunningCopy::shared();
    $session = dayBegins($copy);
    $b = browser()->as($copy->url(), 'T-02', "/live/$session->id");
    $b->press('Rehearsal')->press('Start rehearsal')->see('4 waiting to be let in')->see('2 inside');
    $b->press('Next step')->see('Is the harbour the grey part?')->see('1 Alba Ferrán', '.a-who');
    $b->press('Let everybody in')->see('Everybody was let in.')->see('6 inside');
    $b->press('More Alba')->press('Give the floor Alba')->see('has the floor');
    $b->press('Ask a quick question')
        ->fill('text', 'Ready?')
        ->click('details[open] .btn-main')
        ->see('Question asked.');
    $b->press('Next step')->press('Next step')->see('2 answers');
    expect($b->accessibilityFaults())->toBe([]);
    $b->press('Back to the lesson')->see('22 have not joined');
    expect($b->text())->not->toContain('Alba');
});

test('a guardian reads the children\'s attendance by the link in a letter, and tells an absence', function () {
    $copy = RunningCopy::shared();
    dayBegins($copy);
    $guardian = Nomada\App\Models\Term\Person::query()
        ->whereIn('id', DB::table('guardianships')->select('guardian_id'))
        ->orderBy('id')
        ->firstOrFail();
    $child = $guardian->wards()->orderBy('given_name')->firstOrFail();
    $b = browser()->fresh($copy->url())->size(390, 844);
    $b->open($guardian->childrenPage())->see('Attendance of your children')->see($child->name());
    expect($b->accessibilityFaults())->toBe([])->and($b->scrollsSideways())->toBeFalse();
    $b->fill('from_day', '11 Feb')->press('Report absence')->see('will be marked as excused')->see('Thu 11 Feb');
});
