<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\Presets;
use Nomada\App\Support\Clock;
use Nomada\App\Support\HistoryLine;
use Nomada\App\Support\Say;
use Nomada\Core\Term\Zone;

/**
 * What is more open than it should be, with who accepted it; and every change of doors, links and registrations, newest
 * first.
 */
final readonly class AuditQuery
{
    private const AT_ONCE = 60;

    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param  string  $kind  whose changes alone are shown; empty for all
     * @param  string  $search  section, person or words; empty for all
     */
    public function page(Term $term, string $kind, string $search, int $page): AuditPage
    {
        $query = $this->query($kind, $search);
        $count = (clone $query)->count();

        return new AuditPage(
            $this->open($term),
            $this->lines($query->forPage(max(1, $page), self::AT_ONCE), $term->calendar()->zone),
            $kind,
            $search,
            $count,
            max(1, $page),
            (int) ceil($count / self::AT_ONCE),
        );
    }

    /** @return list<OpenDoor> */
    private function open(Term $term): array
    {
        $all = Presets::all();
        $ofTerm = fn () => Series::query()->whereHas('section', fn ($q) => $q->where('term_id', $term->id));
        $own = Presets::sessions($ofTerm()->select('id'), $this->clock->seconds());
        $series = $ofTerm()
            ->where(fn ($q) => $q->whereNotNull('door')->orWhereNotNull('floor')->orWhereIn('id', array_keys($own)))
            ->with('section')
            ->get();
        $accepted = DB::table('accepted_deviations')
            ->leftJoin('people', 'people.id', '=', 'accepted_by')
            ->whereIn('series_id', $series->modelKeys())
            ->get(['series_id', 'hash', 'given_name', 'family_name'])
            ->keyBy('series_id');
        $out = [];
        foreach ($series as $one) {
            $more = Presets::moreOpenOf($one, $all, $own[$one->id] ?? []);
            if ($more === []) {
                continue;
            }
            $by = $accepted->get($one->id);
            $out[] = new OpenDoor(
                $one,
                Presets::of($one, $all)->name,
                $more,
                $by !== null && $by->hash === Presets::openness($more)
                    ? trim("$by->given_name $by->family_name")
                    : null,
            );
        }

        return $out;
    }

    /** @return list<AuditLine> */
    private function lines(Builder $query, Zone $zone): array
    {
        return array_values(
            $query
                ->get([
                    'section',
                    'words',
                    'said',
                    DB::raw("given_name || ' ' || family_name as by"),
                    DB::raw('extract(epoch from at)::bigint as seconds'),
                ])
                ->map(
                    fn (\stdClass $r): AuditLine => new AuditLine(
                        Say::day($zone->dateAt((int) $r->seconds)).' '.$zone->clock((int) $r->seconds),
                        $r->by,
                        (string) $r->section,
                        HistoryLine::read((string) $r->words, $r->said),
                    ),
                )
                ->all(),
        );
    }

    /** @return list<list<string>> for a table */
    public function table(string $kind, string $search): array
    {
        return array_values(
            $this->query($kind, $search)
                ->limit(20000)
                ->get([
                    DB::raw("to_char(at at time zone 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS\"Z\"') as at"),
                    'kind',
                    'section',
                    'words',
                    'said',
                    DB::raw("coalesce(given_name || ' ' || family_name, '') as by"),
                ])
                ->map(
                    fn (\stdClass $r): array => [
                        (string) $r->at,
                        (string) $r->by,
                        (string) $r->kind,
                        (string) $r->section,
                        HistoryLine::read((string) $r->words, $r->said),
                    ],
                )
                ->all(),
        );
    }

    private function query(string $kind, string $search): Builder
    {
        return DB::table('audit_log')
            ->leftJoin('people', 'people.id', '=', 'person_id')
            ->when($kind !== '', fn ($q) => $q->where('kind', $kind))
            ->when(
                $search !== '',
                fn ($q) => $q->whereRaw(
                    "(section || ' ' || words || ' ' || coalesce(given_name || ' ' || family_name, '')) ilike ?",
                    ['%'.addcslashes($search, '%_\\').'%'],
                ),
            )
            ->orderByDesc('audit_log.id');
    }
}
