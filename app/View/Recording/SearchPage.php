<?php

declare(strict_types=1);

namespace Nomada\App\View\Recording;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Recording\PlayRecording;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Belongings;
use Nomada\Core\Term\LocalDate;
use stdClass;

/** What was said in a section's recordings, found by its words. */
final readonly class SearchPage
{
    private const MOST = 60;

    public function __construct(private PlayRecording $play)
    {
    }

    public function of(Section $section, Person $for, string $words): SearchResult
    {
        $serves = Section::query()->whereKey($section->id)->seenBy($for)->exists() && $for->isStaff();
        abort_unless($serves || Belongings::of($for->id, [$section->id])->isAny(), 404);
        $words = mb_substr(trim($words), 0, 100);
        $watched = $serves
            ? []
            : $this->play->watched(
                array_values(array_map(intval(...), $section->series()->pluck('series.id')->all())),
                $for,
            );
        $hits =
            $words === ''
                ? []
                : DB::table('recording_cues')
                    ->join('recordings', 'recordings.id', '=', 'recording_cues.recording_id')
                    ->join('sessions', 'sessions.id', '=', 'recordings.session_id')
                    ->join(
                        'recording_segments',
                        fn ($j) => $j
                            ->on('recording_segments.recording_id', '=', 'recordings.id')
                            ->on('recording_cues.from_ms', '>=', 'recording_segments.from_ms')
                            ->on('recording_cues.from_ms', '<', 'recording_segments.to_ms'),
                    )
                    ->whereIn('series_id', $section->series()->pluck('series.id'))
                    ->whereNull('recordings.deleted_at')
                    ->whereRaw("words @@ websearch_to_tsquery('simple', ?)", [$words])
                    ->when(
                        ! $serves,
                        fn ($q) => $q
                            ->whereIntegerInRaw('recordings.id', $watched)
                            ->whereNotNull('released_at')
                            ->where(
                                fn ($w) => $w
                                    ->where('to_all', true)
                                    ->orWhereExists(
                                        fn ($e) => $e
                                            ->select(DB::raw(1))
                                            ->from('recording_readers')
                                            ->whereColumn('recording_readers.recording_id', 'recordings.id')
                                            ->whereColumn('recording_readers.n', 'recording_segments.n')
                                            ->where('recording_readers.person_id', $for->id),
                                    ),
                            )
                            ->whereNull('transcript_hash'),
                    )
                    ->orderByDesc('starts_at')
                    ->orderBy('recording_cues.from_ms')
                    ->limit(self::MOST)
                    ->get([
                        'recordings.id',
                        'day',
                        'recording_cues.from_ms',
                        'said',
                        'speaker',
                        DB::raw('coalesce(title, topic) as topic'),
                    ])
                    ->map(
                        fn (stdClass $r): SearchHit => new SearchHit(
                            (int) $r->id,
                            LocalDate::parse($r->day),
                            (string) $r->topic,
                            (int) $r->from_ms,
                            $r->said,
                            $r->speaker,
                        ),
                    )
                    ->all();

        return new SearchResult($section, $words, array_values($hits), count($hits) === self::MOST);
    }
}
