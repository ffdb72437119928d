<?php

declare(strict_types=1);

namespace Nomada\App\View\People;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\Role;

/** Looks up people by name, email or id, by role, and by what is missing. */
final readonly class PeopleList
{
    private const A_PAGE = 60;

    public function __construct(private Clock $clock)
    {
    }

    /** @param  'email'|'disabled'|''  $lacks  only people without an email address, or disabled ones */
    public function page(Term $term, string $typed, ?Role $role, string $lacks, int $page): PeoplePage
    {
        $all = Person::query()
            ->when($role !== null, fn (Builder $q) => $q->where('role', $role))
            ->when($lacks === 'email', fn (Builder $q) => $q->whereNull('email'))
            ->when(
                $lacks === 'disabled',
                fn (Builder $q) => $q->whereNotNull('disabled_on'),
                fn (Builder $q) => $q->whereNull('disabled_on'),
            );
        foreach (preg_split('/\s+/u', trim($typed), 8, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $all->whereRaw(
                "(given_name || ' ' || family_name || ' ' || coalesce(email, '') || ' ' || sourced_id) ilike ?",
                ['%'.addcslashes($word, '%_\\').'%'],
            );
        }
        $n = (clone $all)->count();
        $pages = max(1, (int) ceil($n / self::A_PAGE));
        $at = min(max(1, $page), $pages);
        $people = $all->orderBy('family_name')->orderBy('given_name')->orderBy('id')->forPage($at, self::A_PAGE)->get();
        $sections = $this->sections($term, array_values(array_map(intval(...), $people->modelKeys())));

        return new PeoplePage(
            $typed,
            $role,
            $lacks,
            $n,
            $at,
            $pages,
            array_values(
                $people
                    ->map(
                        fn (Person $p): PersonLine => new PersonLine(
                            $p->sourced_id,
                            $p->name(),
                            $p->role,
                            $p->year,
                            implode(', ', $sections[$p->id] ?? []),
                            $p->email,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    /**
     * @param  list<int>  $people
     * @return array<int, list<string>> names of sections by person
     */
    private function sections(Term $term, array $people): array
    {
        $out = [];
        foreach (
            DB::table('memberships')
                ->join('sections', 'sections.id', '=', 'section_id')
                ->where('term_id', $term->id)
                ->whereIn('person_id', $people)
                ->whereNull('session_id')
                ->whereRaw("coalesce(ends_on, 'infinity') >= ?::date", [$this->clock->schoolDay()->iso()])
                ->orderBy('sections.title')
                ->distinct()
                ->get(['person_id', 'sections.title', 'sections.year']) as $row
        ) {
            $out[(int) $row->person_id][] = Section::called($row->year, $row->title);
        }

        return $out;
    }
}
