<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/**
 * The conference bridge: makes rooms, lets in whom our door has let through, and does what the host asks. A meeting is
 * one session's time in a room.
 *
 * @phpstan-type Inside array{person: string, name: string, host: bool, floor: bool, late: bool, mic: bool,
 *   camera: bool, hand: int|null}
 * @phpstan-type Line array{id: int, at: int, person: string, name: string, kind: string, text: string, gone: bool}
 * @phpstan-type Mark array{name: string, kind: string, data: array<string, mixed>}
 * @phpstan-type Question array{text: string, answers: list<string>, counts: list<int>}
 * @phpstan-type State array{version: int, state: string, host_inside: bool, inside: list<Inside>,
 *   outside: list<Inside>, sent_out: list<string>, left: list<string>, may_unmute: bool, chat_open: bool,
 *   recording_since: int|null, window: array{name: string, title: string}|null, question: Question|null,
 *   talk: list<Line>, sheet: list<Mark>}
 */
interface ConferenceBridge
{
    /**
     * The room for a key, made if there is none.
     *
     * @throws DestinationFailure
     */
    public function makeRoom(string $key, string $title): Room;

    /**
     * The address at which one person comes in, now.
     *
     * @param  array<string, mixed>  $with  meeting, outside, seats, one_device, floor, at
     *
     * @throws DestinationFailure
     */
    public function admit(string $room, string $person, string $name, bool $asHost, array $with = []): string;

    /**
     * @return State
     *
     * @throws DestinationFailure
     */
    public function state(string $room, string $meeting): array;

    /**
     * What was told of a meeting after an event of this number: comings and goings, what each has done there, and when
     * it was ended for everybody.
     *
     * @return array{events: list<array{id: int, person: string, name: string, what: string, at: int, device: string}>,
     *   counts: list<array{person: string, answers: int, hands: int, lines: int}>, over_at: int|null}
     *
     * @throws DestinationFailure
     */
    public function events(string $room, string $meeting, int $after): array;

    /**
     * What a host does: let-in, let-in-all, send-out, give-floor, take-floor, mute, may-unmute, lower-hand, take-line,
     * chat, ask, clear-question, record, say, mark, wipe, end, reopen.
     *
     * @param  array<string, mixed>  $with  person, late, on, line, text, answers and what else the act needs
     * @return State
     *
     * @throws DestinationFailure
     */
    public function act(string $room, string $meeting, string $act, int $at, array $with = []): array;

    /**
     * What is or was recorded of a meeting.
     *
     * @return list<array{id: string, state: string, started: int, stopped: int|null}>
     *
     * @throws DestinationFailure
     */
    public function recordings(string $room, string $meeting): array;

    /**
     * Writes the sound (or picture) of a recording into a file, behind what has come of it before.
     *
     * @param  int  $most  bytes
     * @return string its type
     *
     * @throws DestinationFailure where it stops coming
     */
    public function fetch(string $room, string $recording, string $into, int $most): string;

    /** @throws DestinationFailure */
    public function transcript(string $room, string $recording): string;
}
