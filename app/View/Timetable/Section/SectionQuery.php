<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Support\Collection as Values;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Course;
use Nomada\App\Models\Term\MembershipRow;
use Nomada\App\Models\Term\ObserverRule;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\ContactTimes;
use Nomada\App\Queries\Registered;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Order;
use Nomada\App\Support\Say;
use Nomada\App\View\Publishing\Materials;
use Nomada\App\View\Registration\InvitationAnswers;
use Nomada\App\View\Requests\RequestList;
use Nomada\App\View\StandinAddress;
use Nomada\App\View\Timetable\Board\BoardDays;
use Nomada\App\View\Timetable\Board\BoardQuery;
use Nomada\App\View\Timetable\Contact\ContactBar;
use Nomada\App\View\Timetable\Editor\SeriesEditor;
use Nomada\App\View\Timetable\Editor\SeriesEditorQuery;
use Nomada\App\View\Timetable\Panel\SessionPanelQuery;
use Nomada\App\View\Timetable\TermLine;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\Permission;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\TeacherAct;
use stdClass;

/** Looks up everything about one section, in a number of queries that does not grow with it. */
final readonly class SectionQuery
{
    /** How many changes are listed. */
    private const CHANGES = 40;

    public function __construct(
        private BoardQuery $board,
        private BoardDays $days,
        private Clock $clock,
        private PlanQuery $plan,
        private StandinAddress $standins,
        private SeriesCards $cards,
        private SeriesEditorQuery $editor,
        private SessionPanelQuery $panel,
        private ContactTimes $times,
        private RequestList $requests,
    ) {
    }

    /**
     * @param  string  $edit  id of the series that is changed, or `new`, or empty
     * @param  string  $day  ISO, of the session that is pointed at, or empty
     * @param  int  $session  id of the session whose panel is open, or 0
     */
    public function of(Section $section, Person $for, string $edit, string $day, int $session = 0): SectionPage
    {
        $section->load([
            'term.school',
            'term.closures',
            'course',
            'series.sessions.teacher',
            'series.sections',
            'series.section',
            'series.links' => fn ($q) => $q->whereNull('retired_at')->whereIn('kind', ['series', 'host']),
            'memberships' => fn (Relation $q) => $q
                ->whereNull('session_id')
                ->whereRaw("coalesce(ends_on, 'infinity') >= ?", [$this->clock->schoolDay()->iso()])
                ->with('person'),
        ]);
        $row = $this->board->rows($section->term, $for, [$section->id])[0];
        $days = $this->days->of($section->term, [$row])[$section->id];
        $term = $section->term->calendar();
        [$today, $minute] = $term->zone->wall($this->clock->seconds());
        $mayChange = $for->can('change', $section);
        $mayPlan = $for->can('timetable', $section);
        $isEditing = $edit === 'new' || $section->series->contains('id', (int) $edit);
        $chosen = $mayChange && ! ($isEditing && $edit !== '') ? $this->chosen($section, $session, $day) : null;
        $contact = $this->times->of([$section->id], [$section->id => $section->target_minutes])[$section->id][
            'time'
        ];
        $ofSchool = $section->series->every(fn (Series $s): bool => $s->time_zone === $term->zone->name);

        return new SectionPage(
            $section,
            new SectionWhen(
                $row->meets,
                $ofSchool ? Say::place($term->zone) : '',
                new TermLine($term, 1240, 46, 8, 4.2),
                $days,
                $today,
                $minute,
            ),
            $row->status,
            $row->status->issues(),
            $mayChange,
            $mayPlan,
            $chosen === null || $mayPlan ? null : $this->note($section, $chosen, $term->zone),
            $chosen === null ? null : $this->panel->of($section, $chosen),
            $mayPlan && $isEditing ? $this->editing($section, $edit, $row->status->roster) : null,
            new SectionSeries(
                $this->cards->of($section, $term, $days, $day, $mayChange, $this->others($section, $for)),
                $this->changes($section, $term->zone, $mayChange, $for),
                ContactBar::of($contact, 350),
                self::hours($contact->target),
                [
                    ...$this->requests->open($section->term, $for, $section),
                    ...$this->requests->decided($section->term, $for, $section, 3),
                ],
                array_values(
                    SeriesToPlace::query()->where('section_id', $section->id)->orderBy('id')->get()->all(),
                ),
                $mayPlan && $edit === 'to-place',
            ),
            new SectionPeople(
                $this->teachers($section),
                $this->roster($section, $term, $row->status->series),
                $this->rules($section),
                $this->staff($section, $for),
                $for->isCoordinator() ? $this->observable($section) : [],
                InvitationAnswers::of($section->id, $this->clock->today($term->zone)),
            ),
            new SectionPublished(
                $this->places($section, $for),
                Materials::of([$section->id]),
                $this->ahead($section),
                SectionFeed::address($section),
                SectionFeed::page($section),
                SectionFeed::stream($section),
            ),
        );
    }

    private function editing(Section $section, string $edit, int $students): SeriesEditor
    {
        $series = $edit === 'new' ? null : $section->series->firstWhere('id', (int) $edit);

        return $this->editor->of($section, $series?->setRelation('section', $section), $students);
    }

    /** The session whose panel is open: by its number, or the only one of a day. */
    private function chosen(Section $section, int $id, string $day): ?Session
    {
        if ($id === 0 && $day === '') {
            return null;
        }
        $sessions = $section->series->flatMap(
            fn (Series $s) => $s->sessions->map(fn (Session $one): Session => $one->setRelation('series', $s)),
        );

        return $id > 0 ? $sessions->firstWhere('id', $id) : $sessions->firstWhere('day', $day);
    }

    /** @return Collection<int, Section> with whom a series could be shared */
    private function others(Section $section, Person $for): Collection
    {
        return $for->isCoordinator()
            ? Section::query()
                ->where('term_id', $section->term_id)
                ->whereKeyNot($section->id)
                ->orderBy('title')
                ->get(['id', 'sourced_id', 'title', 'year'])
                ->sortBy(fn (Section $s): string => $s->order())
            : new Collection();
    }

    /** @return list<ChangeLine> */
    private function changes(Section $section, Zone $zone, bool $mayChange, Person $for): array
    {
        $changes = SeriesChange::query()
            ->where(
                fn ($q) => $q
                    ->where('section_id', $section->id)
                    ->orWhereIn('series_id', $section->series->modelKeys()),
            )
            ->with(['person', 'undoer'])
            ->orderByDesc('id')
            ->limit(self::CHANGES)
            ->get();
        // Of each series only its last change can be undone: an earlier one would take the later ones with it.
        $last = $changes
            ->whereNull('undone_at')
            ->groupBy('series_id')
            ->map(fn (Values $of): int => (int) $of->max('id'));

        $together = SeriesChange::query()
            ->whereIn('batch', $changes->pluck('batch')->filter()->all())
            ->groupBy('batch')
            ->pluck(DB::raw('count(*) as n'), 'batch');

        return array_values(
            $changes
                ->map(
                    fn (SeriesChange $c): ChangeLine => new ChangeLine(
                        $c->id,
                        Say::day($zone->dateAt((int) $c->at->timestamp)).
                            ' '.
                            $zone->clock((int) $c->at->timestamp),
                        $c->person?->shortName(),
                        $c->line(),
                        $c->undone_at !== null,
                        $c->undoer?->shortName(),
                        $mayChange && $c->undone_at === null && $c->person !== null,
                        $mayChange && $last->contains($c->id) && $for->can('undo', $c),
                        (int) ($together[(string) $c->batch] ?? 1),
                    ),
                )
                ->all(),
        );
    }

    /** What a teacher may do to one session, in a sentence. */
    private function note(Section $section, Session $session, Zone $zone): string
    {
        $rights = $section->teacherRights();
        if ($session->state !== SessionState::Planned) {
            return (string) __("requests.notes.make_up.{$rights->of(TeacherAct::Add)->value}");
        }
        $start = (int) $session->starts_at->timestamp;
        $until = $start - 3600 * $rights->noticeHours;
        [$key, $with] = match (true) {
            $rights->of(TeacherAct::Move) === Permission::No => ['no', []],
            $rights->of(TeacherAct::Move) === Permission::Ask => ['ask', []],
            $rights->noticeHours === 0 => ['own', []],
            $until <= $this->clock->seconds() => ['late', ['hours' => $rights->noticeHours]],
            default => ['own_until', ['until' => Say::day($zone->dateAt($until)).' '.$zone->clock($until)]],
        };

        return (string) __("requests.notes.$key", $with);
    }

    /** `36`, `36:30`; empty where there is no target */
    private static function hours(?int $minutes): string
    {
        return $minutes === null
            ? ''
            : intdiv($minutes, 60).($minutes % 60 === 0 ? '' : sprintf(':%02d', $minutes % 60));
    }

    /** @return list<MembershipLine> */
    private function teachers(Section $section): array
    {
        return array_values(
            $section->memberships
                ->where('role', '!=', MembershipRole::Student)
                ->sortBy(fn (MembershipRow $p): int => (int) array_search($p->role, MembershipRole::SEEING, true))
                ->map(
                    fn (MembershipRow $p): MembershipLine => new MembershipLine(
                        $p->id,
                        $p->person->name(),
                        $p->person->shortName(),
                        $p->role,
                        $p->is_local,
                        $p->observer_rule_id !== null,
                    ),
                )
                ->all(),
        );
    }

    /** @return list<RosterLine> */
    private function roster(Section $section, Term $term, int $series): array
    {
        $registered = Registration::query()
            ->whereIn('series_id', $section->series->modelKeys())
            ->whereRaw(Registered::on('registrations', $this->clock->today($term->zone)))
            ->distinct()
            ->get(['series_id', 'person_id'])
            ->countBy('person_id');
        $day = fn (?string $iso): ?string => $iso === null ? null : Say::dayMonth(LocalDate::parse($iso));

        return array_values(
            $section->memberships
                ->where('role', MembershipRole::Student)
                ->sortBy(
                    fn (MembershipRow $p): string => Order::key($p->person->family_name, $p->person->given_name),
                )
                ->map(
                    fn (MembershipRow $p): RosterLine => new RosterLine(
                        $p->person->sourced_id,
                        $p->person->name(),
                        ($registered[$p->person_id] ?? 0) >= max(1, $series),
                        $day($p->begins_on),
                        $day($p->ends_on),
                    ),
                )
                ->all(),
        );
    }

    /** @return list<RuleLine> */
    private function rules(Section $section): array
    {
        return array_values(
            ObserverRule::query()
                ->where('section_id', $section->id)
                ->with('course')
                ->get()
                ->map(
                    fn (ObserverRule $r): RuleLine => new RuleLine(
                        $r->id,
                        $r->words(),
                        $section->memberships->where('observer_rule_id', $r->id)->count(),
                    ),
                )
                ->all(),
        );
    }

    /** @return array<string, string> */
    private function staff(Section $section, Person $for): array
    {
        return $for->isCoordinator()
            ? Person::query()
                ->where('role', Role::Teacher)
                ->whereNotIn('id', $section->memberships->pluck('person_id'))
                ->orderBy('family_name')
                ->get()
                ->mapWithKeys(fn (Person $p): array => [$p->sourced_id => $p->sortedName()])
                ->all()
            : [];
    }

    /** @return array<string, string> */
    private function observable(Section $section): array
    {
        $years = Section::query()
            ->where('term_id', $section->term_id)
            ->where('year', '!=', '')
            ->distinct()
            ->pluck('year')
            ->sort(SORT_NATURAL);
        $courses = Course::query()
            ->whereIn('id', Section::query()->where('term_id', $section->term_id)->select('course_id'))
            ->orderBy('title')
            ->orderBy('sourced_id')
            ->get(['title', 'sourced_id']);
        // A school may call a course of every year the same: those are told apart by their codes.
        $titles = $courses->countBy('title');

        return [
            ...$years->mapWithKeys(
                fn (string $y): array => ["year:$y" => __('section.people.year', ['year' => $y])],
            ),
            ...$courses->mapWithKeys(
                fn (Course $c): array => [
                    "course:$c->sourced_id" => $titles[$c->title] > 1 ? "$c->title ($c->sourced_id)" : $c->title,
                ],
            ),
        ];
    }

    /** @return list<PlaceLine> */
    private function places(Section $section, Person $for): array
    {
        $counts = $this->plan->counts([$section->id])[$section->id] ?? [];

        return array_map(function (Place $place) use ($counts, $section, $for): PlaceLine {
            $n = $counts[$place->value] ?? PlanQuery::NONE;

            return new PlaceLine(
                Say::this($place->said()),
                $n['leave'] + $n['change'] + $n['remove'],
                $n['add'] + $n['change'] + $n['remove'],
                $n['trouble'],
                match ($place) {
                    Place::CoursePage => $this->standins->coursePage($section, $for),
                    Place::ClassStream => $this->standins->stream($section, $for),
                    default => null,
                },
            );
        }, Place::cases());
    }

    /** @return array<int, string> the days of the sessions that are to come, by id */
    private function ahead(Section $section): array
    {
        return DB::table('sessions')
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->where('section_id', $section->id)
            ->where('state', SessionState::Planned)
            ->whereRaw('ends_at > to_timestamp(?)', [$this->clock->seconds()])
            ->orderBy('starts_at')
            ->get(['sessions.id', 'day'])
            ->mapWithKeys(fn (stdClass $s): array => [(int) $s->id => Say::day(LocalDate::parse($s->day))])
            ->all();
    }
}
