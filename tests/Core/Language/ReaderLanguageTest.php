<?php

use Nomada\Core\Language\ReaderLanguage;

test('the weightiest wish that there are words for', function (array $wishes, string $is) {
    expect(ReaderLanguage::of($wishes, ['en', 'es', 'pt-BR', 'zh-Hant']))->toBe($is);
})->with([
    'none' => [[], 'en'],
    'nothing said' => [[null, '', ' '], 'en'],
    'the first' => [['es', 'en'], 'es'],
    'whatever its case' => [[' ES '], 'es'],
    'of a country' => [['es-MX'], 'es'],
    'of a region' => [['es-419', 'en'], 'es'],
    'its own before its parent' => [['pt-BR'], 'pt-BR'],
    'no other country\'s' => [['pt-PT', 'es'], 'es'],
    'in a script' => [['zh-Hant-TW'], 'zh-Hant'],
    'with a letter of its own' => [['es-u-co-trad'], 'es'],
    'the next where there is none' => [['fr', null, 'es'], 'es'],
    'odd' => [['-', '--x', 'es'], 'es'],
]);

test('what a browser asks for, in its order', function (string $header, array $are) {
    expect(ReaderLanguage::accepted($header))->toBe($are);
})->with([
    'none' => ['', []],
    'one' => ['es', ['es']],
    'as they come' => ['es-ES,es,en', ['es-ES', 'es', 'en']],
    'by weight' => ['en;q=0.5, es ; q=0.9 ,gl', ['gl', 'es', 'en']],
    'not at all' => ['en;q=0,es;q=0.001', ['es']],
    'said twice' => ['es;q=0.2,en;q=0.1,es;q=0.9', ['es', 'en']],
    'anything' => ['*, es', ['es']],
    'nonsense' => ['<script>;q=9, en;q=1.5', []],
    'without end' => [str_repeat('x,', 19).'es,en', ['x', 'es']],
]);

test('from which side it is read, and what can be a tag', function () {
    expect(array_map(ReaderLanguage::direction(...), ['en', 'es-MX', 'ar', 'HE-il', 'fa']))
        ->toBe(['ltr', 'ltr', 'rtl', 'rtl', 'rtl'])
        ->and(
            array_filter(
                ['es', 'es-419', 'zh-Hant-TW', 'i', 'es_ES', 'es-', 'español'],
                ReaderLanguage::isTag(...),
            ),
        )
        ->toBe(['es', 'es-419', 'zh-Hant-TW']);
});
