<?php

declare(strict_types=1);

namespace Nomada\Standins;

/**
 * One session's time in a room: who is inside or waits, what each may do, hands, talk, sheet, the quick question, and
 * what is recorded. Whatever changes it gives it a new version, so that those who look again are told so in one line.
 */
final readonly class Meeting
{
    /** For how many seconds captions stay in the talk. */
    private const CAPTIONED = 300;

    private const INSIDE = "state in ('inside', 'outside', 'sent-out')";

    public function __construct(private Store $store, private string $room, private string $key)
    {
    }

    /** The room's clock: what a program said last, going on since; the machine's where it never said one. */
    public function now(): int
    {
        return time() + (int) ($this->row()['at_offset'] ?? 0);
    }

    /** Keeps what o'clock it is for the program that asks. */
    public function toldAt(int $at): void
    {
        $this->store->run(
            'insert into meetings (room, meeting, at_offset) values (?, ?, ?) on conflict (room, meeting) do
                update set at_offset = excluded.at_offset',
            [$this->room, $this->key, $at - time()],
        );
    }

    public function touch(): void
    {
        $this->store->run(
            'insert into meetings (room, meeting, version) values (?, ?, 1) on conflict (room, meeting) do
                update set version = meetings.version + 1',
            [$this->room, $this->key],
        );
    }

    public function version(): int
    {
        return (int) ($this->row()['version'] ?? 0);
    }

    public function isOver(): bool
    {
        return ($this->row()['over_at'] ?? null) !== null;
    }

    /** @return array<string, mixed>|null */
    private function row(): ?array
    {
        return $this->store->one('select * from meetings where room = ? and meeting = ?', [
            $this->room,
            $this->key,
        ]);
    }

    public function event(string $person, string $name, string $what, int $at, string $device = ''): void
    {
        $this->store->run(
            'insert into events (room, meeting, person, name, what, at, device) values (?, ?, ?, ?, ?, ?, ?)',
            [$this->room, $this->key, $person, $name, $what, $at, $device],
        );
        $words = ['join' => 'joined', 'leave' => 'left'][$what] ?? null;
        if ($words !== null && $name !== '') {
            $this->say('event', $person, $name, $words, $at);
        }
    }

    public function say(string $kind, string $person, string $name, string $text, ?int $at = null): void
    {
        $this->store->run(
            'insert into talk (room, meeting, at, person, name, kind, text) values (?, ?, ?, ?, ?, ?, ?)',
            [$this->room, $this->key, $at ?? $this->now(), $person, $name, $kind, mb_substr($text, 0, 500)],
        );
    }

    /** @return list<array<string, mixed>> */
    public function seats(): array
    {
        return $this->store->all(
            'select person, min(name) as name, bool_or(host) as host, bool_or(floor) as floor, bool_or(late) as
                late, bool_or(mic) as mic, bool_or(camera) as camera, min(hand) as hand, min(came_at) as came, state
                from seats where room = ? and meeting = ? and '.
                self::INSIDE.
                ' group by person, state order by (min(hand) is null), min(hand), min(came_at), 1',
            [$this->room, $this->key],
        );
    }

    /**
     * What a program reads, or a person inside: private lines only for those whom they are for.
     *
     * @param  string|null  $viewer  a person; null for a program, which is a host's
     * @return array<string, mixed>
     */
    public function state(?string $viewer = null, bool $isHost = true): array
    {
        $row = $this->row() ?? [];
        $seats = $this->seats();
        $hands = 0;
        foreach ($seats as $i => $seat) {
            $seats[$i]['hand'] = $seat['state'] === 'inside' && $seat['hand'] !== null ? ++$hands : null;
        }
        $of = fn (string $state): array => array_values(
            array_filter($seats, fn (array $s): bool => $s['state'] === $state),
        );
        $isOver = ($row['over_at'] ?? null) !== null;
        $hasHost = array_filter($of('inside'), fn (array $s): bool => (bool) $s['host']) !== [];

        return [
            'version' => (int) ($row['version'] ?? 0),
            'state' => $isOver ? 'over' : ($hasHost ? 'running' : ($seats === [] ? 'shut' : 'waiting')),
            'host_inside' => $hasHost,
            'inside' => $of('inside'),
            'outside' => $of('outside'),
            'sent_out' => array_column($of('sent-out'), 'person'),
            'left' => $this->left(array_column($of('inside'), 'person')),
            'may_unmute' => (bool) ($row['may_unmute'] ?? true),
            'chat_open' => (bool) ($row['chat_open'] ?? true),
            'recording_since' => $row['recording_since'] ?? null,
            'window' => json_decode((string) ($row['window_of'] ?? 'null'), true),
            'question' => $this->question($row, $viewer),
            'talk' => $this->talk($viewer, $isHost),
            'sheet' => $this->sheet(),
        ];
    }

    /**
     * Who was inside and is not any more.
     *
     * @param  list<string>  $inside
     * @return list<string>
     */
    private function left(array $inside): array
    {
        $came = $this->store->all(
            "select distinct person from events where room = ? and meeting = ? and what = 'join' order by 1",
            [$this->room, $this->key],
        );

        return array_values(array_diff(array_column($came, 'person'), $inside));
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>|null
     */
    private function question(array $row, ?string $viewer): ?array
    {
        $asked = json_decode((string) ($row['question'] ?? 'null'), true);
        if (! is_array($asked)) {
            return null;
        }
        $counts = array_fill(0, count($asked['answers']), 0);
        $own = null;
        foreach (
            $this->store->all(
                'select person, max(answer) as answer from seats where room = ? and meeting = ? and answer is not
                    null group by person',
                [$this->room, $this->key],
            ) as $one
        ) {
            $counts[(int) $one['answer']] = ($counts[(int) $one['answer']] ?? 0) + 1;
            $own = $one['person'] === $viewer ? (int) $one['answer'] : $own;
        }

        return $asked + ['counts' => $counts, 'own' => $own];
    }

    /** @return list<array<string, mixed>> the last ones, in the order of time */
    private function talk(?string $viewer, bool $isHost): array
    {
        return array_reverse(
            $this->store->all(
                'select id, at, person, name, kind, case when gone then \'\' else text end as text, gone from talk
                    where room = ? and meeting = ? and (kind <> \'private\' or ? or person = ?)
                    order by id desc limit 120',
                [$this->room, $this->key, $isHost ? 't' : 'f', $viewer ?? ''],
            ),
        );
    }

    /**
     * What was said aloud in the last minutes, as lines of the talk: a script that the stand-in plays while a host is
     * inside.
     *
     * @return list<array<string, mixed>>
     */
    public function captions(): array
    {
        $since =
            $this->store->one(
                "select min(came_at) as came from seats where room = ? and meeting = ? and host and state = 'inside'",
                [$this->room, $this->key],
            )['came'] ?? null;
        if ($since === null) {
            return [];
        }
        $now = $this->now();
        // Nobody speaks before the teacher is there; both on the room's clock.
        $first = max($now - self::CAPTIONED, (int) strtotime((string) $since) + $now - time());
        $hour = $now - ($now % 3600);
        $out = [];
        foreach (Sound::cues($this->room, 1000 * ($now - $hour)) as $n => [$from, , $text]) {
            $at = $hour + intdiv($from, 1000);
            if ($at >= $first) {
                $out[] = [
                    'id' => "c$hour-$n",
                    'at' => $at,
                    'name' => 'Said',
                    'kind' => 'caption',
                    'text' => $text,
                    'gone' => false,
                ];
            }
        }

        return $out;
    }

    /** @return list<array<string, mixed>> */
    private function sheet(): array
    {
        return array_map(
            fn (array $m): array => ['data' => json_decode((string) $m['data'], true)] + $m,
            $this->store->all(
                'select id, person, name, kind, data from marks where room = ? and meeting = ? order by id limit 400',
                [$this->room, $this->key],
            ),
        );
    }

    /**
     * What a host does.
     *
     * @param  array<string, mixed>  $given
     */
    public function host(string $act, array $given): void
    {
        $person = self::text($given['person'] ?? '', 120);
        $at = (int) ($given['at'] ?? time());
        $this->toldAt($at);
        $of = [$this->room, $this->key];
        $on = ! empty($given['on']);
        $set = fn (string $what, mixed $value): int => $this->store->run(
            "update meetings set $what = ? where room = ? and meeting = ?",
            [$value, ...$of],
        );
        $late = ! empty($given['late']) ? 't' : 'f';
        $one = $person === '' ? '' : ' and person = ?';
        $whom = $person === '' ? $of : [...$of, $person];
        match ($act) {
            'let-in', 'let-in-all' => $this->all(
                'join',
                "update seats set state = 'inside', late = ? where room = ? and meeting = ? and state = 'outside'".
                    ($act === 'let-in' ? ' and person = ?' : ''),
                $act === 'let-in' ? [$late, ...$of, $person] : [$late, ...$of],
                $at,
            ),
            'send-out' => $this->all(
                'leave',
                "update seats set state = 'sent-out', floor = false, hand = null, mic = false, left_at = now() where
                    room = ? and meeting = ? and person = ? and state in ('inside', 'outside') and not host",
                [...$of, $person],
                $at,
            ),
            'give-floor' => $this->store->run(
                "update seats set floor = true, hand = null where room = ? and meeting = ? and person = ? and state =
                    'inside'",
                [...$of, $person],
            ),
            'take-floor' => $this->store->run(
                'update seats set floor = false where room = ? and meeting = ? and person = ?',
                [...$of, $person],
            ),
            'mute' => $this->store->run(
                "update seats set mic = false where room = ? and meeting = ? and not host$one",
                $whom,
            ),
            'may-unmute' => $set('may_unmute', $on ? 't' : 'f'),
            'lower-hand' => $this->store->run(
                "update seats set hand = null where room = ? and meeting = ?$one",
                $whom,
            ),
            'take-line' => $this->store->run(
                'update talk set gone = true where room = ? and meeting = ? and id = ?',
                [...$of, (int) ($given['line'] ?? 0)],
            ),
            'chat' => $set('chat_open', $on ? 't' : 'f'),
            'ask' => $this->ask($given),
            'clear-question' => $this->clear(),
            'record' => $this->record($on, $at),
            'say' => $this->say(
                'line',
                $person,
                self::text($given['name'] ?? '', 160),
                self::text($given['text'] ?? '', 500),
            ),
            'mark' => $this->mark($person, self::text($given['name'] ?? '', 160), $given),
            'wipe' => $this->wipe(),
            // By a telephone's keys, or in a rehearsal: what somebody inside does, told by a program.
            'does' => $this->do($this->seatOf($person), self::text($given['do'] ?? '', 20), $given),
            'end' => $this->end($at),
            'reopen' => $this->reopen($at),
            default => throw new Refusal(400, "The bridge knows no \"$act\"."),
        };
        $this->touch();
    }

    /** @return array<string, mixed> */
    private function seatOf(string $person): array
    {
        return $this->store->one(
            "select * from seats where room = ? and meeting = ? and person = ? and state = 'inside' limit 1",
            [$this->room, $this->key, $person],
        ) ?? throw new Refusal(409, 'They are not inside.');
    }

    /** @param  list<mixed>  $with */
    private function all(string $what, string $sql, array $with, int $at): void
    {
        foreach ($this->store->all("$sql returning person, name, device, state", $with) as $one) {
            $this->event((string) $one['person'], (string) $one['name'], $what, $at, (string) $one['device']);
        }
    }

    /** @param  array<string, mixed>  $given */
    private function ask(array $given): void
    {
        $text = self::text($given['text'] ?? '', 200);
        $answers = array_values(
            array_filter(
                array_map(fn (mixed $a): string => self::text($a, 80), (array) ($given['answers'] ?? [])),
                fn (string $a): bool => $a !== '',
            ),
        );
        if ($text === '' || count($answers) < 2 || count($answers) > 5) {
            throw new Refusal(400, 'A quick question has a text and two to five answers.');
        }
        $this->store->run('update seats set answer = null where room = ? and meeting = ?', [
            $this->room,
            $this->key,
        ]);
        $this->store->run('update meetings set question = ? where room = ? and meeting = ?', [
            json_encode(['text' => $text, 'answers' => $answers]),
            $this->room,
            $this->key,
        ]);
    }

    private function clear(): void
    {
        $asked = $this->question($this->row() ?? [], null);
        if ($asked !== null) {
            $sums = array_map(
                fn (string $a, int $n): string => "$n $a",
                $asked['answers'],
                array_slice($asked['counts'], 0, count($asked['answers'])),
            );
            $this->say('event', '', '', "Quick question: $asked[text] ".implode(', ', $sums));
        }
        $this->store->run('update seats set answer = null where room = ? and meeting = ?', [
            $this->room,
            $this->key,
        ]);
        $this->store->run('update meetings set question = null where room = ? and meeting = ?', [
            $this->room,
            $this->key,
        ]);
    }

    private function record(bool $on, int $at): void
    {
        $row = $this->row() ?? [];
        if ($on === (($row['recording_since'] ?? null) !== null)) {
            return;
        }
        if ($on) {
            $this->store->run('insert into recordings (id, room, meeting, started) values (?, ?, ?, ?)', [
                bin2hex(random_bytes(8)),
                $this->room,
                $this->key,
                $at,
            ]);
        } else {
            // It needs a while: a second for each minute, at least three.
            $wait = max(3, min(60, intdiv($at - (int) $row['recording_since'], 60)));
            $this->store->run(
                "update recordings set stopped = ?, done_at = now() + ? * interval '1 second' where room = ? and
                    meeting = ? and stopped is null",
                [$at, (int) (getenv('STANDINS_PROCESSING') ?: $wait), $this->room, $this->key],
            );
        }
        $this->store->run('update meetings set recording_since = ? where room = ? and meeting = ?', [
            $on ? $at : null,
            $this->room,
            $this->key,
        ]);
        $this->say('event', '', '', $on ? 'Recording started.' : 'Recording stopped.', $at);
    }

    private function end(int $at): void
    {
        $this->record(false, $at);
        $this->store->run(
            'insert into meetings (room, meeting, over_at, ended) values (?, ?, now(), ?) on conflict (room, meeting)
                do update set over_at = now(), ended = excluded.ended',
            [$this->room, $this->key, $at],
        );
        $this->all(
            'leave',
            "update seats set state = 'ended', floor = false, hand = null, mic = false, left_at = now() where room = ?
                and meeting = ? and state in ('inside', 'outside')",
            [$this->room, $this->key],
            $at,
        );
    }

    /** Undoes the end: everybody may come back in, and what is told of coming and leaving goes on. */
    private function reopen(int $at): void
    {
        $this->store->run('update meetings set over_at = null, ended = null where room = ? and meeting = ?', [
            $this->room,
            $this->key,
        ]);
        $this->say('event', '', '', 'The session was reopened.', $at);
    }

    /**
     * What somebody inside does, as far as the floor lets them.
     *
     * @param  array<string, mixed>  $seat
     * @param  array<string, mixed>  $given
     */
    public function do(array $seat, string $what, array $given): void
    {
        if ($seat['state'] !== 'inside') {
            throw new Refusal(409, 'You are no longer inside.');
        }
        [$person, $name, $id] = [(string) $seat['person'], (string) $seat['name'], (string) $seat['seat']];
        $may = fn (string $power): bool => $this->may($seat, $power);
        $on = ! empty($given['on']) && $given['on'] !== 'false';
        $row = $this->row() ?? [];
        $isAllowed = match ($what) {
            'mic' => ! $on || ($may('speak') && (($row['may_unmute'] ?? true) || $seat['host'] || $seat['floor'])),
            'camera' => ! $on || $may('camera'),
            // The teacher can always be written to.
            'say' => ($given['to'] ?? '') === 'teacher' ||
                ($may('chat') && (($row['chat_open'] ?? true) || $seat['host'])),
            'mark', 'wipe' => $may('draw'),
            'window' => $may('screen'),
            default => true,
        };
        if (! $isAllowed) {
            throw new Refusal(403, 'Your teacher has not allowed that at the moment.');
        }
        $of = fn (string $set, mixed ...$with): int => $this->store->run("update seats set $set where seat = ?", [
            ...$with,
            $id,
        ]);
        match ($what) {
            'mic' => $this->limited($seat, 'mic', $on),
            'camera' => $this->limited($seat, 'camera', $on),
            'hand' => $on && $seat['hand'] === null
                ? $of('hand = ?, hands = hands + 1', $this->nextHand())
                : ($on
                    ? null
                    : $of('hand = null')),
            'say' => $this->line($seat, $given),
            'answer' => $this->answer($seat, (int) ($given['choice'] ?? -1)),
            'mark' => $this->mark($person, $name, $given),
            'wipe' => $this->wipe(),
            'window' => $this->window($person, $name, self::text($given['title'] ?? '', 80)),
            default => throw new Refusal(400, "The room knows no \"$what\"."),
        };
        $this->touch();
    }

    private function nextHand(): int
    {
        return 1 +
            (int) ($this->store->one('select max(hand) as n from seats where room = ? and meeting = ?', [
                $this->room,
                $this->key,
            ])['n'] ?? 0);
    }

    /** @param  array<string, mixed>  $seat */
    private function limited(array $seat, string $what, bool $on): void
    {
        $rules = (array) json_decode((string) $seat['rules'], true);
        $most = $rules[$what === 'mic' ? 'speakers' : 'cameras'] ?? null;
        if ($on && $most !== null && ! $seat['host']) {
            $n = $this->store->one(
                "select count(*) as n from seats where room = ? and meeting = ? and $what and state = 'inside'",
                [$this->room, $this->key],
            );
            if ((int) ($n['n'] ?? 0) >= (int) $most) {
                throw new Refusal(409, "No more than $most at one time; wait until somebody switches theirs off.");
            }
        }
        $this->store->run("update seats set $what = ? where seat = ?", [$on ? 't' : 'f', $seat['seat']]);
    }

    /**
     * @param  array<string, mixed>  $seat
     * @param  array<string, mixed>  $given
     */
    private function line(array $seat, array $given): void
    {
        $text = self::text($given['text'] ?? '', 500);
        if ($text === '') {
            return;
        }
        $isPrivate = ($given['to'] ?? '') === 'teacher';
        $this->say($isPrivate ? 'private' : 'line', (string) $seat['person'], (string) $seat['name'], $text);
        if (! $isPrivate) {
            $this->store->run('update seats set lines = lines + 1 where seat = ?', [$seat['seat']]);
        }
    }

    /** @param  array<string, mixed>  $seat */
    private function answer(array $seat, int $choice): void
    {
        $asked = json_decode((string) ($this->row()['question'] ?? 'null'), true);
        if (! is_array($asked) || ! isset($asked['answers'][$choice])) {
            throw new Refusal(409, 'This question is closed.');
        }
        $this->store->run(
            'update seats set answers = answers + (case when answer is null then 1 else 0 end), answer = ? where seat
                = ?',
            [$choice, $seat['seat']],
        );
    }

    /** @param  array<string, mixed>  $given */
    private function mark(string $person, string $name, array $given): void
    {
        $number = fn (mixed $n): float => round(max(0, min(800, (float) (is_numeric($n) ? $n : 0))), 1);
        $kind = (string) ($given['kind'] ?? '');
        $data = match ($kind) {
            'line' => [
                'points' => array_map(
                    fn (mixed $p): array => [$number(((array) $p)[0] ?? 0), $number(((array) $p)[1] ?? 0)],
                    array_slice((array) ($given['points'] ?? []), 0, 400),
                ),
            ],
            'text' => [
                'x' => $number($given['x'] ?? 0),
                'y' => $number($given['y'] ?? 0),
                'text' => self::text($given['text'] ?? '', 120),
            ],
            'point' => ['x' => $number($given['x'] ?? 0), 'y' => $number($given['y'] ?? 0)],
            'picture' => ['src' => self::picture($given['src'] ?? '')],
            default => throw new Refusal(400, 'The sheet knows line, text, point and picture.'),
        };
        if ($kind === 'point') {
            $this->store->run(
                "delete from marks where room = ? and meeting = ? and kind = 'point' and person = ?",
                [$this->room, $this->key, $person],
            );
        }
        $this->store->run('insert into marks (room, meeting, person, name, kind, data) values (?, ?, ?, ?, ?, ?)', [
            $this->room,
            $this->key,
            $person,
            $name,
            $kind,
            json_encode($data),
        ]);
    }

    private static function picture(mixed $src): string
    {
        $isOne =
            is_string($src) &&
            strlen($src) < 400_000 &&
            preg_match('#^data:image/(png|jpeg|webp|gif);base64,[A-Za-z0-9+/]+=*$#D', $src) === 1;

        return $isOne
            ? (string) $src
            : throw new Refusal(400, 'A picture is PNG, JPEG, WebP or GIF, up to 290 kB.');
    }

    private function wipe(): void
    {
        $this->store->run('delete from marks where room = ? and meeting = ?', [$this->room, $this->key]);
    }

    private function window(string $person, string $name, string $title): void
    {
        $this->store->run('update meetings set window_of = ? where room = ? and meeting = ?', [
            $title === '' ? null : json_encode(['person' => $person, 'name' => $name, 'title' => $title]),
            $this->room,
            $this->key,
        ]);
    }

    /**
     * Whether somebody may do something at this moment: by the floor's rules, as a host, or because the floor was
     * given.
     *
     * @param  array<string, mixed>  $seat
     */
    public function may(array $seat, string $power): bool
    {
        $rules = (array) json_decode((string) $seat['rules'], true);
        $who = $rules[$power] ?? 'host';

        return $who === 'everyone' ||
            ($seat['host'] && ($power !== 'record' || $who !== 'nobody')) ||
            ($seat['floor'] && $who === 'host' && $power !== 'record');
    }

    /**
     * Who came and left after an event of this number, what each has done, and when it was ended for everybody.
     *
     * @return array<string, mixed>
     */
    public function events(int $after): array
    {
        $of = [$this->room, $this->key];

        return [
            'events' => $this->store->all(
                'select id, person, name, what, at, device from events where room = ? and meeting = ? and id > ?
                    order by id',
                [...$of, $after],
            ),
            'counts' => $this->store->all(
                'select person, sum(answers) as answers, sum(hands) as hands, sum(lines) as lines from seats
                    where room = ? and meeting = ? and not host group by person
                    having sum(answers) + sum(hands) + sum(lines) > 0',
                $of,
            ),
            'over_at' => $this->row()['ended'] ?? null,
        ];
    }

    /** @return list<array<string, mixed>> */
    public function recordings(): array
    {
        return $this->store->all(
            "select id, started, stopped, case when stopped is null then 'recording' when done_at > now() then
                'processing' else 'ready' end as state from recordings where room = ? and meeting = ? order by started",
            [$this->room, $this->key],
        );
    }

    /** Plain text of no more characters than that; bytes that are none are replaced. */
    public static function text(mixed $given, int $most): string
    {
        return is_string($given) ? mb_substr(trim(mb_scrub($given)), 0, $most) : '';
    }
}
