<?php

/** Lines of app/ and core/ that match, without the lines of SQL that spell out a value. */
function literals(string $pattern): array
{
    $found = [];
    foreach (['app', 'core'] as $base) {
        foreach (
            new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2)."/$base")) as $file
        ) {
            if (str_ends_with((string) $file, '.php')) {
                foreach (preg_grep($pattern, (array) file((string) $file)) ?: [] as $n => $line) {
                    $found[] =
                        substr((string) $file, strlen(dirname(__DIR__, 2)) + 1).
                        ':'.
                        ($n + 1).
                        ': '.
                        trim($line);
                }
            }
        }
    }

    return $found;
}

test('closed sets are compared as enums', function (string $of, string $cases) {
    $literal = "\\[?'($cases)'";
    expect(
        literals(
            "/'(\\w+\\.)?$of'(\\]? ?[!=]==|,|, '!=',| =>) $literal|->$of [!=]== $literal|\\\$$of [!=]== $literal/",
        ),
    )->toBe([]);
})->with([
    'roles' => ['role', 'student|teacher|co-teacher|substitute|observer|coordinator|guardian'],
    'states' => ['state', 'planned|lost|cancelled|accepted|waiting|queued|declined|withdrawn|done|failed|asked'],
]);
