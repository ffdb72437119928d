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
    /**
     * @param  bool  $mutedOnEntry  the microphone is off when somebody comes in
     * @param  int|null  $speakers  at most so many microphones at once; cameras likewise
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
        foreach (FloorRight::cases() as $right) {
            if (! in_array($this->who($right), $right->choices(), true)) {
                throw new Fault("floor.$right->value", $right->value);
            }
        }
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        $own = new self();
        $who = fn (FloorRight $right): Who => Who::tryFrom((string) ($plain[$right->value] ?? '')) ?? $own->who($right);
        $limit = fn (string $name): ?int => isset($plain[$name]) && $plain[$name] !== ''
            ? (int) $plain[$name]
            : null;

        return new self(
            $who(FloorRight::Speak),
            $who(FloorRight::Camera),
            $who(FloorRight::Chat),
            $who(FloorRight::Screen),
            $who(FloorRight::Draw),
            $who(FloorRight::Record),
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
            ...array_map(
                fn (Who $who): string => $who->value,
                $this->rights(),
            ),
            'muted_on_entry' => $this->mutedOnEntry,
            'speakers' => $this->speakers,
            'cameras' => $this->cameras,
        ];
    }

    /** @return array<string, Who> by the right */
    public function rights(): array
    {
        $out = [];
        foreach (FloorRight::cases() as $right) {
            $out[$right->value] = $this->who($right);
        }

        return $out;
    }

    public function who(FloorRight $right): Who
    {
        return match ($right) {
            FloorRight::Speak => $this->speak,
            FloorRight::Camera => $this->camera,
            FloorRight::Chat => $this->chat,
            FloorRight::Screen => $this->screen,
            FloorRight::Draw => $this->draw,
            FloorRight::Record => $this->record,
        };
    }

    public function allows(FloorRight $right, bool $isHost, bool $hasFloor): bool
    {
        return match ($this->who($right)) {
            Who::Everyone => true,
            Who::Host => $isHost || ($hasFloor && $right->comesWithTheFloor()),
            Who::Nobody => $isHost && $right->comesWithTheFloor(),
        };
    }

    /** @return array<string, Said> in what it is more open than another, by a code with its value */
    public function moreOpenThan(self $other): array
    {
        $out = [];
        foreach (FloorRight::cases() as $right) {
            $who = $this->who($right);
            if ($who->openness() > $other->who($right)->openness()) {
                $out["$right->value:$who->value"] = new Said(
                    $who === Who::Everyone ? 'open.everyone' : 'open.host',
                    ['what' => $right->said()],
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
        foreach (FloorRight::cases() as $right) {
            if (! $right->comesWithTheFloor()) {
                continue;
            }
            if ($this->who($right) === Who::Everyone) {
                $may[] = $right->said();
            } elseif ($this->who($right) === Who::Host) {
                $given[] = $right->said();
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
