<?php

declare(strict_types=1);

namespace Nomada\Standins;

/**
 * How a stand-in is told to misbehave: to fail so many times (-1: always), on some paths only, in given words; to be
 * slow; to limit its rate.
 */
final readonly class Controls
{
    private const SERVICES = [
        'bridge' => 'Conference service',
        'course' => 'Course site',
        'calendar' => 'Calendar server',
        'stream' => 'Stream server',
        'post' => 'Mail server',
    ];

    private const TABLES = [
        'rooms',
        'seats',
        'meetings',
        'events',
        'talk',
        'marks',
        'recordings',
        'documents',
        'posts',
        'controls',
        'hits',
        'letters',
    ];

    public function __construct(private Store $store)
    {
    }

    /** How many requests a second are taken; 0 for any number. */
    public function apply(string $service, string $path): int
    {
        $control = $this->store->one('select * from controls where service = ?', [$service]);
        if ($control === null) {
            return 0;
        }
        if ($control['slow_ms'] > 0) {
            usleep((int) $control['slow_ms'] * 1000);
        }
        if ($control['per_second'] > 0) {
            $hit = $this->store->one(
                'insert into hits (service, second, n) values (?, ?, 1) on conflict (service, second) do update
                    set n = hits.n + 1 returning n',
                [$service, time()],
            );
            if ($hit !== null && $hit['n'] > $control['per_second']) {
                throw new Refusal(
                    429,
                    "No more than {$control['per_second']} requests a second, please.",
                    1,
                    (int) $control['per_second'],
                );
            }
        }
        if (
            $control['failures'] !== 0 &&
            ($control['only_path'] === '' || str_contains($path, (string) $control['only_path']))
        ) {
            if ($control['failures'] > 0) {
                $this->store->run(
                    'update controls set failures = failures - 1 where service = ? and failures > 0',
                    [$service],
                );
            }
            throw new Refusal(
                503,
                $control['words'] === ''
                    ? self::SERVICES[$service].' is closed for repairs.'
                    : (string) $control['words'],
            );
        }

        return (int) $control['per_second'];
    }

    public function answer(Request $request, string $service): Answer
    {
        if ($service === 'reset' && $request->method === 'POST') {
            // To cut a table off takes a moment however little is in it; to delete takes as long as there is something.
            $isMuch = $this->store->one('select 1 as much from documents offset 500 limit 1') !== null;
            foreach (self::TABLES as $table) {
                $this->store->run($isMuch ? "truncate $table" : "delete from $table");
            }

            return Answer::json(200, ['reset' => true]);
        }
        if ($request->method === 'POST' && isset(self::SERVICES[$service])) {
            parse_str($request->body, $form);
            $given = str_contains($request->header('content-type'), 'json') ? $request->json() : $form;
            $number = fn (string $name): int => max(
                -1,
                min(100000, (int) (is_scalar($given[$name] ?? null) ? $given[$name] : 0)),
            );
            $text = fn (string $name): string => is_string($given[$name] ?? null)
                ? mb_substr($given[$name], 0, 200)
                : '';
            $this->store->run(
                'insert into controls (service, words, failures, only_path, slow_ms, per_second) values (?, ?, ?, ?,
                    ?, ?)
                 on conflict (service) do update set words = excluded.words, failures = excluded.failures, only_path
                     = excluded.only_path, slow_ms = excluded.slow_ms, per_second = excluded.per_second',
                [
                    $service,
                    $text('words'),
                    $number('failures'),
                    $text('only_path'),
                    max(0, $number('slow_ms')),
                    max(0, $number('per_second')),
                ],
            );
            if (! $request->wantsPage() && str_contains($request->header('content-type'), 'json')) {
                return Answer::json(200, ['service' => $service]);
            }

            return new Answer(303, '', [
                'Location' => '/controls?pass='.rawurlencode(is_string($form['back'] ?? null) ? $form['back'] : ''),
            ]);
        }

        return Answer::page(Page::of('Settings of the demo services', $this->forms($request)));
    }

    private function forms(Request $request): string
    {
        $html = '<p>These services are simulated. Each can be told to fail, to be slow, or to limit its rate.</p>';
        $token = getenv('STANDINS_TOKEN') ?: '';
        foreach (self::SERVICES as $service => $title) {
            $control = $this->store->one('select * from controls where service = ?', [$service]) ?? [
                'words' => '',
                'failures' => 0,
                'only_path' => '',
                'slow_ms' => 0,
                'per_second' => 0,
            ];
            $html .=
                '<form method="post" action="/controls/'.
                $service.
                '?pass='.
                Server::pass($token, "/controls/$service").
                '"><fieldset><legend>'.
                $title.
                '</legend><input type="hidden" name="back" value="'.
                Page::text($request->query['pass'] ?? '').
                '">';
            foreach (
                [
                    'failures' => 'Fail this many times (-1: always)',
                    'words' => 'With this message',
                    'only_path' => 'Only where the path has',
                    'slow_ms' => 'Response delay in ms',
                    'per_second' => 'Requests per second, up to (0: no limit)',
                ] as $name => $label
            ) {
                $html .=
                    '<label>'.
                    $label.
                    ' <input name="'.
                    $name.
                    '" value="'.
                    Page::text((string) $control[$name]).
                    '"></label>';
            }
            $html .= '<button>Set</button></fieldset></form>';
        }

        return $html;
    }
}
