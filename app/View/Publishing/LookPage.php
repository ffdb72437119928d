<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Nomada\App\Actions\Joining\DecideAdmission;
use Nomada\App\Destinations\ConcurrentRequests;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Destinations;
use Nomada\App\Destinations\Found;
use Nomada\App\Destinations\Places;
use Nomada\App\Destinations\Service;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Post\LetterMail;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\AdmissionWords;
use Nomada\App\Support\Order;
use Nomada\App\View\Publishing\Look\Look;
use Nomada\App\View\Publishing\Look\LookCell;
use Nomada\App\View\Publishing\Look\LookLetter;
use Nomada\App\View\Publishing\Look\LookRow;
use Nomada\App\View\Publishing\Look\LookState;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Interchange\Calendar\ServedEvent;
use Nomada\Core\Interchange\Calendar\ServedEvents;
use Nomada\Core\Publishing\CoursePagePlacements;
use Nomada\Core\Publishing\DetailLevel;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\PlaceKind;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\SeriesFacts;
use Nomada\Core\Publishing\WantedPlacements;
use Nomada\Core\Timetable\PlannedSession;
use Throwable;

/**
 * Builds the page on which one looks as somebody: every session of a week as their door would answer, beside what the
 * course page, the calendar, the stream and the post serve at this moment, read back from each of them.
 */
final readonly class LookPage
{
    private const DAYS = 7;

    public function __construct(
        private SectionFactsQuery $facts,
        private Destinations $destinations,
        private Places $places,
        private DecideAdmission $admission,
    ) {
    }

    /** @param  int  $at  UTC seconds, from when on */
    public function of(Person $who, Person $for, Term $term, int $at): Look
    {
        $ids = Section::query()
            ->where('term_id', $term->id)
            ->seenBy($for)
            ->whereHas('memberships', fn ($q) => $q->where('person_id', $who->id))
            ->orderBy('title')
            ->pluck('id');
        abort_if($ids->isEmpty() && ! $for->isCoordinator(), 404);
        $facts = $this->facts->for(array_values(array_map(intval(...), $ids->all())));
        [$read, $post] = $this->readBack($who, $facts);
        $to = $at + 86400 * self::DAYS;
        $rows = [];
        foreach ($facts as $section) {
            foreach ($section->series as $series) {
                foreach ($this->rows($who, $section, $series, $read, $at, $to) as $row) {
                    $rows["$series->uid $row->start"] ??= $row;
                }
            }
        }

        return new Look(
            $who,
            $at,
            Order::rows($rows, fn (LookRow $r): array => [$r->start, Order::key($r->name)]),
            $this->letters($who, $post),
            $who
                ->wards()
                ->orderBy('family_name')
                ->get()
                ->mapWithKeys(fn (Person $child): array => [$child->sourced_id => $child->name()])
                ->all(),
            $for->isCoordinator(),
        );
    }

    /**
     * Everything at once.
     *
     * @param  array<int, SectionFacts>  $facts
     * @return array{array<string, array<string, Found>|Throwable|null>, list<string>|null} by place and space (null for
     *   a page of ours); and the letters in the mailbox, null where it cannot be read
     */
    private function readBack(Person $who, array $facts): array
    {
        $spaces = [[Place::Calendar, $who->sourced_id]];
        foreach ($facts as $section) {
            $spaces[] = [Place::CoursePage, $section->id];
            $spaces[] = [Place::ClassStream, $section->id];
        }
        $ours = $this->places->ofOurs();
        $tasks = $read = [];
        foreach ($spaces as [$place, $space]) {
            if (in_array($place->value, $ours, true)) {
                $read["$place->value $space"] = null;

                continue;
            }
            $destination = $this->destinations->at($place);
            $tasks["$place->value $space"] = fn (): array => array_map(
                fn (Found $f): Found => $destination->whole($f),
                $destination->read($space),
            );
        }
        $isRead = $this->places->of(ExternalService::Post)->kind === PlaceKind::StandIn && $who->email !== null;
        if ($isRead) {
            $tasks['post'] = fn (): array => (array) Service::of(ExternalService::Post)
                ->send('GET', '/people/'.rawurlencode(mb_strtolower((string) $who->email)))
                ->json('letters');
        }
        $came = ConcurrentRequests::run($tasks);
        $post = $came['post'] ?? null;
        unset($came['post']);
        foreach ($came as $one) {
            if ($one instanceof Throwable && ! ($one instanceof DestinationFailure)) {
                throw $one;
            }
        }

        /** @var array<string, array<string, Found>|Throwable|null> $all */
        $all = $read + $came;

        return [$all, is_array($post) ? array_values(array_filter($post, is_string(...))) : null];
    }

    /**
     * @param  array<string, array<string, Found>|Throwable|null>  $read
     * @return list<LookRow>
     */
    private function rows(
        Person $who,
        SectionFacts $section,
        SeriesFacts $series,
        array $read,
        int $from,
        int $to,
    ): array {
        $reader = array_column($section->readers, null, 'person')[$who->sourced_id] ?? null;
        $link = $reader?->links[$series->id] ?? ($series->isHidden ? '' : $series->link);
        $calendar = $read["calendar $who->sourced_id"] ?? null;
        $object = is_array($calendar) ? $calendar["$who->sourced_id/$series->uid"] ?? null : null;
        $served = $object === null ? [] : ServedEvents::of((string) $object->body, $from, $to) ?? [];
        $rows = [];
        foreach ($series->sessionsOf($who->sourced_id) as $session) {
            if ($session->end <= $from || $session->start >= $to) {
                continue;
            }
            [$opens, $door] = $this->door($who, $series, $session);
            $rows[] = new LookRow(
                $session->start,
                $session->end,
                $section->id,
                $this->name($section, $series),
                $opens,
                $door,
                [
                    Place::CoursePage->value => $this->onPage($section, $series, $session, $read),
                    Place::Calendar->value => $this->inCalendar($who, $calendar, $served, $session, $link),
                    Place::ClassStream->value => $this->inStream($who, $section, $read),
                ],
            );
        }
        $own = array_column($series->sessionsOf($who->sourced_id), 'start');
        foreach ($served as $event) {
            if (! in_array($event->start, $own, true)) {
                $rows[] = new LookRow(
                    $event->start,
                    $event->end,
                    $section->id,
                    $event->summary,
                    false,
                    (string) __('publishing.look.no_session'),
                    [
                        Place::Calendar->value => new LookCell(
                            LookState::Other,
                            (string) __('publishing.look.only_there'),
                        ),
                    ],
                );
            }
        }

        return $rows;
    }

    private function name(SectionFacts $section, SeriesFacts $series): string
    {
        return count($section->series) > 1 ? "$section->title: $series->title" : $section->title;
    }

    /** @return array{bool, string} whether it would let in, and what it says */
    private function door(Person $who, SeriesFacts $series, PlannedSession $session): array
    {
        $link = JoinLink::query()
            ->inForce()
            ->where('series_id', $series->id)
            ->whereIn('kind', ['series', 'personal', 'host'])
            ->where(fn ($q) => $q->whereNull('person_id')->orWhere('person_id', $who->id))
            ->orderByRaw('person_id is null, kind')
            ->first();
        if ($link === null) {
            return [false, (string) __('publishing.look.no_link')];
        }
        $found = ($this->admission)($link, $link->secret, $who, at: $session->start, askBridge: false);
        $answer = $found->decision;
        $zone = $who->zone();

        return $answer->reply->opens() && $answer->session?->start === $session->start
            ? [
                true,
                (string) __('publishing.look.lets_in', [
                    'time' => $zone->clock($answer->opensAt ?? $session->start),
                ]),
            ]
            : [false, (new AdmissionWords($zone, $found->zone, $session->start))->why($answer)];
    }

    /** @param  array<string, array<string, Found>|Throwable|null>  $read */
    private function onPage(
        SectionFacts $section,
        SeriesFacts $series,
        PlannedSession $session,
        array $read,
    ): LookCell {
        $page = $read["course-page $section->id"] ?? null;
        if (! is_array($page)) {
            return self::unread($page);
        }
        $found = $page["$section->id/week-".$section->term->weekOf($session->day)] ?? null;
        if ($found === null) {
            return new LookCell(LookState::Missing);
        }
        $words = $this->destinations->at(Place::CoursePage)->words($found);
        $lines = (array) ($words['sessions'] ?? []);
        $ought = CoursePagePlacements::line($section, $series, $session);
        if ($section->showing->amount === DetailLevel::Nothing) {
            return new LookCell(LookState::Same, (string) __('publishing.look.no_lines'));
        }
        if (in_array($ought, $lines, true)) {
            return new LookCell(LookState::Same, $ought);
        }
        // Another line of the same day is what a student would read instead.
        [$day] = explode(',', $ought);
        foreach ($lines as $line) {
            if (str_starts_with((string) $line, "$day,")) {
                return new LookCell(LookState::Other, (string) $line);
            }
        }

        return new LookCell(LookState::Missing);
    }

    /**
     * @param  array<string, Found>|Throwable|null  $calendar
     * @param  list<ServedEvent>  $served
     */
    private function inCalendar(
        Person $who,
        array|Throwable|null $calendar,
        array $served,
        PlannedSession $session,
        string $link,
    ): LookCell {
        if (! is_array($calendar)) {
            return self::unread($calendar);
        }
        $zone = $who->zone();
        foreach ($served as $event) {
            if ($event->start !== $session->start) {
                continue;
            }
            $time = $zone->clock($event->start).'–'.$zone->clock($event->end);

            return match (true) {
                $event->end !== $session->end => new LookCell(LookState::Other, $time),
                $event->link !== $link => new LookCell(
                    LookState::Other,
                    $time.', '.__('publishing.truth.seen.other-link'),
                ),
                default => new LookCell(LookState::Same, $time),
            };
        }

        return new LookCell(LookState::Missing);
    }

    /** @param  array<string, array<string, Found>|Throwable|null>  $read */
    private function inStream(Person $who, SectionFacts $section, array $read): LookCell
    {
        $reader = array_column($section->readers, null, 'person')[$who->sourced_id] ?? null;
        if (! $section->showing->isFor($who->sourced_id, $reader?->role === MembershipRole::Student)) {
            return new LookCell(LookState::Same, (string) __('publishing.look.for_others'));
        }
        $stream = $read["class-stream $section->id"] ?? null;
        if (! is_array($stream)) {
            return self::unread($stream);
        }
        $found = $stream["$section->id/opening"] ?? null;
        if ($found === null) {
            return new LookCell(LookState::Missing);
        }
        $destination = $this->destinations->at(Place::ClassStream);
        foreach (WantedPlacements::of($section) as $wanted) {
            if ($wanted->key === "$section->id/opening") {
                $words = $destination->words($found)['meets'] ?? '';

                return new LookCell(
                    $destination->means($found, $wanted) ? LookState::Same : LookState::Other,
                    is_array($words) ? implode('; ', $words) : $words,
                );
            }
        }

        return new LookCell(LookState::Other);
    }

    /** @param  array<string, Found>|Throwable|null  $came */
    private static function unread(array|Throwable|null $came): LookCell
    {
        return $came instanceof Throwable
            ? new LookCell(LookState::Silent, $came->getMessage())
            : new LookCell(LookState::Ours);
    }

    /**
     * @param  list<string>|null  $mailbox
     * @return list<LookLetter> the last ones
     */
    private function letters(Person $who, ?array $mailbox): array
    {
        return array_values(
            Letter::query()
                ->with('series.section')
                ->where('person_id', $who->id)
                ->whereNotNull('sent_at')
                ->orderByDesc('sent_at')
                ->limit(8)
                ->get()
                ->map(
                    fn (Letter $l): LookLetter => new LookLetter(
                        $l->kind,
                        $l->series?->section->name() ?? '',
                        (int) $l->sent_at?->timestamp,
                        $mailbox === null ? null : self::isIn($mailbox, LetterMail::idOf($l)),
                    ),
                )
                ->all(),
        );
    }

    /** @param  list<string>  $mailbox */
    private static function isIn(array $mailbox, string $id): bool
    {
        foreach ($mailbox as $letter) {
            if (str_contains($letter, $id)) {
                return true;
            }
        }

        return false;
    }
}
