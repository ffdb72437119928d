<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Events;

use Illuminate\Support\Collection;
use Nomada\App\Actions\Timetable\ImportEvents;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Say;
use Nomada\App\Support\StagedText;
use Nomada\Core\Interchange\Calendar\EventReader;
use Nomada\Core\Interchange\Calendar\ReadEvent;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/** What an uploaded calendar holds: each event with the section that its code names, or to be matched by hand. */
final readonly class EventImport
{
    /** How many events are shown, and can be taken at once. */
    private const MOST = 400;

    public const LEAVE = 'leave';

    public const BUSY = 'busy';

    public function __construct(private ImportEvents $import)
    {
    }

    public function of(StagedText $kept, Term $term): EventsPage
    {
        [$events, $faults] = EventReader::read($kept->text, $kept->name, $term->calendar());
        $teacher = self::teacher($kept);
        $sections = $this->sections($term, $teacher);

        return new EventsPage(
            $kept->key,
            $kept->name,
            array_map(
                fn (ReadEvent $event): EventRow => $this->row($event, $term, $sections, $teacher),
                array_slice($events, 0, self::MOST),
            ),
            max(0, count($events) - self::MOST),
            $faults,
            $teacher,
            $this->names($sections->all()),
        );
    }

    /** @param  Collection<int, Section>  $sections */
    private function row(ReadEvent $event, Term $term, Collection $sections, ?Person $teacher): EventRow
    {
        $found = $this->match($event, $sections);
        $section = count($found) === 1 ? $found[0] : null;
        $known = $section === null ? null : ImportEvents::known($event->uid, $section->id);
        $laid = $event->plan === null ? [] : $event->over($term->calendar());
        $count = fn (SessionState $state): int => count(
            array_filter($laid, fn (PlannedSession $s): bool => $s->state === $state),
        );
        $else = $teacher !== null ? self::BUSY : self::LEAVE;

        return new EventRow(
            $event,
            $this->names($found),
            $section !== null && $event->plan !== null ? $section->sourced_id : $else,
            match (true) {
                $known === null => EventRow::NEW,
                $this->import->isSame($known, $event, $term->calendar()) => EventRow::SAME,
                default => EventRow::CHANGES,
            },
            $count(SessionState::Planned),
            $count(SessionState::Lost),
            $event->plan === null || $event->plan->zone->name === $teacher?->time_zone
                ? ''
                : Say::place($event->plan->zone),
        );
    }

    /**
     * @param  array<int, Section>  $sections
     * @return array<string, string> by sourcedId
     */
    private function names(array $sections): array
    {
        $out = [];
        foreach ($sections as $section) {
            $out[$section->sourced_id] = $section->name();
        }

        return $out;
    }

    /**
     * What was chosen for each event.
     *
     * @param  array<string, string>  $choices  by the event's number: a section's sourcedId, busy, or leave
     * @return list<array{event: ReadEvent, section: Section|null}>
     */
    public function chosen(StagedText $kept, Term $term, array $choices): array
    {
        [$events] = EventReader::read($kept->text, $kept->name, $term->calendar());
        $sections = $this->sections($term, null)->keyBy('sourced_id');
        $out = [];
        foreach ($events as $n => $event) {
            $choice = $choices[$n] ?? self::LEAVE;
            $section = $sections->get($choice);
            if ($section !== null) {
                $section->setRelation('term', $term);
                $out[] = ['event' => $event, 'section' => $section];
            } elseif ($choice === self::BUSY) {
                $out[] = ['event' => $event, 'section' => null];
            }
        }

        return $out;
    }

    public static function teacher(StagedText $kept): ?Person
    {
        return ($kept->with['teacher'] ?? '') === ''
            ? null
            : Person::query()->where('sourced_id', $kept->with['teacher'])->first();
    }

    /**
     * By the section's own id first, then by its code; where a teacher was named, theirs before others'.
     *
     * @param  Collection<int, Section>  $sections
     * @return list<Section>
     */
    private function match(ReadEvent $event, Collection $sections): array
    {
        foreach (['sourced_id', 'code'] as $by) {
            $found = $sections->filter(fn (Section $s): bool => $event->names((string) $s->{$by}))->values();
            $own = $found->filter(fn (Section $s): bool => (bool) $s->getAttribute('is_own'))->values();
            if ($found->isNotEmpty()) {
                return array_values(($own->isNotEmpty() ? $own : $found)->all());
            }
        }

        return [];
    }

    /** @return Collection<int, Section> */
    private function sections(Term $term, ?Person $teacher): Collection
    {
        return Section::query()
            ->where('term_id', $term->id)
            ->select('sections.*')
            ->selectRaw(
                'exists (select 1 from memberships e where e.section_id = sections.id and e.person_id = ? and
                    e.role in (\'teacher\', \'co-teacher\')) as is_own',
                [$teacher->id ?? 0],
            )
            ->get()
            ->sortBy(fn (Section $s): string => $s->order())
            ->values()
            ->toBase();
    }
}
