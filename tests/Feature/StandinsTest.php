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
    $page = fn (string $path): string => Http::withHeaders(['Accept' => 'text/html'])
        ->get($this->standins->url.$path)
        ->body();

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
    Http::post($this->standins->url.str_replace('?', '/leave?', $second));
    expect(array_column($this->standins->get("/bridge/rooms/$room")['inside'], 'person'))->toBe(['S-2']);
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
        (string) json_encode(['title' => 'Next session', 'block' => 'pinned', 'fields' => $fields]),
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
