<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

// Whatever is typed into an address or a form: an answer in words, and never a fault of ours.

/** Every name under which a page of ours reads something. */
const READ_AS = [
    'account',
    'account_name',
    'accepts_certain',
    'act',
    'again',
    'at',
    'by',
    'change',
    'changes',
    'clock',
    'closes',
    'closes_on',
    'code',
    'count',
    'date',
    'dates',
    'day',
    'days',
    'email',
    'end_kind',
    'end_time',
    'ends_on',
    'every',
    'first',
    'from',
    'from_day',
    'guest_email',
    'guest_name',
    'id',
    'key',
    'keeps_topic',
    'kind',
    'labels',
    'last',
    'lettered',
    'link',
    'makes_up',
    'many',
    'mode',
    'month_day',
    'move_day',
    'move_end',
    'move_start',
    'name',
    'note',
    'of',
    'old_password',
    'only_day',
    'open',
    'open_day',
    'opens',
    'opens_on',
    'own_code',
    'page',
    'password',
    'pause',
    'period',
    'periods',
    'person',
    'pin_day',
    'pin_to',
    'place',
    'places',
    'plan',
    'plan_name',
    'preset',
    'preset_name',
    'q',
    'reach',
    'reason',
    'rehearsal',
    'role',
    'rotation_kind',
    'rotation_n',
    'seats',
    'section',
    'sections',
    'series',
    'session',
    'share',
    'short_day',
    'show',
    'start_time',
    'starts_on',
    'step',
    'subject',
    'sure',
    'take',
    'target',
    'teacher',
    'term',
    'term_first',
    'term_last',
    'term_title',
    'text',
    'then',
    'time',
    'title',
    'to',
    'topics',
    'typed_email',
    'typed_name',
    'until',
    'verdict',
    'week',
    'weekdays',
    'what',
    'year',
    '_drawn',
    '_act',
    '_term',
];

const ODD = [
    'lists' => [['x', ['y']]],
    'no text' => ["\xff\xfe\xc3("],
    'large' => ['99999999999999999999'],
    'negative' => ['-1'],
    'words, and long' => [
        'abc; drop abc; drop abc; drop abc; drop abc; drop abc; drop abc; drop abc; drop abc; drop',
    ],
    'signs' => ["\u{202e}\x07\x00 %_\\'\"<b>"],
];

/** An address of a route, with one odd word wherever it has a place for one. */
function oddAddress(string $uri, string $odd): string
{
    return '/'.preg_replace_callback('/\{(\w+)(?::\w+)?\??\}/', fn (): string => rawurlencode($odd), $uri);
}

test('no input breaks a page', function (mixed $odd) {
    $this->school();
    $this->standins();
    Artisan::call('nomada:links');
    $series = $this->section('MAR')->series()->firstOrFail();
    $session = $series->sessions()->where('day', '2027-02-11')->value('id');
    $real = [
        'section' => 'MAR',
        'series' => $series->id,
        'session' => $session,
        'sourcedId' => 'S-1',
        'secret' => DB::table('join_links')->where('kind', 'series')->value('id'),
    ];
    $input = array_fill_keys(READ_AS, $odd);
    $broken = [];
    foreach (Route::getRoutes() as $route) {
        $name = (string) $route->getName();
        if ($name === '' || in_array($name, ['sign-out', 'storage.local'], true)) {
            continue;
        }
        $method = $route->methods()[0];
        $paths = [
            // The path's own words are odd, and only what is sent with it is.
            oddAddress($route->uri(), is_string($odd) ? mb_strcut($odd, 0, 100, '8bit') : '0'),
            '/'.
            preg_replace_callback(
                '/\{(\w+)(?::\w+)?\??\}/',
                fn (array $m): string => (string) ($real[$m[1]] ?? '1'),
                $route->uri(),
            ),
        ];
        foreach (array_unique($paths) as $n => $path) {
            foreach ($n === 0 ? ['A-1', 'S-1', null] : ['A-1'] as $who) {
                $who === null ? auth()->logout() : $this->as($who);
                DB::beginTransaction();
                $status = $this->call($method, $path, $input)->getStatusCode();
                DB::rollBack();
                if ($status >= 500) {
                    $broken[] = "$method $name as ".($who ?? 'nobody').': '.$status;
                }
            }
        }
    }
    expect(array_values(array_unique($broken)))->toBe([]);
})->with(ODD);
