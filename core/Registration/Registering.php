<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

use Nomada\Core\Fault;
use Nomada\Core\Language\Phrases;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;

/**
 * How students register for a series themselves: once or for each session, who accepts, from when to when, for how many
 * seats.
 */
final readonly class Registering
{
    /**
     * @param  bool  $each  for each session; else once for the series
     * @param  bool  $acceptsCertain  accepts on its own where the match is certain; else somebody does
     * @param  LocalDate|null  $opens  the first day, on the school's clock; null for at once
     * @param  LocalDate|null  $closes  the last day, inclusive; null for as long as there are sessions
     * @param  int|null  $seats  null for no limit
     *
     * @throws Fault where it closes before it opens, or has no seat
     */
    public function __construct(
        public bool $each = false,
        public bool $acceptsCertain = false,
        public ?LocalDate $opens = null,
        public ?LocalDate $closes = null,
        public ?int $seats = null,
    ) {
        if ($opens !== null && $closes !== null && $closes->day < $opens->day) {
            throw new Fault('registering.backwards', 'closes');
        }
        if ($seats !== null && $seats < 1) {
            throw new Fault('registering.seats', 'seats');
        }
    }

    /** @param  array<string, mixed>  $kept  as toArray() gives it */
    public static function from(array $kept): self
    {
        $date = fn (string $key): ?LocalDate => is_string($kept[$key] ?? null) && $kept[$key] !== ''
            ? LocalDate::parse($kept[$key])
            : null;

        return new self(
            (bool) ($kept['each'] ?? false),
            (bool) ($kept['accepts_certain'] ?? false),
            $date('opens'),
            $date('closes'),
            is_numeric($kept['seats'] ?? null) ? (int) $kept['seats'] : null,
        );
    }

    /** @return array{each: bool, accepts_certain: bool, opens: string|null, closes: string|null, seats: int|null} */
    public function toArray(): array
    {
        return [
            'each' => $this->each,
            'accepts_certain' => $this->acceptsCertain,
            'opens' => $this->opens?->iso(),
            'closes' => $this->closes?->iso(),
            'seats' => $this->seats,
        ];
    }

    /** Why nobody can register on a day; null where it is open. */
    public function shut(LocalDate $today): ?Shut
    {
        return match (true) {
            $this->opens !== null && $today->day < $this->opens->day => new Shut('opens', $this->opens),
            $this->closes !== null && $today->day > $this->closes->day => new Shut('closed', $this->closes),
            default => null,
        };
    }

    /**
     * Whether one more has a seat: who is accepted or waits for a decision holds one.
     *
     * @param  int  $held  seats held already
     */
    public function hasSeat(int $held): bool
    {
        return $this->seats === null || $held < $this->seats;
    }

    /** `Students register once; certain ones are accepted on their own; from Mon 8 Feb until Fri 12 Feb; 24 seats` */
    public function said(): Said
    {
        $when = match (true) {
            $this->opens !== null && $this->closes !== null => 'between',
            $this->opens !== null => 'from',
            $this->closes !== null => 'until',
            default => null,
        };
        $parts = [
            new Said('registering.'.($this->each ? 'each' : 'once')),
            new Said('registering.'.($this->acceptsCertain ? 'certain' : 'by_hand')),
        ];
        if ($when !== null) {
            $parts[] = new Said("registering.$when", ['opens' => $this->opens, 'closes' => $this->closes]);
        }
        if ($this->seats !== null) {
            $parts[] =
                $this->seats === 1
                    ? new Said('registering.seat')
                    : new Said('registering.seats', ['seats' => $this->seats]);
        }

        return Said::parts($parts);
    }

    /** The same in the language of some words. */
    public function say(Phrases $phrases): string
    {
        return $phrases->this($this->said());
    }
}
