<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Presence\Pupil;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Order;
use Nomada\Core\Term\LocalDate;
use stdClass;

/** Who missed something on a day, over all sections, from what was worked out of each session. */
final readonly class MissedPage
{
    public function __construct(private Clock $clock)
    {
    }

    public function of(Term $term, Person $for, LocalDate $day): MissedDay
    {
        $zone = $term->calendar()->zone;
        $missed = DB::table('session_absences as a')
            ->join('sessions', 'sessions.id', '=', 'a.session_id')
            ->join('sections', 'sections.id', '=', 'a.section_id')
            ->join('people', 'people.id', '=', 'a.person_id')
            ->whereIn('a.section_id', Section::query()->where('term_id', $term->id)->servedBy($for)->select('id'))
            ->where('day', $day->iso())
            // What still runs is not missed yet.
            ->where('ends_at', '<=', $this->clock->now())
            ->orderBy('starts_at')
            ->orderBy('sections.id')
            ->get([
                'a.session_id',
                'a.person_id',
                'is_excused',
                'people.sourced_id as person',
                'given_name',
                'family_name',
                'sections.sourced_id as section',
                'sections.title',
                'sections.year',
                DB::raw('extract(epoch from starts_at)::bigint as s'),
            ])
            ->groupBy('person_id');
        $people = $missed->keys()->all();
        $guardians = DB::table('guardianships')
            ->whereIntegerInRaw('student_id', $people)
            ->groupBy('student_id')
            ->pluck(DB::raw('count(*) as n'), 'student_id');
        $written = DB::table('emails')
            ->where('kind', 'missed')
            ->where('key', 'like', "missed {$day->iso()}, %")
            ->pluck(DB::raw("(values->>'student')::bigint as student"))
            ->flip();
        $runs = DB::table('absence_streaks')
            ->whereIn('section_id', Section::query()->where('term_id', $term->id)->servedBy($for)->select('id'))
            ->groupBy('person_id')
            ->pluck(DB::raw('max(n) as n'), 'person_id');
        $rows = [];
        foreach ($missed as $id => $lines) {
            $first = $lines->firstOrFail();
            $rows[] = new MissedRow(
                new Pupil((int) $id, $first->person, trim("$first->given_name $first->family_name")),
                array_values(
                    $lines
                        ->map(
                            fn (stdClass $r): MissedSession => new MissedSession(
                                (int) $r->session_id,
                                $r->section,
                                Section::called($r->year, $r->title),
                                $zone->clock((int) $r->s),
                                (bool) $r->is_excused,
                            ),
                        )
                        ->all(),
                ),
                (int) ($runs[$id] ?? 0),
                (int) ($guardians[$id] ?? 0),
                isset($written[$id]),
            );
        }

        return new MissedDay(
            $day,
            Order::rows($rows, fn (MissedRow $r): array => [-$r->running, Order::key($r->pupil->name)]),
        );
    }
}
