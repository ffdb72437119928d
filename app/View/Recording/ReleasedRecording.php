<?php

declare(strict_types=1);

namespace Nomada\App\View\Recording;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Term\LocalDate;
use stdClass;

/** A recording of which a student may see something. */
final readonly class ReleasedRecording
{
    private function __construct(
        public int $id,
        public string $name,
        public LocalDate $day,
        public string $topic,
    ) {
    }

    /**
     * @param  list<int>  $sections  of the student
     * @param  list<int>  $watched  recordings of which the student may see something, by core's rule of belonging
     * @return list<self> the last ones first
     */
    public static function to(Person $student, array $sections, array $watched): array
    {
        return array_values(
            DB::table('recordings')
                ->join('sessions', 'sessions.id', '=', 'recordings.session_id')
                ->join('series', 'series.id', '=', 'sessions.series_id')
                ->join('sections', 'sections.id', '=', 'series.section_id')
                ->where('recordings.state', 'released')
                ->whereNull('deleted_at')
                ->whereIntegerInRaw('recordings.id', $watched)
                ->whereIn(
                    'sessions.series_id',
                    DB::table('series_sections')->whereIntegerInRaw('section_id', $sections)->select('series_id'),
                )
                ->whereRaw(
                    'exists (select 1 from recording_segments p where p.recording_id = recordings.id and
                        p.released_at is not null and (p.to_all or exists (select 1 from recording_readers r
                        where r.recording_id = p.recording_id and r.n = p.n and r.person_id = ?)))',
                    [$student->id],
                )
                ->orderByDesc('starts_at')
                ->limit(12)
                ->get([
                    'recordings.id',
                    'sections.title',
                    'sections.year',
                    'day',
                    DB::raw("coalesce(sessions.title, topic, '') as topic"),
                ])
                ->map(
                    fn (stdClass $r): self => new self(
                        (int) $r->id,
                        Section::called($r->year, $r->title),
                        LocalDate::parse($r->day),
                        $r->topic,
                    ),
                )
                ->all(),
        );
    }
}
