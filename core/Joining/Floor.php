<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Fault;

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

    /** @return array<string, string> in what it is more open than another: words by a code with its value */
    public function moreOpenThan(self $other): array
    {
        $names = [
            'speak' => 'speak',
            'camera' => 'use the camera',
            'chat' => 'write in the chat',
            'screen' => 'show a screen',
            'draw' => 'draw',
            'record' => 'record',
        ];
        $out = [];
        foreach ($names as $power => $words) {
            if ($this->who($power)->openness() > $other->who($power)->openness()) {
                $out["$power:{$this->who($power)->value}"] =
                    ($this->who($power) === Who::Everyone ? 'everyone may ' : 'the host may ').$words;
            }
        }
        if (! $this->mutedOnEntry && $other->mutedOnEntry) {
            $out['muted_on_entry'] = 'microphones are on when students come in';
        }

        return $out;
    }

    /** "Students may speak and use the camera and the chat; screen and drawing only when given the floor." */
    public function sentence(): string
    {
        $names = [
            'speak' => 'speak',
            'camera' => 'use the camera',
            'chat' => 'write in the chat',
            'screen' => 'show a screen',
            'draw' => 'draw',
        ];
        $may = $given = [];
        foreach ($names as $power => $words) {
            if ($this->who($power) === Who::Everyone) {
                $may[] = $words;
            } elseif ($this->who($power) === Who::Host) {
                $given[] = $words;
            }
        }
        $list = function (array $parts): string {
            $last = array_pop($parts);

            return $parts === [] ? (string) $last : implode(', ', $parts)." and $last";
        };

        return ($may === []
            ? 'Students only listen'
            : 'Students may '.
                $list($may).
                ($this->mutedOnEntry && $this->speak === Who::Everyone
                    ? ', with the microphone off at first'
                    : '')).
            ($given === [] ? '' : '; only when given the floor they '.$list($given)).
            '.';
    }
}
