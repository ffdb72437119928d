<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\App\Support\HistoryLine;
use Nomada\Core\Language\Said;

/** Writes down every change of a door, a link or a registration: who, when, what. Nothing ever takes a line out. */
final readonly class Audit
{
    public function __construct(private Clock $clock)
    {
    }

    /** @param  'code'|'door'|'link'|'live'|'person'|'place'|'recording'|'registration'  $kind */
    public function __invoke(
        string $kind,
        ?Series $series,
        ?Person $by,
        Said $said,
        ?Section $section = null,
    ): void {
        $section ??= $series?->section;
        DB::table('audit_log')->insert([
            'at' => gmdate('Y-m-d H:i:sP', $this->clock->seconds()),
            'person_id' => $by?->id,
            'kind' => $kind,
            'series_id' => $series?->id,
            'section_id' => $section?->id,
            'section' => $section === null
                    ? ''
                    : mb_strimwidth(
                        $section->name().
                            ($series === null || $series->title === $section->title ? '' : ": $series->title"),
                        0,
                        160,
                        '…',
                    ),
            ...HistoryLine::columns($said, 400),
        ]);
    }
}
