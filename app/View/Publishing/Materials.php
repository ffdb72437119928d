<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Say;
use Nomada\Core\Term\LocalDate;
use stdClass;

/** What students of sections need, as their pages and the section's own list it. */
final class Materials
{
    /**
     * @param  list<int>  $sections
     * @return list<MaterialRow> those for whole sections first, then by day
     */
    public static function of(array $sections): array
    {
        return array_values(
            DB::table('materials')
                ->join('sections', 'sections.id', '=', 'section_id')
                ->leftJoin('sessions', 'sessions.id', '=', 'session_id')
                ->whereIntegerInRaw('section_id', $sections)
                ->orderByRaw('sections.title, sessions.day nulls first, materials.id')
                ->get(['materials.id', 'materials.title', 'address', 'day', 'sections.title as section', 'year'])
                ->map(
                    fn (stdClass $m): MaterialRow => new MaterialRow(
                        (int) $m->id,
                        $m->title,
                        $m->address,
                        $m->day === null ? '' : Say::day(LocalDate::parse($m->day)),
                        Section::called($m->year, $m->section),
                    ),
                )
                ->all(),
        );
    }
}
