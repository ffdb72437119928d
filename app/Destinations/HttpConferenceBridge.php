<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Nomada\Core\Publishing\ExternalService;

/** @phpstan-import-type State from ConferenceBridge */
final class HttpConferenceBridge implements ConferenceBridge
{
    public function makeRoom(string $key, string $title): Room
    {
        $answer = $this->service()
            ->send('POST', '/rooms', (string) json_encode(['title' => $title]), ['Idempotency-Key' => $key])
            ->json();
        if (! is_array($answer) || ! isset($answer['id'], $answer['dial_in'], $answer['pin'])) {
            throw new DestinationFailure((string) __('places.bridge_answers.no_room'));
        }

        return new Room(self::id($answer['id']), self::id($answer['dial_in']), self::id($answer['pin']));
    }

    public function admit(string $room, string $person, string $name, bool $asHost, array $with = []): string
    {
        $body = (string) json_encode(['person' => $person, 'name' => $name, 'host' => $asHost] + $with);
        $path = $this->service()
            ->send('POST', '/rooms/'.rawurlencode($room).'/people', $body)
            ->json('path');

        return is_string($path)
            ? $this->service()->whole($path)
            : throw new DestinationFailure((string) __('places.bridge_answers.no_address'));
    }

    public function state(string $room, string $meeting): array
    {
        return $this->read(
            $this->service()
                ->send('GET', '/rooms/'.rawurlencode($room).'?meeting='.rawurlencode($meeting))
                ->json(),
        );
    }

    public function act(string $room, string $meeting, string $act, int $at, array $with = []): array
    {
        $body = (string) json_encode(['act' => $act, 'meeting' => $meeting, 'at' => $at] + $with);

        return $this->read(
            $this->service()
                ->send('POST', '/rooms/'.rawurlencode($room).'/acts', $body)
                ->json(),
        );
    }

    public function recordings(string $room, string $meeting): array
    {
        return array_values(
            array_map(
                fn (array $r): array => [
                    'id' => self::id($r['id']),
                    'state' => (string) $r['state'],
                    'started' => (int) $r['started'],
                    'stopped' => isset($r['stopped']) ? (int) $r['stopped'] : null,
                ],
                (array) $this->service()
                    ->send('GET', '/rooms/'.rawurlencode($room).'/recordings?meeting='.rawurlencode($meeting))
                    ->json('recordings'),
            ),
        );
    }

    public function fetch(string $room, string $recording, string $into, int $most): string
    {
        $path = '/rooms/'.rawurlencode($room).'/recordings/'.rawurlencode($recording);

        return $this->service()->download("$path/sound", $into, $most);
    }

    public function transcript(string $room, string $recording): string
    {
        $path = '/rooms/'.rawurlencode($room).'/recordings/'.rawurlencode($recording);

        return $this->service()->send('GET', "$path/transcript")->body();
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
            throw new DestinationFailure((string) __('places.bridge_answers.no_events'));
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
            throw new DestinationFailure((string) __('places.bridge_answers.no_state'));
        }
        $people = fn (string $of): array => array_values(
            array_map(
                fn (array $p): array => [
                    'person' => (string) $p['person'],
                    'name' => (string) $p['name'],
                    'host' => (bool) $p['host'],
                    'floor' => (bool) $p['floor'],
                    'late' => (bool) $p['late'],
                    'mic' => (bool) ($p['mic'] ?? false),
                    'camera' => (bool) ($p['camera'] ?? false),
                    'hand' => isset($p['hand']) ? (int) $p['hand'] : null,
                ],
                (array) ($answer[$of] ?? []),
            ),
        );

        return [
            'version' => (int) ($answer['version'] ?? 0),
            'state' => (string) $answer['state'],
            'host_inside' => (bool) ($answer['host_inside'] ?? false),
            'inside' => $people('inside'),
            'outside' => $people('outside'),
            'sent_out' => array_values(array_map(strval(...), (array) ($answer['sent_out'] ?? []))),
            'left' => array_values(array_map(strval(...), (array) ($answer['left'] ?? []))),
            'may_unmute' => (bool) ($answer['may_unmute'] ?? true),
            'chat_open' => (bool) ($answer['chat_open'] ?? true),
            'recording_since' => isset($answer['recording_since']) ? (int) $answer['recording_since'] : null,
            'window' => is_array($answer['window'] ?? null)
                ? ['name' => (string) $answer['window']['name'], 'title' => (string) $answer['window']['title']]
                : null,
            'question' => self::question($answer['question'] ?? null),
            'talk' => array_values(
                array_map(
                    fn (array $l): array => [
                        'id' => (int) $l['id'],
                        'at' => (int) $l['at'],
                        'person' => (string) $l['person'],
                        'name' => (string) $l['name'],
                        'kind' => (string) $l['kind'],
                        'text' => (string) $l['text'],
                        'gone' => (bool) $l['gone'],
                    ],
                    (array) ($answer['talk'] ?? []),
                ),
            ),
            'sheet' => array_values(
                array_map(
                    fn (array $m): array => [
                        'name' => (string) $m['name'],
                        'kind' => (string) $m['kind'],
                        'data' => (array) $m['data'],
                    ],
                    (array) ($answer['sheet'] ?? []),
                ),
            ),
        ];
    }

    /** @return array{text: string, answers: list<string>, counts: list<int>}|null */
    private static function question(mixed $asked): ?array
    {
        return ! is_array($asked)
            ? null
            : [
                'text' => (string) $asked['text'],
                'answers' => array_values(array_map(strval(...), (array) $asked['answers'])),
                'counts' => array_values(array_map(intval(...), (array) $asked['counts'])),
            ];
    }

    /** @throws DestinationFailure where the bridge names something by more than can be kept */
    private static function id(mixed $id): string
    {
        return is_scalar($id) && mb_strlen((string) $id) <= 200
            ? (string) $id
            : throw new DestinationFailure((string) __('places.bridge_answers.long'), true);
    }

    private function service(): Service
    {
        return Service::of(ExternalService::Bridge);
    }
}
