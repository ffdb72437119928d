<?php

declare(strict_types=1);

namespace Nomada\Standins;

/**
 * The conference bridge: rooms by an idempotency key, and what goes on in them.
 *
 * A meeting is one session's time in a room. It is shut while nobody is there, waiting while no host is inside,
 * running, or over. Anybody who was sent out stays out of it, a second device takes over from the first, and after the
 * end nobody comes back in. Joining and leaving are kept as events.
 */
final readonly class Bridge
{
    public function __construct(private Store $store)
    {
    }

    /** @param  list<string>  $parts */
    public function answer(Request $request, array $parts): Answer
    {
        [$kind, $id, $sub, $of] = $parts + ['', '', '', ''];
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
        $meeting = new Meeting($this->store, (string) $room['id'], $request->query['meeting'] ?? '');
        $isPost = $request->method === 'POST';

        return match (true) {
            isset($request->query['seat']) => (new RoomPage($this->store))->answer($request, $room, $sub),
            $sub === 'people' && $isPost => $this->admit($request, $room),
            $sub === 'acts' && $isPost => $this->act($request, (string) $room['id']),
            $sub === 'events' => Answer::json(200, $meeting->events((int) ($request->query['after'] ?? 0))),
            $sub === 'recordings' && $of === '' => Answer::json(200, ['recordings' => $meeting->recordings()]),
            $sub === 'recordings' => $this->recording($request, $room, $of, $parts[4] ?? ''),
            $request->wantsPage() => throw new Refusal(403, 'Use your own link to join.'),
            ($request->query['v'] ?? '') === (string) $meeting->version() => new Answer(304, ''),
            default => Answer::json(200, ['id' => $room['id'], 'title' => $room['title']] + $meeting->state()),
        };
    }

    private function make(Request $request): Answer
    {
        $key = $request->header('idempotency-key');
        if ($key === '') {
            throw new Refusal(400, 'The Idempotency-Key is missing.');
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
        $name = (string) ($given['name'] ?? '');
        $key = (string) ($given['meeting'] ?? '');
        $isHost = (bool) ($given['host'] ?? false);
        $at = (int) ($given['at'] ?? time());
        $meeting = new Meeting($this->store, (string) $room['id'], $key);
        $seat = bin2hex(random_bytes(16));
        $this->store->run('begin');
        try {
            $this->store->one('select id from rooms where id = ? for update', [$room['id']]);
            if ($meeting->isOver()) {
                throw new Refusal(409, 'This meeting is over.');
            }
            $seats = $meeting->seats();
            $own = array_filter($seats, fn (array $s): bool => $s['person'] === $person);
            if (! $isHost && in_array('sent-out', array_column($own, 'state'), true)) {
                throw new Refusal(403, 'A person who was removed cannot join this meeting again.');
            }
            $others = array_filter(
                $seats,
                fn (array $s): bool => $s['state'] === 'inside' && $s['person'] !== $person,
            );
            $most = $given['seats'] ?? null;
            if (! $isHost && $most !== null && count($others) >= (int) $most) {
                throw new Refusal(409, 'The room is full.');
            }
            $isKnown = in_array('inside', array_column($own, 'state'), true);
            $state = ($given['outside'] ?? false) && ! $isKnown ? 'outside' : 'inside';
            if ($given['one_device'] ?? true) {
                $this->store->run(
                    "update seats set state = 'taken-over', left_at = now(), hand = null where room = ? and
                        meeting = ? and person = ? and state in ('inside', 'outside')",
                    [$room['id'], $key, $person],
                );
                $isKnown = $isKnown && $state === 'inside';
            }
            $this->store->run(
                'insert into seats (seat, room, meeting, person, name, host, state, rules, device, mic) values
                    (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
                [
                    $seat,
                    $room['id'],
                    $key,
                    $person,
                    $name,
                    $isHost ? 't' : 'f',
                    $state,
                    (string) json_encode((object) ($given['floor'] ?? [])),
                    mb_substr((string) ($given['device'] ?? ''), 0, 60),
                    ($given['floor']['muted_on_entry'] ?? true) || $state === 'outside' ? 'f' : 't',
                ],
            );
            $meeting->toldAt($at);
            if ($state === 'inside' && ! $isKnown) {
                $meeting->event($person, $name, 'join', $at, (string) ($given['device'] ?? ''));
            }
            $meeting->touch();
            $this->store->run('commit');
        } catch (\Throwable $e) {
            $this->store->run('rollback');

            throw $e;
        }

        return Answer::json(201, ['path' => "/bridge/rooms/{$room['id']}?seat=$seat", 'state' => $state]);
    }

    /** What the host does: let in one or all, send out, give and take back the floor, and all the rest of it. */
    private function act(Request $request, string $room): Answer
    {
        $given = $request->json();
        $meeting = new Meeting($this->store, $room, (string) ($given['meeting'] ?? ''));
        $meeting->host((string) ($given['act'] ?? ''), $given);

        return Answer::json(200, $meeting->state());
    }

    /** @param  array<string, mixed>  $room */
    private function recording(Request $request, array $room, string $id, string $what): Answer
    {
        $one =
            $this->store->one('select * from recordings where room = ? and id = ? and done_at <= now()', [
                $room['id'],
                $id,
            ]) ?? throw new Refusal(404, 'This recording does not exist or is not ready.');
        $ms = 1000 * max(1, (int) $one['stopped'] - (int) $one['started']);

        return match ($what) {
            'sound' => self::ranged($request, Sound::wav($id, $ms)),
            'transcript' => new Answer(200, Sound::transcript($id, $ms, 'Teacher'), ['Content-Type' => 'text/vtt']),
            default => throw new Refusal(404, 'A recording has its sound and its transcript.'),
        };
    }

    /** All of a sound, or what is behind a first byte (RFC 9110, 14.2). */
    private static function ranged(Request $request, string $sound): Answer
    {
        if (preg_match('/^bytes=(\d+)-$/', $request->header('range'), $m) !== 1) {
            return new Answer(200, $sound, ['Content-Type' => 'audio/wav', 'Accept-Ranges' => 'bytes']);
        }
        $size = strlen($sound);

        return (int) $m[1] >= $size
            ? new Answer(416, '', ['Content-Range' => "bytes */$size"])
            : new Answer(206, substr($sound, (int) $m[1]), [
                'Content-Type' => 'audio/wav',
                'Content-Range' => "bytes $m[1]-".($size - 1)."/$size",
            ]);
    }
}
