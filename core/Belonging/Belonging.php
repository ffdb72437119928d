<?php

declare(strict_types=1);

namespace Nomada\Core\Belonging;

/**
 * The one rule of who belongs to a session: a person with their parts in all sections that meet in its series.
 *
 * A part counts from its first to its last day. Anybody who takes a single session instead of the section's teacher
 * hosts exactly that one, whatever else they are; the section's teacher may look in meanwhile, and co-teachers go on
 * hosting. Of students, a session that is for chosen ones belongs to those alone. Of several parts the one that may
 * most counts.
 */
final readonly class Belonging
{
    /** @param  list<Membership>  $parts */
    public function __construct(public ?int $person, public array $parts = [])
    {
    }

    /**
     * @param  int  $day  day number of the session (or of the moment, where it is about none)
     * @param  int|null  $substitute  the person who takes it instead of the section's teacher
     * @param  list<int>|null  $chosen  the students whom it is for; null where it is the whole roster's
     */
    public function on(int $day, ?int $substitute = null, ?array $chosen = null): SessionRole
    {
        if ($this->person !== null && $this->person === $substitute) {
            return SessionRole::Host;
        }
        $found = [];
        foreach ($this->parts as $part) {
            $found[] = match (true) {
                ! $part->holdsOn($day) => $part->isOverOn($day) ? SessionRole::Left : SessionRole::Ahead,
                $part->role === MembershipRole::Teacher => $substitute === null
                    ? SessionRole::Host
                    : SessionRole::Absent,
                $part->role === MembershipRole::CoTeacher => SessionRole::Host,
                $part->role === MembershipRole::Student => self::isAmong($this->person, $chosen)
                    ? SessionRole::Student
                    : SessionRole::NotChosen,
                $part->role === MembershipRole::Observer => SessionRole::Observer,
                // A substitute's part is the session, and was asked for above.
                default => SessionRole::None,
            };
        }
        $order = [
            SessionRole::Host,
            SessionRole::Student,
            SessionRole::Observer,
            SessionRole::Absent,
            SessionRole::NotChosen,
            SessionRole::Ahead,
            SessionRole::Left,
        ];
        foreach ($order as $standing) {
            if (in_array($standing, $found, true)) {
                return $standing;
            }
        }

        return $chosen === null || $this->person === null ? SessionRole::None : SessionRole::NotChosen;
    }

    /**
     * Whether they may act today on a session as its host: open its live desk, its presence and its recordings,
     * correct, release and annotate.
     *
     * Of a session that is over it is today's part that counts, not the part of then: the section's teachers may, even
     * where somebody else took the session; anybody who took it may for some days after; anybody who has left may not.
     *
     * @param  int  $day  day number of the session
     * @param  int  $today  day number, on the school's calendar
     * @param  int|null  $substitute  the person who takes it instead of the section's teacher
     * @param  int  $grace  days for which a substitute may act on a session that is over
     */
    public function mayHost(int $day, int $today, ?int $substitute, int $grace): bool
    {
        if ($day >= $today) {
            return $this->on($day, $substitute) === SessionRole::Host;
        }
        if ($this->person !== null && $this->person === $substitute && $today - $day <= $grace) {
            return true;
        }
        foreach ($this->parts as $part) {
            if ($part->role->serves() && $part->holdsOn($today)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a recording that is released is for them: for the students of the session as it was held, for its
     * observers while they are still observers, and for students of today to whom a teacher released it by name.
     *
     * @param  int  $day  day number of the session
     * @param  int  $today  day number, on the school's calendar
     * @param  list<int>|null  $chosen  the students whom the session was for; null for the whole roster
     * @param  bool  $isNamed  whether something of it was released to them by name
     */
    public function mayWatch(int $day, int $today, ?array $chosen, bool $isNamed): bool
    {
        $then = $this->on($day, null, $chosen);
        $now = $this->on($today);

        return $then === SessionRole::Student ||
            ($then === SessionRole::Observer && $now === SessionRole::Observer) ||
            ($isNamed && $now === SessionRole::Student);
    }

    /** @param  list<int>|null  $chosen */
    private static function isAmong(?int $person, ?array $chosen): bool
    {
        return $chosen === null || in_array($person, $chosen, true);
    }

    /**
     * Whether every session without a substitute, and for the whole roster, is theirs, so that none has to be looked at
     * on its own.
     */
    public function isWhole(): bool
    {
        foreach ($this->parts as $part) {
            if ($part->role !== MembershipRole::Substitute && $part->isWhole()) {
                return true;
            }
        }

        return false;
    }

    /** Whether they have, or had, or will have any part. */
    public function isAny(): bool
    {
        return $this->parts !== [];
    }
}
