<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Course;
use Nomada\App\Models\Term\ObserverRule;
use Nomada\App\Models\Term\Part;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Role;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Queries\Registered;
use Nomada\App\Support\Clock;
use Nomada\App\View\Publishing\Materials;
use Nomada\App\View\Registration\InvitationAnswers;
use Nomada\App\View\StandinAddress;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Term\LocalDate;
use stdClass;

/** Everything about one section on one page. */
final readonly class SectionPage
{
    public function __construct(
        private BoardQuery $board,
        private Clock $clock,
        private PlanQuery $plan,
        private StandinAddress $standins,
        private FreeTimesQuery $free,
        private SessionPanel $panel,
        private ContactTimes $times,
    ) {
    }

    /** @return array<string, mixed> */
    public function data(Section $section, Person $for, string $edit, string $day, int $session = 0): array
    {
        $section->load([
            'term.school',
            'term.closures',
            'course',
            'series.sessions.teacher',
            'series.sections',
            'series.section',
            'series.links' => fn ($q) => $q->whereNull('retired_at')->whereIn('kind', ['series', 'host']),
            'parts' => fn (Relation $q) => $q
                ->whereNull('session_id')
                ->whereRaw("coalesce(ends_on, 'infinity') >= ?", [$this->clock->schoolDay()->iso()])
                ->with('person'),
        ]);
        $row = $this->board->rows($section->term, $for, [$section->id])[0];
        $term = $section->term->calendar();
        [$today, $minute] = $term->zone->wall($this->clock->seconds());
        $registered = Registration::query()
            ->whereIn('series_id', $section->series->modelKeys())
            ->whereRaw(Registered::on('registrations', $this->clock->today($term->zone)))
            ->distinct()
            ->get(['series_id', 'person_id'])
            ->countBy('person_id');

        $editing = $edit === 'new' ? 'new' : $section->series->firstWhere('id', (int) $edit);
        if ($editing instanceof Series) {
            $editing->setRelation('section', $section);
        }

        $chosen = $this->chosen($section, $session, $day);
        $changes = SeriesChange::query()
            ->where(
                fn ($q) => $q
                    ->where('section_id', $section->id)
                    ->orWhereIn('series_id', $section->series->modelKeys()),
            )
            ->with(['person', 'undoer'])
            ->orderByDesc('id')
            ->limit(40)
            ->get();

        return [
            'panel' => $chosen === null || ! $for->can('timetable', $section)
                    ? null
                    : $this->panel->data($section, $chosen),
            'contact' => $this->times->of([$section->id], [$section->id => $section->target_minutes])[$section->id][
                'time'
            ],
            'changes' => $changes,
            'undoable' => $changes
                ->whereNull('undone_at')
                ->groupBy('series_id')
                ->map(fn ($of): int => (int) $of->max('id'))
                ->values()
                ->all(),
            'others' => $for->isCoordinator()
                ? Section::query()
                    ->where('term_id', $section->term_id)
                    ->whereKeyNot($section->id)
                    ->orderBy('title')
                    ->get(['id', 'sourced_id', 'title', 'year'])
                    ->sortBy(fn (Section $s): string => sprintf('%05d %s', (int) $s->year, $s->title))
                : collect(),
            'rules' => ObserverRule::query()->where('section_id', $section->id)->with('course')->get(),
            'rotation' => $term->rotation,
            'dayPlan' => $term->plan,
            'staff' => $for->isCoordinator()
                ? Person::query()
                    ->where('role', Role::Teacher)
                    ->whereNotIn('id', $section->parts->pluck('person_id'))
                    ->orderBy('family_name')
                    ->get()
                : collect(),
            'years' => Section::query()
                ->where('term_id', $section->term_id)
                ->where('year', '!=', '')
                ->distinct()
                ->pluck('year')
                ->sort(SORT_NATURAL)
                ->values()
                ->all(),
            'courses' => Course::query()
                ->orderBy('title')
                ->get(['id', 'sourced_id', 'title']),
            'section' => $section,
            'row' => $row,
            'term' => $term,
            'zone' => $term->zone,
            'now' => $this->clock->seconds(),
            'today' => $today,
            'minute' => $minute,
            'line' => new TermLine($term, 1240, 46, 8, 4.2),
            'day' => $day,
            'links' => $section->series->mapWithKeys(
                fn (Series $s): array => [
                    $s->id => $s->links->first(fn (JoinLink $l): bool => $l->kind === LinkKind::Series),
                ],
            ),
            'hostLinks' => $section->series->mapWithKeys(
                fn (Series $s): array => [
                    $s->id => $s->links->first(fn (JoinLink $l): bool => $l->kind === LinkKind::Host),
                ],
            ),
            'teachers' => $section->parts
                ->where('role', '!=', 'student')
                ->sortBy(fn (Part $e): string => ['teacher' => '0', 'co-teacher' => '1'][$e->role] ?? '2')
                ->values(),
            'students' => $section->parts
                ->where('role', 'student')
                ->sortBy(fn (Part $e): string => $e->person->family_name.' '.$e->person->given_name)
                ->values(),
            'registered' => $registered,
            'answers' => InvitationAnswers::of($section->id, $this->clock->today($term->zone)),
            'places' => $this->plan->counts([$section->id])[$section->id] ?? [],
            'feed' => SectionFeed::address($section),
            'own' => SectionFeed::page($section),
            'atom' => SectionFeed::stream($section),
            'materials' => Materials::of([$section->id]),
            'ahead' => $this->ahead($section),
            'coursePage' => $this->standins->coursePage($section, $for),
            'stream' => $this->standins->stream($section, $for),
            'editing' => $editing,
            'nextDay' => $editing instanceof Series ? $this->next($editing) : null,
            'free' => $editing instanceof Series ? $this->free->forSeries($editing) : [],
        ];
    }

    /** The first session that an edit of "this and later" could change. */
    private function next(Series $series): ?string
    {
        $next = $series->sessions->first(
            fn (Session $s): bool => (int) $s->starts_at->timestamp > $this->clock->seconds() && ! $s->is_extra,
        );

        return $next === null ? null : $next->moved_from ?? $next->day;
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

    /** @return array<int, string> the days of the sessions that are to come, by id */
    private function ahead(Section $section): array
    {
        return DB::table('sessions')
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->where('section_id', $section->id)
            ->where('state', 'planned')
            ->whereRaw('ends_at > to_timestamp(?)', [$this->clock->seconds()])
            ->orderBy('starts_at')
            ->get(['sessions.id', 'day'])
            ->mapWithKeys(fn (stdClass $s): array => [(int) $s->id => LocalDate::parse($s->day)->short()])
            ->all();
    }
}
