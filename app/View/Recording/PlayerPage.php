<?php

declare(strict_types=1);

namespace Nomada\App\View\Recording;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\URL;
use Nomada\App\Actions\Recording\ReleaseRecording;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Term\LocalDate;
use stdClass;

/** A recording as it is played: parts, the transcript beside it, and for anybody who hosts it who may see it. */
final readonly class PlayerPage
{
    /** Seconds for which an address of sound is good. */
    private const GOOD_FOR = 14400;

    /**
     * @param  list<PlayedPart>  $parts  those that the viewer may see
     * @param  list<string>  $disagree  names of students inside who have not agreed to be recorded
     * @param  array<string, string>  $pupils  names by sourcedId
     * @param  list<string>  $readers  sourcedIds of chosen students
     * @param  int  $place  milliseconds
     */
    private function __construct(
        public Recording $recording,
        public string $name,
        public LocalDate $day,
        public string $topic,
        public array $parts,
        public bool $serves,
        public array $disagree,
        public array $pupils,
        public array $readers,
        public int $place,
        public bool $toAll,
        public string $section,
    ) {
    }

    /** @param  list<array{int, int, int}>  $parts */
    public static function of(Recording $recording, array $parts, Person $for, bool $serves): self
    {
        $session = $recording->session;
        $cues = DB::table('recording_cues')
            ->where('recording_id', $recording->id)
            ->orderBy('n')
            ->get(['from_ms', 'to_ms', 'speaker', 'said']);
        $released = DB::table('recording_segments')
            ->where('recording_id', $recording->id)
            ->get(['n', 'released_at', 'to_all'])
            ->keyBy('n');
        $address = fn (string $route, int $n): string => URL::temporarySignedRoute(
            $route,
            now()->addSeconds(self::GOOD_FOR),
            [
                'recording' => $recording->id,
                'part' => $n,
                'for' => $for->id,
            ],
        );

        return new self(
            $recording,
            $session->series->section->name(),
            LocalDate::parse($session->day),
            (string) ($session->title ?? $session->topic),
            array_map(
                fn (array $p): PlayedPart => new PlayedPart(
                    $p[0],
                    $p[1],
                    $p[2],
                    $address('recording.part', $p[0]),
                    $address('recording.transcript', $p[0]),
                    ($released[$p[0]]->released_at ?? null) !== null,
                    array_values(
                        $cues
                            ->filter(fn (stdClass $c): bool => $c->from_ms >= $p[1] && $c->from_ms < $p[2])
                            ->map(
                                fn (stdClass $c): PlayedCue => new PlayedCue(
                                    $c->from_ms - $p[1],
                                    $c->to_ms - $p[1],
                                    $c->said,
                                    $c->speaker,
                                ),
                            )
                            ->all(),
                    ),
                ),
                $parts,
            ),
            $serves,
            $serves ? ReleaseRecording::disagree($recording) : [],
            $serves ? self::pupils($recording) : [],
            $serves
                ? array_values(
                    DB::table('recording_readers')
                        ->join('people', 'people.id', '=', 'person_id')
                        ->where('recording_id', $recording->id)
                        ->distinct()
                        ->pluck('sourced_id')
                        ->all(),
                )
                : [],
            (int) DB::table('playback_positions')
                ->where(['recording_id' => $recording->id, 'person_id' => $for->id])
                ->value('ms'),
            $released->every(fn (stdClass $p): bool => (bool) $p->to_all),
            $session->series->section->sourced_id,
        );
    }

    /** @return array<string, string> */
    private static function pupils(Recording $recording): array
    {
        return Person::query()
            ->whereIn(
                'id',
                DB::table('memberships')
                    ->whereIn('section_id', $recording->session->series->sectionIds())
                    ->where('role', MembershipRole::Student)
                    ->select('person_id'),
            )
            ->orderBy('family_name')
            ->get()
            ->mapWithKeys(fn (Person $p): array => [$p->sourced_id => $p->name()])
            ->all();
    }
}
