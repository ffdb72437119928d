<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Locks;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\SessionState;

/**
 * Changes one session and leaves the rest of its series: cancels it with a reason that students read, takes that back,
 * moves it to another day or time, makes it longer, gives it another teacher, a title, a note; adds an extra one, or
 * one that makes up a lost one. What has begun is never touched. The change outlives a change of the series where its
 * date still exists in it (see core's ScheduleReconciliation).
 */
final readonly class ChangeSession
{
    private const LONGEST = 720;

    public function __construct(
        private Clock $clock,
        private LaySessions $lay,
        private FollowSeries $follow,
        private SeriesHistory $history,
    ) {
    }

    /** @throws Fault where it has begun, is lost or cancelled already, or has no reason */
    public function cancel(Session $session, string $reason, ?Person $by = null, bool $keepsTopic = false): void
    {
        $reason = trim($reason);
        if ($reason === '') {
            throw new Fault('session.reason', 'reason');
        }
        $this->change(
            $session,
            SessionState::Planned,
            'session.cancel_planned',
            $by,
            fn (Session $s): array => [
                [
                    'state' => SessionState::Cancelled,
                    'reason' => $reason,
                    'cancelled' => $reason,
                    'keeps_topic' => $keepsTopic,
                ],
                new Said('history.cancelled', ['day' => $this->date($s), 'why' => $reason]),
            ],
        );
    }

    /** @throws Fault where it has begun or is not cancelled */
    public function restore(Session $session, ?Person $by = null): void
    {
        $this->change(
            $session,
            SessionState::Cancelled,
            'session.hold_cancelled',
            $by,
            fn (Session $s): array => [
                ['state' => SessionState::Planned, 'reason' => null, 'cancelled' => null, 'keeps_topic' => false],
                new Said('history.held', ['day' => $this->date($s)]),
            ],
        );
    }

    /**
     * @param  int  $start  minutes from midnight on the school's clock, which is the one that the screen shows
     * @param  list<int>  $besides  ids of sessions that are moved in the same step, and so are not in the way
     *
     * @throws Fault where it has begun, the day is closed, past or taken by the series, or the length makes no sense
     */
    public function move(
        Session $session,
        LocalDate $day,
        int $start,
        int $minutes,
        ?Person $by = null,
        array $besides = [],
    ): void {
        $this->change($session, SessionState::Planned, 'session.move_planned', $by, function (
            Session $session,
        ) use ($day, $start, $minutes, $besides): array {
            $term = $session->series->section->term->calendar();
            $at = $this->check($session->series, $term, $day, $start, $minutes, [$session->id, ...$besides]);
            $to = [
                'day' => $day->iso(),
                'starts_at' => Carbon::createFromTimestamp($at),
                'ends_at' => Carbon::createFromTimestamp($at + 60 * $minutes),
            ];
            $words = new Said($this->date($session)->day === $day->day ? 'history.moved_on_day' : 'history.moved', [
                'day' => $this->date($session),
                'to' => $day,
                'times' => TypedTime::format($start).'–'.TypedTime::format($start + $minutes),
            ]);
            if ($session->is_extra) {
                return [$to, $words];
            }
            $from = $session->moved_from ?? $session->day;

            // Back where the pattern put it, at its time, it is an exception no more.
            return [
                [
                    ...$to,
                    'moved_from' => $from === $day->iso() && [$at, $at + 60 * $minutes] === $this->own($session, $term)
                            ? null
                            : $from,
                ],
                $words,
            ];
        });
    }

    /**
     * What is told of this one session: another teacher, a title instead of its topic, a note. Empty text takes it
     * back.
     *
     * @throws Fault where it has begun, or the teacher is nobody of staff
     */
    public function tell(Session $session, string $title, string $note, ?Person $teacher, ?Person $by = null): void
    {
        if ($teacher !== null && ! $teacher->isStaff()) {
            throw new Fault('session.no_teacher', 'teacher', ['teacher' => $teacher->name()]);
        }
        $title = trim($title);
        $note = trim($note);
        $this->change($session, null, '', $by, function (Session $s) use ($title, $note, $teacher): array {
            $told = array_filter([
                $teacher !== null && $teacher->id !== $s->teacher_id
                    ? new Said('history.told.teacher', ['teacher' => $teacher->shortName()])
                    : ($teacher === null && $s->teacher_id !== null
                        ? new Said('history.told.own_teacher')
                        : null),
                $title !== (string) $s->title
                    ? ($title === ''
                        ? new Said('history.told.no_title')
                        : new Said('history.told.title', ['title' => $title]))
                    : null,
                $note !== (string) $s->note
                    ? new Said('history.told.'.($note === '' ? 'no_note' : 'note'))
                    : null,
            ]);

            return [
                [
                    'title' => $title === '' ? null : $title,
                    'note' => $note === '' ? null : $note,
                    'teacher_id' => $teacher?->id,
                ],
                new Said('history.with', [
                    'what' => new Said('history.of', ['day' => $this->date($s)]),
                    'with' => array_values($told) ?: [new Said('history.told.nothing')],
                ]),
            ];
        });
    }

    /**
     * Adds a session beside the pattern.
     *
     * @param  int  $start  minutes from midnight on the school's clock
     * @param  Session|null  $madeUp  the lost or cancelled session that it makes up
     * @param  list<int>|null  $chosen  ids of the students whom it is for; null for the whole roster
     *
     * @throws Fault
     */
    public function add(
        Series $series,
        LocalDate $day,
        int $start,
        int $minutes,
        ?Session $madeUp = null,
        ?Person $by = null,
        ?array $chosen = null,
        bool $takesTopic = true,
    ): Session {
        return DB::transaction(function () use (
            $series,
            $day,
            $start,
            $minutes,
            $madeUp,
            $by,
            $chosen,
            $takesTopic,
        ): Session {
            $series = $this->locked($series->id);
            $before = $this->history->snapshot($series->id);
            $session = $this->create($series, $day, $start, $minutes, $madeUp, [
                'chosen' => $chosen,
                'takes_topic' => $takesTopic,
            ]);
            $this->finish(
                $series,
                $by,
                self::added($day, $start, $minutes, $madeUp === null ? null : $this->date($madeUp), $chosen),
                $before,
                $chosen !== null,
            );

            return $session;
        });
    }

    /**
     * Makes several lost sessions of a series up, as one change. What follows from it is left to the caller, who may
     * have more series (see FollowSeries::several).
     *
     * @param  non-empty-list<array{Session, LocalDate, int, int}>  $times  the lost session; its new day, start
     *   (minutes from midnight on the school's clock) and length in minutes
     * @return list<Fault|null> for each of them: why it cannot be made up; null where it is
     */
    public function makeUp(Series $series, array $times, Person $by): array
    {
        return DB::transaction(function () use ($series, $times, $by): array {
            $series = $this->locked($series->id);
            $before = $this->history->snapshot($series->id);
            $faults = $said = [];
            foreach ($times as [$lost, $day, $start, $minutes]) {
                try {
                    $this->create($series, $day, $start, $minutes, $lost);
                    $said[] = self::added($day, $start, $minutes, $this->date($lost), null);
                    $faults[] = null;
                } catch (Fault $e) {
                    $faults[] = $e;
                }
            }
            if ($said !== []) {
                $this->record(
                    $series,
                    $by,
                    Said::parts($said),
                    $before,
                    false,
                );
            }

            return $faults;
        });
    }

    private function locked(int $id): Series
    {
        Locks::timetableOf($id);

        return Series::query()
            ->with(['section.term.school', 'section.term.closures'])
            ->lock('for no key update')
            ->findOrFail($id);
    }

    /**
     * @param  array<string, mixed>  $columns  besides those of every extra session
     *
     * @throws Fault
     */
    private function create(
        Series $series,
        LocalDate $day,
        int $start,
        int $minutes,
        ?Session $madeUp,
        array $columns = [],
    ): Session {
        if ($madeUp !== null && $madeUp->state === SessionState::Planned) {
            throw new Fault('session.not_lost', 'makes_up');
        }
        if (
            $madeUp !== null &&
            Session::query()
                ->where('series_id', $series->id)
                ->where('makes_up', $madeUp->day)
                ->where('state', SessionState::Planned)
                ->exists()
        ) {
            throw new Fault('session.made_up', 'makes_up', ['day' => $this->date($madeUp)]);
        }
        $at = $this->check($series, $series->section->term->calendar(), $day, $start, $minutes, []);

        return Session::query()->create([
            'series_id' => $series->id,
            'day' => $day->iso(),
            'starts_at' => Carbon::createFromTimestamp($at),
            'ends_at' => Carbon::createFromTimestamp($at + 60 * $minutes),
            'state' => SessionState::Planned,
            'is_extra' => true,
            'makes_up' => $madeUp?->day,
            ...$columns,
        ]);
    }

    /**
     * Takes an extra session out again.
     *
     * @throws Fault if it is none, or has begun
     */
    public function remove(Session $session, ?Person $by = null): void
    {
        if (! $session->is_extra) {
            throw new Fault('session.of_pattern', 'session');
        }
        $this->change(
            $session,
            null,
            '',
            $by,
            fn (Session $s): array => [null, new Said('history.no_extra', ['day' => $this->date($s)])],
        );
    }

    /** @return array{int, int} when the pattern would have it start and end, UTC seconds */
    private function own(Session $session, Term $term): array
    {
        $slot = LocalDate::parse($session->moved_from ?? $session->day)->day;
        foreach ($session->series->stretches()->sessions($term) as $planned) {
            if ($planned->day === $slot) {
                return [$planned->start, $planned->end];
            }
        }

        return [0, 0];
    }

    /**
     * When it would start, in UTC seconds.
     *
     * @param  list<int>  $but  ids of the series' sessions that are not in the way
     *
     * @throws Fault
     */
    private function check(Series $series, Term $term, LocalDate $day, int $start, int $minutes, array $but): int
    {
        $closed = $term->closedBecause($day->day);
        if ($closed !== null) {
            throw new Fault('session.closed', 'move_day', ['day' => $day, 'closed' => $closed]);
        }
        if ($minutes < 1 || $minutes > self::LONGEST) {
            throw new Fault('session.length', 'move_end');
        }
        $at = $term->zone->instant($day->day, $start);
        if ($at <= $this->clock->seconds()) {
            throw new Fault('session.past', 'move_start');
        }
        $other = Session::query()
            ->where('series_id', $series->id)
            ->where('state', SessionState::Planned)
            ->whereKeyNot($but)
            ->where('starts_at', '<', Carbon::createFromTimestamp($at + 60 * $minutes))
            ->where('ends_at', '>', Carbon::createFromTimestamp($at))
            ->first();
        if ($other !== null) {
            $zone = $term->zone;
            throw new Fault('session.meets', 'move_start', [
                'day' => $this->date($other),
                'from' => $zone->clock((int) $other->starts_at->timestamp),
                'till' => $zone->clock((int) $other->ends_at->timestamp),
            ]);
        }

        return $at;
    }

    /**
     * @param  SessionState|null  $from  the state that it must be in; any where null
     * @param  string  $refusal  the code of the fault where it is in another
     * @param  callable(Session): array{array<string, mixed>|null, Said}  $to  the columns (null to take it out),
     *   and the line of the history
     */
    private function change(Session $session, ?SessionState $from, string $refusal, ?Person $by, callable $to): void
    {
        DB::transaction(function () use ($session, $from, $to, $refusal, $by): void {
            // Locked, so that two people who press at one moment do not both count the sequence up.
            $series = $this->locked($session->series_id);
            $session = Session::query()
                ->lock('for no key update')
                ->findOrFail($session->id)
                ->setRelation('series', $series);
            if ($from !== null && $session->state !== $from) {
                throw new Fault($refusal, 'session');
            }
            if ((int) $session->starts_at->timestamp <= $this->clock->seconds()) {
                throw new Fault('session.begun', 'session');
            }
            $before = $this->history->snapshot($series->id);
            [$columns, $said] = $to($session);
            $columns === null ? $session->delete() : $session->update($columns);
            $this->finish($series, $by, $said, $before, $session->chosen !== null);
        });
    }

    /** @param  array<string, list<array<string, mixed>>>  $before */
    private function finish(Series $series, ?Person $by, Said $said, array $before, bool $isForSome): void
    {
        $this->record($series, $by, $said, $before, $isForSome);
        ($this->follow)($series);
    }

    /** @param  array<string, list<array<string, mixed>>>  $before */
    private function record(Series $series, ?Person $by, Said $said, array $before, bool $isForSome): void
    {
        if ($series->topics !== []) {
            $this->lay->write($series, $this->lay->standing($series->id));
        }
        $this->history->record($series, $by, $said, $before, isForSome: $isForSome);
    }

    /** @param  list<int>|null  $chosen */
    private static function added(
        LocalDate $day,
        int $start,
        int $minutes,
        ?LocalDate $madeUp,
        ?array $chosen,
    ): Said {
        $with = [
            'day' => $day,
            'times' => TypedTime::format($start).'–'.TypedTime::format($start + $minutes),
            'lost' => $madeUp ?? '',
        ];
        $said = new Said($madeUp === null ? 'history.extra' : 'history.made_up', $with);

        return $chosen === null ? $said : new Said('history.for_chosen', ['what' => $said, 'n' => count($chosen)]);
    }

    private function date(Session $session): LocalDate
    {
        return LocalDate::parse($session->day);
    }
}
