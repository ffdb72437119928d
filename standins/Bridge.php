<?php

declare(strict_types=1);

namespace Nomada\Standins;

/** The conference bridge: rooms by an idempotency key, and who is in them. */
final readonly class Bridge
{
    public function __construct(private Store $store)
    {
    }

    /** @param  list<string>  $parts */
    public function answer(Request $request, array $parts): Answer
    {
        [$kind, $id, $sub] = $parts + ['', '', ''];
        if ($kind !== 'rooms') {
            throw new Refusal(404, 'The bridge has rooms only.');
        }
        if ($id === '') {
            return $request->method === 'POST' ? $this->make($request) : Answer::json(200, ['rooms' => $this->store->all('select id, key, title from rooms order by made_at')]);
        }
        $room = $this->store->one('select * from rooms where id = ?', [$id]) ?? throw new Refusal(404, 'There is no such room.');

        return match (true) {
            $sub === 'people' && $request->method === 'POST' => $this->admit($request, $room),
            $sub === 'leave' && $request->method === 'POST' => $this->leave($request, $room),
            $request->wantsPage() => $this->page($request, $room),
            default => Answer::json(200, ['id' => $room['id'], 'title' => $room['title'], 'inside' => $this->inside((string) $room['id'])]),
        };
    }

    private function make(Request $request): Answer
    {
        $key = $request->header('idempotency-key');
        if ($key === '') {
            throw new Refusal(400, 'An Idempotency-Key was expected.');
        }
        $title = (string) ($request->json()['title'] ?? '');
        $made = $this->store->run('insert into rooms (id, key, title, dial_in, pin) values (?, ?, ?, ?, ?) on conflict (key) do nothing',
            [bin2hex(random_bytes(8)), $key, $title, '+34 555 010 '.random_int(100, 999), sprintf('%03d %03d %d', random_int(0, 999), random_int(0, 999), random_int(0, 9))]);
        $room = $this->store->one('select id, title, dial_in, pin from rooms where key = ?', [$key]);

        return Answer::json($made === 1 ? 201 : 200, (array) $room);
    }

    /** @param  array<string, mixed>  $room */
    private function admit(Request $request, array $room): Answer
    {
        $given = $request->json();
        $seat = bin2hex(random_bytes(16));
        // One device a person: the second takes over.
        $this->store->run('update seats set left_at = now() where room = ? and person = ? and left_at is null', [$room['id'], (string) ($given['person'] ?? '')]);
        $this->store->run('insert into seats (seat, room, person, name, host) values (?, ?, ?, ?, ?)', [$seat, $room['id'], (string) ($given['person'] ?? ''), (string) ($given['name'] ?? ''), ($given['host'] ?? false) ? 't' : 'f']);

        return Answer::json(201, ['path' => "/bridge/rooms/{$room['id']}?seat=$seat"]);
    }

    /** @param  array<string, mixed>  $room */
    private function leave(Request $request, array $room): Answer
    {
        $this->store->run('update seats set left_at = now() where room = ? and seat = ? and left_at is null', [$room['id'], $request->query['seat'] ?? '']);

        return Answer::page(Page::of('You have left', '<p>'.Page::text((string) $room['title']).'. You can close this page.</p>', 'Conference bridge'));
    }

    /** @param  array<string, mixed>  $room */
    private function page(Request $request, array $room): Answer
    {
        $own = $this->store->one('select name, left_at from seats where room = ? and seat = ?', [$room['id'], $request->query['seat'] ?? '']) ?? throw new Refusal(403, 'Come in by your own link.');
        if ($own['left_at'] !== null) {
            return Answer::page(Page::of('You are not inside', '<p>You have left, or you came in on another device.</p>', 'Conference bridge'));
        }
        $people = $this->inside((string) $room['id']);
        $html = '<p class="big">'.(count($people) === 1 ? '1 person is inside' : count($people).' people are inside').'</p><ul class="people">';
        foreach ($people as $person) {
            $html .= '<li>'.Page::text((string) $person['name']).($person['host'] ? ' <em>teacher</em>' : '').'</li>';
        }

        return Answer::page(Page::of((string) $room['title'], $html.'</ul><form method="post" action="/bridge/rooms/'.$room['id'].'/leave?seat='.Page::text($request->query['seat']).'"><button>Leave</button></form>', 'Conference bridge'));
    }

    /** @return list<array<string, mixed>> */
    private function inside(string $room): array
    {
        return $this->store->all('select person, name, host from seats where room = ? and left_at is null order by host desc, name', [$room]);
    }
}
