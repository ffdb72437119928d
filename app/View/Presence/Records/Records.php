<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Records;

use Nomada\Core\Presence\AttendanceRules;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/** Records: sums of the term, and one day's sessions one by one. */
final readonly class Records
{
    /**
     * @param  list<SectionRecord>  $sections
     * @param  list<SessionRecord>  $sessions
     * @param  int|null  $wait  seconds that a recording usually takes until it is ready
     */
    public function __construct(
        public array $sections,
        public ?LocalDate $day,
        public array $sessions,
        public Zone $zone,
        public AttendanceRules $rules,
        public int $keepsDays,
        public ?int $wait,
        public ?LocalDate $before,
        public ?LocalDate $after,
    ) {
    }

    public function toRelease(): int
    {
        return array_sum(array_map(fn (SectionRecord $r): int => $r->toRelease, $this->sections));
    }

    public function untold(): int
    {
        return array_sum(array_map(fn (SectionRecord $r): int => $r->untold(), $this->sections));
    }

    /** Per cent of student-sessions that came; null where nothing is known. */
    public function share(): ?int
    {
        $came = array_sum(array_map(fn (SectionRecord $r): int => $r->came, $this->sections));
        $all = $came + array_sum(array_map(fn (SectionRecord $r): int => $r->absent, $this->sections));

        return $all === 0 ? null : (int) round((100 * $came) / $all);
    }
}
