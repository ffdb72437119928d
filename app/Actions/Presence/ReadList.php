<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\PresenceList;
use Nomada\Core\Interchange\PresenceRow;
use Nomada\Core\Language\Said;
use Nomada\Core\Presence\ListedPeople;
use Nomada\Core\Presence\ListedPerson;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\SessionState;

/** A list of who came and left that another service has exported: looked at, then taken as a whole or not at all. */
final readonly class ReadList
{
    public function __construct(private Clock $clock, private TakeEvents $take, private Audit $audit)
    {
    }

    /**
     * @param  array<string, string>  $columns  heads by what they are
     *
     * @throws Fault where the section has no session on that day
     */
    public function look(
        Section $section,
        LocalDate $day,
        string $file,
        string $text,
        array $columns,
        Zone $zone,
    ): ListLook {
        $sessions = $this->sessions($section, $day);
        $list = new PresenceList($file, $text, $columns, $zone, $day);
        $people = $this->people($section);
        $certain = $open = [];
        foreach ($list->rows as $row) {
            $who = $row->who();
            if (isset($certain[$who]) || isset($open[$who])) {
                continue;
            }
            $found = $people->certain($row->person, $row->address);
            if ($found === null) {
                $open[$who] = [$row->line, $people->near($row->person, $row->address)];
            } else {
                $certain[$who] = $found;
            }
        }

        return new ListLook($sessions, $list->rows, $list->faults, $certain, $open);
    }

    /**
     * @param  array<string, string>  $chosen  sourcedIds by what the list knows them by; '' for a guest
     * @return int how many events were new
     *
     * @throws Fault where somebody is still open
     */
    public function take(ListLook $look, array $chosen, Section $section, ?Person $by): int
    {
        foreach (array_keys($look->open) as $who) {
            if (! array_key_exists((string) $who, $chosen)) {
                throw new Fault('presence.who', 'people', ['who' => $who]);
            }
        }
        $whom = $look->certain + array_filter($chosen, fn (string $id): bool => $id !== '');
        $bySession = [];
        foreach ($look->rows as $row) {
            $bySession[self::nearest($look->sessions, $row)->id][] = [
                'who' => $whom[$row->who()] ?? 'list '.$row->who(),
                'name' => $row->who(),
                'at' => $row->at,
                'is_join' => $row->isJoin,
                'device' => $row->device,
            ];
        }

        return DB::transaction(function () use ($look, $bySession, $section, $by): int {
            $new = 0;
            foreach ($look->sessions as $session) {
                $new += ($this->take)($session, $bySession[$session->id] ?? [], 'list');
            }
            if ($new > 0) {
                ($this->audit)('person', null, $by, new Said('audit.list', ['n' => $new]), $section);
            }

            return $new;
        });
    }

    /**
     * @return list<Session>
     *
     * @throws Fault
     */
    private function sessions(Section $section, LocalDate $day): array
    {
        $found = Session::query()
            ->whereIn('series_id', $section->series()->pluck('series.id'))
            ->where('day', $day->iso())
            ->where('state', SessionState::Planned)
            ->where('starts_at', '<=', $this->clock->now())
            ->with('series.section.term.school')
            ->orderBy('starts_at')
            ->get();
        if ($found->isEmpty()) {
            throw new Fault('presence.no_session', 'day', ['section' => $section->name(), 'day' => $day]);
        }

        return array_values($found->all());
    }

    private function people(Section $section): ListedPeople
    {
        $parts = DB::table('memberships')
            ->whereIn(
                'section_id',
                DB::table('series_sections')
                    ->whereIn('series_id', $section->series()->pluck('series.id'))
                    ->select('section_id'),
            )
            ->select('person_id');

        return new ListedPeople(
            array_values(
                Person::query()
                    ->whereIn('id', $parts)
                    ->orderBy('id')
                    ->get()
                    ->map(
                        fn (Person $p): ListedPerson => new ListedPerson(
                            $p->sourced_id,
                            $p->name(),
                            (string) $p->email,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    /**
     * Of several sessions on a day the one that it belongs to: the nearest in time.
     *
     * @param  list<Session>  $sessions
     */
    private static function nearest(array $sessions, PresenceRow $row): Session
    {
        usort(
            $sessions,
            fn (Session $a, Session $b): int => self::distance($a, $row->at) <=> self::distance($b, $row->at),
        );

        return $sessions[0];
    }

    private static function distance(Session $session, int $at): int
    {
        return max(0, (int) $session->starts_at->timestamp - $at, $at - (int) $session->ends_at->timestamp);
    }
}
