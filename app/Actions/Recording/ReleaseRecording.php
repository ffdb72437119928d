<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Recording;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Post\Letters;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Secrets;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Recording\RecordingState;
use Nomada\Core\Term\LocalDate;

/** Lets students see a recording, part by part, all of them or chosen ones; and takes it back. */
final readonly class ReleaseRecording
{
    public function __construct(
        private Clock $clock,
        private Audit $audit,
        private RefreshPlacements $refresh,
        private Attendances $attendances,
        private Letters $letters,
    ) {
    }

    /**
     * The parts that are named are released, the others are not (any more).
     *
     * @param  list<int>  $parts  numbers
     * @param  list<int>|null  $people  chosen students; null for everybody of the series
     * @param  string|null  $word  to be typed before it plays; '' for none, null to leave it as it is
     *
     * @throws Fault
     */
    public function __invoke(Recording $recording, array $parts, ?array $people, ?string $word, ?Person $by): void
    {
        if ($parts === []) {
            throw new Fault('recording.parts', 'parts');
        }
        if ($people === []) {
            throw new Fault('recording.people', 'people');
        }
        DB::transaction(function () use ($recording, $parts, $people, $word, $by): void {
            $fresh = $this->locked($recording);
            if (! $fresh->state->isWhole()) {
                throw new Fault('recording.early', 'parts');
            }
            // Everybody, of a session for chosen students, is those.
            $people ??= $fresh->session->chosen;
            $known = array_map(
                intval(...),
                DB::table('recording_segments')->where('recording_id', $fresh->id)->pluck('n')->all(),
            );
            if (array_diff($parts, $known) !== []) {
                throw new Fault('recording.changed', 'parts');
            }
            DB::table('recording_segments')
                ->where('recording_id', $fresh->id)
                ->update(['released_at' => null, 'to_all' => true]);
            DB::table('recording_segments')
                ->where('recording_id', $fresh->id)
                ->whereIn('n', $parts)
                ->update(['released_at' => $this->clock->now(), 'to_all' => $people === null]);
            DB::table('recording_readers')->where('recording_id', $fresh->id)->delete();
            foreach ($people ?? [] as $person) {
                DB::table('recording_readers')->insert(
                    array_map(
                        fn (int $n): array => ['recording_id' => $fresh->id, 'n' => $n, 'person_id' => $person],
                        $parts,
                    ),
                );
            }
            $fresh->update([
                'state' => RecordingState::Released,
                ...$word === null
                    ? []
                    : [
                        'transcript_hash' => trim($word) === ''
                            ? null
                            : Secrets::sum(mb_strtolower(trim($word)), 'recording'),
                    ],
            ]);
            $this->told(
                $fresh,
                $by,
                self::released(count($parts) === count($known) ? null : $parts, $people, $by === null),
            );
            // Anybody who was not there reads that it can be seen now.
            $missed = Person::query()
                ->whereKey($people ?? $this->absent($fresh))
                ->orderBy('id')
                ->get();
            foreach ($missed as $student) {
                $this->letters->recorded($fresh->session, $fresh->id, $student);
            }
        });
    }

    /**
     * Whom a choice means.
     *
     * @param  'absent'|'all'|'chosen'  $whom
     * @param  list<string>  $chosen  sourcedIds
     * @return list<int>|null null for everybody
     *
     * @throws Fault where nobody was absent
     */
    public function whom(Recording $recording, string $whom, array $chosen): ?array
    {
        if ($whom === 'all') {
            return null;
        }
        $people = $whom === 'absent' ? $this->absent($recording) : [];
        if ($whom === 'chosen') {
            $sections = $recording->session->series->sectionIds();
            $people = array_map(
                intval(...),
                Person::query()
                    ->whereIn('sourced_id', $chosen)
                    ->whereIn(
                        'id',
                        DB::table('memberships')
                            ->whereIn('section_id', $sections)
                            ->where('role', MembershipRole::Student)
                            ->select('person_id'),
                    )
                    ->pluck('id')
                    ->all(),
            );
        }
        if ($people === []) {
            throw new Fault($whom === 'absent' ? 'recording.nobody_absent' : 'recording.people', 'people');
        }

        return array_values(array_unique($people));
    }

    /** @return list<int> students who were not in the session, by id */
    private function absent(Recording $recording): array
    {
        $people = [];
        foreach ($recording->session->series->sectionIds() as $section) {
            foreach ($this->attendances->ofSection($section, [$recording->session_id])->cells as $cells) {
                foreach ($cells as $person => $one) {
                    if (! $one->status()->came()) {
                        $people[] = $person;
                    }
                }
            }
        }

        return $people;
    }

    /** @throws Fault */
    public function withdraw(Recording $recording, Person $by): void
    {
        DB::transaction(function () use ($recording, $by): void {
            $fresh = $this->locked($recording);
            if ($fresh->state !== RecordingState::Released) {
                throw new Fault('recording.not_released', 'form');
            }
            DB::table('recording_segments')
                ->where('recording_id', $fresh->id)
                ->update(['released_at' => null]);
            DB::table('recording_readers')->where('recording_id', $fresh->id)->delete();
            $fresh->update(['state' => RecordingState::Withdrawn]);
            $this->told($fresh, $by, new Said('audit.recording_withdrawn'));
        });
    }

    /** From now on a section's recordings are released once they are ready, or by hand. */
    public function section(Section $section, bool $byItself, Person $by): void
    {
        DB::transaction(function () use ($section, $byItself, $by): void {
            $section->update(['releases_by_itself' => $byItself]);
            ($this->audit)(
                'recording',
                null,
                $by,
                new Said($byItself ? 'audit.release_itself' : 'audit.release_hand'),
                $section,
            );
        });
    }

    /** Where the section says so, and everybody of it has agreed to be recorded. */
    public function byItself(Recording $recording): void
    {
        $section = $recording->session->series->section;
        if (! $section->releases_by_itself || self::disagree($recording) !== []) {
            return;
        }
        $parts = array_values(
            array_map(
                intval(...),
                DB::table('recording_segments')
                    ->where('recording_id', $recording->id)
                    ->orderBy('n')
                    ->pluck('n')
                    ->all(),
            ),
        );
        if ($parts !== []) {
            $this($recording, $parts, null, null, null);
        }
    }

    /**
     * Students who were inside and have not agreed to be recorded, as the office has it.
     *
     * @return list<string> names
     */
    public static function disagree(Recording $recording): array
    {
        return array_values(
            Person::query()
                ->where('role', MembershipRole::Student)
                ->whereRaw('may_be_recorded is not true')
                ->whereIn(
                    'id',
                    DB::table('presence_events')->where('session_id', $recording->session_id)->select('person_id'),
                )
                ->orderBy('family_name')
                ->get()
                ->map(fn (Person $p): string => $p->name())
                ->all(),
        );
    }

    private function locked(Recording $recording): Recording
    {
        return Recording::query()
            ->with('session.series.section')
            ->whereNull('deleted_at')
            ->lock('for update')
            ->find($recording->id) ?? throw new Fault('recording.deleted', 'form');
    }

    /**
     * @param  list<int>|null  $parts  numbers; null for the whole of it
     * @param  list<mixed>|null  $people  null for everybody
     */
    private static function released(?array $parts, ?array $people, bool $byItself): Said
    {
        $said = new Said('audit.released', [
            'what' => $parts === null
                    ? new Said('audit.recording')
                    : new Said('audit.parts', ['parts' => implode(', ', $parts)]),
            'whom' => $people === null
                    ? new Said('audit.everybody')
                    : new Said('audit.students', ['n' => count($people)]),
        ]);

        return $byItself ? Said::list([$said, new Said('audit.by_itself')]) : $said;
    }

    private function told(Recording $recording, ?Person $by, Said $what): void
    {
        $series = $recording->session->series;
        ($this->audit)(
            'recording',
            $series,
            $by,
            new Said('history.with', [
                'what' => LocalDate::parse((string) $recording->session->day),
                'with' => $what,
            ]),
        );
        ($this->refresh)($series->sectionIds());
    }
}
