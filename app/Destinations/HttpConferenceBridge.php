<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

final class HttpConferenceBridge implements ConferenceBridge
{
    public function makeRoom(string $key, string $title): Room
    {
        $answer = $this->service()->send('POST', '/rooms', (string) json_encode(['title' => $title]), ['Idempotency-Key' => $key])->json();
        if (! is_array($answer) || ! isset($answer['id'], $answer['dial_in'], $answer['pin'])) {
            throw new DestinationFailure('The conference bridge answered without a room.');
        }

        return new Room((string) $answer['id'], (string) $answer['dial_in'], (string) $answer['pin']);
    }

    public function admit(string $room, string $person, string $name, bool $asHost): string
    {
        $body = (string) json_encode(['person' => $person, 'name' => $name, 'host' => $asHost]);
        $path = $this->service()->send('POST', '/rooms/'.rawurlencode($room).'/people', $body)->json('path');

        return is_string($path) && str_starts_with($path, '/') ? config('nomada.standins.url').$path : throw new DestinationFailure('The conference bridge answered without an address.');
    }

    private function service(): Service
    {
        return Service::of('conference bridge', '/bridge');
    }
}
