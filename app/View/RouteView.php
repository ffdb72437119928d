<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Clock;
use Nomada\App\Support\CurrentTerm;

/**
 * The route across the top: the seven stops of the work, each with what is left to do there for whoever looks.
 *
 * @phpstan-type Stop array{name: string, title: string, words: string, state: string}
 */
final readonly class RouteView
{
    public function __construct(private CurrentTerm $term, private Clock $clock)
    {
    }

    /** @return list<Stop> state is done, todo or wrong */
    public function stops(Person $for): array
    {
        $term = $this->term->find();
        if ($term === null) {
            return array_map(fn (string $t): array => ['name' => strtolower($t), 'title' => $t, 'words' => $t === 'Term' ? 'import a school' : '–', 'state' => $t === 'Term' ? 'todo' : 'done'], self::titles());
        }
        $ids = Section::query()->where('term_id', $term->id)->seenBy($for)->pluck('id')->map(fn (mixed $id): int => (int) $id)->values()->all();
        $n = $this->counts(array_values($ids), $term->calendar()->zone->dateAt($this->clock->seconds())->iso());
        $stop = fn (string $title, int $left, string $words, string $done, string $state = 'todo'): array => [
            'name' => strtolower($title), 'title' => $title, 'words' => $left > 0 ? "$left $words" : $done, 'state' => $left > 0 ? $state : 'done',
        ];

        return [
            $stop('Term', 0, '', 'set'),
            $stop('Timetable', count($ids) - $n->timetabled, 'without timetable', 'all timetabled', 'wrong'),
            $stop('Joining', $n->series - $n->linked, 'without link', 'all linked'),
            $stop('Registration', $n->seats - $n->registered, 'to register', 'all registered'),
            $n->trouble > 0 ? $stop('Publishing', $n->trouble, 'refused', '', 'wrong') : $stop('Publishing', $n->differing, $n->differing === 1 ? 'change' : 'changes', 'all published'),
            ['name' => 'today', 'title' => 'Today', 'words' => $n->today === 1 ? '1 session' : ($n->today ?: 'no').' sessions', 'state' => 'done'],
            ['name' => 'records', 'title' => 'Records', 'words' => $n->held.' held', 'state' => 'done'],
        ];
    }

    /** @return list<string> */
    private static function titles(): array
    {
        return ['Term', 'Timetable', 'Joining', 'Registration', 'Publishing', 'Today', 'Records'];
    }

    /** @param  list<int>  $ids */
    private function counts(array $ids, string $today): \stdClass
    {
        $in = $ids === [] ? '0' : implode(',', array_map(intval(...), $ids));
        $now = $this->clock->seconds();

        $row = DB::selectOne("select
            (select count(distinct section_id) from series where section_id in ($in)) as timetabled,
            (select count(*) from series where section_id in ($in)) as series,
            (select count(*) from join_links l join series s on s.id = l.series_id where section_id in ($in) and kind = 'series' and retired_at is null) as linked,
            (select count(*) from series s join enrolments e on e.section_id = s.section_id and e.role = 'student' and (e.ends_on is null or e.ends_on >= ?) where s.section_id in ($in)) as seats,
            (select count(*) from registrations r join series s on s.id = r.series_id where section_id in ($in) and state = 'accepted') as registered,
            (select count(*) from placements where section_id in ($in) and wanted_print is distinct from standing_print) as differing,
            (select count(*) from placements where section_id in ($in) and trouble is not null) as trouble,
            (select count(*) from sessions x join series s on s.id = x.series_id where section_id in ($in) and state = 'planned' and day = ?) as today,
            (select count(*) from sessions x join series s on s.id = x.series_id where section_id in ($in) and state = 'planned' and ends_at <= to_timestamp($now)) as held", [$today, $today]);

        return $row instanceof \stdClass ? $row : throw new \LogicException('The database gave no counts');
    }
}
