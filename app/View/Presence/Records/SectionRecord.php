<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Records;

use Nomada\Core\Timetable\ContactTime;

/** A section's sums of the term. */
final readonly class SectionRecord
{
    /**
     * @param  int  $held  sessions that are over
     * @param  int  $told  of those, the ones of which is known who was there
     * @param  int  $came  student-sessions; $absent likewise
     * @param  int  $toRelease  recordings that are ready and not released
     */
    public function __construct(
        public string $id,
        public string $name,
        public ContactTime $time,
        public int $held,
        public int $told,
        public int $came,
        public int $absent,
        public int $toRelease,
        public int $released,
    ) {
    }

    public function untold(): int
    {
        return $this->held - $this->told;
    }

    public function share(): ?int
    {
        $all = $this->came + $this->absent;

        return $all === 0 ? null : (int) round((100 * $this->came) / $all);
    }
}
