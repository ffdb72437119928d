<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Records;

use Nomada\App\View\Address;
use Nomada\App\View\LaterRows;
use Nomada\App\View\Stub;
use Nomada\App\View\Stubs;
use Nomada\Core\Presence\AttendanceRules;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/** Records: sums of the term, and one day's sessions one by one. */
final readonly class Records
{
    /** Of a section's attendance, of a session's, and of recordings. */
    public Address $attendance;

    public Address $sessionOf;

    public Address $recording;

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
        public int $substituteDays,
        public ?int $wait,
        public ?LocalDate $before,
        public ?LocalDate $after,
    ) {
        $this->attendance = Address::of('attendance');
        $this->sessionOf = Address::of('attendance.session');
        $this->recording = Address::of('recording');
    }

    /** @return list<SectionRecord> those that are written whole */
    public function whole(): array
    {
        return LaterRows::whole($this->sections);
    }

    public function stubs(): Stubs
    {
        return LaterRows::stubs(
            $this->sections,
            fn (SectionRecord $r): Stub => new Stub($r->id, $r->id, $r->name, $this->attendance->to($r->id)),
            '',
            7,
        );
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
