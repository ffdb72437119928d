<?php

use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Http\Client\Pool;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Support\RunningCopy;
use Tests\Support\SignedIn;

// Two coordinators with the same page open, who press at the same moment; and pairs of acts on one section. It is the
// database that must hold here, so it is asked over HTTP, of a whole running copy.

/** A form of a page as a browser would send it. */
function formOf(CookieJar $jar, string $page, string $action): array
{
    $html = Http::withOptions(['cookies' => $jar])
        ->get($page)
        ->body();
    $document = new DOMDocument();
    @$document->loadHTML('<?xml encoding="utf-8"?>'.$html);
    $path = new DOMXPath($document);
    $asked = $action[0] === '#' ? "@id = '".substr($action, 1)."'" : "contains(@action, '$action')";
    $form = $path->query("//form[@method='post' and $asked]")->item(0);
    expect($form)->not->toBeNull("no form to $action on $page");
    $fields = [];
    $named = './/*[self::input or self::select or self::textarea][@name and not(@disabled)]';
    foreach ($path->query($named, $form) as $field) {
        $type = $field->getAttribute('type');
        if (in_array($type, ['checkbox', 'radio'], true) && ! $field->hasAttribute('checked')) {
            continue;
        }
        $value = match ($field->nodeName) {
            'textarea' => $field->textContent,
            'select' => (
                $path->query('.//option[@selected]', $field)->item(0) ?? $path->query('.//option', $field)->item(0)
            )?->getAttribute('value') ?? '',
            default => $field->getAttribute('value'),
        };
        $name = $field->getAttribute('name');
        str_ends_with($name, '[]') ? ($fields[substr($name, 0, -2)][] = $value) : ($fields[$name] = $value);
    }

    return [$form->getAttribute('action'), $fields];
}

/**
 * Sends forms at one moment.
 *
 * @param  list<array{CookieJar, string, array<string, mixed>}>  $forms
 * @return list<int> what each was answered
 */
function atOnce(array $forms): array
{
    return array_map(
        fn (mixed $r): int => $r instanceof Response ? $r->status() : 0,
        array_values(
            Http::pool(
                fn (Pool $pool) => array_map(
                    fn (array $f) => $pool
                        ->withOptions(['cookies' => $f[0], 'allow_redirects' => false])
                        ->asForm()
                        ->post($f[1], $f[2]),
                    $forms,
                ),
            ),
        ),
    );
}

/** @return array{RunningCopy, list<CookieJar>, int} the copy, two coordinators, and 8MAR's series */
function twoCoordinators(): array
{
    $copy = RunningCopy::shared();
    $copy->freshDemo();
    DB::table('people')
        ->where('sourced_id', 'A-02')
        ->update(['role' => 'coordinator']);
    Artisan::call('nomada:links', ['--section' => ['8MAR']]);
    $jars = array_map(
        fn (string $who): CookieJar => SignedIn::at(
            $copy->url(),
            (string) DB::table('people')->where('sourced_id', $who)->value('email'),
        )[0],
        ['A-01', 'A-02'],
    );
    $series = (int) DB::table('series')
        ->join('sections', 'sections.id', '=', 'section_id')
        ->where('sourced_id', '8MAR')
        ->value('series.id');

    return [$copy, $jars, $series];
}

test('two who save one thing at one moment: one is written, the other is shown both', function (): void {
    [$copy, [$first, $second], $series] = twoCoordinators();
    $session = DB::table('sessions')
        ->where(['series_id' => $series, 'day' => '2027-03-02'])
        ->value('id');
    DB::table('presets')->insert([
        'key' => 'quiet-hour',
        'name' => 'Quiet hour',
        'door' => '{}',
        'floor' => '{}',
    ]);
    $url = $copy->url();
    $cases = [
        'series' => [
            "/sections/8MAR?change=$series",
            '#editor',
            'title',
            "select title from series where id = $series",
        ],
        'session' => [
            "/sections/8MAR?session=$session",
            '/particulars',
            'note',
            "select note from sessions where id = $session",
        ],
        'hours' => [
            '/term',
            '/term/hours',
            'opens',
            'select opens_minute from terms order by id limit 1',
            '7:10',
            '7:20',
        ],
        'door' => [
            "/sections/8MAR/series/$series/joining",
            '/rules',
            'opens_before',
            "select door->>'opens_before' from series where id = $series",
            '6',
            '7',
        ],
        'preset' => [
            '/joining/presets?change=quiet-hour',
            '#preset',
            'preset_name',
            "select name from presets where key = 'quiet-hour'",
        ],
        'registering' => [
            "/sections/8MAR/series/$series/joining",
            '/registering',
            'seats',
            "select registering->>'seats' from series where id = $series",
            '31',
            '32',
        ],
        'letter' => [
            '/registration/letters',
            '/letters/accepted/en',
            'subject',
            "select subject from templates where kind = 'accepted'",
        ],
    ];
    foreach ($cases as $what => $case) {
        [$page, $action, $field, $sql] = $case;
        $values = [$case[4] ?? 'Written by the first', $case[5] ?? 'Written by the second'];
        $forms = [];
        foreach ([$first, $second] as $i => $jar) {
            [$to, $fields] = formOf($jar, $url.$page, $action);
            if ($what === 'registering') {
                $fields['mode'] = 'once';
            }
            $forms[] = [$jar, $to, [...$fields, $field => $values[$i]]];
        }
        $answers = atOnce($forms);
        $sorted = $answers;
        sort($sorted);
        expect($sorted)->toBe([302, 409], $what);
        $stands = DB::selectOne("select ($sql) as it")->it;
        $won = $values[(int) array_search(302, $answers, true)];
        expect((string) $stands)->toBe($what === 'hours' ? (string) (420 + (int) substr($won, 2)) : $won, $what);
    }
});

test('two who close one day, and one act that is sent twice at one moment, are one', function (): void {
    [$copy, [$first, $second], $series] = twoCoordinators();
    $url = $copy->url();
    $forms = [];
    foreach ([$first, $second] as $jar) {
        $query = http_build_query(['first' => '2 Mar', 'last' => '', 'reason' => 'Storm']);
        [$to, $fields] = formOf($jar, "$url/term/closing?$query", '/term/closures');
        $forms[] = [$jar, $to, $fields];
    }
    atOnce($forms);
    expect(DB::table('closures')->where('reason', 'Storm')->count())->toBe(1);
    expect(DB::table('term_changes')->where('words', 'like', '%Storm%')->count())->toBe(1);
    // A double click: one form, with one key.
    $before = DB::table('sessions')->where('series_id', $series)->count();
    [$to, $fields] = formOf($first, "$url/sections/8MAR", "/series/$series/sessions");
    $extra = [...$fields, 'move_day' => '3 Mar', 'move_start' => '16:00', 'move_end' => '16:45'];
    expect(atOnce([[$first, $to, $extra], [$first, $to, $extra]]))->toBe([302, 302]);
    expect(DB::table('sessions')->where('series_id', $series)->count())->toBe($before + 1);
});

test('pairs of acts on one section at one moment end, both of them', function (): void {
    [$copy, [$first, $second], $series] = twoCoordinators();
    $url = $copy->url();
    $session = DB::table('sessions')
        ->where(['series_id' => $series, 'day' => '2027-03-02'])
        ->value('id');
    $acts = [
        // These two need nothing of a page but its token.
        'link' => ['', '/joining/links', ['sections' => ['8MAR']]],
        'roster' => ['', '/registration/rosters', ['sections' => ['8MAR']]],
        'retitle' => ["/sections/8MAR?change=$series", '#editor', ['title' => 'Tides']],
        'tell' => ["/sections/8MAR?session=$session", '/particulars', ['note' => 'Boots']],
        'share' => ['/sections/8MAR', "/series/$series/sections", ['share' => '9GEO']],
        'close' => ['/term/closing?first=%d+Apr&last=&reason=Wind', '/term/closures', []],
        'registering' => ["/sections/8MAR/series/$series/joining", '/registering', ['mode' => 'once']],
    ];
    $names = array_keys($acts);
    $day = 11;
    foreach ($names as $i => $one) {
        foreach (array_slice($names, $i + 1) as $other) {
            // Each pair closes a day of its own.
            $day += in_array('close', [$one, $other], true) ? 1 : 0;
            $forms = [];
            foreach ([[$first, $one], [$second, $other]] as [$jar, $act]) {
                [$page, $action, $change] = $acts[$act];
                $page = sprintf($page, $day);
                [$to, $fields] =
                    $page === ''
                        ? [
                            $url.$action,
                            array_intersect_key(formOf($jar, "$url/term", '/term/hours')[1], ['_token' => 1]),
                        ]
                        : formOf($jar, $url.$page, $action);
                $forms[] = [$jar, $to, [...$fields, ...$change]];
            }
            foreach (atOnce($forms) as $status) {
                expect($status)->toBeIn([302, 409], "$one and $other");
            }
        }
    }
    expect(Artisan::call('nomada:check'))->toBe(0);
});
