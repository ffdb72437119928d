<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\TellStarted;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\MembershipRow;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Order;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Fault;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Term\LocalDate;

/**
 * A session outside the timetable that begins now: an extra one of the section's series, with all of its rules. Its
 * students are told at once.
 */
final readonly class StartNow
{
    public function __construct(private Clock $clock, private ChangeSession $change, private TellStarted $tell)
    {
    }

    /**
     * @param  list<string>|null  $chosen  sourcedIds of the students whom it is for; null for the whole roster
     * @param  bool  $takesTopic  whether the next topic of the series' list is this session's
     *
     * @throws Fault where the section has no join link, nobody is chosen, or the time does not fit
     */
    public function __invoke(
        Section $section,
        int $minutes,
        Person $by,
        ?array $chosen = null,
        bool $takesTopic = false,
    ): Session {
        $series =
            $this->series($section) ??
            throw new Fault('presence.start.no_link', 'section', ['section' => $section->name()]);
        [$day, $minute] = $section->term->calendar()->zone->wall($this->clock->seconds());
        $ids = null;
        if ($chosen !== null) {
            $ids = array_values(
                array_map(
                    fn (Person $p): int => $p->id,
                    array_filter(
                        $this->students($section),
                        fn (Person $p): bool => in_array($p->sourced_id, $chosen, true),
                    ),
                ),
            );
            if ($ids === [] || count($ids) !== count(array_unique($chosen))) {
                throw new Fault('presence.start.chosen_fault', 'chosen');
            }
        }

        return DB::transaction(function () use (
            $section,
            $series,
            $day,
            $minute,
            $minutes,
            $by,
            $ids,
            $takesTopic,
        ): Session {
            $session = $this->change->add(
                $series,
                new LocalDate($day),
                // The next whole minute: what has begun already cannot be planned.
                $minute + 1,
                $minutes,
                null,
                $by,
                $ids,
                $takesTopic,
            );
            ($this->tell)($session, $section, $by);

            return $session;
        });
    }

    /** @return list<Person> who may be chosen: today's roster of every section that meets in the series, by name */
    public function students(Section $section): array
    {
        $sections = $this->series($section)?->sectionIds() ?? [$section->id];

        return array_values(
            MembershipRow::query()
                ->whereIn('section_id', $sections)
                ->where('role', MembershipRole::Student)
                ->on($this->clock->schoolDay()->iso())
                ->with('person')
                ->get()
                ->unique('person_id')
                ->map(fn (MembershipRow $p): Person => $p->person)
                ->sortBy(fn (Person $p): string => Order::key($p->family_name, $p->given_name).$p->id)
                ->all(),
        );
    }

    /** The first of the section's series that has a join link. */
    private function series(Section $section): ?Series
    {
        return $section
            ->series()
            ->whereIn(
                'series.id',
                JoinLink::query()->inForce()->where('kind', LinkKind::Series)->select('series_id'),
            )
            ->first();
    }
}
