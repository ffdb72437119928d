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

        return $e->getMessage();
    }
}

test('length counts, and nothing of capitals, figures or signs', function (string $password): void {
    expect(passwordFault($password))->toBeNull();
})->with(['tide pools at noon', 'ocho gatos', 'ñandúes y olas', 'AAbbccddee1', str_repeat('olas y mar ', 18)]);

test('what is guessed first is no password', function (string $password, string $why): void {
    expect(passwordFault($password))->toContain($why);
})->with([
    ['tidepools', '10 characters at least'],
    [str_repeat('olas y mar ', 19), '200 characters at most'],
    ['QwertyUIOP', 'most common'],
    ['password2027!', 'most common'],
    ['...Password', 'most common'],
    ['Correct Horse', 'most common'],
    ['aaaaaaaaaaaa', 'repeats'],
    ['abababababab', 'repeats'],
    ['abcdefghijkl', 'repeats'],
    ['987654321098'[0].'876543210', 'repeats'],
    ['galiazabalo1', 'made of your name'],
    ['marisma2027', 'made of your name'],
    ['travelling.school', 'made of your name'],
]);
