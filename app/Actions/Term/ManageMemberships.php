<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\Course;
use Nomada\App\Models\Term\Enrolment;
use Nomada\App\Models\Term\ObserverRule;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Fault;

/**
 * Gives people a part in a section beside the import: co-teachers, observers one by one, and observers by rule
 * (everybody of a year, of a course).
 */
final readonly class ManageMemberships
{
    public function __construct(private RefreshClashes $clashes, private RefreshPlacements $refresh)
    {
    }

    /** @throws Fault where the person has a part already, or is no teacher */
    public function __invoke(Section $section, Person $person, MembershipRole $role): void
    {
        if ($role === MembershipRole::CoTeacher && ! $person->isStaff()) {
            throw new Fault('part.no_teacher', 'person', ['person' => $person->name()]);
        }
        $known = Enrolment::query()->where('section_id', $section->id)->where('person_id', $person->id)->first();
        if ($known !== null) {
            throw new Fault('part.twice', 'person', ['person' => $person->name(), 'role' => $known->role->value]);
        }
        DB::transaction(function () use ($section, $person, $role): void {
            Enrolment::query()->create([
                'section_id' => $section->id,
                'person_id' => $person->id,
                'role' => $role,
                'sourced_id' => 'local-'.Str::ulid(),
                'is_local' => true,
            ]);
            $this->follow([$section]);
        });
    }

    /** @throws Fault where the part comes from the import or from a rule */
    public function leave(Enrolment $enrolment): void
    {
        if (! $enrolment->is_local || $enrolment->observer_rule_id !== null) {
            throw new Fault($enrolment->observer_rule_id !== null ? 'part.of_rule' : 'part.of_import', 'person');
        }
        DB::transaction(function () use ($enrolment): void {
            $section = $enrolment->section;
            $enrolment->delete();
            $this->follow([$section]);
        });
    }

    /** @throws Fault where neither is given, or the rule stands already */
    public function rule(Section $section, ?string $year, ?Course $course): ObserverRule
    {
        if (($year === null) === ($course === null)) {
            throw new Fault('part.what', 'rule');
        }
        if (
            ObserverRule::query()
                ->where('section_id', $section->id)
                ->where('year', $year)
                ->where('course_id', $course?->id)
                ->exists()
        ) {
            throw new Fault('part.stands', 'rule');
        }

        return DB::transaction(function () use ($section, $year, $course): ObserverRule {
            $rule = ObserverRule::query()->create([
                'section_id' => $section->id,
                'year' => $year,
                'course_id' => $course?->id,
            ]);
            $this->apply([$rule]);
            $this->follow([$section]);

            return $rule;
        });
    }

    public function unrule(ObserverRule $rule): void
    {
        DB::transaction(function () use ($rule): void {
            $section = $rule->section;
            $rule->delete();
            $this->follow([$section]);
        });
    }

    /**
     * People whom a rule names become observers, unless they have a role in the section; those whom it no longer names
     * stop.
     *
     * @param  iterable<ObserverRule>  $rules
     * @return list<int> sections whose observers changed
     */
    public function apply(iterable $rules): array
    {
        $touched = [];
        foreach ($rules as $rule) {
            $named = DB::table('people')
                ->whereIn('role', [Role::Student, Role::Teacher])
                ->when(
                    $rule->year !== null,
                    fn ($q) => $q->where('year', $rule->year)->where('role', Role::Student),
                    fn ($q) => $q->whereIn(
                        'id',
                        DB::table('enrolments')
                            ->join('sections', 'sections.id', '=', 'section_id')
                            ->where('course_id', $rule->course_id)
                            ->whereNull('observer_rule_id')
                            ->select('person_id'),
                    ),
                )
                ->pluck('id');
            $gone = DB::table('enrolments')
                ->where('observer_rule_id', $rule->id)
                ->whereNotIn('person_id', $named)
                ->delete();
            $new = DB::table('people')
                ->whereIn('id', $named)
                ->whereNotIn(
                    'id',
                    DB::table('enrolments')->where('section_id', $rule->section_id)->select('person_id'),
                )
                ->pluck('id');
            DB::table('enrolments')->insert(
                $new
                    ->map(
                        fn (mixed $person): array => [
                            'section_id' => $rule->section_id,
                            'person_id' => $person,
                            'role' => MembershipRole::Observer->value,
                            'sourced_id' => "rule-$rule->id-$person",
                            'is_local' => true,
                            'observer_rule_id' => $rule->id,
                            'created_at' => now(),
                            'updated_at' => now(),
                        ],
                    )
                    ->all(),
            );
            if ($gone > 0 || $new->isNotEmpty()) {
                $touched[] = $rule->section_id;
            }
        }

        return array_values(array_unique($touched));
    }

    /** @param  list<Section>  $sections */
    private function follow(array $sections): void
    {
        foreach ($sections as $section) {
            ($this->clashes)($section->term, [$section->id]);
            ($this->refresh)([$section->id]);
        }
    }
}
