<?php

use Nomada\Core\Interchange\Calendar\ClosureReader;
use Nomada\Core\Interchange\Calendar\IcsText;
use Nomada\Core\Interchange\Csv;
use Nomada\Core\Interchange\CsvRow;
use Nomada\Core\Interchange\Deadline;
use Nomada\Core\Interchange\ImportFault;
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
    'a missing column' => ["a,c\n1,2", 1, 'b', 'The column b is missing from the header row.'],
    'a column twice' => ["a,b,a\n1,2,3", 1, 'a', 'A column is in the header row twice.'],
    'a short row' => ["a,b\n1,2\n3", 3, '', 'This row has 1 values; the header row has 2.'],
    'a quote that never ends' => ["a,b\n1,\"2\n3,4", 2, '2', 'A closing quotation mark is missing for the value that '
        .'starts here.'],
    'text behind a quote' => ["a,b\n1,\"2\"x", 2, '2', 'Text follows a closing quotation mark.'],
    'another encoding' => ["a,b\n1,2\n3,\xE9t\xE9", 0, '', 'This file is not UTF-8; it was read as Windows-1252.'],
    'semicolons' => ["a;b\n1;2\n", 1, '', 'semicolons'],
    'a NUL' => ["a,b\n1,2\n3,\0", 3, '', 'NUL'],
]);

test('what is too long for one import is one clear fault, whatever it is made of', function () {
    $rows = "a,b\n".str_repeat("1,2\n", Csv::MOST + 1);
    expect(fn () => new Csv('f.csv', $rows, ['a', 'b']))->toFault('f.csv has more than 200,000 rows.');
    expect((new Csv('f.csv', substr($rows, 0, -8), ['a', 'b']))->rows)->toHaveCount(Csv::MOST - 1);
    $past = new Deadline(0);
    expect(fn () => new Csv('f.csv', $rows, ['a', 'b'], $past))->toFault(
        'Reading takes too long: f.csv was read up to line 2001.',
        'file',
    );
    $event = "BEGIN:VEVENT\r\nUID:a\r\nSUMMARY:A\r\nDTSTART;VALUE=DATE:20270302\r\nEND:VEVENT\r\n";
    $calendar = "BEGIN:VCALENDAR\r\n".str_repeat($event, IcsText::MOST + 1)."END:VCALENDAR\r\n";
    [$closures, $faults] = ClosureReader::read($calendar, 'c.ics', Zone::named('UTC'));
    expect($closures)->toBe([])->and(English::line($faults[0]))->toContain('more than 20,000 events');
});

test('what comes out of a file is these rows and these faults, and nothing else', function (
    string $text,
    array $rows,
    array $faults = [],
) {
    $csv = new Csv('f.csv', $text, ['a', 'b']);
    expect(array_map(fn (CsvRow $r): string => "$r->file $r->line ".json_encode($r->values), $csv->rows))
        ->toBe(array_map(fn (string $row): string => "f.csv $row", $rows))
        ->and(
            array_map(
                fn (ImportFault $f): string => "$f->line|$f->column|{$f->expected->says}|".
                    json_encode($f->expected->with).
                    "|$f->found|".
                    ($f->warning ? 'warning' : 'fault'),
                $csv->faults,
            ),
        )
        ->toBe($faults);
})->with([
    'values and names without the spaces around them' => [
        " a , b,c \n 1 ,2 , 3\n",
        ['2 {"a":"1","b":"2","c":"3"}'],
    ],
    'empty rows and rows of separators are none, and what follows is read' => [
        "a,b\n,\n\n1,2\n,,,\n3,4",
        ['4 {"a":"1","b":"2"}', '6 {"a":"3","b":"4"}'],
    ],
    'a nought is a value' => ["a,b\n0,\n", ['2 {"a":"0","b":""}']],
    'line ends of every kind' => [
        "a,b\r\n1,2\r3,4\n5,6",
        ['2 {"a":"1","b":"2"}', '3 {"a":"3","b":"4"}', '4 {"a":"5","b":"6"}'],
    ],
    'quotes within quotes, and lines counted within them' => [
        "a,b\n\"x \"\"y\"\"\",\"1\n2\"\n3,4",
        ['2 {"a":"x \"y\"","b":"1\n2"}', '4 {"a":"3","b":"4"}'],
    ],
    'a quote within a value is a letter' => ["a,b\n5\"x,2", ['2 {"a":"5\"x","b":"2"}']],
    'a column without a name twice is no fault, one with a name is' => [
        "a,b,,\n1,2,3,4",
        ['2 {"a":"1","b":"2","":"4"}'],
    ],
    'a row too long is named, and the next is read' => [
        "a,b\n1,2,3\n4,5",
        ['3 {"a":"4","b":"5"}'],
        ['2||csv.values|{"n":2,"found":3}||fault'],
    ],
    'nothing is read where a column is missing' => ["a,c\n1,2", [], ['1|b|csv.column|{"column":"b"}|a,c|fault']],
    'nothing is read where a column stands twice' => ["a,b,b\n1,2,3", [], ['1|b|csv.twice|[]||fault']],
    'an empty file says what it ought to have' => ['', [], ['1||csv.empty|{"columns":["a","b"]}||fault']],
    'nothing is read where a NUL is' => ["a,b\n1,2\n3,\0", [], ['3||csv.nul|[]||fault']],
    'a quote that never ends takes all that follows' => ["a,b\n1,\"2\n3,4", [], ['2|2|csv.unclosed|[]||fault']],
    'text behind a quote is shown, twenty letters of it, and left out' => [
        "a,b\n\"1\"xy,2\n3,\"4\"abcdefghijklmnopqrstuvwxyz\n5,6",
        [],
        ['2|1|csv.after_quote|[]|xy|fault', '3|2|csv.after_quote|[]|abcdefghijklmnopqrst|fault'],
    ],
    'a mark of UTF-8 is no part of the first name' => ["\xEF\xBB\xBFa,b\n\u{e9},2", ['2 {"a":"\u00e9","b":"2"}']],
    'UTF-16 by its mark' => [
        "\xFF\xFEa\0,\0b\0\n\x001\0,\x002\0",
        ['2 {"a":"1","b":"2"}'],
        ['0||csv.encoding|{"from":"UTF-16LE"}||warning'],
    ],
    'UTF-16 the other way round' => [
        "\xFE\xFF\0a\0,\0b\0\n\x001\0,\x002",
        ['2 {"a":"1","b":"2"}'],
        ['0||csv.encoding|{"from":"UTF-16BE"}||warning'],
    ],
    'any other is taken for that of old spreadsheets' => [
        "a,b\n\xE9,\x80",
        ['2 {"a":"\u00e9","b":"\u20ac"}'],
        ['0||csv.encoding|{"from":"Windows-1252"}||warning'],
    ],
    'semicolons, where only they part the columns' => [
        "\"a\"; b\n1,5;2",
        ['2 {"a":"1,5","b":"2"}'],
        ['1||csv.semicolons|[]||warning'],
    ],
    'tabs likewise' => ["a\tb\r\n1\t2", ['2 {"a":"1","b":"2"}'], ['1||csv.tabs|[]||warning']],
    'a comma before either' => ["a,b,c;d\n1,2,3", ['2 {"a":"1","b":"2","c;d":"3"}']],
]);
