<?php

use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;
use Nomada\Standins\Server;

// The stand-ins speak HTTP to anybody: what we rely on in them is asked of them as a stranger would.

beforeEach(function () {
    $this->standins = $this->standins();
    $this->ask = function (
        string $method,
        string $path,
        string $body = '',
        array $headers = [],
        ?string $token = null,
    ): Response {
        $request = Http::withToken($token ?? $this->standins->token)->withHeaders($headers);

        return ($body === '' ? $request : $request->withBody($body, 'application/json'))->send(
            $method,
            $this->standins->url.$path,
        );
    };
});

test('without the token, or a pass for exactly this page, nothing is told', function (string $path) {
    expect(($this->ask)('GET', $path, token: 'wrong')->status())
        ->toBe(403)
        ->and(
            Http::get(
                $this->standins->url.$path.'?pass='.Server::pass($this->standins->token, '/another'),
            )->status(),
        )
        ->toBe(403)
        ->and(
            Http::get(
                $this->standins->url.$path.'?pass='.Server::pass($this->standins->token, $path),
            )->status(),
        )
        ->toBe(200);
})->with(['/course/pages/MAR', '/calendar/people/S-1', '/stream/sections/MAR', '/controls']);

test('a pass opens reading only', function () {
    $path = '/course/pages/MAR/items/week-1';
    expect(
        Http::withBody('{"a":1}', 'application/json')
            ->put($this->standins->url.$path)
            ->status(),
    )->toBe(403);
});

test('the bridge gives the same room for the same key, and a room of its own for another', function () {
    $a = ($this->ask)('POST', '/bridge/rooms', '{"title":"Marine"}', ['Idempotency-Key' => 'k1']);
    $again = ($this->ask)('POST', '/bridge/rooms', '{"title":"Marine"}', ['Idempotency-Key' => 'k1']);
    $b = ($this->ask)('POST', '/bridge/rooms', '{"title":"Marine"}', ['Idempotency-Key' => 'k2']);

    expect([$a->status(), $again->status(), $b->status()])
        ->toBe([201, 200, 201])
        ->and($again->json())
        ->toBe($a->json())
        ->and($b->json('id'))
        ->not->toBe($a->json('id'))
        ->and(($this->ask)('POST', '/bridge/rooms', '{"title":"x"}')->status())
        ->toBe(400)
        ->and(($this->ask)('POST', '/bridge/rooms', 'no json', ['Idempotency-Key' => 'k3'])->status())
        ->toBe(400);
});

test('a second device of a person takes over, and leaving leaves', function () {
    $room = ($this->ask)('POST', '/bridge/rooms', '{"title":"Marine"}', ['Idempotency-Key' => 'k'])->json('id');
    $seat = fn (string $who): string => (string) ($this->ask)(
        'POST',
        "/bridge/rooms/$room/people",
        json_encode(['person' => $who, 'name' => "Name $who", 'host' => false]),
    )->json('path');
    $first = $seat('S-1');
    $second = $seat('S-1');
    $page = fn (string $path): string => $this->standins->page($this->standins->url.$path);

    expect($page($first))->toContain('on another device')->and($page($second))->toContain('1 person is inside');
    $seat('S-2');
    expect($page($second))
        ->toContain('2 people are inside')
        ->and(
            Http::withHeaders(['Accept' => 'text/html'])
                ->get($this->standins->url."/bridge/rooms/$room?seat=guess")
                ->status(),
        )
        ->toBe(403);
    // An address belongs to the first browser that opened it.
    $leaves = str_replace('?', '/leave?', $this->standins->url.$second);
    expect(
        Http::withHeaders(['Accept' => 'text/html'])
            ->get($this->standins->url.$second)
            ->status(),
    )
        ->toBe(403)
        ->and(Http::post($leaves)->status())
        ->toBe(403);
    $this->standins->does($this->standins->url.$second, ['do' => 'hand', 'on' => true]);
    Http::withOptions(['cookies' => $this->standins->cookies])->post($leaves);
    expect(array_column($this->standins->get("/bridge/rooms/$room")['inside'], 'person'))->toBe(['S-2']);
});

test('what goes on in a room: microphones, hands, talk, sheet, a question, a recording', function () {
    $room = ($this->ask)('POST', '/bridge/rooms', '{"title":"Marine"}', ['Idempotency-Key' => 'k'])->json('id');
    $floor = [
        'speak' => 'everyone',
        'chat' => 'everyone',
        'draw' => 'host',
        'muted_on_entry' => true,
        'speakers' => 1,
    ];
    $seat = fn (string $who, bool $host): string => $this->standins->url.
        ($this->ask)(
            'POST',
            "/bridge/rooms/$room/people",
            json_encode(
                ['meeting' => 'm', 'person' => $who, 'name' => "Name $who", 'host' => $host, 'at' => 1_000_000] + [
                    'floor' => $floor,
                ],
            ),
        )->json('path');
    [$teacher, $galia, $rui] = [$seat('T-1', true), $seat('S-1', false), $seat('S-2', false)];
    array_map($this->standins->page(...), [$teacher, $galia, $rui]);
    $does = fn (string $who, array $what): int => $this->standins->does($who, $what)->status();
    $act = fn (string $act, array $with = []): Response => ($this->ask)(
        'POST',
        "/bridge/rooms/$room/acts",
        json_encode($with + ['act' => $act, 'meeting' => 'm', 'at' => 1_000_060]),
    );
    $of = fn (string $who): array => array_column(
        $act('lower-hand', ['person' => 'nobody'])->json('inside'),
        null,
        'person',
    )[$who];

    // Microphones: one at a time, and none where the teacher keeps them off, but for anybody who has the floor.
    expect([$does($galia, ['do' => 'mic', 'on' => true]), $does($rui, ['do' => 'mic', 'on' => true])])->toBe([
        200,
        409,
    ]);
    $act('mute');
    expect($of('S-1')['mic'])->toBeFalse();
    $act('may-unmute', ['on' => false]);
    expect($does($rui, ['do' => 'mic', 'on' => true]))->toBe(403);
    $act('give-floor', ['person' => 'S-2']);
    expect($does($rui, ['do' => 'mic', 'on' => true]))->toBe(200);
    // Hands are numbered in their order, and one that is lowered lets the next move up.
    $does($rui, ['do' => 'hand', 'on' => true]);
    $does($galia, ['do' => 'hand', 'on' => true]);
    expect([$of('S-2')['hand'], $of('S-1')['hand']])->toBe([1, 2]);
    $act('lower-hand', ['person' => 'S-2']);
    expect([$of('S-2')['hand'], $of('S-1')['hand']])->toBe([null, 1]);
    // Talk: a line to the teacher is read by nobody else, and one that was taken away by nobody.
    $does($galia, ['do' => 'say', 'text' => 'my loudspeaker is faint', 'to' => 'teacher']);
    $does($galia, ['do' => 'say', 'text' => 'is it <grey>?']);
    expect($this->standins->page($rui))
        ->toContain('is it &lt;grey&gt;?')
        ->not->toContain('faint')
        ->and($this->standins->page($teacher))
        ->toContain('Name S-1 to the teacher: my loudspeaker is faint');
    $line = array_values(
        array_filter($act('chat', ['on' => false])->json('talk'), fn (array $l): bool => $l['kind'] === 'line'),
    )[0];
    $act('take-line', ['line' => $line['id']]);
    expect($this->standins->page($rui))
        ->toContain('removed by the teacher')
        ->not->toContain('grey')
        ->and([
            $does($galia, ['do' => 'say', 'text' => 'x']),
            $does($galia, ['do' => 'say', 'text' => 'y', 'to' => 'teacher']),
        ])
        ->toBe([403, 200]);
    // A quick question: counted once a person, cleared by the teacher.
    expect($act('ask', ['text' => 'Rising?', 'answers' => ['yes']])->status())->toBe(400);
    $act('ask', ['text' => 'Rising?', 'answers' => ['yes', 'no']]);
    $does($galia, ['do' => 'answer', 'choice' => 0]);
    $does($galia, ['do' => 'answer', 'choice' => 1]);
    $does($rui, ['do' => 'answer', 'choice' => 1]);
    expect($does($rui, ['do' => 'answer', 'choice' => 2]))
        ->toBe(409)
        ->and(($this->ask)('GET', "/bridge/rooms/$room?meeting=m")->json('question.counts'))
        ->toBe([0, 2])
        ->and(collect($act('clear-question')->json('talk'))->pluck('text'))
        ->toContain('Quick question: Rising? 0 yes, 2 no');
    // The whiteboard is the host's, or that of people who have the floor.
    $mark = ['do' => 'mark', 'kind' => 'text', 'x' => 10, 'y' => 20, 'text' => 'high water'];
    expect([
        $does($galia, $mark),
        $does($rui, $mark),
        $does($rui, ['do' => 'mark', 'kind' => 'picture', 'src' => 'x']),
    ])
        ->toBe([403, 200, 400])
        ->and($this->standins->page($galia))
        ->toContain('high water');
    // Asking again with the current version says that nothing has changed.
    $version = $act('wipe')->json('version');
    $look = str_replace('?', '/look?', $galia);
    $looks = fn (int $v): int => Http::withOptions(['cookies' => $this->standins->cookies])
        ->get("$look&v=$v")
        ->status();
    expect([$looks($version), $looks($version - 1)])->toBe([304, 200]);
    // A recording: told, stopped at the end at the latest, and ready after a while; its sound is as long as it took.
    $act('record', ['on' => true, 'at' => 1_000_100]);
    expect($this->standins->page($galia))->toContain('This is recorded');
    $act('end', ['at' => 1_000_160]);
    $recordings = fn (): array => ($this->ask)('GET', "/bridge/rooms/$room/recordings?meeting=m")->json(
        'recordings',
    );
    [$one] = $recordings();
    expect([$one['started'], $one['stopped'], $one['state']])
        ->toBe([1_000_100, 1_000_160, 'processing'])
        ->and(($this->ask)('GET', "/bridge/rooms/$room/recordings/$one[id]/sound")->status())
        ->toBe(404);
    // The tests' stand-ins need a second for it.
    for ($n = 0; $recordings()[0]['state'] !== 'ready' && $n < 3000; $n++) {
        usleep(100_000);
    }
    $sound = ($this->ask)('GET', "/bridge/rooms/$room/recordings/$one[id]/sound")->body();
    expect($recordings()[0]['state'])
        ->toBe('ready')
        ->and(unpack('V', substr($sound, 40, 4)))
        ->toBe([1 => 60 * 3000])
        ->and(strlen($sound))
        ->toBe(44 + 60 * 3000);
    $vtt = new Nomada\Core\Interchange\WebVtt(
        't',
        ($this->ask)('GET', "/bridge/rooms/$room/recordings/$one[id]/transcript")->body(),
    );
    expect($vtt->faults)->toBe([])->and(end($vtt->cues)->to)->toBeLessThanOrEqual(60_000);
    // What each did is told, and private lines are no lines.
    $told = ($this->ask)('GET', "/bridge/rooms/$room/events?meeting=m&after=0")->json();
    expect($told['over_at'])
        ->toBe(1_000_160)
        ->and(array_column($told['counts'], null, 'person')['S-1'])
        ->toEqual(['person' => 'S-1', 'answers' => 1, 'hands' => 1, 'lines' => 1]);
});

test('documents are put under conditions, as RFC 9110 has them', function () {
    $path = '/calendar/people/S-1/u.ics';
    $ics = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nEND:VCALENDAR\r\n";
    $put = fn (string $body, array $headers): Response => Http::withToken($this->standins->token)
        ->withHeaders($headers)
        ->withBody($body, 'text/calendar')
        ->put($this->standins->url.$path);
    $first = $put($ics, ['If-None-Match' => '*']);
    $etag = $first->header('ETag');

    expect($first->status())
        ->toBe(201)
        ->and($put($ics, ['If-None-Match' => '*'])->status())
        ->toBe(412)
        ->and($put("$ics ", ['If-Match' => '"other"'])->status())
        ->toBe(412)
        ->and($put("$ics ", ['If-Match' => $etag])->status())
        ->toBe(204)
        ->and(($this->ask)('GET', $path)->body())
        ->toBe("$ics ")
        ->and(($this->ask)('DELETE', $path)->status())
        ->toBe(204)
        ->and(($this->ask)('DELETE', $path)->status())
        ->toBe(404)
        ->and($put('hello', [])->status())
        ->toBe(415)
        ->and(($this->ask)('PATCH', $path, '{}')->status())
        ->toBe(405);
});

test('a post is made once for its key, changed in place, and told in Atom that is XML', function () {
    $post = fn (string $key, string $title): Response => ($this->ask)(
        'POST',
        '/stream/sections/MAR/posts',
        json_encode(['title' => $title, 'fields' => ['Text' => 'a < b & c']]),
        ['Idempotency-Key' => $key],
    );
    $first = $post('k', 'One');
    expect([$first->status(), $post('k', 'Two')->status()])
        ->toBe([201, 200])
        ->and($post('k', 'Two')->json('post.title'))
        ->toBe('One');
    ($this->ask)('PUT', '/stream/posts/'.$first->json('id'), '{"title":"Three","fields":{"Text":"a < b"}}');
    $feed = simplexml_load_string($this->standins->text('/stream/sections/MAR/atom'));

    expect((string) $feed->entry[0]->title)
        ->toBe('Three')
        ->and((string) $feed->entry[0]->content)
        ->toContain('a < b')
        ->and(count($feed->entry))
        ->toBe(1);
    ($this->ask)('DELETE', '/stream/posts/'.$first->json('id'));
    expect($this->standins->get('/stream/sections/MAR')['posts'])->toBe([]);
});

test('they fail, are slow and limit their rate as they are told', function () {
    $this->standins->behave('course', ['failures' => 2, 'words' => 'Closed for lunch.']);
    $statuses = array_map(fn (): int => ($this->ask)('GET', '/course/pages/MAR')->status(), range(1, 3));
    expect($statuses)->toBe([503, 503, 200]);

    $this->standins->behave('course', ['failures' => -1, 'words' => 'No.', 'only_path' => 'SPA']);
    expect(($this->ask)('GET', '/course/pages/MAR')->status())
        ->toBe(200)
        ->and(($this->ask)('GET', '/course/pages/SPA')->json('error'))
        ->toBe('No.');

    $this->standins->behave('course', ['per_second' => 2]);
    $limited = collect(range(1, 8))->map(fn (): Response => ($this->ask)('GET', '/course/pages/MAR'));
    expect($limited->map->status()->contains(429))
        ->toBeTrue()
        ->and($limited->first(fn (Response $r): bool => $r->status() === 429)->header('Retry-After'))
        ->toBe('1');

    $this->standins->behave('course', ['slow_ms' => 120]);
    $at = microtime(true);
    ($this->ask)('GET', '/course/pages/MAR');
    expect(microtime(true) - $at)->toBeGreaterThan(0.11);
});

test('the pinned place gives way from session to session by the moment that is shown', function () {
    $fields = [
        'Title' => 'Next session',
        'Sessions' => ['2027-02-09T09:47:00Z Tue 9 Feb', '2027-02-11T09:47:00Z Thu 11 Feb'],
    ];
    $this->standins->put(
        '/course/pages/MAR/items/pinned',
        (string) json_encode([
            'title' => 'Next session',
            'block' => 'pinned',
            'codes' => ['title', 'sessions'],
            'fields' => $fields,
        ]),
    );
    $shown = fn (string $at): string => Http::withHeaders(['Accept' => 'text/html'])
        ->withToken($this->standins->token)
        ->get($this->standins->url.'/course/pages/MAR?at='.strtotime($at))
        ->body();

    expect($shown('2027-02-09T09:46:00Z'))
        ->toContain('Tue 9 Feb')
        ->and($shown('2027-02-09T09:47:00Z'))
        ->toContain('Thu 11 Feb')
        ->not->toContain('Tue 9 Feb')
        ->and($shown('2027-04-01T00:00:00Z'))
        ->toContain('No more sessions');
});

test('what people write is escaped on their pages', function () {
    $this->standins->put(
        '/course/pages/MAR/items/week-1',
        (string) json_encode([
            'title' => '<script>1</script>',
            'block' => '1',
            'fields' => ['<b>' => '"><img src=x>'],
        ]),
    );
    $page = Http::withHeaders(['Accept' => 'text/html'])
        ->withToken($this->standins->token)
        ->get($this->standins->url.'/course/pages/MAR?title=<i>');

    expect($page->body())
        ->not->toContain('<script>')
        ->not->toContain('<img')
        ->not->toContain('<i>')
        ->and($page->header('Content-Security-Policy'))
        ->toContain("default-src 'none'");
});
