<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Nomada\Core\Term\LocalDate;

/**
 * Who is registered on a day: an accepted registration counts as long as its student is on a roster of the series, or
 * never was on one (a registrant accepted by hand). Anybody who left counts no more, whether anything has been pressed
 * since or not.
 */
final class Registered
{
    /** As a condition on a table of registrations, by the name that it has in the query. */
    public static function on(string $table, LocalDate $day): string
    {
        return "$table.state = 'accepted' and ($table.series_id, $table.person_id) not in (".
            self::left($day).
            ')';
    }

    /**
     * How many people a table of registrations has: one who is registered for several sessions of a series counts once.
     */
    public static function people(string $table): string
    {
        return "count(*) filter (where $table.only_day is null) + ".
            "count(distinct ($table.series_id, $table.person_id)) filter (where $table.only_day is not null)";
    }

    /**
     * How many people a series has, as a value of a query: series by series an index alone answers, and nothing is
     * joined with tens of thousands of registrations.
     *
     * @param  string  $series  the column that names the series
     */
    public static function peopleOf(string $series, LocalDate $day): string
    {
        return '(select '.
            self::people('r').
            " from registrations r where r.series_id = $series and ".
            self::on('r', $day).
            ')';
    }

    /** The students who have left a series, as pairs of series and person. Few, and found by an index. */
    public static function left(LocalDate $day): string
    {
        $iso = $day->iso();

        return <<<SQL
        select s.series_id, p.person_id
        from memberships p join series_sections s on s.section_id = p.section_id
        where p.role = 'student' and p.ends_on < '$iso' and not exists (
            select 1 from memberships q join series_sections t on t.section_id = q.section_id
            where t.series_id = s.series_id and q.person_id = p.person_id and q.role = 'student'
                and coalesce(q.ends_on, 'infinity') >= '$iso')
        SQL;
    }
}
