<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Enrolment;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\App\Support\StandinAddress;
use Nomada\Core\Joining\LinkKind;

/** Everything about one section on one page. */
final readonly class SectionPage
{
    public function __construct(private BoardQuery $board, private Clock $clock, private PlanQuery $plan, private StandinAddress $standins, private FreeTimesQuery $free)
    {
    }

    /** @return array<string, mixed> */
    public function data(Section $section, Person $for, string $edit, string $day): array
    {
        $section->load(['term.school', 'term.closures', 'course', 'series.sessions', 'series.links' => fn ($q) => $q->whereNull('retired_at')->whereIn('kind', ['series', 'host']), 'enrolments.person']);
        $row = $this->board->rows($section->term, $for, [$section->id])[0];
        $term = $section->term->calendar();
        [$today, $minute] = $term->zone->wall($this->clock->seconds());
        $registered = Registration::query()->whereIn('series_id', $section->series->modelKeys())->where('state', 'accepted')->get(['person_id'])->countBy('person_id');

        $editing = $edit === 'new' ? 'new' : $section->series->firstWhere('id', (int) $edit);
        if ($editing instanceof Series) {
            $editing->setRelation('section', $section);
        }

        return [
            'section' => $section, 'row' => $row, 'term' => $term, 'zone' => $term->zone, 'now' => $this->clock->seconds(), 'today' => $today, 'minute' => $minute,
            'line' => new TermLine($term, 1240, 46, 8, 4.2), 'day' => $day,
            'links' => $section->series->mapWithKeys(fn (Series $s): array => [$s->id => $s->links->first(fn (JoinLink $l): bool => $l->kind === LinkKind::Series)]),
            'hostLinks' => $section->series->mapWithKeys(fn (Series $s): array => [$s->id => $s->links->first(fn (JoinLink $l): bool => $l->kind === LinkKind::Host)]),
            'teachers' => $section->enrolments->where('role', '!=', 'student')->sortBy(fn (Enrolment $e): string => ['teacher' => '0', 'co-teacher' => '1'][$e->role] ?? '2')->values(),
            'students' => $section->enrolments->where('role', 'student')->sortBy(fn (Enrolment $e): string => $e->person->family_name.' '.$e->person->given_name)->values(),
            'registered' => $registered, 'places' => $this->plan->counts([$section->id])[$section->id] ?? [],
            'feed' => SectionFeed::address($section), 'coursePage' => $this->standins->coursePage($section, $for), 'stream' => $this->standins->stream($section, $for),
            'editing' => $editing, 'free' => $editing instanceof Series ? $this->free->forSeries($editing) : [],
        ];
    }
}
