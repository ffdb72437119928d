<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Presence\Correction;
use Nomada\Core\Term\LocalDate;

/** What a teacher says instead of what was computed; it is beside it, and can be taken back. */
final readonly class CorrectAttendance
{
    public function __construct(private Clock $clock, private Audit $audit, private WorkOutSums $sums)
    {
    }

    /** @throws Fault where the session has not begun */
    public function __invoke(Session $session, Person $student, Correction $correction, Person $by): void
    {
        if ((int) $session->starts_at->timestamp > $this->clock->seconds()) {
            throw new Fault('attendance.not_begun', 'status');
        }
        DB::transaction(function () use ($session, $student, $correction, $by): void {
            DB::table('attendance_corrections')->upsert(
                [
                    'session_id' => $session->id,
                    'person_id' => $student->id,
                    'status' => $correction->status->value,
                    'minutes' => $correction->minutes,
                    'why' => mb_substr(trim($correction->why), 0, 300),
                    'by_id' => $by->id,
                    'at' => $this->clock->now(),
                ],
                ['session_id', 'person_id'],
            );
            ($this->audit)(
                'person',
                $session->series,
                $by,
                new Said('audit.corrected', [
                    'day' => LocalDate::parse($session->day),
                    'student' => $student->name(),
                    'status' => $correction->status->value,
                    'why' => $correction->why,
                ]),
            );
            ($this->sums)([$session->id]);
        });
    }

    public function takeBack(Session $session, Person $student, Person $by): void
    {
        DB::transaction(function () use ($session, $student, $by): void {
            $gone = DB::table('attendance_corrections')
                ->where(['session_id' => $session->id, 'person_id' => $student->id])
                ->delete();
            if ($gone > 0) {
                ($this->audit)(
                    'person',
                    $session->series,
                    $by,
                    new Said('audit.correction_back', [
                        'day' => LocalDate::parse($session->day),
                        'student' => $student->name(),
                    ]),
                );
                ($this->sums)([$session->id]);
            }
        });
    }
}
