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
 * The school's thresholds, and for how long it keeps recordings. What sessions came to is worked out again behind it.
 */
final readonly class KeepRules
{
    public function __construct(private Audit $audit)
    {
    }

    public function __invoke(School $school, AttendanceRules $rules, int $recordingsDays, Person $by): void
    {
        DB::transaction(function () use ($school, $rules, $recordingsDays, $by): void {
            $school->update(['attendance' => $rules->toArray(), 'recordings_days' => $recordingsDays]);
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
