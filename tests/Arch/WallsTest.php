<?php

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use Tests\Support\Tokens;

test('core knows no framework, no application, no stand-in', function () {
    expect(Tokens::naming('core', ['Illuminate', 'Nomada\App', 'Nomada\Standins', 'Carbon']))->toBe([]);
});

test('core asks no clock and rolls no dice of its own', function () {
    $asked = [
        'time',
        'microtime',
        'date',
        'now',
        'rand',
        'mt_rand',
        'random_int',
        'random_bytes',
        'uniqid',
        'file_get_contents',
        'fopen',
        'curl_init',
        'getenv',
    ];
    expect(Tokens::naming('core', [], $asked))->toBe([]);
});

test('the stand-ins know nothing of us', function () {
    expect(Tokens::naming('standins', ['Nomada\App', 'Nomada\Core', 'Illuminate']))->toBe([]);
});

test('controllers hold no queries', function () {
    $base = 'app/Http/Controllers';
    $asked = [
        'Illuminate\Support\Facades\DB',
        'Illuminate\Support\Facades\Http',
        'Nomada\Core\Timetable',
        'Nomada\Core\Term',
    ];
    $chains = '/::query\(\)|->(where\w*|orderBy|join|firstOrFail|exists|insert|upsert|update|save|create)\(/';
    $found = array_filter(Tokens::files($base), fn (string $code): bool => preg_match($chains, $code) === 1);
    expect([...Tokens::naming($base, $asked), ...array_keys($found)])->toBe([]);
});

test('pages and queries write nothing and queue nothing', function (string $folder) {
    $writes =
        '/->(insert\w*|upsert|update\w*|delete|save|create|increment|decrement|forceFill)\(|::dispatch\(|dispatch\(/';
    $found = array_filter(Tokens::files($folder), fn (string $code): bool => preg_match($writes, $code) === 1);
    expect(array_keys($found))->toBe([])->and(Tokens::naming($folder, ['Illuminate\\Contracts\\Queue']))->toBe([]);
})->with(['app/View', 'app/Queries']);

test('actions know no request and no cookie', function () {
    $http = [
        'Illuminate\Http\Request',
        'Illuminate\Http\Response',
        'Illuminate\Http\RedirectResponse',
        'Illuminate\Http\UploadedFile',
        'Illuminate\Support\Facades\Cookie',
        'Illuminate\Support\Facades\Request',
        'Illuminate\Support\Facades\Session',
        'Symfony\Component\HttpFoundation',
    ];
    expect([...Tokens::naming('app/Actions', $http), ...Tokens::naming('app/Queries', $http)])->toBe([]);
});

test('only controllers and their templates know pages', function () {
    foreach (
        ['app/Actions', 'app/Console', 'app/Queries', 'app/Post', 'app/Destinations', 'app/Models'] as $folder
    ) {
        expect(Tokens::naming($folder, ['Nomada\App\View']))->toBe([]);
    }
});

test('what is looked for is found where it is', function () {
    expect(Tokens::naming('app/Actions/Publishing', ['Fiber', 'Nomada\Core\Publishing\Place']))
        ->toContain('app/Actions/Publishing/RunLaneJob.php: Nomada\Core\Publishing\Place')
        ->and(Tokens::naming('app/Destinations', ['Fiber']))
        ->toBe(['app/Destinations/ConcurrentRequests.php: Fiber'])
        ->and(Tokens::naming('app/Actions/Publishing', [], ['usleep', 'microtime', 'handle']))
        ->toContain('app/Actions/Publishing/RunLaneJob.php: microtime')
        ->not->toContain('app/Actions/Publishing/RunLaneJob.php: handle');
});

test('core values are final and do not change', function (string $value) {
    $class = new ReflectionClass($value);
    expect([$class->isFinal(), $class->isReadOnly()])->toBe([true, true]);
})->with([
    Nomada\Core\Publishing\Placement::class,
    Nomada\Core\Timetable\PlannedSession::class,
    Nomada\Core\Timetable\SeriesPlan::class,
    Nomada\Core\Joining\AdmissionDecision::class,
]);

test('everything states its types, and nothing is left that was only for looking', function (string $folder) {
    $loose = array_filter(
        Tokens::files($folder),
        fn (string $code): bool => preg_match('/^<\?php\s+declare\(strict_types=1\);/', $code) !== 1,
    );
    expect(array_keys($loose))
        ->toBe([])
        ->and(Tokens::naming($folder, [], ['dd', 'dump', 'var_dump', 'ray', 'print_r']))
        ->toBe([]);
})->with(['core', 'app', 'standins', 'bench']);

test('views ask no questions of the database', function () {
    foreach (
        new RegexIterator(
            new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../../resources/views')),
            '/\.php$/',
        ) as $file
    ) {
        expect((string) file_get_contents((string) $file))->not->toMatch(
            '/DB::|::query\(|->where\(\'\w+\', \'[=<>]|->get\(\)|->first\(\)/',
            (string) $file,
        );
    }
});

test('no page brings anything from elsewhere or runs anything inline', function () {
    foreach (
        new RegexIterator(
            new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../../resources/views')),
            '/\.php$/',
        ) as $file
    ) {
        expect((string) file_get_contents((string) $file))->not->toMatch(
            '/(src|href)="https?:|<style|style="|onclick|<script(?! src="\/theme\.js")/',
            (string) $file,
        );
    }
});

test(
    'data sets hold text only: their values are names of tests, and the report of the tests is UTF-8',
    function () {
        $found = [];
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__))) as $file) {
            if (str_ends_with((string) $file, '.php')) {
                $rows = preg_grep('/^ {4}\[.*\\\\x[89a-f][0-9a-f]/i', (array) file((string) $file));
                $found = [...$found, ...array_map(fn (string $row): string => "$file: $row", (array) $rows)];
            }
        }
        expect($found)->toBe([]);
    },
);

test('no two rooms need each other, however long the way round', function () {
    $room = fn (string $name): string => implode('\\', array_slice(explode('\\', $name), 1, 2));
    $needs = [];
    foreach (['core', 'app'] as $base) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__."/../../$base")) as $file) {
            $text = str_ends_with((string) $file, '.php') ? (string) file_get_contents((string) $file) : '';
            if (preg_match('/^namespace Nomada\\\\(\w+\\\\\w+)/m', $text, $own) === 1) {
                preg_match_all('/^use (Nomada\\\\\w+\\\\\w+\\\\\w+)/m', $text, $uses);
                foreach (array_diff(array_map($room, $uses[1]), [$own[1]]) as $other) {
                    $needs[$own[1]][$other] = true;
                }
            }
        }
    }
    // Rooms that need no other are taken out, until none can be.
    do {
        $free = array_filter($needs, fn (array $others): bool => array_intersect_key($others, $needs) === []);
        $needs = array_diff_key($needs, $free);
    } while ($free !== []);
    expect(array_keys($needs))->toBe([]);
});

test('styles know no left and right, but where a line begins and ends', function () {
    $found = [];
    foreach (glob(__DIR__.'/../../resources/scss/*.scss') ?: [] as $file) {
        $physical =
            '/(margin|padding|border)-(left|right)|^\s+(left|right):|text-align: (left|right)|float: (left|right)/';
        foreach (preg_grep($physical, (array) file($file)) ?: [] as $line) {
            $found[] = basename($file).': '.trim($line);
        }
    }
    expect($found)->toBe([]);
});

/** @return list<string> templates, by path */
function templates(): array
{
    $out = [];
    $views = __DIR__.'/../../resources/views';
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($views)) as $file) {
        if (str_ends_with((string) $file, '.blade.php')) {
            $out[] = (string) $file;
        }
    }

    return $out;
}

/** What of a template is neither a comment nor asked of PHP: marks, and words where there are any. */
function markup(string $template): string
{
    return (string) preg_replace(
        ['/\{\{--.*?--\}\}/s', '/\{!!.*?!!\}|\{\{.*?\}\}/s', '/@\w+\s*(\((?:[^()]|(?1))*\))/s', '/@\w+/'],
        '',
        $template,
    );
}

test('templates hold no PHP', function () {
    $found = [];
    foreach (templates() as $file) {
        if (preg_match('/@php|<\?php|@inject|@use\b/', (string) file_get_contents($file)) === 1) {
            $found[] = basename(dirname($file)).'/'.basename($file);
        }
    }
    expect($found)->toBe([]);
});

test('templates hold no sentence: what people read stands in lang/', function () {
    // Names, signs of the keyboard and of standards, and how something may be typed.
    $known = [
        'Nomada',
        'Esc',
        'CSV',
        'XLSX',
        'http',
        'php artisan nomada:demo',
        '1 9:00-9:45&#10;2 10:00-10:45',
        'RXTN-4BKD-72',
        'Europe/Madrid',
    ];
    $found = [];
    foreach (templates() as $file) {
        $text = markup((string) file_get_contents($file));
        preg_match_all('/(?<![-=\w])>([^<>]*?)</s', $text, $between);
        preg_match_all(
            '/(?<![:\w-])(?:title|label|aria-label|placeholder|alt|content-label)="([^"]*)"/',
            $text,
            $attributes,
        );
        foreach ([...$between[1], ...$attributes[1]] as $words) {
            $words = trim($words);
            if (preg_match('/\p{L}{2}/u', $words) === 1 && ! in_array($words, $known, true)) {
                $found[] = basename(dirname($file)).'/'.basename($file).": $words";
            }
        }
    }
    expect($found)->toBe([]);
});

test('code holds no sentence: what people read stands in lang/', function () {
    $finder = new NodeFinder();
    $parser = (new ParserFactory())->createForNewestSupportedVersion();
    // Words of exceptions are for logs, and what a command is for is read before there are words.
    $isNotRead = fn (Node $n): bool => ($n instanceof Node\Expr\New_ &&
        $n->class instanceof Node\Name &&
        str_ends_with($n->class->toString(), 'Exception')) ||
        ($n instanceof Node\Stmt\Property &&
            in_array($n->props[0]->name->toString(), ['signature', 'description'], true)) ||
        ($n instanceof Node\Stmt\ClassMethod && $n->name->toString() === 'placeholders');
    $isText = fn (Node $n): bool => $n instanceof Node\Scalar\String_ || $n instanceof Node\InterpolatedStringPart;
    $sql = '/\b(select|update|insert|where|join|as|by|delete|null|nulls|case|between|and|is|not in|csrf_field)\b/';
    $known = [
        // Names of data, and what logs and machines say to each other.
        'Recording without audience',
        'Is the harbour the grey part?',
        'I hear you very faintly',
        'IMS Common Cartridge',
        'There is already an active transaction',
        'the database system is ',
        'the key of this database',
        'sign-in of all',
        'half signed in',
        'term in address',
        'nomada:check found differences',
    ];
    $found = [];
    foreach (['core', 'app'] as $root) {
        $folder = new RecursiveDirectoryIterator(dirname(__DIR__, 2)."/$root");
        foreach (new RecursiveIteratorIterator($folder) as $file) {
            // What is invented for the demo is its data.
            if ($file->getExtension() !== 'php' || preg_match('~/(Demo\w*|InventedSchool)\.php$~', $file) === 1) {
                continue;
            }
            $code = $parser->parse((string) file_get_contents($file)) ?? [];
            $spans = array_map(
                fn (Node $n): array => [$n->getStartFilePos(), $n->getEndFilePos()],
                $finder->find($code, $isNotRead),
            );
            foreach ($finder->find($code, $isText) as $text) {
                $at = $text->getStartFilePos();
                $isLeft = array_filter($spans, fn (array $s): bool => $s[0] <= $at && $at <= $s[1]) !== [];
                if (
                    ! $isLeft &&
                    preg_match('/\p{L}{2,} \p{L}{2,} \p{L}{2,}/u', $text->value) === 1 &&
                    preg_match($sql, $text->value) !== 1 &&
                    ! in_array($text->value, $known, true)
                ) {
                    $found[] = basename($file).": $text->value";
                }
            }
        }
    }
    expect($found)->toBe([]);
});

test(
    'whatever the shell exports, tests run with settings of their own, and on a database of their own',
    function () {
        $php = simplexml_load_file(__DIR__.'/../../phpunit.xml')->php;
        $settings = function (string $kind) use ($php): array {
            $out = [];
            foreach ($php->{$kind} as $setting) {
                $out[(string) $setting['name']] = (string) $setting['value'];
            }

            return $out;
        };

        // The framework asks the server's variables first, and there stands what the shell exported.
        expect($settings('server'))->toBe($settings('env'))->toHaveKey('DB_DATABASE', 'nomada_test');
    },
);
