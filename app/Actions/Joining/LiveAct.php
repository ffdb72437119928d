<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Presence\ReadPresence;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Post\Letters;
use Nomada\App\Queries\Belongings;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\SessionRole;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Presence\RollCall;
use Nomada\Core\Term\LocalDate;

/**
 * What a teacher does at the live desk. Most of it is handed on to the bridge as it is; letters, passes and notes are
 * ours.
 */
final readonly class LiveAct
{
    /** What the bridge does itself. */
    public const BRIDGE = [
        'let-in',
        'let-in-all',
        'send-out',
        'give-floor',
        'take-floor',
        'mute',
        'may-unmute',
        'lower-hand',
        'take-line',
        'chat',
        'ask',
        'clear-question',
        'record',
        'say',
        'mark',
        'wipe',
        'end',
        'reopen',
    ];

    public const OURS = ['come-in', 'rehearse', 'note', 'pass', 'tell-guardian'];

    /** Who comes to a rehearsal. */
    private const INVENTED = [
        'Alba Ferrán',
        'Bruno Casal',
        'Chloé Marin',
        'Dídac Soler',
        'Edda Lindqvist',
        'Farid Amrani',
    ];

    /** What they do there, one step after the other: who, what, and with what. */
    private const PLAYED = [
        [[0, ['do' => 'hand', 'on' => true]], [1, ['do' => 'say', 'text' => 'Is the harbour the grey part?']]],
        [
            [1, ['do' => 'hand', 'on' => true]],
            [0, ['do' => 'say', 'text' => 'I hear you very faintly', 'to' => 'teacher']],
        ],
        [
            [0, ['do' => 'answer', 'choice' => 0]],
            [1, ['do' => 'answer', 'choice' => 1]],
            [0, ['do' => 'mic', 'on' => true]],
        ],
    ];

    public function __construct(
        private ConferenceBridge $bridge,
        private Clock $clock,
        private Audit $audit,
        private GuestPass $guestPass,
        private Letters $letters,
        private ReadPresence $read,
        private Attendances $attendances,
    ) {
    }

    /**
     * @param  array<string, mixed>  $with  person, and what else the act needs
     * @return string what is told of it
     *
     * @throws DestinationFailure in the bridge's own words
     * @throws Fault
     */
    public function __invoke(LiveRoom $live, string $act, array $with, Person $by): string
    {
        if ($live->way->room === '') {
            throw new DestinationFailure(__('live.no_room'));
        }

        return match ($act) {
            'rehearse' => $this->rehearse($live, $by),
            'come-in' => $this->comeIn($live, $by),
            'note' => $this->note($live, (string) ($with['text'] ?? ''), $by),
            'pass' => $this->pass($live, $with, $by),
            'tell-guardian' => $this->tellGuardian($live, (string) ($with['person'] ?? '')),
            default => $this->atBridge($live, $act, $with, $by),
        };
    }

    /** @param  array<string, mixed>  $with */
    private function atBridge(LiveRoom $live, string $act, array $with, Person $by): string
    {
        $now = $this->clock->seconds();
        if ($act === 'reopen' && ! $live->isOpen($now)) {
            throw new Fault('live.time_over', 'form');
        }
        // In a drop-in room nobody is late.
        $with['late'] =
            ! $live->isRehearsal &&
            $live->series !== null &&
            $this->attendances->rules()->isLate($now, $live->start);
        if (in_array($act, ['say', 'mark'], true)) {
            $with = ['person' => $by->sourced_id, 'name' => $by->name()] + $with;
        }
        $state = $this->bridge->act($live->way->room, $live->meeting, $act, $now, $with);
        Cache::forget($live->way->look($live->meeting));
        if (! $live->isRehearsal && in_array($act, ['send-out', 'end', 'reopen', 'record'], true)) {
            $person = (string) ($with['person'] ?? '');
            ($this->audit)(
                'live',
                $live->series,
                $by,
                match ($act) {
                    'end' => new Said('audit.ended'),
                    'reopen' => new Said('audit.reopened'),
                    'record' => new Said(empty($with['on']) ? 'audit.record_off' : 'audit.record_on'),
                    default => new Said('audit.sent_out', ['person' => $person]),
                },
                $live->section,
            );
        }
        $session =
            in_array($act, ['end', 'reopen'], true) && $live->session !== null
                ? Session::query()->find($live->session)
                : null;
        if ($session !== null && ! $live->isRehearsal) {
            ($this->read)($session);
        }

        return $act === 'end' ? trans_choice('live.said.end', count($state['inside'])) : __("live.said.$act");
    }

    /** The teacher is inside, and stays at the desk. */
    private function comeIn(LiveRoom $live, Person $by): string
    {
        $now = $this->clock->seconds();
        $isOver =
            ! $live->isRehearsal &&
            ! $live->isOpen($now) &&
            $this->bridge->state($live->way->room, $live->meeting)['inside'] === [];
        if ($isOver) {
            throw new Fault('live.time_over', 'form');
        }
        $this->bridge->admit($live->way->room, $by->sourced_id, $by->name(), true, [
            'meeting' => $live->meeting,
            'floor' => $live->way->floor->toArray(),
            'at' => $now,
            'device' => 'desk',
        ]);
        Cache::forget($live->way->look($live->meeting));

        return __('live.said.come-in');
    }

    private function rehearse(LiveRoom $live, Person $by): string
    {
        if (! $live->isRehearsal) {
            throw new DestinationFailure(__('live.rehearsal_only'));
        }
        $with = [
            'meeting' => $live->meeting,
            'floor' => $live->way->floor->toArray(),
            'at' => $this->clock->seconds(),
        ];
        $key = "rehearsal {$live->way->room} $live->meeting";
        $step = Cache::get($key);
        if ($step === null || $this->bridge->state($live->way->room, $live->meeting)['inside'] === []) {
            $this->bridge->admit(
                $live->way->room,
                $by->sourced_id,
                $by->name(),
                true,
                ['device' => 'desk'] + $with,
            );
            foreach (self::INVENTED as $n => $name) {
                $this->bridge->admit($live->way->room, "invented-$n", $name, false, ['outside' => $n > 1] + $with);
            }
            Cache::put($key, 0, 7200);

            return __('live.said.rehearse');
        }
        foreach (self::PLAYED[$step % count(self::PLAYED)] as [$n, $what]) {
            try {
                $this->bridge->act(
                    $live->way->room,
                    $live->meeting,
                    'does',
                    $this->clock->seconds(),
                    ['person' => "invented-$n"] + $what,
                );
            } catch (DestinationFailure) {
                // Sent out, or the floor does not let them: that is what is rehearsed.
            }
        }
        Cache::put($key, $step + 1, 7200);

        return __('live.said.rehearse_on');
    }

    private function note(LiveRoom $live, string $text, Person $by): string
    {
        if ($live->session !== null) {
            DB::table('session_notes')->upsert(
                [
                    'session_id' => $live->session,
                    'text' => mb_substr(trim($text), 0, 4000),
                    'by_id' => $by->id,
                    'at' => $this->clock->now(),
                ],
                'session_id',
            );
        }

        return __('live.said.note');
    }

    /**
     * A pass for this session, made and sent in one step.
     *
     * @param  array<string, mixed>  $with
     */
    private function pass(LiveRoom $live, array $with, Person $by): string
    {
        $name = trim((string) ($with['name'] ?? ''));
        if ($name === '' || $live->series === null) {
            throw new Fault('live.pass.name_fault', 'name');
        }
        $day = $live->zone->dateAt($live->start);
        $pass = ($this->guestPass)($live->series, $name, trim((string) ($with['email'] ?? '')), $day, $day, $by);

        return __($pass->guest_email === null ? 'live.said.pass' : 'live.said.pass_sent', [
            'name' => $name,
            'address' => $pass->guest_email,
            'link' => $pass->address(),
        ]);
    }

    private function tellGuardian(LiveRoom $live, string $person): string
    {
        $student = Person::query()->where('sourced_id', $person)->first();
        $session = $live->session === null ? null : Session::query()->with('series')->find($live->session);
        if ($student === null || $session === null || $live->isRehearsal) {
            throw new Fault('live.nobody', 'form');
        }
        $day = LocalDate::parse($session->day)->day;
        $sections = array_values($session->series->sectionIds());
        if (Belongings::of($student->id, $sections)->on($day, null, $session->chosen) !== SessionRole::Student) {
            throw new Fault('live.not_theirs', 'form', ['name' => $student->name()]);
        }
        if ($this->clock->seconds() < $live->start) {
            throw new Fault('live.not_begun', 'form');
        }
        $room = $this->bridge->state($live->way->room, $live->meeting);
        $call = RollCall::of(
            [$student->sourced_id],
            array_column([...$room['inside'], ...$room['outside']], 'person'),
            [...$room['left'], ...$room['sent_out'], ...Attendances::came($session->id)],
        );
        if ($call->never === []) {
            throw new Fault('live.has_come', 'form', ['name' => $student->name()]);
        }

        return trans_choice('live.said.tell-guardian', $this->letters->notHere($session, $student), [
            'name' => $student->name(),
        ]);
    }
}
