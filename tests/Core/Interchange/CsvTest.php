<?php

use Nomada\Core\Interchange\Csv;

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
        ->and($fault->sentence())
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
