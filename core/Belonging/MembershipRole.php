<?php

declare(strict_types=1);

namespace Nomada\Core\Belonging;

/** What somebody is in a section. A substitute is so for single sessions only. */
enum MembershipRole: string
{
    case Teacher = 'teacher';
    case CoTeacher = 'co-teacher';
    case Substitute = 'substitute';
    case Student = 'student';
    case Observer = 'observer';

    /** Those who teach the section, and look after its links, registrations and publishing. */
    public const TEACHING = [self::Teacher, self::CoTeacher];

    /** Those who open the room of a session and let people in. */
    public const HOSTING = [...self::TEACHING, self::Substitute];

    /** Those who see the section without being its students. */
    public const SEEING = [...self::HOSTING, self::Observer];

    /** Those who are expected: a session clashes with their other ones. Observers come or not. */
    public const ATTENDING = [self::Student, ...self::TEACHING];

    /** Whether they start the session, let people in and end it for everybody. */
    public function hosts(): bool
    {
        return in_array($this, self::HOSTING, true);
    }

    /** Whether they look after the section's links, registrations and publishing. */
    public function serves(): bool
    {
        return in_array($this, self::TEACHING, true);
    }

    public function studies(): bool
    {
        return $this === self::Student;
    }

    /** `an observer` */
    public function words(): string
    {
        return ($this === self::Observer ? 'an ' : 'a ').$this->value;
    }
}
