<?php

declare(strict_types=1);

namespace Nomada\Core\Belonging;

/** What somebody is in a section. A substitute is so for single sessions only. */
enum PartRole: string
{
    case Teacher = 'teacher';
    case CoTeacher = 'co-teacher';
    case Substitute = 'substitute';
    case Student = 'student';
    case Observer = 'observer';

    /** Whether whoever has the part opens the door, lets people in and ends the session for everybody. */
    public function hosts(): bool
    {
        return in_array($this, [self::Teacher, self::CoTeacher, self::Substitute], true);
    }

    /** Whether whoever has the part looks after links, registrations and publishing of the section. */
    public function serves(): bool
    {
        return $this === self::Teacher || $this === self::CoTeacher;
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

    /**
     * Those who host, as the tables have them.
     *
     * @return list<string>
     */
    public static function hosting(): array
    {
        return [self::Teacher->value, self::CoTeacher->value];
    }
}
