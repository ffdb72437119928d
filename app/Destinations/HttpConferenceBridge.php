<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/** @phpstan-import-type State from ConferenceBridge */
final class HttpConferenceBridge implements ConferenceBridge
{
    public function makeRoom(string $key, string $title): Room
    {
        $answer = $this->service()
            ->send('POST', '/rooms', (string) json_encode(['title' => $title]), ['Idempotency-Key' => $key])
            ->json();
        if (! is_array($answer) || ! isset($answer['id'], $answer['dial_in'], $answer['pin'])) {
            throw new DestinationFailure('The conference bridge answered without a room.');
        }

        return new Room((string) $answer['id'], (string) $answer['dial_in'], (string) $answer['pin']);
    }

    public function admit(string $room, string $person, string $name, bool $asHost, array $with = []): string
    {
        $body = (string) json_encode(['person' => $person, 'name' => $name, 'host' => $asHost] + $with);
        $path = $this->service()
            ->send('POST', '/rooms/'.rawurlencode($room).'/people', $body)
            ->json('path');

        return is_string($path) && str_starts_with($path, '/')
            ? config('nomada.standins.url').$path
            : throw new DestinationFailure('The conference bridge answered without an address.');
    }

    public function state(string $room, string $meeting): array
    {
        return $this->read(
            $this->service()
                ->send('GET', '/rooms/'.rawurlencode($room).'?meeting='.rawurlencode($meeting))
                ->json(),
        );
    }

    public function act(string $room, string $meeting, string $act, string $person, bool $late, int $at): array
    {
        $body = (string) json_encode([
            'act' => $act,
            'person' => $person,
            'meeting' => $meeting,
            'late' => $late,
            'at' => $at,
        ]);

        return $this->read(
            $this->service()
                ->send('POST', '/rooms/'.rawurlencode($room).'/acts', $body)
                ->json(),
        );
    }

    public function events(string $room, string $meeting, int $after): array
    {
        $answer = $this->service()
            ->send(
                'GET',
                '/rooms/'.
                    rawurlencode($room).
                    '/events?'.
                    http_build_query(['meeting' => $meeting, 'after' => $after]),
            )
            ->json();
        if (! is_array($answer) || ! isset($answer['events'])) {
            throw new DestinationFailure('The conference bridge answered without events.');
        }

        return [
            'events' => array_values(
                array_map(
                    fn (array $e): array => [
                        'id' => (int) $e['id'],
                        'person' => (string) $e['person'],
                        'name' => (string) $e['name'],
                        'what' => (string) $e['what'],
                        'at' => (int) $e['at'],
                        'device' => (string) ($e['device'] ?? ''),
                    ],
                    (array) $answer['events'],
                ),
            ),
            'counts' => array_values(
                array_map(
                    fn (array $c): array => [
                        'person' => (string) $c['person'],
                        'answers' => (int) ($c['answers'] ?? 0),
                        'hands' => (int) ($c['hands'] ?? 0),
                        'lines' => (int) ($c['lines'] ?? 0),
                    ],
                    (array) ($answer['counts'] ?? []),
                ),
            ),
            'over_at' => isset($answer['over_at']) ? (int) $answer['over_at'] : null,
        ];
    }

    /** @return State */
    private function read(mixed $answer): array
    {
        if (! is_array($answer) || ! isset($answer['state'], $answer['inside'])) {
            throw new DestinationFailure('The conference bridge answered without the state of the room.');
        }
        $people = fn (string $of): array => array_values(
            array_map(
                fn (array $p): array => [
                    'person' => (string) $p['person'],
                    'name' => (string) $p['name'],
                    'host' => (bool) $p['host'],
                    'floor' => (bool) $p['floor'],
                    'late' => (bool) $p['late'],
                ],
                (array) ($answer[$of] ?? []),
            ),
        );

        return [
            'state' => (string) $answer['state'],
            'host_inside' => (bool) ($answer['host_inside'] ?? false),
            'inside' => $people('inside'),
            'outside' => $people('outside'),
            'sent_out' => array_values(array_map(strval(...), (array) ($answer['sent_out'] ?? []))),
        ];
    }

    private function service(): Service
    {
        return Service::of('conference bridge', '/bridge');
    }
}
