<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Belonging\Membership;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Belonging\Role;
use stdClass;

/** Reads who belongs where, as core's rule of belonging takes it. */
final class Belongings
{
    /** Of a row of `parts`: a student who has not left by a day, which is put in as the one parameter. */
    public const ON_ROSTER = "(role = 'student' and (ends_on is null or ends_on >= ?))";

    /**
     * @param  array<array{string, int|null, int|null}>  $rows  role, first and last day as day numbers
     */
    public static function from(?int $person, array $rows): Belonging
    {
        return new Belonging(
            $person,
            array_values(
                array_map(
                    fn (array $r): Membership => new Membership(MembershipRole::from($r[0]), $r[1], $r[2]),
                    $rows,
                ),
            ),
        );
    }

    /**
     * One person's, over some sections.
     *
     * @param  list<int>  $sections
     */
    public static function of(int $person, array $sections): Belonging
    {
        return self::from(
            $person,
            DB::table('memberships')
                ->where('person_id', $person)
                ->whereIn('section_id', $sections)
                ->whereNull('session_id')
                ->get(['role', DB::raw(self::days())])
                ->map(fn (stdClass $r): array => [$r->role, $r->from_day, $r->until_day])
                ->all(),
        );
    }

    /**
     * Everybody's, over all sections that meet in each series; substitutes among them.
     *
     * @param  list<int>  $series
     * @return array<int, array<string, Belonging>> by series, then by the person's sourcedId
     */
    public static function ofSeries(array $series): array
    {
        $rows = DB::table('memberships')
            ->join('series_sections', 'series_sections.section_id', '=', 'memberships.section_id')
            ->join('people', 'people.id', '=', 'person_id')
            ->leftJoin('sessions', 'sessions.id', '=', 'session_id')
            ->whereIn('series_sections.series_id', $series)
            ->whereRaw('(session_id is null or sessions.series_id = series_sections.series_id)')
            ->get([
                'series_sections.series_id',
                'people.sourced_id',
                'person_id',
                'memberships.role',
                DB::raw(self::days()),
            ]);
        $parts = $ids = [];
        foreach ($rows as $r) {
            $parts[(int) $r->series_id][$r->sourced_id][] = [$r->role, $r->from_day, $r->until_day];
            $ids[$r->sourced_id] = (int) $r->person_id;
        }
        $out = [];
        foreach ($parts as $one => $people) {
            foreach ($people as $person => $rows) {
                $out[$one][(string) $person] = self::from($ids[$person], $rows);
            }
        }

        return $out;
    }

    /** The first and the last day of a part as day numbers. */
    private static function days(): string
    {
        return "memberships.begins_on - date '1970-01-01' as from_day,
            memberships.ends_on - date '1970-01-01' as until_day";
    }
}
