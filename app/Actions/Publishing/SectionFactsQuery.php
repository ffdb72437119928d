<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Enrolment;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Presets;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Publishing\DropInFacts;
use Nomada\Core\Publishing\Reader;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\SeriesFacts;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/** Reads what publishing needs to know of sections, in a fixed number of queries however many there are. */
final class SectionFactsQuery
{
    /** @var array<string, Preset>|null */
    private ?array $presets = null;

    /**
     * @param  list<int>  $ids
     * @param  bool  $unlinked  with the series that have no join link yet
     * @return array<int, SectionFacts> by section
     */
    public function for(array $ids, bool $unlinked = false): array
    {
        $sections = Section::query()->whereKey($ids)->with([
            'term.school', 'term.closures', 'enrolments.person',
            'series.sessions' => fn ($q) => $q->whereIn('state', [SessionState::Planned, SessionState::Cancelled])->with('teacher'),
            'series.links' => fn ($q) => $q->whereNull('retired_at'), 'dropInRooms' => fn ($q) => $q->where('is_hidden', false),
        ])->orderBy('id')->get();

        $shared = $this->shared($sections->flatMap(fn (Section $s): array => $s->series->modelKeys())->unique()->values()->all());

        return $sections->mapWithKeys(fn (Section $s): array => [$s->id => $this->section($s, $unlinked, $shared)])->all();
    }

    /**
     * Of each series that sections share, the people who have it by a section before each of them: the series' own section is the first.
     *
     * @param  array<mixed>  $series
     * @return array<int, array<int, array<string, true>>> by series, then by section
     */
    private function shared(array $series): array
    {
        $pairs = DB::table('series_sections')->join('series', 'series.id', '=', 'series_id')->whereIn('series_id', $series)
            ->whereIn('series_id', DB::table('series_sections')->groupBy('series_id')->havingRaw('count(*) > 1')->select('series_id'))
            ->orderByRaw('series_id, (series.section_id = series_sections.section_id) desc, series_sections.section_id')->get(['series_id', 'series_sections.section_id']);
        $people = [];
        foreach ($pairs->isEmpty() ? [] : DB::table('enrolments')->join('people', 'people.id', '=', 'person_id')->whereIn('section_id', $pairs->pluck('section_id'))->get(['section_id', 'people.sourced_id']) as $row) {
            $people[$row->section_id][$row->sourced_id] = true;
        }
        $out = $before = [];
        foreach ($pairs as $pair) {
            $out[(int) $pair->series_id][(int) $pair->section_id] = $before[$pair->series_id] ?? [];
            $before[$pair->series_id] = ($before[$pair->series_id] ?? []) + ($people[$pair->section_id] ?? []);
        }

        return $out;
    }

    /** @param  array<int, array<int, array<string, true>>>  $shared */
    private function section(Section $section, bool $unlinked, array $shared): SectionFacts
    {
        $linked = $section->series->filter(fn (Series $s): bool => $unlinked || $this->link($s, LinkKind::Series) !== null);
        $teachers = $section->enrolments->filter(fn (Enrolment $e): bool => $e->role === 'teacher')->sortByDesc('is_primary');

        return new SectionFacts(
            $section->sourced_id, $section->name(), (string) $teachers->first()?->person->shortName(), $section->term->calendar(), $this->door($linked),
            array_values($linked->map(fn (Series $s): SeriesFacts => $this->series($s, $shared[$s->id][$section->id] ?? []))->all()), $this->readers($section, $linked), route('join'),
            array_values($section->dropInRooms->map(fn (DropInRoom $r): DropInFacts => new DropInFacts($r->id, $r->name, $r->openHours()->words().' '.$section->term->school->zone()->place(), $r->address(), $r->join_code, $r->dial_in, $r->pin))->all()),
        );
    }

    /** @param  array<string, true>  $elsewhere */
    private function series(Series $series, array $elsewhere): SeriesFacts
    {
        $link = $this->link($series, LinkKind::Series);

        return new SeriesFacts(
            $series->id, $series->uid, $series->title, $series->sequence, (int) $series->changed_at->timestamp, $series->plan(),
            $this->sessions($series, SessionState::Planned),
            (string) $link?->address(),
            (string) $link?->join_code, (string) $link?->dial_in, (string) $link?->pin, $this->sessions($series, SessionState::Cancelled), $elsewhere, $this->rules($series)->hiddenOutside,
        );
    }

    /** @return list<PlannedSession> */
    private function sessions(Series $series, SessionState $state): array
    {
        return array_values($series->sessions->where('state', $state)->map(fn (Session $s): PlannedSession => $s->toCore())->all());
    }

    /**
     * @param  Collection<int, Series>  $linked
     * @return list<Reader>
     */
    private function readers(Section $section, Collection $linked): array
    {
        $personal = [];
        $hosts = [];
        foreach ($linked as $series) {
            $isHidden = $this->rules($series)->hiddenOutside;
            foreach ($series->links as $link) {
                if ($link->kind === LinkKind::Personal && ! $isHidden) {
                    $personal[(int) $link->person_id][$series->id] = $link->address();
                } elseif ($link->kind === LinkKind::Host) {
                    $hosts[$series->id] = $link->address();
                }
            }
        }
        $out = [];
        foreach ($section->enrolments->sortBy(fn (Enrolment $e): string => ($e->role === 'student' ? '1' : '0').$e->person->family_name.' '.$e->person->given_name) as $enrolment) {
            $links = match ($enrolment->role) {
                'teacher', 'co-teacher' => $hosts,
                default => $personal[$enrolment->person_id] ?? [],
            };
            $out[$enrolment->person->sourced_id] ??= new Reader($enrolment->person->sourced_id, $enrolment->person->name(), $enrolment->role, $links);
        }

        return array_values($out);
    }

    /** @param  Collection<int, Series>  $series */
    private function door(Collection $series): DoorRules
    {
        $first = $series->first();

        return $first === null ? new DoorRules : $this->rules($first);
    }

    private function rules(Series $series): DoorRules
    {
        $this->presets ??= Presets::all();

        return Presets::rules($series, $this->presets)[0];
    }

    private function link(Series $series, LinkKind $kind): ?JoinLink
    {
        return $series->links->first(fn (JoinLink $l): bool => $l->kind === $kind);
    }
}
