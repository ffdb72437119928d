<?php

declare(strict_types=1);

namespace Nomada\App\Queries\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Presence\Attendance;
use Nomada\Core\Presence\Formula;
use Nomada\Core\Presence\Measure;
use Nomada\Core\Presence\Status;

/** Participation scores by the section's own formula. */
final readonly class Scores
{
    public function formula(Section $section): Formula
    {
        return $section->formula === null ? Formula::usual() : Formula::from($section->formula);
    }

    /** @return array<int, Score> by person */
    public function of(Section $section, AttendanceTable $table): array
    {
        $formula = $this->formula($section);
        $sessions = array_map(fn (HeldSession $s): int => $s->id, $table->sessions);
        $counted = DB::table('participation')
            ->whereIntegerInRaw('session_id', $sessions)
            ->whereNotNull('person_id')
            ->groupBy('person_id')
            ->get([
                'person_id',
                DB::raw('sum(answers) as answers'),
                DB::raw('sum(hands) as hands'),
                DB::raw('sum(lines) as lines'),
            ])
            ->keyBy('person_id');
        $changed = DB::table('changed_scores')
            ->leftJoin('people', 'people.id', '=', 'by_id')
            ->where('section_id', $section->id)
            ->get(['person_id', 'points', 'why', 'given_name', 'family_name'])
            ->keyBy('person_id');
        $out = [];
        foreach ($table->pupils as $pupil) {
            $whole = array_filter(
                $table->whole($pupil),
                fn (Attendance $a): bool => $a->status() !== Status::Excused,
            );
            $share = fn (callable $is): float => $whole === []
                ? 0.0
                : (100.0 * count(array_filter($whole, $is))) / count($whole);
            $own = $counted[$pupil->id] ?? null;
            $says = $changed[$pupil->id] ?? null;
            $out[$pupil->id] = new Score(
                $formula->score([
                    Measure::Present->value => $share(fn (Attendance $a): bool => $a->status()->came()),
                    Measure::Punctual->value => $share(fn (Attendance $a): bool => $a->status() === Status::Present),
                    Measure::Answers->value => (float) ($own->answers ?? 0),
                    Measure::Hands->value => (float) ($own->hands ?? 0),
                    Measure::Lines->value => (float) ($own->lines ?? 0),
                ]),
                $says === null ? null : (float) $says->points,
                $says->why ?? '',
                trim(($says->given_name ?? '').' '.($says->family_name ?? '')),
            );
        }

        return $out;
    }
}
