<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use LogicException;
use Nomada\App\Actions\Timetable\DeleteSeries;
use Nomada\App\Actions\Timetable\LaySessions;
use Nomada\App\Actions\Timetable\SeriesHistory;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\SchoolImport;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Queries\TimetableRows;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Interchange\ImportLine;
use Nomada\Core\Interchange\SchoolData;
use Nomada\Core\Interchange\SeriesRows;
use Nomada\Core\Language\Said;
use Nomada\Core\Timetable\SeriesPlan;

/**
 * The series of an import. A row is known by what it was called when it was imported ({@see SeriesRows}), so that a
 * series that was renamed here, or a row that was renamed there, is not made twice. A series that was deleted here
 * stays so. A changed row changes its series, in its history; a row that is gone takes its series away only where
 * nobody has changed it since, and where somebody is sure.
 */
final readonly class ImportSeries
{
    public function __construct(
        private Clock $clock,
        private LaySessions $lay,
        private SeriesHistory $history,
        private DeleteSeries $delete,
        private ImportSeriesToPlace $toPlace,
    ) {
    }

    /** @return list<int> sections whose sessions changed */
    public function __invoke(SchoolData $data, ImportLog $log, SchoolImport $import, ?Person $by): array
    {
        $log->count('series', 'added', 0);
        if ($data->series === null) {
            return [];
        }
        ($this->toPlace)($data, $log);
        $sections = DB::table('sections')
            ->get(['id', 'sourced_id', 'term_id', 'title', 'year'])
            ->keyBy('sourced_id');
        $terms = Term::query()
            ->with(['school', 'closures'])
            ->get()
            ->keyBy('id');
        $bySection = $touched = [];
        $here = $this->exportedAsTheyAre($data->series);
        foreach ($data->series as $row) {
            if (isset($here[$row['uid']])) {
                continue;
            }
            $columns = Series::columns($row['plan']);
            $bySection[$row['section']][] = [
                'title' => $row['title'] === '' ? (string) $data->sections[$row['section']]['title'] : $row['title'],
                'print' => hash('sha256', (string) json_encode($columns)),
                'columns' => $columns,
                'words' => Say::this($row['plan']->said()),
                'said' => $row['plan']->said(),
                'uid' => $row['uid'],
            ];
        }
        $uids = array_filter(array_column($data->series, 'uid'));
        $known = Series::query()
            ->where(fn ($q) => $q->whereNotNull('import_hash')->orWhereIn('uid', $uids))
            ->whereNotIn('uid', array_map(strval(...), array_keys($here)))
            ->orderBy('id')
            ->get()
            ->groupBy('section_id');
        $deleted = $this->deletedHere();
        foreach ($data->sections as $sourcedId => $ignored) {
            $section = $sections[$sourcedId] ?? throw new LogicException('A section that was not kept');
            $calendar = (
                $terms->get($section->term_id) ?? throw new LogicException('A section without its term')
            )->calendar();
            $rows = $bySection[$sourcedId] ?? [];
            $series = array_values(($known[$section->id] ?? collect())->all());
            $name = Section::called($section->year, $section->title);
            $pairs = SeriesRows::match(
                $rows,
                array_map(
                    fn (Series $s): array => [
                        'title' => (string) ($s->import_title ?? $s->title),
                        'print' => (string) $s->import_hash,
                        'uid' => $s->uid,
                    ],
                    $series,
                ),
            );
            foreach ($rows as $i => $row) {
                $one = isset($pairs[$i]) ? $series[$pairs[$i]] : null;
                $one ??= $this->broughtBack((int) $section->id, $row, $name, $log, $by);
                $gone = $deleted[$section->id] ?? [];
                if (
                    $one === null &&
                    (isset($gone['t '.mb_strtolower($row['title'])]) || isset($gone["p $row[print]"]))
                ) {
                    $log->line(new ImportLine('series', 'stays', "$name, $row[title]"));

                    continue;
                }
                if ($this->row($one, $row, (int) $section->id, $name, $log, $import, $by, $calendar)) {
                    array_push($touched, (int) $section->id, ...$one?->sectionIds() ?? []);
                }
            }
            foreach ($data->faults === [] ? array_diff_key($series, array_flip($pairs)) : [] as $one) {
                if ($this->gone($one, $name, $log, $import, $by)) {
                    array_push($touched, (int) $section->id);
                }
            }
        }

        return $touched;
    }

    /**
     * The series whose rows are what we would write of them now, by their uids: an export that is read back says
     * nothing new of them, however they were planned or changed.
     *
     * @param  list<array{section: string, title: string, plan: SeriesPlan, uid: string, cells: list<string>}>  $rows
     * @return array<string, true>
     */
    private function exportedAsTheyAre(array $rows): array
    {
        $given = [];
        foreach ($rows as $row) {
            if ($row['uid'] !== '') {
                $given[$row['uid']][] = implode("\t", $row['cells']);
            }
        }
        $out = [];
        $series = Series::query()
            ->with('section')
            ->whereIn('uid', array_map(strval(...), array_keys($given)))
            ->get();
        foreach ($series->chunk(500) as $some) {
            foreach (TimetableRows::of($some) as $uid => $written) {
                $is = array_map(fn (array $r): string => implode("\t", array_map(strval(...), $r)), $written);
                sort($is);
                sort($given[$uid]);
                if ($is === $given[$uid]) {
                    $out[$uid] = true;
                }
            }
        }

        return $out;
    }

    /**
     * @param  array{title: string, print: string, columns: array<string, mixed>, words: string, said: Said,
     *   uid: string}  $row
     * @return bool whether anything of it changed
     */
    private function row(
        ?Series $series,
        array $row,
        int $section,
        string $name,
        ImportLog $log,
        SchoolImport $import,
        ?Person $by,
        \Nomada\Core\Term\Term $calendar,
    ): bool {
        if ($series === null) {
            $log->count('series', 'added');
            $log->line(new ImportLine('series', 'add', "$name, $row[title]", '', $row['words']));
            if ($log->looks) {
                return false;
            }
            $series = new Series([
                'section_id' => $section,
                'title' => $this->free($section, $row['title']),
                'uid' => (string) Str::uuid(),
            ]);
            $series
                ->fill([
                    ...$row['columns'],
                    'import_hash' => $row['print'],
                    'import_title' => $row['title'],
                    'changed_at' => $this->clock->now(),
                ])
                ->save();
            ($this->lay)($series, $calendar);
            $log->others['series']['added'][] = $series->id;

            return true;
        }
        // A series that was made here and has come back in an export of ours is from now on known by its row, too.
        $named = $series->import_title ?? $series->title;
        $isRenamed = $series->title !== $named;
        $title = $row['title'] !== $named;
        $plan = $row['print'] !== $series->import_hash;
        if (! $title && ! $plan) {
            return false;
        }
        if ($title && $isRenamed) {
            $log->line(new ImportLine('series', 'stays', "$name, $series->title", $named, $row['title']));
        }
        $log->count('series', 'changed');
        $log->line(
            new ImportLine(
                'series',
                'change',
                "$name, $series->title",
                Say::this($series->stretches()->said()),
                $row['title'].', '.$row['words'],
            ),
        );
        if ($log->looks) {
            return false;
        }
        $before = $this->history->snapshot($series->id);
        $series->fill([
            ...$plan ? [...$row['columns'], 'earlier' => []] : [],
            'title' => $title && ! $isRenamed ? $this->free($section, $row['title'], $series->id) : $series->title,
            'import_hash' => $row['print'],
            'import_title' => $row['title'],
            'changed_at' => $this->clock->now(),
            'sequence' => $series->sequence + 1,
        ]);
        ($this->lay)($series, $calendar);
        $series->save();
        $this->history->record(
            $series,
            $by,
            new Said('history.import', [
                'plan' => $row['said'],
            ]),
            $before,
            $import->id,
        );

        return true;
    }

    /** A row that is gone removes a series that nobody has changed here. */
    private function gone(Series $series, string $name, ImportLog $log, SchoolImport $import, ?Person $by): bool
    {
        $isChanged = DB::table('series_changes')
            ->where('series_id', $series->id)
            ->whereNull('term_change_id')
            ->whereNull('import_id')
            ->whereNull('undone_at')
            ->exists();
        if ($isChanged) {
            $log->line(new ImportLine('series', 'stays', "$name, $series->title"));

            return false;
        }
        $line = new ImportLine(
            'series',
            'remove',
            "$name, $series->title",
            Say::this($series->stretches()->said()),
            '',
            "series:$series->id",
        );
        if (! $log->dangerous($line)) {
            return false;
        }
        $log->count('series', 'removed');
        if (! $log->looks) {
            ($this->delete)($series->loadMissing('section'), $by, $import->id);
        }

        return true;
    }

    /** A title that no other series of the section has. */
    private function free(int $section, string $title, int $but = 0): string
    {
        $taken = DB::table('series')->where('section_id', $section)->where('id', '!=', $but)->pluck('title')->all();
        for ($n = 2, $free = $title; in_array($free, $taken, true); $n++) {
            $free = "$title ($n)";
        }

        return $free;
    }

    /**
     * The series of a row that an earlier import had lost, put back with its links and registrations; null where there
     * is none. What a person deleted stays deleted.
     *
     * @param  array{title: string, print: string, columns: array<string, mixed>, words: string, said: Said,
     *   uid: string}  $row
     */
    private function broughtBack(int $section, array $row, string $name, ImportLog $log, ?Person $by): ?Series
    {
        $changes = SeriesChange::query()
            ->where('section_id', $section)
            ->whereNull('undone_at')
            ->whereNotNull('import_id')
            ->where('words', 'like', 'deleted %')
            ->whereNotIn('series_id', DB::table('series')->select('id'))
            ->latest('id')
            ->get();
        foreach ($changes as $change) {
            $was = $change->before['series'][0] ?? [];
            $isIt =
                mb_strtolower((string) ($was['import_title'] ?? '')) === mb_strtolower($row['title']) ||
                ($was['import_hash'] ?? null) === $row['print'];
            if (! $isIt) {
                continue;
            }
            $log->count('series', 'added');
            $log->line(new ImportLine('series', 'add', "$name, $row[title]", '', $row['words']));
            $this->history->putBack($change->before ?? []);
            $change->update(['undone_at' => $this->clock->now(), 'undone_by' => $by?->id]);
            $log->others['series']['restored'][] = $change->id;
            $series = Series::query()
                ->with(['section.term.school', 'section.term.closures'])
                ->findOrFail($change->series_id);
            ($this->lay)($series, $series->section->term->calendar());
            $log->touched[] = $section;

            return $series;
        }

        return null;
    }

    /**
     * What was deleted here and came by an import, by section: titles and sums of rows.
     *
     * @return array<int, array<string, true>>
     */
    private function deletedHere(): array
    {
        $out = [];
        $rows = DB::table('series_changes')
            ->whereNull('undone_at')
            ->whereNull('import_id')
            ->where('words', 'like', 'deleted %')
            ->whereRaw("before->'series'->0->>'import_hash' is not null")
            ->whereNotIn('series_id', DB::table('series')->select('id'))
            ->get([
                'section_id',
                DB::raw("before->'series'->0->>'import_title' as title"),
                DB::raw("before->'series'->0->>'import_hash' as print"),
            ]);
        foreach ($rows as $row) {
            $out[(int) $row->section_id]['t '.mb_strtolower((string) $row->title)] = true;
            $out[(int) $row->section_id]["p $row->print"] = true;
        }

        return $out;
    }
}
