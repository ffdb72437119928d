<?php

declare(strict_types=1);

use Nomada\Core\Account\PasswordRule;
use Nomada\Core\Fault;

function passwordFault(string $password): ?string
{
    $rule = new PasswordRule(
        fn (string $p): bool => in_array($p, ['password', 'qwertyuiop', 'correct horse'], true),
    );
    try {
        $rule->check(
            $password,
            ['Galia', 'Zabalo', 'galia.zabalo@marisma.example', 'Marisma Travelling School'],
            'it',
        );

        return null;
    } catch (Fault $e) {
        expect($e->field)->toBe('it');

        return $e->says.' '.implode(' ', $e->with);
    }
}

test('length counts, and nothing of capitals, figures or signs', function (string $password): void {
    expect(passwordFault($password))->toBeNull();
})->with([
    'tide pools at noon',
    'ocho gatos',
    'ñandúes y olas',
    'AAbbccddee1',
    str_repeat('olas y mar ', 18),
    // As long as may be; five letters; five of its own beside a name.
    str_repeat('olas y mar', 20),
    'abaceadbec',
    'galiaxqzwv',
    'mar y sol, 9',
]);

test('what is guessed first is no password', function (string $password, string $why): void {
    expect(passwordFault($password))->toContain($why);
})->with([
    ['tidepools', 'password.short 10'],
    [str_repeat('olas y mar ', 19), 'password.long 200'],
    ['QwertyUIOP', 'password.common'],
    ['password2027!', 'password.common'],
    ['...Password', 'password.common'],
    ['Correct Horse', 'password.common'],
    ['aaaaaaaaaaaa', 'password.repeats'],
    ['abababababab', 'password.repeats'],
    ['abcdefghijkl', 'password.repeats'],
    ['987654321098'[0].'876543210', 'password.repeats'],
    ['abacadabca', 'password.repeats'],
    ['zabaloxqzw', 'password.known'],
    ['galiazabalo1', 'password.known'],
    ['marisma2027', 'password.known'],
    ['travelling.school', 'password.known'],
]);
