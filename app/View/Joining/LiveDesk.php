<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\LiveRoom;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\UnknownRoom;
use Nomada\App\Models\Term\MembershipRow;
use Nomada\App\Models\Term\Person;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Support\Browser;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Order;
use Nomada\App\Support\Say;
use Nomada\App\View\Joining\Live\DeskPage;
use Nomada\App\View\Joining\Live\Missing;
use Nomada\App\View\Joining\Live\SessionLine;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Presence\RollCall;
use Nomada\Core\Term\Zone;

/**
 * Builds the teacher's page while a session runs.
 *
 * @phpstan-import-type State from ConferenceBridge
 */
final readonly class LiveDesk
{
    public function __construct(
        private ConferenceBridge $bridge,
        private Clock $clock,
        private Attendances $attendances,
    ) {
    }

    public function page(LiveRoom $live, Person $for): DeskPage
    {
        $room = self::unknown();
        $trouble = $live->way->room === '' ? (string) trans('live.no_room') : null;
        try {
            $room = $live->way->room === '' ? $room : $this->bridge->state($live->way->room, $live->meeting);
        } catch (DestinationFailure $e) {
            $trouble = $e->getMessage();
        }
        $now = $this->clock->seconds();
        $isReal = ! $live->isRehearsal && $live->series !== null;
        $here = array_column([...$room['inside'], ...$room['outside']], 'person');
        $roster = $isReal
            ? $this->roster($live->series->sectionIds(), $live->zone->dateAt($live->start)->iso(), $live->chosen)
            : [];
        $isOut = fn (Person $p): bool => in_array($p->sourced_id, $room['sent_out'], true);
        $rosterIn = array_values(array_filter($roster, fn (Person $p): bool => ! $isOut($p)));
        $call = RollCall::of(
            array_map(fn (Person $p): string => $p->sourced_id, $rosterIn),
            $here,
            $live->session === null ? [] : [...$room['left'], ...Attendances::came($live->session)],
        );
        $those = fn (array $ids): array => array_values(
            array_filter($rosterIn, fn (Person $p): bool => in_array($p->sourced_id, $ids, true)),
        );
        $isEnded = $room['state'] === 'over';

        return new DeskPage(
            $live,
            $room,
            $trouble,
            $isReal ? $this->missing($those($call->never), $live) : [],
            array_map(fn (Person $p): string => $p->name(), $those($call->left)),
            $live->isRehearsal || $live->isOpen($now) || $room['inside'] !== [],
            $isReal && $isEnded && $live->isOpen($now),
            $now >= $live->start,
            array_values(array_map(fn (Person $p): string => $p->name(), array_filter($roster, $isOut))),
            array_values(
                array_map(
                    fn (Person $p): string => $p->name(),
                    array_filter(
                        $roster,
                        fn (Person $p): bool => $p->may_be_recorded !== true &&
                            in_array($p->sourced_id, $here, true),
                    ),
                ),
            ),
            $isReal ? $this->teachers($live, $for) : [],
            $live->isRehearsal ? [] : $this->claims($live->series?->id, $live->zone),
            $isReal && $this->attendances->rules()->isLate($now, $live->start)
                ? intdiv($now - $live->start, 60)
                : 0,
            in_array($for->sourced_id, array_column($room['inside'], 'person'), true),
            (string) DB::table('session_notes')->where('session_id', $live->session)->value('text'),
            Say::this(Preset::say($live->way->door, $live->way->floor)),
            SessionLine::of(
                $live->zone,
                $live->start - 60 * $live->way->door->opensBefore,
                $live->start,
                $live->end,
                $room['recording_since'],
                $now,
            ),
        );
    }

    /** @return State */
    private static function unknown(): array
    {
        return UnknownRoom::state('shut', false);
    }

    /**
     * @param  list<int>  $sections
     * @param  list<int>|null  $chosen  whom alone the session is for
     * @return list<Person> students on the roster on that day, by family name
     */
    private function roster(array $sections, string $day, ?array $chosen): array
    {
        return array_values(
            MembershipRow::query()
                ->whereIn('section_id', $sections)
                ->where('role', MembershipRole::Student)
                ->when($chosen !== null, fn ($q) => $q->whereIn('person_id', $chosen ?? []))
                ->on($day)
                ->with('person')
                ->get()
                ->unique('person_id')
                ->sortBy(fn (MembershipRow $e): string => Order::key($e->person->family_name, $e->person->given_name))
                ->map(fn (MembershipRow $e): Person => $e->person)
                ->all(),
        );
    }

    /**
     * @param  list<Person>  $away
     * @return list<Missing>
     */
    private function missing(array $away, LiveRoom $live): array
    {
        $ids = array_map(fn (Person $p): int => $p->id, $away);
        $day = $live->zone->dateAt($live->start)->iso();
        $excused = DB::table('reported_absences')
            ->whereIn('person_id', $ids)
            ->where('from_day', '<=', $day)
            ->where('to_day', '>=', $day)
            ->pluck('person_id', 'person_id');
        $guarded = DB::table('guardianships')->whereIn('student_id', $ids)->pluck('student_id', 'student_id');
        $told = DB::table('emails')
            ->where('kind', 'not-here')
            ->where('key', 'like', "not here $live->session, %")
            ->pluck(DB::raw("values->>'student' as student"))
            ->flip();

        return array_map(
            fn (Person $p): Missing => new Missing(
                $p->sourced_id,
                $p->name(),
                isset($excused[$p->id]),
                isset($guarded[$p->id]),
                isset($told[(string) $p->id]),
            ),
            $away,
        );
    }

    /** @return list<string> names of who else may host it */
    private function teachers(LiveRoom $live, Person $for): array
    {
        return array_values(
            MembershipRow::query()
                ->whereIn('section_id', $live->series?->sectionIds() ?? [])
                ->teaching()
                ->on($live->zone->dateAt($live->start)->iso())
                ->where('person_id', '!=', $for->id)
                ->with('person')
                ->get()
                ->unique('person_id')
                ->map(fn (MembershipRow $p): string => $p->person->name())
                ->all(),
        );
    }

    /**
     * Guests' passes that a second browser asks for, and nobody has decided.
     *
     * @return list<PassClaim>
     */
    private function claims(?int $series, Zone $zone): array
    {
        return array_values(
            DB::table('pass_claims')
                ->join('join_links', 'join_links.id', '=', 'join_link_id')
                ->where('series_id', $series)
                ->whereNull('decided_at')
                ->whereNull('retired_at')
                ->orderBy('pass_claims.id')
                ->limit(20)
                ->get(['pass_claims.id', 'guest_name', 'held_browser', 'held_at', 'browser', 'asked_at'])
                ->map(
                    fn (\stdClass $r): PassClaim => new PassClaim(
                        (int) $r->id,
                        (string) $r->guest_name,
                        Browser::words($r->held_browser),
                        $zone->clock((int) strtotime((string) $r->held_at)),
                        Browser::words($r->browser),
                        $zone->clock((int) strtotime((string) $r->asked_at)),
                    ),
                )
                ->all(),
        );
    }
}
