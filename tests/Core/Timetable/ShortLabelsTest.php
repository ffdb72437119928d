<?php

use Nomada\Core\Timetable\ShortLabels;

test('sections are told apart in few letters', function (array $sections, array $labels) {
    expect(
        ShortLabels::of(array_map(fn (array $s): array => ['code' => $s[0], 'title' => $s[1]], $sections)),
    )->toEqual($labels);
})->with([
    'each has its own code' => [
        ['7MAT' => ['7MAT', 'Mathematics'], '8MAT' => ['8MAT', 'Mathematics']],
        ['7MAT' => '7MAT', '8MAT' => '8MAT'],
    ],
    'by the last word of the title' => [
        ['x' => ['7MAT', 'Mathematics A'], 'y' => ['7MAT', 'Mathematics B'], 'z' => ['7ART', 'Art B']],
        ['x' => '7MAT A', 'y' => '7MAT B', 'z' => '7ART'],
    ],
    'one of them without' => [
        ['x' => ['7MAT', 'Mathematics'], 'y' => ['7MAT', 'Mathematics B']],
        ['x' => '7MAT', 'y' => '7MAT B'],
    ],
    'by the end of the id' => [
        ['7MAT-R' => ['7MAT', 'Pure Mathematics'], '7MAT-S' => ['7MAT', 'Pure Mathematics']],
        ['7MAT-R' => '7MAT R', '7MAT-S' => '7MAT S'],
    ],
    'letters, not bytes' => [
        ['x' => ['7MAT', 'M ñññ'], 'y' => ['7MAT', 'M ááá']],
        ['x' => '7MAT ñññ', 'y' => '7MAT ááá'],
    ],
    'a word too long says nothing' => [
        ['7-a' => ['7MAT', 'Maths pure'], '7-b' => ['7MAT', 'Maths more']],
        ['7-a' => '7MAT a', '7-b' => '7MAT b'],
    ],
    'by number' => [
        ['x' => ['7MAT', 'Maths'], 'y' => ['7MAT', 'Maths'], 'z' => ['7MAT', 'Maths']],
        ['x' => '7MAT 1', 'y' => '7MAT 2', 'z' => '7MAT 3'],
    ],
    'without a code' => [
        ['1' => ['', 'Navigation A'], '2' => ['', 'Navigation B'], '3' => ['', 'Art']],
        ['1' => 'Naviga A', '2' => 'Naviga B', '3' => 'Art'],
    ],
]);
