<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Clashes;

use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\AcceptedClashes;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Clash;
use Nomada\Core\Timetable\FoldedDates;
use Nomada\Core\Timetable\SessionState;

/** The clashes that were found, folded and grave first, each with who has accepted it. */
final readonly class ClashList
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param  int|null  $grave  only so many of the grave ones that nobody has accepted; null for all clashes
     * @return list<ClashRow>
     */
    public function rows(Term $term, Person $for, ?int $grave = null): array
    {
        $today = $term->calendar()->zone->dateAt($this->clock->seconds())->day;
        $mine = Section::query()->where('term_id', $term->id)->seenBy($for)->select('id');
        $rows = DB::table('clashes')
            ->join('sections as a', 'a.id', '=', 'clashes.section_id')
            ->leftJoin('sections as b', 'b.id', '=', 'clashes.other_section_id')
            ->leftJoin('accepted_clashes as k', fn (JoinClause $j) => $j->whereRaw(AcceptedClashes::ACCEPTED))
            ->leftJoin('people', 'people.id', '=', 'accepted_by')
            ->where(
                fn ($q) => $q
                    ->whereIn('clashes.section_id', clone $mine)
                    ->orWhereIn('clashes.other_section_id', clone $mine),
            )
            // What is past cannot be fixed any more.
            ->whereRaw('(clashes.days->>-1)::int >= ?', [$today])
            ->when(
                $grave !== null,
                fn ($q) => $q->whereIn('kind', Clash::grave())->whereNull('k.key')->limit((int) $grave),
            )
            ->orderByRaw(
                "array_position(array['".
                    implode("', '", array_keys(Clash::GRAVITY)).
                    "']::varchar[], kind), (clashes.days->>0)::int, clashes.id",
            )
            ->get([
                'kind',
                'series_id',
                'other_series_id',
                'clashes.days',
                'a.sourced_id as a',
                'a.title as a_title',
                'a.year as a_year',
                'b.sourced_id as b',
                'b.title as b_title',
                'b.year as b_year',
                'reason',
                DB::raw('jsonb_array_length(clashes.people) as n'),
                DB::raw(AcceptedClashes::KEY.' as key'),
                DB::raw("people.given_name || ' ' || people.family_name as by"),
            ]);
        $at = $this->at($rows, $today);
        $name = fn (?string $year, ?string $title): string => ($year === '' || $year === null ? '' : "Y$year ").
            $title;

        return array_values(
            $rows
                ->map(function (\stdClass $r) use ($name, $today, $at, $term): ClashRow {
                    $days = self::coming($r->days, $today);
                    $spans = array_values(
                        array_filter(
                            array_map(
                                fn (mixed $series): ?array => $at["$series $days[0]"] ?? null,
                                array_filter([$r->series_id, $r->other_series_id]),
                            ),
                        ),
                    );

                    return new ClashRow(
                        $r->key,
                        $r->kind,
                        Clash::GRAVITY[$r->kind] ?? 'advice',
                        array_filter([
                            $r->a => $name($r->a_year, $r->a_title),
                            (string) $r->b => $name($r->b_year, $r->b_title),
                        ]),
                        [(int) $r->series_id, (int) $r->other_series_id],
                        (int) $r->n,
                        count($days),
                        Say::this(FoldedDates::said($days)),
                        $r->reason,
                        $r->by,
                        $this->firstComing($days, $today),
                        $spans === [] ? null : ClashBars::of($spans, $term->calendar()->zone),
                    );
                })
                ->all(),
        );
    }

    /**
     * When the sessions of clashes are on the first day that each is on.
     *
     * @param  Collection<int, \stdClass>  $rows
     * @return array<string, array{int, int}> UTC seconds by series and day
     */
    private function at(Collection $rows, int $today): array
    {
        $days = $rows
            ->map(fn (\stdClass $r): string => (new LocalDate(self::coming($r->days, $today)[0]))->iso())
            ->unique()
            ->all();
        $series = $rows->pluck('series_id')->merge($rows->pluck('other_series_id'))->filter()->unique()->all();
        $out = [];
        foreach (
            DB::table('sessions')
                ->whereIn('series_id', $series)
                ->whereIn('day', $days)
                ->where('state', SessionState::Planned)
                ->orderByDesc('starts_at')
                ->get([
                    'series_id',
                    DB::raw("day - date '1970-01-01' as n"),
                    DB::raw('extract(epoch from starts_at)::bigint as starts'),
                    DB::raw('extract(epoch from ends_at)::bigint as ends'),
                ]) as $s
        ) {
            $out["$s->series_id $s->n"] = [(int) $s->starts, (int) $s->ends];
        }

        return $out;
    }

    /**
     * The series of one clash.
     *
     * @return list<int> ids; none where nothing clashes so any more
     */
    public function series(Term $term, Person $for, string $key): array
    {
        foreach ($this->rows($term, $for) as $row) {
            if ($row->key === $key) {
                return array_values(array_filter($row->series));
            }
        }

        return [];
    }

    /**
     * What the board says of each section's clashes that nobody has accepted, and on which days they are.
     *
     * @param  list<int>  $sections
     * @return array<int, array{words: list<string>, days: array<int, true>}>
     */
    public function bySection(array $sections): array
    {
        if ($sections === []) {
            return [];
        }
        $today = $this->clock->schoolDay()->day;
        $out = [];
        foreach ($this->open($today) as $r) {
            $days = self::coming($r->days, $today);
            $n = count($days);
            $sides = [
                [$r->section_id, $r->b === null ? '' : Section::called($r->b_year, $r->b)],
                [$r->other_section_id, Section::called($r->a_year, $r->a)],
            ];
            foreach ($sides as [$section, $other]) {
                if ($section === null) {
                    continue;
                }
                $out[(int) $section]['words'][] = self::said($r->kind, $n, $other);
                $out[(int) $section]['days'] = ($out[(int) $section]['days'] ?? []) + array_fill_keys($days, true);
            }
        }

        return array_intersect_key($out, array_flip($sections));
    }

    /**
     * The clashes of some sections that nobody has accepted, each once.
     *
     * @param  list<int>  $sections
     * @return list<string> `Y8 Marine Science: 9 clashes with Y8 History`
     */
    public function lines(array $sections): array
    {
        $today = $this->clock->schoolDay()->day;
        $out = [];
        foreach ($this->open($today) as $r) {
            $names = [
                (int) $r->section_id => Section::called($r->a_year, $r->a),
                (int) $r->other_section_id => $r->b === null ? '' : Section::called($r->b_year, $r->b),
            ];
            $own = array_intersect_key($names, array_flip($sections));
            if ($own !== []) {
                $section = array_key_first($own);
                $other = current(array_diff_key($names, [$section => true])) ?: '';
                $out[] = "$own[$section]: ".self::said($r->kind, count(self::coming($r->days, $today)), $other);
            }
        }

        return $out;
    }

    /**
     * The grave clashes from today on that nobody has accepted.
     *
     * @return Collection<int, \stdClass>
     */
    private function open(int $today): Collection
    {
        return DB::table('clashes')
            ->join('sections as a', 'a.id', '=', 'clashes.section_id')
            ->leftJoin('sections as b', 'b.id', '=', 'clashes.other_section_id')
            ->whereIn('kind', Clash::grave())
            ->whereRaw('(clashes.days->>-1)::int >= ?', [$today])
            ->whereNotExists(fn ($q) => $q->from('accepted_clashes as k')->whereRaw(AcceptedClashes::ACCEPTED))
            ->orderBy('clashes.id')
            ->get([
                'kind',
                'clashes.section_id',
                'other_section_id',
                'days',
                'a.title as a',
                'a.year as a_year',
                'b.title as b',
                'b.year as b_year',
            ]);
    }

    /**
     * The days from today on: what has been held is nobody's task any more.
     *
     * @return list<int>
     */
    private static function coming(string $days, int $today): array
    {
        return array_values(
            array_filter(
                array_map(intval(...), (array) json_decode($days, true)),
                fn (int $day): bool => $day >= $today,
            ),
        );
    }

    /**
     * The first of the days that is still to come: the one session that could be moved alone.
     *
     * @param  list<int>  $days
     */
    private function firstComing(array $days, int $today): ?string
    {
        foreach ($days as $day) {
            if ($day > $today) {
                return (new LocalDate($day))->iso();
            }
        }

        return null;
    }

    private static function said(string $kind, int $n, string $other): string
    {
        return Say::this(
            new Said("clash.$kind", [
                'n' => $n,
                'other' => $other,
            ]),
        );
    }
}
