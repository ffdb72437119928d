<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

use Illuminate\Database\Eloquent\Collection;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\SessionState;

/** The cards of a section's series, from what is loaded with it. */
final readonly class SeriesCards
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param  array<string, list<int>>  $days  day numbers by the state of their sessions
     * @param  string  $chosen  ISO, the day that is pointed at, or empty
     * @param  Collection<int, Section>  $others  with whom a series could be shared
     * @return list<SeriesCard>
     */
    public function of(
        Section $section,
        Term $term,
        array $days,
        string $chosen,
        bool $mayChange,
        Collection $others,
    ): array {
        $shapes = [];
        foreach ($days as $state => $of) {
            $shapes += array_fill_keys($of, $state);
        }

        return array_values(
            $section->series
                ->map(
                    fn (Series $s): SeriesCard => $this->card(
                        $s,
                        $term,
                        array_values(
                            $s->sessions
                                ->map(
                                    fn (Session $one): SessionLine => $this->line(
                                        $one,
                                        $term,
                                        $shapes,
                                        $chosen,
                                        $mayChange,
                                    ),
                                )
                                ->all(),
                        ),
                        $section,
                        $others,
                    ),
                )
                ->all(),
        );
    }

    /**
     * @param  list<SessionLine>  $lines
     * @param  Collection<int, Section>  $others
     */
    private function card(Series $series, Term $term, array $lines, Section $in, Collection $others): SeriesCard
    {
        $planned = $series->sessions->where('state', SessionState::Planned);
        $now = $this->clock->seconds();
        $minutes = $planned->map(function (Session $s): int {
            $core = $s->toCore();

            return intdiv($core->end - $core->start, 60);
        });

        return new SeriesCard(
            $series->id,
            $series->title,
            Say::this($series->stretches()->said($this->clock->today($term->zone)->day)),
            $series->time_zone === $term->zone->name ? '' : Say::place($series->plan()->zone),
            $planned->count(),
            (int) $minutes->sum(),
            $series->sessions->where('state', SessionState::Lost)->count(),
            $lines,
            TypedTime::format($series->start_minute),
            TypedTime::format($series->start_minute + $series->minutes),
            $series->topics,
            $series->topics_move,
            $planned->every(fn (Session $s): bool => $s->topic !== null || $s->starts_at->timestamp > $now),
            self::names($series->sections->except([$in->id])),
            self::names($others->whereNotIn('id', $series->sections->modelKeys())),
            $this->joining($series),
        );
    }

    /**
     * @param  Collection<int, Section>  $of
     * @return array<string, string> by sourcedId
     */
    private static function names(Collection $of): array
    {
        return $of->mapWithKeys(fn (Section $s): array => [$s->sourced_id => $s->name()])->all();
    }

    /** @param  array<int, string>  $shapes  by day number */
    private function line(Session $session, Term $term, array $shapes, string $chosen, bool $mayChange): SessionLine
    {
        $core = $session->toCore();
        $now = $this->clock->seconds();
        $isHeld = $core->state === SessionState::Planned;

        return new SessionLine(
            $session->id,
            new LocalDate($core->day),
            $term->zone->clock($core->start),
            $term->zone->clock($core->end),
            $core->state,
            $core->end <= $now ? 'past' : $shapes[$core->day] ?? 'planned',
            $session->reason === null ? null : Say::because($session->reason),
            $session->title ?? $session->topic,
            $session->teacher?->shortName(),
            Say::this($core->own?->said() ?? []),
            $session->note,
            $session->day === $chosen,
            $mayChange && ($core->start > $now || ! $isHeld),
        );
    }

    private function joining(Series $series): JoiningLine
    {
        $of = fn (LinkKind $kind): ?JoinLink => $series->links->first(fn (JoinLink $l): bool => $l->kind === $kind);
        $link = $of(LinkKind::Series);

        return $link === null
            ? new JoiningLine()
            : new JoiningLine(
                $link->address(),
                $of(LinkKind::Host)?->address(),
                JoinCode::show((string) $link->join_code),
                (string) $link->dial_in,
                (string) $link->pin,
            );
    }
}
