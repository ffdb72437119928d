<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/**
 * The conference bridge: makes rooms, lets in whom our door has let through, and does what the host asks. A meeting is
 * one session's time in a room.
 *
 * @phpstan-type Inside array{person: string, name: string, host: bool, floor: bool, late: bool}
 * @phpstan-type State array{state: string, host_inside: bool, inside: list<Inside>, outside: list<Inside>,
 *   sent_out: list<string>}
 */
interface ConferenceBridge
{
    /**
     * The room for a key, made where there is none.
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
     * let-in, let-in-all, send-out, give-floor, take-floor, end.
     *
     * @return State
     *
     * @throws DestinationFailure
     */
    public function act(string $room, string $meeting, string $act, string $person, bool $late, int $at): array;
}
