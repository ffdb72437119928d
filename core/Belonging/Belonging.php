<?php

declare(strict_types=1);

namespace Nomada\Core\Belonging;

/**
 * The one rule of who belongs to a session: a person with their parts in all sections that meet in its series.
 *
 * A part counts from its first to its last day. Whoever takes a single session instead of the section's teacher hosts
 * exactly that one, whatever else they are; the section's teacher may look in meanwhile, and co-teachers go on hosting.
 * Of students, a session that is for chosen ones belongs to those alone.
 * Of several parts the one that may most counts.
 */
final readonly class Belonging
{
    /** @param  list<Part>  $parts */
    public function __construct(public ?int $person, public array $parts = [])
    {
    }

    /**
     * @param  int  $day  day number of the session (or of the moment, where it is about none)
     * @param  int|null  $substitute  the person who takes it instead of the section's teacher
     * @param  list<int>|null  $chosen  the students whom it is for; null where it is the whole roster's
     */
    public function on(int $day, ?int $substitute = null, ?array $chosen = null): Standing
    {
        if ($this->person !== null && $this->person === $substitute) {
            return Standing::Host;
        }
        $found = [];
        foreach ($this->parts as $part) {
            $found[] = match (true) {
                ! $part->holdsOn($day) => $part->isOverOn($day) ? Standing::Left : Standing::Ahead,
                $part->role === PartRole::Teacher => $substitute === null ? Standing::Host : Standing::Absent,
                $part->role === PartRole::CoTeacher => Standing::Host,
                $part->role === PartRole::Student => self::isAmong($this->person, $chosen)
                    ? Standing::Student
                    : Standing::NotChosen,
                $part->role === PartRole::Observer => Standing::Observer,
                // A substitute's part is the session, and was asked for above.
                default => Standing::None,
            };
        }
        $order = [
            Standing::Host,
            Standing::Student,
            Standing::Observer,
            Standing::Absent,
            Standing::NotChosen,
            Standing::Ahead,
            Standing::Left,
        ];
        foreach ($order as $standing) {
            if (in_array($standing, $found, true)) {
                return $standing;
            }
        }

        return $chosen === null || $this->person === null ? Standing::None : Standing::NotChosen;
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
            if ($part->role !== PartRole::Substitute && $part->isWhole()) {
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
