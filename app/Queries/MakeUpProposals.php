<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\SessionState;
use stdClass;

/**
 * The lost and cancelled sessions of a term that nothing makes up yet, each with the best times at which it could be
 * made up. All are worked out together: the time proposed for one is busy for the next.
 */
final readonly class MakeUpProposals
{
    /** The most sessions that are proposed, and taken, in one step. */
    public const AT_ONCE = 300;

    private const TIMES = 3;

    public function __construct(private FreeTimesQuery $free, private Clock $clock)
    {
    }

    /**
     * Ids and reasons of the sessions, by day.
     *
     * @return Collection<int, stdClass>
     */
    public function lost(Term $term): Collection
    {
        return DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->whereIn('state', [SessionState::Lost->value, SessionState::Cancelled->value])
            ->whereNotExists(
                fn ($q) => $q
                    ->from('sessions as made')
                    ->whereColumn('made.series_id', 'sessions.series_id')
                    ->whereColumn('made.makes_up', 'sessions.day')
                    ->where('made.state', SessionState::Planned),
            )
            ->orderBy('day')
            ->orderBy('sessions.id')
            ->get(['sessions.id', 'reason']);
    }

    /**
     * What was worked out for these sessions, while nothing has changed that it depends on.
     *
     * @param  list<int>  $sessions
     * @return array<int, list<FreeTime>>|null best first, by id of the lost session; null where it has to be worked out
     */
    public function kept(Term $term, array $sessions): ?array
    {
        $found = Cache::get($this->key($term, $sessions));

        return is_array($found) ? $found : null;
    }

    /**
     * @param  list<int>  $sessions
     * @return array<int, list<FreeTime>> as kept() gives it
     */
    public function workOut(Term $term, array $sessions): array
    {
        $key = $this->key($term, $sessions);
        $out = $taken = [];
        $all = Session::query()
            ->whereKey($sessions)
            ->with('series.section')
            ->orderBy('day')
            ->orderBy('id')
            ->get();
        foreach ($all as $session) {
            $session->series->section->setRelation('term', $term);
            $times = $this->free->forOne($session->series, LocalDate::parse($session->day), self::TIMES, $taken);
            $out[$session->id] = $times;
            $best = $times[0] ?? null;
            if ($best?->isClear() === true) {
                $taken[] = ProposedSession::at($best, $session->series, $session->id);
            }
            if (count($out) % 10 === 0) {
                Cache::put("$key done", count($out), 600);
            }
        }
        Cache::put($key, $out, 86400);

        return $out;
    }

    /**
     * How many have been worked out so far.
     *
     * @param  list<int>  $sessions
     */
    public function done(Term $term, array $sessions): int
    {
        return (int) Cache::get($this->key($term, $sessions).' done', 0);
    }

    /**
     * Names what is asked, and the state of everything that the answer depends on.
     *
     * @param  list<int>  $sessions
     */
    public function key(Term $term, array $sessions): string
    {
        $row = DB::selectOne(
            <<<'SQL'
            select
                (select array[count(*), sum(hashint8(extract(epoch from starts_at)::bigint * 100003 +
                    sessions.id)::bigint),
                    sum(hashint8(extract(epoch from ends_at)::bigint * 100003 + sessions.id)::bigint)]::text
                    from sessions join series on series.id = series_id join sections on sections.id = section_id
                    where term_id = ? and state = 'planned') as sessions,
                (select sum(hashtext(series.id || ' ' || coalesce(host_account_id, 0) || ' ' || start_minute || ' ' ||
                    minutes || ' ' || coalesce(period, ''))::bigint)
                    from series join sections on sections.id = section_id where term_id = ?) as series,
                (select array[count(*), sum(hashtext(section_id || ' ' || person_id || ' ' || role || ' ' ||
                    coalesce(begins_on::text, '') || ' ' || coalesce(ends_on::text, ''))::bigint)]::text
                    from memberships) as people,
                (select array[count(*), max(id)]::text from busy_blocks) as busy,
                (select array[count(*), max(id)]::text from host_accounts) as accounts
            SQL,
            [$term->id, $term->id],
        );
        $calendar = $term->calendar();
        $today = $calendar->zone->dateAt($this->clock->seconds())->day;
        // Only the facts: what a term and its zone have worked out and kept differs from process to process.
        $facts = ['zone' => $calendar->zone->name] + get_object_vars($calendar);

        return "make-ups $term->id ".md5(serialize([$sessions, (array) $row, $facts, $today]));
    }
}
