<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\Presets;
use Nomada\App\Support\Clock;

/**
 * What is more open than it should be, with who accepted it; and every change of doors, links and registrations, newest
 * first.
 */
final readonly class AuditPage
{
    private const AT_ONCE = 60;

    public function __construct(private Clock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function data(Term $term, string $kind, string $search, int $page): array
    {
        $all = Presets::all();
        $open = [];
        $own = Presets::sessions(
            Series::query()->whereHas('section', fn ($q) => $q->where('term_id', $term->id))->select('id'),
            $this->clock->seconds(),
        );
        foreach (
            Series::query()
                ->whereHas('section', fn ($q) => $q->where('term_id', $term->id))
                ->where(
                    fn ($q) => $q->whereNotNull('door')->orWhereNotNull('floor')->orWhereIn('id', array_keys($own)),
                )
                ->with('section')
                ->get() as $series
        ) {
            $more = Presets::moreOpenOf($series, $all, $own[$series->id] ?? []);
            if ($more !== []) {
                $accepted = DB::table('openness_accepted')
                    ->leftJoin('people', 'people.id', '=', 'accepted_by')
                    ->where('series_id', $series->id)
                    ->where('print', Presets::openness($more))
                    ->first(['given_name', 'family_name']);
                $open[] = [
                    'series' => $series,
                    'more' => $more,
                    'preset' => Presets::of($series, $all)->name,
                    'by' => $accepted === null ? null : trim("$accepted->given_name $accepted->family_name"),
                ];
            }
        }
        $query = $this->query($kind, $search);
        $count = (clone $query)->count();

        return [
            'open' => $open,
            'lines' => $query
                ->forPage(max(1, $page), self::AT_ONCE)
                ->get([
                    'at',
                    'kind',
                    'section',
                    'words',
                    DB::raw("given_name || ' ' || family_name as by"),
                    DB::raw('extract(epoch from at)::bigint as seconds'),
                ])
                ->all(),
            'kind' => $kind,
            'q' => $search,
            'count' => $count,
            'page' => max(1, $page),
            'pages' => (int) ceil($count / self::AT_ONCE),
            'zone' => $term->calendar()->zone,
        ];
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
                    DB::raw("coalesce(given_name || ' ' || family_name, '') as by"),
                ])
                ->map(
                    fn (\stdClass $r): array => [
                        (string) $r->at,
                        (string) $r->by,
                        (string) $r->kind,
                        (string) $r->section,
                        (string) $r->words,
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
