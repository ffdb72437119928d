<?php

declare(strict_types=1);

namespace Nomada\Standins;

/**
 * The conference bridge: rooms by an idempotency key, who is inside or waits outside, and who has the floor.
 *
 * A meeting is one session's time in a room. It is shut while nobody is there, waiting while no host is inside,
 * running, or over. Whoever was sent out stays out of it, a second device takes over from the first, and after the end
 * nobody comes back in. Joining and leaving are kept as events.
 */
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
            return $request->method === 'POST'
                ? $this->make($request)
                : Answer::json(200, [
                    'rooms' => $this->store->all('select id, key, title from rooms order by made_at'),
                ]);
        }
        $room =
            $this->store->one('select * from rooms where id = ?', [$id]) ??
            throw new Refusal(404, 'There is no such room.');
        $meeting = $request->query['meeting'] ?? '';

        return match (true) {
            $sub === 'people' && $request->method === 'POST' => $this->admit($request, $room),
            $sub === 'acts' && $request->method === 'POST' => $this->act($request, (string) $room['id']),
            $sub === 'events' => Answer::json(200, $this->events($request, (string) $room['id'], $meeting)),
            $sub === 'leave' && $request->method === 'POST' => $this->leave($request, $room),
            $request->wantsPage() => $this->page($request, $room),
            default => Answer::json(
                200,
                ['id' => $room['id'], 'title' => $room['title']] + $this->state((string) $room['id'], $meeting),
            ),
        };
    }

    private function make(Request $request): Answer
    {
        $key = $request->header('idempotency-key');
        if ($key === '') {
            throw new Refusal(400, 'An Idempotency-Key was expected.');
        }
        $title = (string) ($request->json()['title'] ?? '');
        $made = $this->store->run(
            'insert into rooms (id, key, title, dial_in, pin) values (?, ?, ?, ?, ?) on conflict (key) do nothing',
            [
                bin2hex(random_bytes(8)),
                $key,
                $title,
                '+34 555 010 '.random_int(100, 999),
                sprintf('%03d %03d %d', random_int(0, 999), random_int(0, 999), random_int(0, 9)),
            ],
        );
        $room = $this->store->one('select id, title, dial_in, pin from rooms where key = ?', [$key]);

        return Answer::json($made === 1 ? 201 : 200, (array) $room);
    }

    /**
     * Lets somebody in, or has them wait outside. All of it behind the room's lock: two at one moment are one after the
     * other.
     *
     * @param  array<string, mixed>  $room
     */
    private function admit(Request $request, array $room): Answer
    {
        $given = $request->json();
        $person = (string) ($given['person'] ?? '');
        $meeting = (string) ($given['meeting'] ?? '');
        $isHost = (bool) ($given['host'] ?? false);
        $seat = bin2hex(random_bytes(16));
        $this->store->run('begin');
        try {
            $this->store->one('select id from rooms where id = ? for update', [$room['id']]);
            if (
                ($this->store->one('select over_at from meetings where room = ? and meeting = ?', [
                    $room['id'],
                    $meeting,
                ])['over_at'] ??
                    null) !==
                null
            ) {
                throw new Refusal(409, 'This meeting is over.');
            }
            $seats = $this->store->all(
                "select seat, person, state from seats where room = ? and meeting = ? and state in ('inside',
                    'outside', 'sent-out')",
                [$room['id'], $meeting],
            );
            $own = array_values(array_filter($seats, fn (array $s): bool => $s['person'] === $person));
            if (! $isHost && array_filter($own, fn (array $s): bool => $s['state'] === 'sent-out') !== []) {
                throw new Refusal(403, 'Whoever was sent out stays out of this meeting.');
            }
            $inside = array_unique(
                array_column(
                    array_filter(
                        $seats,
                        fn (array $s): bool => $s['state'] === 'inside' && $s['person'] !== $person,
                    ),
                    'person',
                ),
            );
            $most = $given['seats'] ?? null;
            if (! $isHost && $most !== null && count($inside) >= (int) $most) {
                throw new Refusal(409, 'The room is full.');
            }
            $isKnown = array_filter($own, fn (array $s): bool => $s['state'] === 'inside') !== [];
            $state = ($given['outside'] ?? false) && ! $isKnown ? 'outside' : 'inside';
            if ($given['one_device'] ?? true) {
                $this->store->run(
                    "update seats set state = 'taken-over', left_at = now() where room = ? and meeting = ? and
                        person = ? and state in ('inside', 'outside')",
                    [$room['id'], $meeting, $person],
                );
            }
            $this->store->run(
                'insert into seats (seat, room, meeting, person, name, host, state, rules) values (?, ?, ?, ?, ?,
                    ?, ?, ?)',
                [
                    $seat,
                    $room['id'],
                    $meeting,
                    $person,
                    (string) ($given['name'] ?? ''),
                    $isHost ? 't' : 'f',
                    $state,
                    (string) json_encode((object) ($given['floor'] ?? [])),
                ],
            );
            if ($state === 'inside' && ! $isKnown) {
                $this->event(
                    (string) $room['id'],
                    $meeting,
                    $person,
                    (string) ($given['name'] ?? ''),
                    'join',
                    (int) ($given['at'] ?? time()),
                );
            }
            $this->store->run('commit');
        } catch (\Throwable $e) {
            $this->store->run('rollback');

            throw $e;
        }

        return Answer::json(201, ['path' => "/bridge/rooms/{$room['id']}?seat=$seat", 'state' => $state]);
    }

    /** What the host does: let in one or all, send out, give and take back the floor, end for all. */
    private function act(Request $request, string $room): Answer
    {
        $given = $request->json();
        [$act, $person, $meeting, $at] = [
            (string) ($given['act'] ?? ''),
            (string) ($given['person'] ?? ''),
            (string) ($given['meeting'] ?? ''),
            (int) ($given['at'] ?? time()),
        ];
        $of = [$room, $meeting];
        $late = $given['late'] ?? false ? 't' : 'f';
        match ($act) {
            'let-in' => $this->letIn(
                $this->store->all(
                    "update seats set state = 'inside', late = ? where room = ? and meeting = ? and person = ?
                        and state = 'outside' returning person, name",
                    [$late, ...$of, $person],
                ),
                $room,
                $meeting,
                $at,
            ),
            'let-in-all' => $this->letIn(
                $this->store->all(
                    "update seats set state = 'inside', late = ? where room = ? and meeting = ? and state =
                        'outside' returning person, name",
                    [$late, ...$of],
                ),
                $room,
                $meeting,
                $at,
            ),
            'send-out' => $this->left(
                $this->store->all(
                    "update seats set state = 'sent-out', floor = false, left_at = now() where room = ? and
                        meeting = ? and person = ? and state in ('inside', 'outside') and not host returning person,
                        name",
                    [...$of, $person],
                ),
                $room,
                $meeting,
                $at,
            ),
            'give-floor' => $this->store->run(
                "update seats set floor = true where room = ? and meeting = ? and person = ? and state = 'inside'",
                [...$of, $person],
            ),
            'take-floor' => $this->store->run(
                'update seats set floor = false where room = ? and meeting = ? and person = ?',
                [...$of, $person],
            ),
            'end' => $this->end($room, $meeting, $at),
            default => throw new Refusal(
                400,
                'The bridge knows let-in, let-in-all, send-out, give-floor, take-floor and end.',
            ),
        };

        return Answer::json(200, $this->state($room, $meeting));
    }

    /** @param  list<array<string, mixed>>  $people */
    private function letIn(array $people, string $room, string $meeting, int $at): void
    {
        foreach ($people as $one) {
            $this->event($room, $meeting, (string) $one['person'], (string) $one['name'], 'join', $at);
        }
    }

    /** @param  list<array<string, mixed>>  $people */
    private function left(array $people, string $room, string $meeting, int $at): void
    {
        foreach ($people as $one) {
            $this->event($room, $meeting, (string) $one['person'], (string) $one['name'], 'leave', $at);
        }
    }

    private function end(string $room, string $meeting, int $at): void
    {
        $this->store->run(
            'insert into meetings (room, meeting, over_at) values (?, ?, now()) on conflict (room, meeting) do
                update set over_at = now()',
            [$room, $meeting],
        );
        $this->left(
            $this->store->all(
                "update seats set state = 'ended', floor = false, left_at = now() where room = ? and meeting = ?
                    and state in ('inside', 'outside') returning person, name",
                [$room, $meeting],
            ),
            $room,
            $meeting,
            $at,
        );
    }

    private function event(
        string $room,
        string $meeting,
        string $person,
        string $name,
        string $what,
        int $at,
        string $device = '',
    ): void {
        $this->store->run(
            'insert into events (room, meeting, person, name, what, at, device) values (?, ?, ?, ?, ?, ?, ?)',
            [$room, $meeting, $person, $name, $what, $at, $device],
        );
    }

    /**
     * Who came and left after an event of this number, what each did, and when it was ended for everybody.
     *
     * @return array<string, mixed>
     */
    private function events(Request $request, string $room, string $meeting): array
    {
        $over = $this->store->one(
            'select extract(epoch from over_at)::bigint + at_offset as at from meetings where room = ? and meeting = ?',
            [$room, $meeting],
        );

        return [
            'events' => $this->store->all(
                'select id, person, name, what, at, device from events where room = ? and meeting = ? and id > ?
                    order by id',
                [$room, $meeting, (int) ($request->query['after'] ?? 0)],
            ),
            'counts' => [],
            'over_at' => $over['at'] ?? null,
        ];
    }

    /**
     * @return array{state: string, host_inside: bool, inside: list<array<string, mixed>>, outside: list<array<string,
     *   mixed>>, sent_out: list<mixed>}
     */
    private function state(string $room, string $meeting): array
    {
        $seats = $this->store->all(
            "select person, min(name) as name, bool_or(host) as host, bool_or(floor) as floor, bool_or(late) as
                late, state from seats where room = ? and meeting = ? and state in ('inside', 'outside', 'sent-out')
                group by person, state order by 3 desc, 2",
            [$room, $meeting],
        );
        $of = fn (string $state): array => array_values(
            array_filter($seats, fn (array $s): bool => $s['state'] === $state),
        );
        $isOver =
            ($this->store->one('select over_at from meetings where room = ? and meeting = ?', [$room, $meeting])[
                'over_at'
            ] ??
                null) !==
            null;
        $hasHost = array_filter($of('inside'), fn (array $s): bool => (bool) $s['host']) !== [];

        return [
            'state' => $isOver ? 'over' : ($hasHost ? 'running' : ($seats === [] ? 'shut' : 'waiting')),
            'host_inside' => $hasHost,
            'inside' => $of('inside'),
            'outside' => $of('outside'),
            'sent_out' => array_column($of('sent-out'), 'person'),
        ];
    }

    /** @param  array<string, mixed>  $room */
    private function leave(Request $request, array $room): Answer
    {
        $this->left(
            $this->store->all(
                "update seats set state = 'left', left_at = now() where room = ? and seat = ? and state in
                    ('inside', 'outside') returning person, name",
                [$room['id'], $request->query['seat'] ?? ''],
            ),
            (string) $room['id'],
            (string) ($this->store->one('select meeting from seats where seat = ?', [
                $request->query['seat'] ?? '',
            ])['meeting'] ?? ''),
            time(),
        );

        return Answer::page(
            Page::of(
                'You have left',
                '<p>'.Page::text((string) $room['title']).'. You can close this page.</p>',
                'Conference bridge',
            ),
        );
    }

    /** @param  array<string, mixed>  $room */
    private function page(Request $request, array $room): Answer
    {
        $own =
            $this->store->one(
                'select name, state, host, floor, meeting, rules from seats where room = ? and seat = ?',
                [$room['id'], $request->query['seat'] ?? ''],
            ) ?? throw new Refusal(403, 'Come in by your own link.');
        $words = match ($own['state']) {
            'outside' => [
                'You wait outside',
                'The teacher lets you in. Stay on this page; it looks again by itself.',
            ],
            'taken-over' => ['You are not inside', 'You came in on another device; that one took over from this.'],
            'sent-out' => ['You were sent out', 'For this session you stay out. Ask the teacher afterwards.'],
            'ended' => ['It is over', 'The teacher has ended it for everybody.'],
            'left' => ['You are not inside', 'You have left. Come in again by your own link.'],
            default => null,
        };
        $leave =
            '<form method="post" action="/bridge/rooms/'.
            $room['id'].
            '/leave?seat='.
            Page::text($request->query['seat']).
            '"><button>Leave</button></form>';
        if ($words !== null) {
            return Answer::page(
                str_replace(
                    '<head>',
                    $own['state'] === 'outside' ? '<head><meta http-equiv="refresh" content="4">' : '<head>',
                    Page::of(
                        $words[0],
                        "<p>$words[1]</p>".($own['state'] === 'outside' ? $leave : ''),
                        'Conference bridge',
                    ),
                ),
            );
        }
        $people = $this->state((string) $room['id'], (string) $own['meeting'])['inside'];
        $html =
            '<p class="big">'.
            (count($people) === 1 ? '1 person is inside' : count($people).' people are inside').
            '</p><ul class="people">';
        foreach ($people as $person) {
            $html .=
                '<li>'.
                Page::text((string) $person['name']).
                ($person['host'] ? ' <em>teacher</em>' : ($person['floor'] ? ' <em>has the floor</em>' : '')).
                '</li>';
        }

        return Answer::page(
            Page::of((string) $room['title'], $html.'</ul>'.$this->powers($own).$leave, 'Conference bridge'),
        );
    }

    /**
     * What this person may do at this moment: by the floor's rules, as a host, or because the floor was given.
     *
     * @param  array<string, mixed>  $own
     */
    private function powers(array $own): string
    {
        $rules = (array) json_decode((string) $own['rules'], true);
        $html = '';
        foreach (
            [
                'speak' => 'Speak',
                'camera' => 'Camera',
                'chat' => 'Chat',
                'screen' => 'Show a screen',
                'draw' => 'Draw',
                'record' => 'Record',
            ] as $power => $label
        ) {
            $who = $rules[$power] ?? 'host';
            $may =
                $who === 'everyone' ||
                ($own['host'] && $who !== 'nobody') ||
                ($own['floor'] && $who === 'host' && $power !== 'record');
            $html .=
                "<li>$label: ".
                ($may
                    ? 'yes'.
                        ($power === 'speak' && ($rules['muted_on_entry'] ?? false) && ! $own['host']
                            ? ', the microphone is off at first'
                            : '')
                    : 'no').
                '</li>';
        }

        return "<h2>What you may do</h2><ul>$html</ul>";
    }
}
