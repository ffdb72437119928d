<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Belonging\SessionRole;
use Nomada\Core\Language\Phrases;
use Nomada\Core\Timetable\PlanHistory;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesPlan;

/**
 * What publishing needs to know of one series. Sessions are the planned ones, ascending; cancelled ones carry their
 * reasons.
 */
final readonly class SeriesFacts
{
    /**
     * @param  list<PlannedSession>  $sessions
     * @param  list<PlannedSession>  $cancelled
     * @param  array<string, true>  $elsewhere  people (by sourcedId) in whose calendars it is by another section
     *   that shares it
     * @param  array<string, Belonging>  $belongings  of everybody who has a part in any of its sections, by sourcedId
     * @param  array<string, list<int>>|null  $registered  where students register for each session: the sessions' ids
     *   for which each is, by sourcedId; null where they register for all at once
     * @param  array<int, string>  $recordings  addresses of what is released to everybody, by the session's start
     * @param  PlanHistory|null  $stretches  its plans one after the other; the plan alone where null
     * @param  bool  $isHidden  its link is hidden, outside the door's hours or by hand, so it is at no destination
     */
    public function __construct(
        public int $id,
        public string $uid,
        public string $title,
        public int $sequence,
        public int $changedAt,
        public SeriesPlan $plan,
        public array $sessions,
        public string $link,
        public string $joinCode,
        public string $dialIn,
        public string $pin,
        public array $cancelled = [],
        public array $elsewhere = [],
        public bool $isHidden = false,
        public array $belongings = [],
        private ?PlanHistory $stretches = null,
        public ?array $registered = null,
        public array $recordings = [],
    ) {
    }

    /** The same with one address to come in by, and no code, number or PIN. */
    public function enteredAt(string $link): self
    {
        return new self(
            ...[...get_object_vars($this), 'link' => $link, 'joinCode' => '', 'dialIn' => '', 'pin' => ''],
        );
    }

    /** When it meets, and from when that changes: true at any moment at which somebody reads it. */
    public function meets(Phrases $phrases): string
    {
        $said = ($this->stretches ?? new PlanHistory([$this->plan]))->said();

        return "{$phrases->this($said)} {$this->plan->zone->place($phrases->language)}";
    }

    /**
     * The sessions that are in somebody's calendar: theirs by the rule of belonging; all of them where they have no
     * part (a registrant who was accepted by hand). Where students register for each session, those of a student are
     * the ones that they are registered for.
     *
     * @return list<PlannedSession>
     */
    public function sessionsOf(string $person): array
    {
        $belonging = $this->belongings[$person] ?? null;
        $isWhole = ($belonging === null || $belonging->isWhole()) && ! $this->hasOfItsOwn();
        if ($isWhole && $this->registered === null) {
            return $this->sessions;
        }

        return array_values(
            array_filter(
                $this->sessions,
                fn (PlannedSession $s): bool => $this->isTheirs($s, $belonging, $this->registered[$person] ?? []),
            ),
        );
    }

    /** @param  list<int>  $sessions  ids of those for which the person is registered */
    private function isTheirs(PlannedSession $session, ?Belonging $belonging, array $sessions): bool
    {
        $standing =
            $belonging?->on($session->day, $session->own?->teacher, $session->own?->chosen) ??
            ($session->isForAll() ? SessionRole::Student : SessionRole::NotChosen);
        $isChosen =
            $this->registered === null ||
            $standing !== SessionRole::Student ||
            in_array($session->id, $sessions, true);

        return $standing->isTheirs() && $isChosen;
    }

    /**
     * What the whole section reads: all sessions but those for chosen students.
     *
     * @return list<PlannedSession>
     */
    public function forAll(bool $withCancelled = false): array
    {
        return array_values(
            array_filter(
                $withCancelled ? [...$this->sessions, ...$this->cancelled] : $this->sessions,
                fn (PlannedSession $s): bool => $s->isForAll(),
            ),
        );
    }

    /** Whether any session belongs to others than the rest does. */
    private function hasOfItsOwn(): bool
    {
        foreach ($this->sessions as $session) {
            if ($session->own?->teacher !== null || ! $session->isForAll()) {
                return true;
            }
        }

        return false;
    }
}
