<?php

use Illuminate\Support\Facades\Lang;
use Nomada\App\Support\Lines;

test('a line is looked up once, in each language for itself, and what is put into it each time anew', function () {
    expect(app('translator'))->toBeInstanceOf(Lines::class);
    Lang::addLines(['try.is' => ':who is here', 'try.n' => ':count seat|:count seats'], 'en');
    Lang::addLines(['try.is' => ':who está'], 'es');
    $said = fn (string $who): array => [__('try.is', ['who' => $who]), __('try.is', ['who' => $who], 'es')];
    expect($said('Ana'))
        ->toBe(['Ana is here', 'Ana está'])
        ->and($said('Luis'))
        ->toBe(['Luis is here', 'Luis está'])
        ->and(__('try.is'))
        ->toBe(':who is here')
        // Of a line that a language lacks, English and its plural.
        ->and([trans_choice('try.n', 1, [], 'es'), trans_choice('try.n', 2, [], 'es'), trans_choice('try.n', 0)])
        ->toBe(['1 seat', '2 seats', '0 seats'])
        ->and(Lang::has('try.n', 'es', false))
        ->toBeFalse()
        ->and(Lang::get('try.n', [], 'es', false))
        ->toBe('try.n');
});

test('what is not there is not remembered, and what is put in later is said', function () {
    expect([__('try.later'), __('try.later', ['n' => 3])])->toBe(['try.later', 'try.later']);
    Lang::addLines(['try.later' => 'now :n', 'try.list.a' => 'x :n'], 'en');
    expect(__('try.later', ['n' => 3]))
        ->toBe('now 3')
        ->and(__('try.list', ['n' => 4]))
        ->toBe(['a' => 'x 4']);
    Lang::addLines(['try.later' => 'then :n'], 'en');
    expect(__('try.later', ['n' => 5]))->toBe('then 5');
});
