<?php

use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkSecret;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Scenario;

test('the check character catches every single wrong character and every swap of neighbours', function () {
    $random = new Randomizer(new Mt19937(7));
    for ($n = 0; $n < Scenario::rounds(40); $n++) {
        $code = JoinCode::make($random);
        expect($code)->toMatch('/^[BCDFHJKMNPQRTVWXY234579]{10}$/')->and(JoinCode::isValid($code))->toBeTrue();
        for ($i = 0; $i < 10; $i++) {
            foreach (str_split(JoinCode::ALPHABET) as $char) {
                $wrong = substr_replace($code, $char, $i, 1);
                expect(JoinCode::isValid($wrong))->toBe($wrong === $code);
            }
            if ($i < 9 && $code[$i] !== $code[$i + 1]) {
                $swapped = $code;
                [$swapped[$i], $swapped[$i + 1]] = [$code[$i + 1], $code[$i]];
                expect(JoinCode::isValid($swapped))->toBeFalse();
            }
        }
    }
});

test('a code is read however it is typed', function () {
    $code = JoinCode::make(new Randomizer(new Mt19937(1)));

    expect(JoinCode::read(' '.strtolower(JoinCode::show($code)).' '))
        ->toBe($code)
        ->and(JoinCode::read('RXTN'))
        ->toBeNull()
        ->and(JoinCode::read(''))
        ->toBeNull()
        ->and(JoinCode::read('AAAAAAAAAA'))
        ->toBeNull();
});

test('secrets have 160 random bits and go into an address as they are', function () {
    $random = new Randomizer(new Mt19937(1));
    $all = array_map(fn () => LinkSecret::make($random), range(1, 500));

    expect(array_unique($all))
        ->toHaveCount(500)
        ->and($all)
        ->each->toMatch('/^'.LinkSecret::PATTERN.'$/D');
});
