<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

use Nomada\Core\Belonging\MembershipRole;

/** Somebody who teaches a section or observes it. */
final readonly class MembershipLine
{
    /**
     * @param  int|null  $id  null for the substitute of one session
     * @param  bool  $isLocal  added in Nomada, not by the school's files
     */
    public function __construct(
        public ?int $id,
        public string $name,
        public string $shortName,
        public MembershipRole $role,
        public bool $isLocal,
        public bool $isByRule,
    ) {
    }

    public function isTeacher(): bool
    {
        return $this->role === MembershipRole::Teacher;
    }
}
