<?php

use Nomada\Core\Interchange\Calendar\ClosureReader;
use Nomada\Core\Interchange\Calendar\IcsText;
use Nomada\Core\Interchange\Csv;
use Nomada\Core\Interchange\Deadline;
use Nomada\Core\Term\Zone;
use Tests\Support\English;

test('RFC 4180 is read with quotes, line breaks in values, any line ending and a byte order mark', function () {
    $csv = new Csv('f.csv', "\xEF\xBB\xBFa,b\r\n1,\"two, \"\"three\"\"\nand four\"\r\n\r\n5,6", ['a', 'b']);

    expect($csv->faults)
        ->toBe([])
        ->and(array_map(fn ($r) => [$r->line, $r->values], $csv->rows))
        ->toBe([[2, ['a' => '1', 'b' => "two, \"three\"\nand four"]], [5, ['a' => '5', 'b' => '6']]]);
});

test('each fault says where it is', function (string $text, int $line, string $column, string $words) {
    $fault = (new Csv('f.csv', $text, ['a', 'b']))->faults[0];

    expect([$fault->line, $fault->column])
        ->toBe([$line, $column])
        ->and(English::line($fault))
        ->toContain($words);
})->with([
    'empty' => ['', 1, '', 'empty'],
    'a missing column' => ["a,c\n1,2", 1, 'b', 'The column b was expected'],
    'a column twice' => ["a,b,a\n1,2,3", 1, 'a', 'once'],
    'a short row' => ["a,b\n1,2\n3", 3, '', 'this row has 1'],
    'a quote that never ends' => ["a,b\n1,\"2\n3,4", 2, '2', 'never ends'],
    'text behind a quote' => ["a,b\n1,\"2\"x", 2, '2', 'after the closing quotation mark'],
    'another encoding' => ["a,b\n1,2\n3,\xE9t\xE9", 0, '', 'no UTF-8 text'],
    'semicolons' => ["a;b\n1;2\n", 1, '', 'semicolons'],
    'a NUL' => ["a,b\n1,2\n3,\0", 3, '', 'NUL'],
]);

test('what is too long for one import is one clear fault, whatever it is made of', function () {
    $rows = "a,b\n".str_repeat("1,2\n", Csv::MOST + 1);
    expect(fn () => new Csv('f.csv', $rows, ['a', 'b']))->toFault('f.csv has more than 200,000 rows.');
    expect((new Csv('f.csv', substr($rows, 0, -8), ['a', 'b']))->rows)->toHaveCount(Csv::MOST - 1);
    $past = new Deadline(0);
    expect(fn () => new Csv('f.csv', $rows, ['a', 'b'], $past))->toFault(
        'Reading takes too long: f.csv is read up to line 2001.',
        'file',
    );
    $event = "BEGIN:VEVENT\r\nUID:a\r\nSUMMARY:A\r\nDTSTART;VALUE=DATE:20270302\r\nEND:VEVENT\r\n";
    $calendar = "BEGIN:VCALENDAR\r\n".str_repeat($event, IcsText::MOST + 1)."END:VCALENDAR\r\n";
    [$closures, $faults] = ClosureReader::read($calendar, 'c.ics', Zone::named('UTC'));
    expect($closures)->toBe([])->and(English::line($faults[0]))->toContain('more than 20,000 events');
});
