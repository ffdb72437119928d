<?php

declare(strict_types=1);

namespace Nomada\App\View\People;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\Say;
use Nomada\Core\Belonging\Role;

/** The forms in which one person is changed by hand. */
final readonly class EditForm
{
    /**
     * @param  array<string, string>  $languages  names by tag
     * @param  array<string, string>  $leaves  the student's sections, names by sourcedId
     * @param  array<string, string>  $joins  the other sections of the term
     */
    private function __construct(
        public Person $who,
        public array $languages,
        public array $leaves,
        public array $joins,
    ) {
    }

    /** @param  array<string, string>  $sections  the person's, names by sourcedId */
    public static function of(Person $who, Term $term, array $sections): self
    {
        $isStudent = $who->role === Role::Student;
        $others = $isStudent
            ? Section::query()
                ->where('term_id', $term->id)
                ->whereNotIn('sourced_id', array_keys($sections))
                ->orderBy('title')
                ->get(['sourced_id', 'title', 'year'])
                ->mapWithKeys(fn (Section $s): array => [$s->sourced_id => $s->name()])
                ->all()
            : [];

        return new self(
            $who,
            array_combine(Templates::languages(), array_map(Say::language(...), Templates::languages())),
            $isStudent ? $sections : [],
            $others,
        );
    }

    public function mayMove(): bool
    {
        return $this->who->role === Role::Student && $this->who->disabled_on === null;
    }
}
