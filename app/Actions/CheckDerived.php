<?php

declare(strict_types=1);

namespace Nomada\App\Actions;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Timetable\LaySessions;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\Core\Publishing\WantedPlacements;
use Nomada\Core\Timetable\Clash;
use stdClass;

/**
 * Computes anew everything that follows from what is decided (sessions, clashes, what ought to stand, parts of disabled
 * people, registrations of rosters), and lists what differs from what is kept. Nothing is written. There is nothing to
 * list, ever: whatever is found here is a mistake of ours.
 */
final readonly class CheckDerived
{
    public function __construct(
        private LaySessions $lay,
        private RefreshClashes $clashes,
        private SectionFactsQuery $facts,
    ) {
    }

    /** @return list<array{kind: string, what: string}> kind: sessions, overlap, clashes, placements, parts */
    public function __invoke(): array
    {
        $out = [];
        $terms = Term::query()
            ->with(['school', 'closures'])
            ->orderBy('id')
            ->get();
        foreach ($terms as $term) {
            array_push($out, ...$this->sessions($term), ...$this->found($term), ...$this->placements($term));
        }

        return [...$out, ...$this->overlaps(), ...$this->parts()];
    }

    /** @return list<array{kind: string, what: string}> */
    private function sessions(Term $term): array
    {
        $out = [];
        $series = Series::query()
            ->whereHas('section', fn ($q) => $q->where('term_id', $term->id))
            ->with('section')
            ->orderBy('id')
            ->get();
        foreach ($series->chunk(200) as $some) {
            foreach ($this->lay->follow($some, $term->calendar(), false) as $id => [, $isChanged]) {
                $one = $some->firstWhere('id', $id);
                if ($isChanged) {
                    $out[] = self::row(
                        'sessions',
                        (string) __('console.check.sessions', [
                            'section' => (string) $one?->section->sourced_id,
                            'series' => (string) $one?->title,
                        ]),
                    );
                }
            }
        }

        return $out;
    }

    /** @return list<array{kind: string, what: string}> */
    private function found(Term $term): array
    {
        $print = fn (string $kind, array $series, array $people, array $days): string => (string) json_encode([
            $kind,
            $series,
            $people,
            $days,
        ]);
        $kept = DB::table('clashes')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->get(['kind', 'series_id', 'other_series_id', 'people', 'days'])
            ->map(
                fn (stdClass $c): string => $print(
                    $c->kind,
                    array_values(array_filter([(int) $c->series_id, (int) $c->other_series_id])),
                    (array) json_decode($c->people, true),
                    (array) json_decode($c->days, true),
                ),
            )
            ->all();
        $found = array_map(
            fn (Clash $c): string => $print($c->kind, $c->series, $c->people, $c->days),
            $this->clashes->find($term),
        );

        return [
            ...array_map(fn (string $c): array => self::row('clashes', "missing: $c"), array_diff($found, $kept)),
            ...array_map(fn (string $c): array => self::row('clashes', "kept: $c"), array_diff($kept, $found)),
        ];
    }

    /** @return list<array{kind: string, what: string}> */
    private function placements(Term $term): array
    {
        $out = [];
        $ids = Section::query()->where('term_id', $term->id)->orderBy('id')->pluck('id')->all();
        foreach (array_chunk(array_values(array_map(intval(...), $ids)), 40) as $chunk) {
            $wanted = [];
            foreach ($this->facts->for($chunk) as $facts) {
                foreach (WantedPlacements::of($facts) as $one) {
                    $wanted["{$one->place->value} $one->key"] = $one->fingerprint();
                }
            }
            $kept = DB::table('placements')
                ->whereIn('section_id', $chunk)
                ->whereNotNull('wanted_print')
                ->get(['place', 'key', 'wanted_print'])
                ->mapWithKeys(fn (stdClass $p): array => ["$p->place $p->key" => $p->wanted_print])
                ->all();
            foreach (array_keys(array_diff_assoc($wanted, $kept) + array_diff_assoc($kept, $wanted)) as $key) {
                $out[] = self::row('placements', (string) $key);
            }
        }

        return $out;
    }

    /** @return list<array{kind: string, what: string}> */
    private function overlaps(): array
    {
        $rows = DB::select(
            "select a.series_id, a.id as a, b.id as b from sessions a join sessions b on a.series_id = b.series_id
                    and a.id < b.id and a.starts_at < b.ends_at and b.starts_at < a.ends_at
                    where a.state = 'planned' and b.state = 'planned'",
        );

        return array_values(
            array_map(
                fn (stdClass $r): array => self::row('overlap', "series $r->series_id, sessions $r->a and $r->b"),
                $rows,
            ),
        );
    }

    /** @return list<array{kind: string, what: string}> */
    private function parts(): array
    {
        $rows = DB::select(
            'select e.sourced_id from enrolments e join people p on p.id = e.person_id
                    where e.disabled_on is distinct from p.disabled_on',
        );

        return array_values(
            array_map(
                fn (stdClass $r): array => self::row(
                    'parts',
                    (string) __('console.check.disabled', ['enrolment' => $r->sourced_id]),
                ),
                $rows,
            ),
        );
    }

    /** @return array{kind: string, what: string} */
    private static function row(string $kind, string $what): array
    {
        return ['kind' => $kind, 'what' => mb_strimwidth($what, 0, 300, '…')];
    }
}
