<?php

// The words of screens, emails, errors and the console follow docs/words.md: what a program can check of it.

/** @return array<string, string> every string of a language by its whole key */
function wordsOf(string $language): array
{
    $out = [];
    $walk = function (array $words, string $under) use (&$walk, &$out): void {
        foreach ($words as $key => $value) {
            is_array($value) ? $walk($value, "$under.$key") : ($out["$under.$key"] = (string) $value);
        }
    };
    foreach (glob(dirname(__DIR__, 2)."/lang/$language/*.php") ?: [] as $file) {
        $walk(require $file, basename($file, '.php'));
    }

    return $out;
}

/**
 * @param  list<string>  $but  keys in which it is right
 * @return list<string> `key: text` of each string in which the pattern is found
 */
function wordsWith(string $pattern, array $but = [], string $language = 'en'): array
{
    $found = array_filter(
        wordsOf($language),
        fn (string $text, string $key): bool => preg_match($pattern, $text) === 1 && ! in_array($key, $but, true),
        ARRAY_FILTER_USE_BOTH,
    );

    return array_map(fn (string $key): string => "$key: $found[$key]", array_keys($found));
}

test('nobody reads what nobody would say', function (string $pattern, array $but = []) {
    expect(wordsWith($pattern, $but))->toBe([]);
})->with([
    ['/\banew\b/i'],
    ['/\bmend(s|ed|ing)?\b/i'],
    ['/\bwhoever\b/i'],
    ['/\botherwise than\b/i'],
    ['/\bof now\b/i'],
    ['/\b(is|are) to be\b/i'],
    ['/\b(was|were|is|are) expected\b/i'],
    ['/\bso large\b/i'],
    ['/\bat one time\b/i'],
    ['/\bstands?\b/i', ['frame.clock.hint']],
    ['/\btak(e|en|es|ing)( \w+)? out\b/i'],
    ['/\btaken? (it )?back\b/i', ['live.who.take', 'live.said.take-floor']],
    [
        '/\bletters?\b/i',
        ['door.by_code.label', 'faults.code.write', 'frame.keys.stop', 'staff_faults.address.length'],
    ],
    ['/\bsnags?\b/i'],
    ['/\bpost office\b|\bby post\b/i'],
    ['/(?<!\{)\bdoors?\b/i'],
    ['/\bby (itself|themselves)\b/i'],
    ['/\bshuts?\b/i'],
    ['/\bstand-?ins?\b(?!\.log)/i'],
    ['/\bcomes? in\b/i'],
    ['/(?<!:)\bplacements?\b/i'],
    ['/\be-mail/i'],
    ['/\bmeanwhile\b/i'],
]);

test('an address says of what it is', function () {
    $but = [
        // Names of columns and properties, as standards and files have them.
        'places.caldav.no_organizer',
        'publishing.places.rooms_hint',
        'publishing.places.url_hint.calendar',
        'staff_faults.place.braces_calendar',
        'staff_faults.place.braces',
    ];
    expect(wordsWith('/(?<!email )(?<!Email )(?<!IP )(?<![:{])\baddress(es)?\b/i', $but))->toBe([]);
});

test('apostrophes are curly, and a sentence begins with a capital', function () {
    expect(wordsWith("/\\pL'\\pL/u"))->toBe([]);
    $small = array_filter(
        wordsOf('en'),
        fn (string $text, string $key): bool => preg_match(
            '/^(\{\d+\}|\[[^]]*\])?\s?[a-z][^|]* [^|]*\.(\||$)/',
            $text,
        ) === 1 &&
            // They go on with a sentence that begins elsewhere.
            ! in_array($key, ['run.in', 'session.move.begun', 'places.webhooks.address_hint'], true),
        ARRAY_FILTER_USE_BOTH,
    );
    expect($small)->toBe([]);
});

test('what takes a count has the forms of its number', function () {
    // The unit is no noun that has a plural: a name, a state, a number of a line.
    $units =
        'session|section|series|student|person|people|teacher|email|link|item|account|event|change|line|guardian|part|'.
        'recording|registration|registrant|seat|webhook|message|period|closed day';
    $but = ['script.', 'staff_faults.', 'published.patterns.', 'house.', 'joining.act.do', 'licences.curve'];
    $found = array_filter(
        wordsWith("/(?<!up to )(?<!than )(?<!and )(?<!with )(?<!most ):(n|count) ($units)s?\\b/"),
        fn (string $line): bool => ! str_contains($line, '|') &&
            array_filter($but, fn (string $start): bool => str_starts_with($line, $start)) === [],
    );
    expect(array_values($found))->toBe([
        // Always more than one.
        'events.choose: choose: :n sections have this code',
        'licences.beyond.split_into: Split into :n parts, break of',
        'presence.session.from_both: conference service and list, :count events',
    ]);
});

test('families read of emails and not of letters, in Spanish too', function () {
    expect(
        wordsWith('/\bcartas?\b|\btutor(a|es|as)?\b|\bEnviadme\b|\bescuela\b/iu', ['examples.any.school'], 'es'),
    )->toBe([]);
});

test('every link between documents leads somewhere', function () {
    $root = dirname(__DIR__, 2);
    $broken = [];
    foreach ([...(glob("$root/*.md") ?: []), ...(glob("$root/docs/{,*/}*.md", GLOB_BRACE) ?: [])] as $file) {
        preg_match_all('/\]\((?!https?:|#)([^)#\s]+)/', (string) file_get_contents($file), $links);
        foreach ($links[1] as $link) {
            if (! file_exists(dirname($file)."/$link")) {
                $broken[] = substr($file, strlen($root) + 1).": $link";
            }
        }
    }
    expect($broken)->toBe([]);
});
