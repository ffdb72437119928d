<?php

use Nomada\App\Support\Setting;

return [
    // The demo: sign-in offers the demo people, and the clock in the masthead can be set and stepped.
    'demo' => ($demo = Setting::yes('NOMADA_DEMO', env('NOMADA_DEMO'), false)),
    // Whether coordinators need a second factor; the demo's people, whose password everybody knows, need none.
    'second_factor' => Setting::yes('NOMADA_SECOND_FACTOR', env('NOMADA_SECOND_FACTOR'), ! $demo),
    // The page of all components, for anybody who builds pages of them.
    'house' => Setting::yes('NOMADA_HOUSE', env('NOMADA_HOUSE'), env('APP_ENV') !== 'production'),
    'demo_at' => '2027-02-09T09:52:00+01:00',
    // The largest file that a teacher may bring for a section, in megabytes.
    'material_megabytes' => max(1, (int) env('NOMADA_MATERIAL_MB', 20)),
    // Known to everybody who starts the demo; `nomada:demo` gives it to the invented people and to nobody else.
    'demo_password' => 'carnival-tide-27',
    'demo_accounts' => ['coordinator' => 'A-01', 'teacher' => 'T-02', 'student' => 'S-8-001'],
    // From how many sessions of a term on what takes long is worked out on the queue, behind its page.
    'behind_page' => 10_000,
    'port' => (int) env('NOMADA_PORT', 8080),
    // The script that PHP's own server asks first.
    'router' => env('NOMADA_ROUTER', base_path('server.php')),
    'workers' => (int) env('NOMADA_WORKERS', 3),
    'web_workers' => (int) env('NOMADA_WEB_WORKERS', 4),

    // Addresses of proxies in front, separated by commas: only theirs are believed when they say for whom they ask.
    'trusted_proxies' => (string) env('TRUSTED_PROXIES', ''),

    'standins' => [
        'port' => (int) env('STANDINS_PORT', 8090),
        // Their own database; none given: the school's name with _services behind it.
        'database' => env('STANDINS_DATABASE'),
        // Where our server reaches them, and where a browser does.
        'url' => env('STANDINS_URL', 'http://127.0.0.1:'.env('STANDINS_PORT', 8090)),
        'token' => env('STANDINS_TOKEN', ''),
        'timeout' => (float) env('STANDINS_TIMEOUT', 8),
    ],

    // Pauses before a failed step is tried again, in seconds; after the last it is reported.
    'pauses' => array_map(floatval(...), explode(',', (string) env('NOMADA_PAUSES', '1,4,12'))),
];
