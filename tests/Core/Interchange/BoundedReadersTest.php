<?php

use Nomada\Core\Interchange\Calendar\EventReader;
use Nomada\Core\Interchange\Calendar\ServedEvents;
use Nomada\Core\Interchange\WebVtt;
use Nomada\Core\Recording\Parts;
use Tests\Core\Scenario;

// No reader of input works without end, whatever is brought to it.

function calendarWith(string $rule, string $start = '20270110T100000Z'): string
{
    return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:u\r\nDTSTAMP:20260101T000000Z\r\n".
        "DTSTART:$start\r\nDTEND:".substr($start, 0, 9)."110000Z\r\nRRULE:$rule\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
}

/** Seconds of processor time. */
function processorTime(callable $do): float
{
    $used = fn (): float => ($u = getrusage()) === false
        ? 0
        : $u['ru_utime.tv_sec'] + $u['ru_utime.tv_usec'] / 1e6 + $u['ru_stime.tv_sec'] + $u['ru_stime.tv_usec'] / 1e6;
    $before = $used();
    $do();

    return $used() - $before;
}

test('rules that never occur, or nearly never, are read to an end', function () {
    mt_srand(20270209);
    $pick = fn (array $of): mixed => $of[array_rand($of)];
    $rules = [
        'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30',
        'FREQ=YEARLY;BYWEEKNO=53;BYDAY=SU',
        'FREQ=SECONDLY',
        'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29;INTERVAL=100',
    ];
    for ($n = 0; $n < (int) (getenv('NOMADA_ROUNDS') ?: 20); $n++) {
        $rules[] = implode(';', array_filter([
            'FREQ='.$pick(['YEARLY', 'YEARLY', 'MONTHLY', 'WEEKLY', 'DAILY', 'HOURLY']),
            $pick(['', 'INTERVAL='.mt_rand(1, 400)]),
            $pick(['BYMONTH='.$pick([2, 4, 6, 9, 11]), '']),
            $pick(['BYMONTHDAY='.$pick([30, 31, -31, -30]), '']),
            $pick(['BYDAY='.$pick(['5MO', '-5FR', 'SU', 'TU']), '', '']),
            $pick(['BYSETPOS='.mt_rand(2, 9), '', '']),
            $pick(['BYYEARDAY='.$pick([366, -366]), '', '', '']),
            $pick(['BYHOUR=24', 'BYHOUR=3', '', '', '']),
        ]));
    }
    foreach ($rules as $rule) {
        $took = processorTime(function () use ($rule): void {
            EventReader::read(calendarWith($rule), 'c.ics', Scenario::term());
            ServedEvents::of(calendarWith($rule, '19950110T100000Z'), 1_800_000_000, 1_810_000_000);
        });
        expect($took)->toBeLessThan(6.0, $rule);
    }
});

test('a time that no recording reaches is refused with its line, and parts stay few', function (string $time) {
    $vtt = new WebVtt('t.vtt', "WEBVTT\n\n00:01.000 --> 00:02.000\nHello\n\n$time --> $time".'9'."\nLate\n");
    expect($vtt->faults)->toHaveCount(1)->and($vtt->faults[0]->line)->toBe(6);
    expect(count(Parts::of($vtt->cues, 3_600_000)))->toBeLessThan(20);
})->with(['1000:00:01.000', '99999999999999999999:00:01.000', '25:00:00.000']);

test('a cue ends where the times of another stand, and each voice is a cue of its own', function () {
    $vtt = new WebVtt(
        't.vtt',
        "WEBVTT\n\n00:01.000 --> 00:02.000\n<v Ana>Hello\n00:03.000 --> 00:04.000\n<v Ana>One <v Rui>Two\n",
    );
    $cues = array_map(fn ($c): array => [$c->from, $c->speaker, $c->text], $vtt->cues);
    expect($vtt->faults)
        ->toBe([])
        ->and($cues)
        ->toBe([[1000, 'Ana', 'Hello'], [3000, 'Ana', 'One'], [3000, 'Rui', 'Two']])
        ->and((new WebVtt('t.vtt', "WEBVTT\n\n00:01.000 --> 00:02.000\nA\0B\n"))->faults[0]->line)
        ->toBe(4);
});
