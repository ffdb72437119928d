<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\School;
use Nomada\Core\Language\Said;
use Nomada\Core\Presence\AttendanceRules;

/**
 * The school's thresholds, for how long it keeps recordings, and for how long a substitute may still act on a session
 * that is over. What sessions came to is worked out again behind it.
 */
final readonly class KeepRules
{
    public function __construct(private Audit $audit)
    {
    }

    public function __invoke(
        School $school,
        AttendanceRules $rules,
        int $recordingsDays,
        int $substituteDays,
        Person $by,
    ): void {
        DB::transaction(function () use ($school, $rules, $recordingsDays, $substituteDays, $by): void {
            $school->update([
                'attendance' => $rules->toArray(),
                'recordings_days' => $recordingsDays,
                'substitute_days' => $substituteDays,
            ]);
            ($this->audit)(
                'person',
                null,
                $by,
                new Said('audit.rules', [
                    'late' => $rules->lateAfter,
                    'present' => $rules->presentFrom,
                    'absent' => $rules->absentUnder,
                    'days' => $recordingsDays,
                ]),
            );
            WorkOutAttendance::dispatch()->afterCommit();
        });
    }
}
