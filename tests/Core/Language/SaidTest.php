<?php

use Nomada\Core\Language\Phrases;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;

function saying(string $language = 'es'): Phrases
{
    return new Phrases($language, [
        'row' => ':first :rest',
        'list' => ':list',
        'and' => ':list y :last',
        'one' => 'uno',
        'of' => ':day, :n, :what, :some',
    ]);
}

test('what is said is put together of what is said', function (Said $said, string $words) {
    expect(saying()->this($said))->toBe($words);
})->with([
    'one in a row' => [fn (): Said => Said::row([new Said('one')]), 'uno'],
    'three in a row' => [
        fn (): Said => Said::row([Said::weekday(1), Said::weekday(3), new Said('one')]),
        'lun mié uno',
    ],
    'one in a list' => [fn (): Said => Said::list([Said::weekdayName(2)]), 'martes'],
    'three in a list' => [
        fn (): Said => Said::list([Said::weekday(7), new Said('one'), new Said('one')]),
        'dom, uno, uno',
    ],
    'one and none' => [fn (): Said => Said::and([new Said('one')]), 'uno'],
    'two' => [fn (): Said => Said::and([new Said('one'), Said::weekday(5)]), 'uno y vie'],
    'three' => [fn (): Said => Said::and([new Said('one'), Said::weekday(5), Said::weekday(6)]), 'uno, vie y sáb'],
    'everything that can be put in' => [
        fn (): Said => new Said('of', [
            'day' => LocalDate::parse('2027-02-18'),
            'n' => 3,
            'what' => new Said('one'),
            'some' => ['a', new Said('one'), LocalDate::parse('2027-02-19'), null],
        ]),
        'jue 18 feb, 3, uno, a, uno, vie 19 feb, ',
    ],
]);

test('what is kept of it is read back the same, by way of JSON', function () {
    $said = new Said('of', [
        'day' => LocalDate::parse('2027-02-18'),
        'n' => 3,
        'text' => 'boat trip',
        'none' => null,
        'is' => true,
        'what' => new Said('row', ['first' => new Said('one'), 'rest' => LocalDate::parse('2027-02-19')]),
        'some' => ['a', new Said('one'), LocalDate::parse('2027-02-20'), ['b']],
    ]);
    $kept = (string) json_encode($said->toArray());
    expect(Said::from((array) json_decode($kept, true)))
        ->toEqual($said)
        ->and((new Said('one'))->toArray())
        ->toBe(['code' => 'one'])
        // What is none says nothing, and breaks nothing.
        ->and(Said::from(['code' => 7, 'with' => ['x' => ['other' => 1]]]))
        ->toEqual(new Said('', ['x' => []]));
});

test('weekdays are those of the calendar of any language', function (string $language, array $words) {
    $said = [Said::weekday(1), Said::weekday(7), Said::weekdayName(4)];
    expect(array_map(fn (Said $s): ?string => Phrases::ofCalendar($language, $s), $said))->toBe($words);
})->with([
    ['en', ['Mon', 'Sun', 'Thursday']],
    ['es', ['lun', 'dom', 'jueves']],
    ['de', ['Mo', 'So', 'Donnerstag']],
]);

test('what is no weekday is not the calendar\'s', function (string $code) {
    expect(Phrases::ofCalendar('en', new Said($code)))->toBeNull();
})->with(['weekdays.0', 'weekdays.8', 'weekdays.11', 'weekday_name.1', 'xweekdays.1', "weekdays.1\n"]);

test('a reason of ours is said wherever a text is put, and one of people stands as it is', function () {
    $words = new Phrases('es', ['off' => 'no hay: :why', 'because' => ['weekend' => 'fin de semana']]);
    expect($words->say('off', ['why' => '=weekend']))
        ->toBe('no hay: fin de semana')
        ->and($words->say('off', ['why' => '=storm']))
        ->toBe('no hay: =storm')
        ->and($words->this(new Said('off', ['why' => '=weekend'])))
        ->toBe('no hay: fin de semana');
});

test('a reason of ours is said in the reader\'s language; what people wrote stands as they wrote it', function () {
    $words = new Phrases('es', [
        'why' => 'porque: :why',
        'because' => ['weekend' => 'fin de semana', 'no_period' => ':plan no tiene :period'],
    ]);
    $say = fn (string $why): string => $words->say('why', ['why' => $why]);
    expect($say('=weekend'))
        ->toBe('porque: fin de semana')
        ->and($say("=no_period|P3|Exam\nweek|2"))
        ->toBe("porque: Exam\nweek|2 no tiene P3")
        ->and($say('=no_period||'))
        ->toBe('porque:  no tiene ')
        ->and([$say('the fair'), $say('=the fair'), $say('a=weekend'), $say('=no_period|P3')])
        ->toBe(['porque: the fair', 'porque: =the fair', 'porque: a=weekend', 'porque: =no_period|P3'])
        ->and([Said::because('weekend'), Said::because('=weekend')?->code])
        ->toBe([null, 'because.weekend']);
});

test('what is kept may have been written by hand', function () {
    expect(Said::from(['code' => 'one', 'with' => 'x']))
        ->toEqual(new Said('one', ['x']))
        ->and(Said::from(['with' => [3 => 'x', 'some' => ['list' => 'a'], 'other' => ['list' => ['k' => 'b']]]]))
        ->toEqual(new Said('', ['3' => 'x', 'some' => ['a'], 'other' => ['b']]))
        ->and(
            Said::from(['code' => 'of', 'with' => ['some' => ['list' => [['list' => ['a']], 'b']]]])->with['some'],
        )
        ->toBe([['a'], 'b'])
        ->and((new Said('of', ['some' => ['k' => new Said('one')]]))->toArray()['with'])
        ->toBe(['some' => ['list' => [['said' => ['code' => 'one']]]]]);
});
