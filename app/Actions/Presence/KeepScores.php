<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Presence\Formula;

/** A section's formula, and single scores that a teacher changes with a reason. */
final readonly class KeepScores
{
    public function __construct(private Clock $clock, private Audit $audit)
    {
    }

    public function formula(Section $section, Formula $formula, Person $by): void
    {
        DB::transaction(function () use ($section, $formula, $by): void {
            $section->update(['formula' => $formula->toArray()]);
            ($this->audit)('person', null, $by, new Said('audit.formula'), $section);
        });
    }

    /** @throws Fault */
    public function change(
        Section $section,
        Formula $formula,
        Person $student,
        float $points,
        string $why,
        Person $by,
    ): void {
        if ($points < 0 || $points > $formula->maximum) {
            throw new Fault('score.between', 'points', ['maximum' => $formula->maximum]);
        }
        if (trim($why) === '') {
            throw new Fault('score.why', 'why');
        }
        DB::transaction(function () use ($section, $student, $points, $why, $by): void {
            DB::table('changed_scores')->upsert(
                [
                    'section_id' => $section->id,
                    'person_id' => $student->id,
                    'points' => round($points, 1),
                    'why' => mb_substr(trim($why), 0, 300),
                    'by_id' => $by->id,
                    'at' => $this->clock->now(),
                ],
                ['section_id', 'person_id'],
            );
            ($this->audit)('person', null, $by, new Said('audit.score', [
                'student' => $student->name(),
                'points' => $points,
                'why' => $why,
            ]), $section);
        });
    }

    /** Back to what the formula says. */
    public function takeBack(Section $section, Person $student, Person $by): void
    {
        DB::table('changed_scores')
            ->where(['section_id' => $section->id, 'person_id' => $student->id])
            ->delete();
        ($this->audit)('person', null, $by, new Said('audit.score_back', ['student' => $student->name()]), $section);
    }
}
