<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Doorway;
use Nomada\App\Actions\Presence\CorrectAttendance;
use Nomada\App\Actions\Presence\TellAbsence;
use Nomada\App\Actions\Presence\WorkOutSums;
use Nomada\App\Actions\Recording\FollowRecordings;
use Nomada\App\Actions\Recording\ReleaseRecording;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Presence\Correction;
use Nomada\Core\Presence\Status;
use Nomada\Core\Recording\RecordingState;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/**
 * Four weeks of the demo school as they might have been: who came, when, and who did not; corrections, absences that
 * were told, three recordings. Made once from a seed, so that every demo is the same.
 */
final readonly class DemoPresence
{
    private const SEED = 7302;

    public function __construct(
        private Clock $clock,
        private WorkOutSums $sums,
        private ConferenceBridge $bridge,
        private FollowRecordings $follow,
        private ReleaseRecording $release,
    ) {
    }

    /** Who came, and what was told and corrected of it. */
    public function past(Person $by): void
    {
        $random = new Randomizer(new Mt19937(self::SEED));
        $this->consents($random);
        $this->events($random);
        $this->absences($by);
        foreach (DB::table('sections')->orderBy('id')->pluck('id') as $section) {
            $this->sums->whole((int) $section);
        }
        $this->corrections($by);
    }

    private function consents(Randomizer $random): void
    {
        foreach (DB::table('people')->where('role', Role::Student)->orderBy('id')->pluck('id') as $id) {
            $agreed = $random->getInt(1, 20) > 2;
            if ($agreed || $random->getInt(1, 2) === 1) {
                DB::table('people')
                    ->where('id', $id)
                    ->update(['may_be_recorded' => $agreed, 'recorded_said_on' => '2027-01-11']);
            }
        }
    }

    private function events(Randomizer $random): void
    {
        $students = DB::table('memberships')
            ->join('people', 'people.id', '=', 'person_id')
            ->join('series_sections', 'series_sections.section_id', '=', 'memberships.section_id')
            ->whereIn('memberships.role', [MembershipRole::Student, MembershipRole::Teacher])
            ->orderBy('people.id')
            ->get(['series_id', 'people.id', 'people.sourced_id', 'given_name', 'family_name', 'memberships.role'])
            ->groupBy('series_id');
        // How often each comes, and how late: most always, a few seldom.
        $habit = [];
        $rows = [];
        $sessions = DB::table('sessions')
            ->where('state', SessionState::Planned)
            ->where('ends_at', '<=', $this->clock->now())
            ->orderBy('starts_at')
            ->orderBy('id')
            ->get([
                'id',
                'series_id',
                DB::raw('extract(epoch from starts_at)::bigint as s'),
                DB::raw('extract(epoch from ends_at)::bigint as e'),
            ]);
        foreach ($sessions as $session) {
            foreach ($students[$session->series_id] ?? [] as $person) {
                $habit[$person->id] ??= $random->getInt(1, 12) === 1 ? 65 : $random->getInt(92, 100);
                if (
                    $person->role === MembershipRole::Student->value &&
                    $random->getInt(1, 100) > $habit[$person->id]
                ) {
                    continue;
                }
                $isTeacher = $person->role === MembershipRole::Teacher->value;
                foreach ($this->stays($session, $isTeacher, $random) as [$at, $isJoin, $device]) {
                    $rows[] = [
                        'session_id' => $session->id,
                        'who' => $person->sourced_id,
                        'person_id' => $person->id,
                        'name' => trim("$person->given_name $person->family_name"),
                        'at' => gmdate('Y-m-d H:i:sP', $at),
                        'is_join' => $isJoin,
                        'device' => $device,
                    ];
                }
            }
        }
        foreach (array_chunk($rows, 1000) as $chunk) {
            DB::table('presence_events')->insertOrIgnore($chunk);
        }
    }

    /** @return list<array{int, bool, string}> */
    private function stays(stdClass $session, bool $isTeacher, Randomizer $random): array
    {
        $device = ['', 'phone', 'laptop'][$random->getInt(0, 2)];
        $late = $random->getInt(1, 100);
        $came =
            $session->s +
            ($isTeacher ? -420 : ($late > 93 ? $random->getInt(330, 900) : $random->getInt(-360, 150)));
        $left = $session->e + $random->getInt(5, 50);
        $out = [[(int) $came, true, $device]];
        $what = $isTeacher ? 100 : $random->getInt(1, 100);
        if ($what <= 4) {
            // The line was lost for a while.
            $lost = $random->getInt((int) $session->s + 500, (int) $session->e - 700);
            array_push($out, [$lost, false, $device], [$lost + $random->getInt(70, 420), true, $device]);
        } elseif ($what <= 7) {
            $left = $random->getInt((int) $session->s + 900, (int) $session->e - 400);
        }
        if ($what !== 8) {
            $out[] = [(int) $left, false, $device];
        }

        return $out;
    }

    private function absences(Person $by): void
    {
        $tell = app(TellAbsence::class);
        foreach (
            [
                ['S-8-003', '2027-02-03', '2027-02-04', 'At sea until Thursday evening'],
                ['S-8-007', '2027-02-11', '2027-02-12', 'The fair moves to the next town'],
                ['S-7-004', '2027-01-25', '2027-01-26', 'Ill'],
                ['S-9-002', '2027-02-09', '2027-02-09', 'Dentist'],
            ] as [$who, $from, $to, $why]
        ) {
            $student = Person::query()->where('sourced_id', $who)->first();
            if ($student !== null) {
                $tell($student, LocalDate::parse($from), LocalDate::parse($to), $why, $by, true);
            }
        }
    }

    private function corrections(Person $by): void
    {
        $correct = app(CorrectAttendance::class);
        $words = [
            'Sat beside her brother, on his device',
            'Came in by phone',
            'The line was down for the whole harbour',
        ];
        $absent = DB::table('sessions')
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->join('session_sums', 'session_sums.session_id', '=', 'sessions.id')
            ->join('memberships', 'memberships.section_id', '=', 'series_sections.section_id')
            ->where('absent', '>', 0)
            ->where('memberships.role', MembershipRole::Student)
            ->whereNotExists(
                fn ($q) => $q
                    ->select(DB::raw(1))
                    ->from('presence_events')
                    ->whereColumn('presence_events.session_id', 'sessions.id')
                    ->whereColumn('presence_events.person_id', 'memberships.person_id'),
            )
            ->orderBy('sessions.id')
            ->orderBy('memberships.person_id')
            ->get(['sessions.id', 'memberships.person_id']);
        foreach ($words as $i => $why) {
            $one = $absent[7 * $i] ?? null;
            if ($one !== null) {
                $correct(
                    Session::query()->with('series.section')->whereKey($one->id)->firstOrFail(),
                    Person::query()->whereKey($one->person_id)->firstOrFail(),
                    new Correction($i === 2 ? Status::Excused : Status::Present, $i === 2 ? null : 40, $why),
                    $by,
                );
            }
        }
    }

    /** One released, one ready, one that failed. */
    public function recordings(Person $by): void
    {
        foreach ([['8MAR', '2027-02-04'], ['8MAT-A', '2027-02-08'], ['9CHE', '2027-02-05']] as [$section, $day]) {
            $session = $this->session($section, $day);
            if ($session === null) {
                continue;
            }
            $core = $session->toCore();
            $way = Doorway::ofSeries($session->series, $core);
            $meeting = Doorway::meeting($core->start);
            // The loading was ended after this, and goes on.
            if ($this->bridge->recordings($way->room, $meeting) === []) {
                $this->bridge->act($way->room, $meeting, 'record', $core->start + 180, ['on' => true]);
                $this->bridge->act($way->room, $meeting, 'record', $core->end - 90, ['on' => false]);
            }
        }
        foreach ([['8MAR', '2027-02-04'], ['8MAT-A', '2027-02-08']] as [$section, $day]) {
            $session = $this->session($section, $day);
            if ($session !== null) {
                $recording = Recording::query()->where('session_id', $session->id);
                // The demo's stand-ins need a moment for it, on a busy machine a long one.
                while (! ($recording->clone()->first()?->state->isWhole() ?? false)) {
                    ($this->follow)($session) > 0 || usleep(200_000);
                }
                $recording->update(['ready_at' => gmdate('Y-m-d H:i:sP', $session->toCore()->end + 1500)]);
            }
        }
        $released = Recording::query()->where('session_id', $this->session('8MAT-A', '2027-02-08')?->id)->first();
        if ($released?->state === RecordingState::Ready) {
            $parts = DB::table('recording_segments')
                ->where('recording_id', $released->id)
                ->orderBy('n')
                ->pluck('n');
            ($this->release)($released, array_values(array_map(intval(...), $parts->all())), null, null, $by);
        }
        $failed = $this->session('9CHE', '2027-02-05');
        if ($failed !== null) {
            ($this->follow)($failed);
            Recording::query()
                ->where('session_id', $failed->id)
                ->update(['state' => RecordingState::Failed, 'trouble' => 'The bridge lost the line.']);
        }
    }

    private function session(string $section, string $day): ?Session
    {
        return Session::query()
            ->where('day', $day)
            ->where('state', SessionState::Planned)
            ->whereRelation('series.section', 'sourced_id', $section)
            ->with(['series.section.term.school', 'series.section.term.closures', 'series.hostAccount.plan'])
            ->first();
    }
}
