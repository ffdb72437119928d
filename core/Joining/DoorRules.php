<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Fault;
use Nomada\Core\Language\Said;

/** Who gets in, from when till when, and what happens to the others. The defaults are the safe ones. */
final readonly class DoorRules
{
    /**
     * @param  int  $opensBefore  minutes before the start; for hosts $opensBeforeHosts
     * @param  bool  $needsHost  nobody comes in before a host is inside
     * @param  bool  $othersWait  anybody who does not go straight in waits outside; otherwise they are turned away
     * @param  bool  $oneDevice  a second device takes over from the first
     * @param  bool  $hiddenOutside  the link is hidden outside the door's hours, from the end of a session until the
     *   doors of the next one open
     */
    public function __construct(
        public int $opensBefore = 10,
        public int $opensBeforeHosts = 15,
        public bool $needsHost = true,
        public EntryWithoutWaiting $straightIn = EntryWithoutWaiting::Accepted,
        public bool $othersWait = false,
        public bool $oneDevice = true,
        public bool $hiddenOutside = false,
    ) {
        if ($opensBefore < 0 || $opensBefore > 120 || $opensBeforeHosts < $opensBefore || $opensBeforeHosts > 240) {
            throw new Fault('door.opens', 'opens_before');
        }
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        $own = new self();

        return new self(
            (int) ($plain['opens_before'] ?? $own->opensBefore),
            (int) ($plain['opens_before_hosts'] ?? $own->opensBeforeHosts),
            (bool) ($plain['needs_host'] ?? $own->needsHost),
            EntryWithoutWaiting::tryFrom((string) ($plain['straight_in'] ?? '')) ?? $own->straightIn,
            (bool) ($plain['others_wait'] ?? $own->othersWait),
            (bool) ($plain['one_device'] ?? $own->oneDevice),
            (bool) ($plain['hidden_outside'] ?? $own->hiddenOutside),
        );
    }

    /**
     * These rules with what one session has of its own.
     *
     * @param  array<string, mixed>|null  $plain
     */
    public function with(?array $plain): self
    {
        return $plain === null ? $this : self::from([...$this->toArray(), ...$plain]);
    }

    /** @return array<string, int|bool|string> what {@see DoorRules::from()} reads back */
    public function toArray(): array
    {
        return [
            'opens_before' => $this->opensBefore,
            'opens_before_hosts' => $this->opensBeforeHosts,
            'needs_host' => $this->needsHost,
            'straight_in' => $this->straightIn->value,
            'others_wait' => $this->othersWait,
            'one_device' => $this->oneDevice,
            'hidden_outside' => $this->hiddenOutside,
        ];
    }

    /** @return array<string, Said> in what it is more open than another, by a code with its value */
    public function moreOpenThan(self $other): array
    {
        $opens = ['minutes' => $this->opensBefore, 'usual' => $other->opensBefore];
        $all = [
            "opens_before:$this->opensBefore" => [
                $this->opensBefore > $other->opensBefore,
                new Said('open.opens', $opens),
            ],
            'needs_host' => [! $this->needsHost && $other->needsHost, new Said('open.needs_host')],
            "straight_in:{$this->straightIn->value}" => [
                $this->straightIn->openness() > $other->straightIn->openness(),
                new Said('open.straight_in', ['who' => $this->straightIn->said()]),
            ],
            'others_wait' => [$this->othersWait && ! $other->othersWait, new Said('open.waits')],
            'one_device' => [! $this->oneDevice && $other->oneDevice, new Said('open.one_device')],
            'hidden_outside' => [! $this->hiddenOutside && $other->hiddenOutside, new Said('open.hidden')],
        ];

        return array_map(fn (array $one): Said => $one[1], array_filter($all, fn (array $one): bool => $one[0]));
    }
}
