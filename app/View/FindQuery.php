<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Nomada\App\Models\Term\MembershipRow;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedDate;

/**
 * Finds sections, people and dates by what a person types.
 *
 * @phpstan-type Hit array{kind: string, title: string, note: string, url: string}
 */
final readonly class FindQuery
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return list<Hit> */
    public function find(string $typed, Term $term, Person $for): array
    {
        return [
            ...$this->dates($typed, $term),
            ...$this->sections($typed, $term, $for),
            ...$this->people($typed, $for),
        ];
    }

    /** @return list<Hit> */
    private function sections(string $typed, Term $term, Person $for): array
    {
        $query = Section::query()->where('term_id', $term->id)->seenBy($for);
        foreach (self::words($typed) as $word) {
            $query->whereRaw(
                "('Y' || year || ' ' || title || ' ' || code || ' ' || sourced_id || ' ' || coalesce((select ".
                    "string_agg(family_name, ' ') from memberships e join people p on p.id = e.person_id where ".
                    "e.section_id = sections.id and e.role = 'teacher'), '')) ilike ?",
                ["%$word%"],
            );
        }

        return array_values(
            $query
                ->orderBy('year')
                ->orderBy('title')
                ->limit(8)
                ->get()
                ->map(
                    fn (Section $s): array => [
                        'kind' => 'Section',
                        'title' => $s->name(),
                        'note' => $s->sourced_id,
                        'url' => route('section', $s),
                    ],
                )
                ->all(),
        );
    }

    /**
     * A teacher finds those of their own sections.
     *
     * @return list<Hit>
     */
    private function people(string $typed, Person $for): array
    {
        $query = Person::query()->where('role', '!=', Role::Guardian)->whereNull('disabled_on');
        foreach (self::words($typed) as $word) {
            $query->whereRaw("(given_name || ' ' || family_name || ' ' || coalesce(email, '')) ilike ?", [
                "%$word%",
            ]);
        }
        if (! $for->isCoordinator()) {
            $query->whereIn(
                'id',
                MembershipRow::query()
                    ->whereIn('section_id', Section::query()->seenBy($for)->select('id'))
                    ->stillOn($this->clock->schoolDay()->iso())
                    ->select('person_id'),
            );
        }

        return array_values(
            $query
                ->orderBy('role', 'desc')
                ->orderBy('family_name')
                ->limit(8)
                ->get()
                ->map(
                    fn (Person $p): array => [
                        'kind' => ucfirst($p->role->value),
                        'title' => $p->name(),
                        'note' => $p->year === '' ? '' : "Year $p->year",
                        'url' => route('person', $p->sourced_id),
                    ],
                )
                ->all(),
        );
    }

    /**
     * `2027-02-18`, `18 feb`, `feb 18`, `thu`, `today`, `tomorrow`, `week 6`.
     *
     * @return list<Hit>
     */
    private function dates(string $typed, Term $term): array
    {
        $calendar = $term->calendar();
        $text = mb_strtolower($typed);
        if (
            preg_match('/^week\s*(\d{1,2})$/D', $text, $m) &&
            (int) $m[1] >= 1 &&
            (int) $m[1] <= $calendar->weeks()
        ) {
            return [
                [
                    'kind' => 'Week',
                    'title' => "Week $m[1]",
                    'note' => 'from '.Say::day($calendar->monday((int) $m[1])),
                    'url' => route('timetable', ['week' => $m[1]]),
                ],
            ];
        }
        $date = $this->date($text, $calendar);

        return $date === null || ! $calendar->contains($date->day)
            ? []
            : [
                [
                    'kind' => 'Date',
                    'title' => Say::day($date),
                    'note' => $calendar->isOpen($date->day)
                        ? "week {$calendar->weekOf($date->day)}"
                        : Say::because($calendar->closedBecause($date->day)),
                    'url' => route('today', ['date' => $date->iso()]),
                ],
            ];
    }

    private function date(string $text, \Nomada\Core\Term\Term $calendar): ?LocalDate
    {
        $today = $calendar->zone->dateAt($this->clock->seconds());
        $weekdays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];
        try {
            if ($text === 'today' || $text === 'tomorrow') {
                return $today->plus($text === 'today' ? 0 : 1);
            }
            $weekday = array_search(substr($text, 0, 3), $weekdays, true);
            if (
                $weekday !== false &&
                strlen($text) >= 3 &&
                str_starts_with(
                    ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'][$weekday],
                    $text,
                )
            ) {
                return $today->plus(($weekday + 1 - $today->weekday() + 7) % 7);
            }
            // "7mar" is a section; a date has its parts apart.
            if (preg_match('/\d.*[\s\/.-]|[\s\/.-].*\d/', $text)) {
                return TypedDate::read($text, $calendar->first, $calendar->last);
            }
        } catch (Fault) {
            return null;
        }

        return null;
    }

    /** @return list<string> escaped for LIKE */
    private static function words(string $typed): array
    {
        return array_values(
            array_map(
                fn (string $w): string => addcslashes($w, '%_\\'),
                array_filter(explode(' ', $typed), fn (string $w): bool => $w !== ''),
            ),
        );
    }
}
