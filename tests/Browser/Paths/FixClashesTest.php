<?php

use Illuminate\Support\Facades\DB;
use Tests\Support\RunningCopy;

// From clashes to a timetable without them, in the real interface. The steps follow each other.

test(
    'clashes are fixed: computed, one pinned, computed again, one left out, accepted, told, and undone',
    function () {
        $copy = RunningCopy::shared();
        $copy->freshDemo();
        $b = browser()->as($copy->url(), 'A-01', '/timetable/clashes');
        $clashes = fn (): int => DB::table('clashes')
            ->where('kind', 'students')
            ->whereRaw("(days->>-1)::int > date '2027-02-09' - date '1970-01-01'")
            ->count();
        $before = $clashes();
        $b->press('Fix clashes…')->see('Nothing computed yet')->press('Compute')->see('2 moves fix all of them');
        $b->press('Pin Y8 History and compute again')->see('Y8 Marine Science')->see('2 moves fix all of them');
        $b->press('Preview changes…')->see('get a changed timetable')->press('Leave out: Y8 Marine Science');
        $b->see('1 change is left out.')->press('Move 1 series')->see('1 series moved.');
        expect($clashes())->toBe($before - 1);

        // What has moved is told, and waits for publishing.
        $b->open('/sections/9MUS')->see('from Wed 10 Feb: Every second week, Fri 14:15');
        $b->open('/publishing?show=all')->see('Y9 Music Workshop');

        $b->open('/sections/9MUS')->press('Undo from')->see('Undone');
        expect($clashes())->toBe($before);
    },
);

test('series without a time get one, and a time that is pointed at is explained', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/');
    $b->open('/timetable/place')->see('3 series have no time yet')->press('Compute')->see('3 series placed');
    $b->press('Why not?')->see('Why a series cannot be at a time');
    $b->script("document.querySelector('[name=series] option:last-child').selected = true");
    $b->fill('start', '10:00')->press('Look')->see('Choose as many days');
    $b->open('/timetable/place')->press('Preview changes…')->press('Accept all 3 changes');
    $b->see('3 series changed in one step.');
    expect(DB::table('series_to_place')->count())->toBe(0);
    $b->open('/sections/7ART')->see('Art studio')->press('Undo all 3')->see('Undone');
    expect(DB::table('series_to_place')->count())->toBe(3);
});

test('a series without a time is dragged into the week, and told what is in the way there', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/timetable?week=8')->see('No time yet');
    // The driver's mouse does not drag what the browser itself drags: the events are sent as it would send them.
    $b->script(
        <<<'JS'
        const [chip, svg] = ['[data-place]', '.grid-week'].map(css => document.querySelector(css));
        const box = svg.getBoundingClientRect();
        const at = { dataTransfer: new DataTransfer(), bubbles: true, cancelable: true, clientX: box.left + 400 };
        chip.dispatchEvent(new DragEvent('dragstart', at));
        window.drop = () => svg.dispatchEvent(new DragEvent('drop', at));
        JS
        ,
    );
    $b->wait(fn (): bool => $b->count('.shade.is-free') > 0, 'the week to be shaded');
    $b->script('window.drop()');
    $b->see('Why a series cannot be at a time')->see('Put it there')->press('Put it there')->see('Art studio');
    expect(DB::table('series_to_place')->count())->toBe(2);
    $b->press('Undo')->see('Undone');
    expect(DB::table('series_to_place')->count())->toBe(3);
});
