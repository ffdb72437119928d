<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\HostAccounts;
use Nomada\App\Queries\Meetings;
use Nomada\App\Support\Locks;
use Nomada\Core\Timetable\Clash;
use Nomada\Core\Timetable\Clashes;
use Nomada\Core\Timetable\SessionState;

/**
 * Finds the clashes of a term again, for all of it or only for what a change of some sections touches: those sections
 * and anybody who shares a person with them. What was found is kept in the table `clashes`.
 */
final readonly class RefreshClashes
{
    public function __construct(private Meetings $meetings)
    {
    }

    /**
     * @param  list<int>|null  $sections  null for the whole term
     */
    public function __invoke(Term $term, ?array $sections = null): void
    {
        if ($sections === []) {
            return;
        }
        $sections = $sections === null ? null : $this->withThoseThatShare($sections);
        DB::transaction(function () use ($term, $sections): void {
            Locks::timetable($term->id);
            $found = $this->find($term, $sections);
            DB::table('clashes')
                ->when(
                    $sections === null,
                    fn ($q) => $q->whereIn(
                        'section_id',
                        DB::table('sections')->where('term_id', $term->id)->select('id'),
                    ),
                    fn ($q) => $q
                        ->whereIn('section_id', (array) $sections)
                        ->orWhereIn('other_section_id', (array) $sections),
                )
                ->delete();
            foreach (array_chunk($found, 500) as $chunk) {
                DB::table('clashes')->insert(
                    array_map(
                        fn (Clash $c): array => [
                            'kind' => $c->kind,
                            'series_id' => $c->series[0],
                            'section_id' => $c->sections[0],
                            'other_series_id' => $c->series[1] ?? null,
                            'other_section_id' => $c->sections[1] ?? null,
                            'people' => json_encode($c->people),
                            'days' => json_encode($c->days),
                        ],
                        $chunk,
                    ),
                );
            }
        });
    }

    /**
     * @param  list<int>|null  $sections
     * @return list<Clash>
     */
    public function find(Term $term, ?array $sections = null): array
    {
        $near = $sections === null ? null : $this->near($sections);
        [$meetings, $rosters] = $this->meetings->of($term, $near);
        $only = $sections === null ? null : array_fill_keys($sections, true);
        foreach ($only === null ? [] : $meetings as $meeting) {
            // A roster made for the purpose counts where its series is one of those sections'.
            if (isset($only[$meeting->section])) {
                $only[$meeting->roster] = true;
            }
        }

        return (new Clashes($meetings, $rosters, HostAccounts::all(), $term->calendar()))->find($only);
    }

    /**
     * The sections whose series these sections meet in: what is found is kept under a series' own section.
     *
     * @param  list<int>  $sections
     * @return list<int>
     */
    private function withThoseThatShare(array $sections): array
    {
        $own = DB::table('series')
            ->join('series_sections', 'series_id', '=', 'series.id')
            ->whereIn('series_sections.section_id', $sections)
            ->distinct()
            ->pluck('series.section_id')
            ->all();

        return array_values(array_unique([...$sections, ...array_map(intval(...), $own)]));
    }

    /**
     * The sections whose series may clash with these sections' series: those that have somebody in common with anybody
     * who comes to them (with the people of the sections that share them), that run on one of their host accounts or in
     * one of their rooms, and another teacher's own sections.
     *
     * @param  list<int>  $sections
     * @return list<int>
     */
    private function near(array $sections): array
    {
        $together = DB::table('series')
            ->join('series_sections', 'series_id', '=', 'series.id')
            ->whereIn('series.section_id', $sections)
            ->distinct()
            ->pluck('series_sections.section_id')
            ->all();
        $near = DB::table('memberships as a')
            ->join('memberships as b', 'b.person_id', '=', 'a.person_id')
            ->whereIn('a.section_id', [...$sections, ...$together])
            ->distinct()
            ->pluck('b.section_id')
            ->all();
        $byAccount = [
            ...$this->onSame(
                DB::table('sessions')
                    ->join('series', 'series.id', '=', 'series_id')
                    ->where('state', SessionState::Planned),
                'coalesce(sessions.host_account_id, series.host_account_id)',
                $sections,
            ),
            ...$this->onSame(
                DB::table('join_links')
                    ->join('series', 'series.id', '=', 'series_id')
                    ->where('kind', 'series')
                    ->whereNull('retired_at'),
                'room',
                $sections,
            ),
        ];
        // Other teachers of single sessions, anywhere: few.
        $others = DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->whereNotNull('teacher_id')
            ->get(['teacher_id', 'section_id']);
        $byTeacher = $others->isEmpty()
            ? []
            : [
                ...$others->pluck('section_id')->all(),
                ...DB::table('memberships')
                    ->whereIn('person_id', $others->pluck('teacher_id'))
                    ->pluck('section_id')
                    ->all(),
            ];

        return array_values(
            array_unique(
                array_map(intval(...), [...$near, ...$sections, ...$together, ...$byAccount, ...$byTeacher]),
            ),
        );
    }

    /**
     * The sections of which a row has the same value, if any, as a row of one of these sections.
     *
     * @param  literal-string  $by  a column, or an expression
     * @param  list<int>  $sections
     * @return array<mixed>
     */
    private function onSame(Builder $rows, string $by, array $sections): array
    {
        $values = (clone $rows)
            ->whereIn('section_id', $sections)
            ->whereNotNull(DB::raw($by))
            ->distinct()
            ->pluck(DB::raw("$by as found"))
            ->all();

        return $values === []
            ? []
            : (clone $rows)->whereIn(DB::raw($by), $values)->distinct()->pluck('section_id')->all();
    }
}
