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
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Interchange\ImportLine;
use Nomada\Core\Interchange\SchoolData;
use Nomada\Core\Interchange\SeriesRows;
use Nomada\Core\Language\Said;

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
    ) {
    }

    /** @return list<int> sections whose sessions changed */
    public function __invoke(SchoolData $data, ImportLog $log, SchoolImport $import, ?Person $by): array
    {
        $log->count('series', 'added', 0);
        if ($data->series === null) {
            return [];
        }
        $sections = DB::table('sections')
            ->get(['id', 'sourced_id', 'term_id', 'title', 'year'])
            ->keyBy('sourced_id');
        $terms = Term::query()
            ->with(['school', 'closures'])
            ->get()
            ->keyBy('id');
        $bySection = $touched = [];
        foreach ($data->series as $row) {
            $columns = Series::columns($row['plan']);
            $bySection[$row['section']][] = [
                'title' => $row['title'] === '' ? (string) $data->sections[$row['section']]['title'] : $row['title'],
                'print' => hash('sha256', (string) json_encode($columns)),
                'columns' => $columns,
                'words' => Say::this($row['plan']->said()),
                'said' => $row['plan']->said(),
            ];
        }
        $known = Series::query()->whereNotNull('import_print')->orderBy('id')->get()->groupBy('section_id');
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
                        'print' => (string) $s->import_print,
                    ],
                    $series,
                ),
            );
            foreach ($rows as $i => $row) {
                $one = isset($pairs[$i]) ? $series[$pairs[$i]] : null;
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
                if ($this->gone($one, $name, $log, $by)) {
                    array_push($touched, (int) $section->id);
                }
            }
        }

        return $touched;
    }

    /**
     * @param  array{title: string, print: string, columns: array<string, mixed>, words: string, said: Said}  $row
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
                    'import_print' => $row['print'],
                    'import_title' => $row['title'],
                    'changed_at' => $this->clock->now(),
                ])
                ->save();
            ($this->lay)($series, $calendar);

            return true;
        }
        $isRenamed = $series->title !== $series->import_title;
        $title = $row['title'] !== $series->import_title;
        $plan = $row['print'] !== $series->import_print;
        if (! $title && ! $plan) {
            return false;
        }
        if ($title && $isRenamed) {
            $log->line(
                new ImportLine(
                    'series',
                    'stays',
                    "$name, $series->title",
                    (string) $series->import_title,
                    $row['title'],
                ),
            );
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
            'import_print' => $row['print'],
            'import_title' => $row['title'],
            'changed_at' => $this->clock->now(),
            'sequence' => $series->sequence + 1,
        ]);
        ($this->lay)($series, $calendar);
        $series->save();
        $this->history->record($series, $by, new Said('history.import', [
            'plan' => $row['said'],
        ]), $before, $import->id);

        return true;
    }

    /** A row that is gone takes away a series that nobody has changed here. */
    private function gone(Series $series, string $name, ImportLog $log, ?Person $by): bool
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
            ($this->delete)($series->loadMissing('section'), $by);
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
     * What was deleted here and came by an import, by section: titles and sums of rows.
     *
     * @return array<int, array<string, true>>
     */
    private function deletedHere(): array
    {
        $out = [];
        $rows = DB::table('series_changes')
            ->whereNull('undone_at')
            ->where('words', 'like', 'deleted %')
            ->whereRaw("before->'series'->0->>'import_print' is not null")
            ->whereNotIn('series_id', DB::table('series')->select('id'))
            ->get([
                'section_id',
                DB::raw("before->'series'->0->>'import_title' as title"),
                DB::raw("before->'series'->0->>'import_print' as print"),
            ]);
        foreach ($rows as $row) {
            $out[(int) $row->section_id]['t '.mb_strtolower((string) $row->title)] = true;
            $out[(int) $row->section_id]["p $row->print"] = true;
        }

        return $out;
    }
}
