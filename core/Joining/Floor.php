<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Fault;
use Nomada\Core\Language\Said;

/**
 * What people inside may do. A host gives the floor and takes it back. The defaults are the safe ones; nobody but a
 * host ever silences others.
 */
final readonly class Floor
{
    private const POWERS = ['speak', 'camera', 'chat', 'screen', 'draw', 'record'];

    /**
     * @param  bool  $mutedOnEntry  the microphone is off when somebody comes in
     * @param  int|null  $speakers  at most so many microphones at one time; cameras likewise
     */
    public function __construct(
        public Who $speak = Who::Everyone,
        public Who $camera = Who::Everyone,
        public Who $chat = Who::Everyone,
        public Who $screen = Who::Host,
        public Who $draw = Who::Host,
        public Who $record = Who::Host,
        public bool $mutedOnEntry = true,
        public ?int $speakers = null,
        public ?int $cameras = null,
    ) {
        foreach (['speakers' => $speakers, 'cameras' => $cameras] as $field => $n) {
            if ($n !== null && ($n < 1 || $n > 1000)) {
                throw new Fault('floor.limit', $field);
            }
        }
        if ($record === Who::Everyone) {
            throw new Fault('floor.record', 'record');
        }
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        $own = new self();
        $who = fn (string $name, Who $default): Who => Who::tryFrom((string) ($plain[$name] ?? '')) ?? $default;
        $limit = fn (string $name): ?int => isset($plain[$name]) && $plain[$name] !== ''
            ? (int) $plain[$name]
            : null;

        return new self(
            $who('speak', $own->speak),
            $who('camera', $own->camera),
            $who('chat', $own->chat),
            $who('screen', $own->screen),
            $who('draw', $own->draw),
            $who('record', $own->record),
            (bool) ($plain['muted_on_entry'] ?? true),
            $limit('speakers'),
            $limit('cameras'),
        );
    }

    /**
     * This floor with what one session has of its own.
     *
     * @param  array<string, mixed>|null  $plain
     */
    public function with(?array $plain): self
    {
        return $plain === null ? $this : self::from([...$this->toArray(), ...$plain]);
    }

    /** @return array<string, bool|int|string|null> what {@see Floor::from()} reads back */
    public function toArray(): array
    {
        return [
            ...array_combine(self::POWERS, array_map(fn (string $p): string => $this->who($p)->value, self::POWERS)),
            'muted_on_entry' => $this->mutedOnEntry,
            'speakers' => $this->speakers,
            'cameras' => $this->cameras,
        ];
    }

    /** Who has a power: speak, camera, chat, screen, draw, record. */
    public function who(string $power): Who
    {
        return match ($power) {
            'speak' => $this->speak,
            'camera' => $this->camera,
            'chat' => $this->chat,
            'screen' => $this->screen,
            'draw' => $this->draw,
            'record' => $this->record,
            default => Who::Nobody,
        };
    }

    public function allows(string $power, bool $isHost, bool $hasFloor): bool
    {
        return match ($this->who($power)) {
            Who::Everyone => true,
            // Whoever is given the floor draws and shows; recording stays the host's.
            Who::Host => $isHost || ($hasFloor && $power !== 'record'),
            Who::Nobody => $isHost && $power !== 'record',
        };
    }

    /** @return array<string, Said> in what it is more open than another, by a code with its value */
    public function moreOpenThan(self $other): array
    {
        $out = [];
        foreach (self::POWERS as $power) {
            if ($this->who($power)->openness() > $other->who($power)->openness()) {
                $out["$power:{$this->who($power)->value}"] = new Said(
                    $this->who($power) === Who::Everyone ? 'open.everyone' : 'open.host',
                    ['what' => new Said("floor.$power")],
                );
            }
        }
        if (! $this->mutedOnEntry && $other->mutedOnEntry) {
            $out['muted_on_entry'] = new Said('open.unmuted');
        }

        return $out;
    }

    /** "Students may speak and use the camera and the chat; only when given the floor they show a screen and draw." */
    public function sentence(): Said
    {
        $may = $given = [];
        foreach (array_diff(self::POWERS, ['record']) as $power) {
            if ($this->who($power) === Who::Everyone) {
                $may[] = new Said("floor.$power");
            } elseif ($this->who($power) === Who::Host) {
                $given[] = new Said("floor.$power");
            }
        }
        $isMuted = $this->mutedOnEntry && $this->speak === Who::Everyone;
        $first =
            $may === []
                ? new Said('floor.listen')
                : new Said($isMuted ? 'floor.may_muted' : 'floor.may', ['what' => Said::and($may)]);

        return $given === []
            ? new Said('floor.only', ['first' => $first])
            : new Said('floor.with_floor', ['first' => $first, 'given' => Said::and($given)]);
    }
}
