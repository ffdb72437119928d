<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use LogicException;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\Core\Interchange\ImportLine;
use Nomada\Core\Interchange\SchoolData;

/**
 * The rows of timetable.csv that have no time yet. One is known by its section and title; where that section has a
 * series of that title, it has been given its time since, and nothing is to do. A row that is gone takes with it what
 * an import brought and nobody has placed.
 */
final class ImportSeriesToPlace
{
    public function __invoke(SchoolData $data, ImportLog $log): void
    {
        $sections = DB::table('sections')
            ->whereIn('sourced_id', array_map(strval(...), array_keys($data->sections)))
            ->get(['id', 'sourced_id', 'title', 'year'])
            ->keyBy('sourced_id');
        $ids = $sections->pluck('id')->all();
        $key = fn (int|string $section, string $title): string => $section.' '.mb_strtolower($title);
        $known = SeriesToPlace::query()
            ->with('section')
            ->whereIn('section_id', $ids)
            ->get()
            ->keyBy(fn (SeriesToPlace $s): string => $key($s->section_id, $s->title));
        $placed = DB::table('series')
            ->whereIn('section_id', $ids)
            ->get(['section_id', 'title'])
            ->keyBy(fn (\stdClass $s): string => $key((int) $s->section_id, (string) $s->title));
        $named = [];
        foreach ($data->toPlace as $row) {
            $section = $sections[$row['section']] ?? throw new LogicException('A section that was not kept');
            $is = $key((int) $section->id, $row['title']);
            $named[$is] = true;
            if (isset($placed[$is])) {
                continue;
            }
            $columns = [
                'per_week' => $row['per_week'],
                'minutes' => $row['minutes'],
                'starts_on' => $row['from'],
                'ends_on' => $row['until'],
            ];
            $one =
                $known[$is] ??
                new SeriesToPlace([
                    'section_id' => $section->id,
                    'title' => $row['title'],
                    'is_imported' => true,
                ]);
            $isNew = ! $one->exists;
            $one->fill($columns);
            if (! $one->isDirty()) {
                continue;
            }
            $words = trans_choice('to_place.is', $row['per_week'], ['minutes' => $row['minutes']]);
            $of = Section::called($section->year, $section->title).", $row[title]";
            $log->count('series', $isNew ? 'added' : 'changed');
            $log->line(new ImportLine('series', $isNew ? 'add' : 'change', $of, '', $words));
            if (! $log->looks) {
                $one->save();
            }
            if (! $log->looks && $isNew) {
                $log->others['to_place'][] = $one->id;
            }
        }
        foreach ($data->faults === [] ? $known : [] as $is => $one) {
            if (! $one->is_imported || isset($named[$is])) {
                continue;
            }
            $log->count('series', 'removed');
            $log->line(new ImportLine('series', 'remove', "{$one->section->name()}, $one->title"));
            if (! $log->looks) {
                $one->delete();
            }
        }
    }
}
