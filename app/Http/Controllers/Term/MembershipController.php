<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\Term\ManageMemberships;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Course;
use Nomada\App\Models\Term\Enrolment;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Belonging\MembershipRole;

/** Co-teachers and observers of a section, one by one or by rule. */
final class MembershipController extends Controller
{
    public function store(Request $request, Section $section, ManageMemberships $part): RedirectResponse
    {
        $given = $request->validate(
            [
                'person' => ['required', 'string', 'exists:people,sourced_id'],
                'role' => ['required', 'in:co-teacher,observer'],
            ],
            [
                'person.*' => (string) __('said.part.choose_person'),
                'role.*' => (string) __('said.part.choose_what_they'),
            ],
        );
        $person = Person::bySourcedId($given['person']);
        $part($section, $person, MembershipRole::from($given['role']));

        return $this->done(
            $section,
            (string) __('said.part.section', ['name' => $person->name(), 'role' => $given['role']]),
        );
    }

    public function destroy(Section $section, int $enrolment, ManageMemberships $part): RedirectResponse
    {
        $found = Enrolment::ofSection($section, $enrolment);
        $part->leave($found);

        return $this->done($section, (string) __('said.part.has_no_part', ['name' => $found->person->name()]));
    }

    public function rule(Request $request, Section $section, ManageMemberships $part): RedirectResponse
    {
        $given = $request->validate(
            ['rule' => ['required', 'string', 'max:80', 'regex:/^(year|course):.+/']],
            ['rule.*' => (string) __('said.part.choose_year_or')],
        );
        [$kind, $of] = explode(':', $given['rule'], 2);
        $rule = $part->rule(
            $section,
            $kind === 'year' ? $of : null,
            $kind === 'course' ? Course::bySourcedId($of) : null,
        );

        return $this->done(
            $section,
            (string) __('said.part.observes', ['who' => ucfirst($rule->load('course')->words())]),
        );
    }

    public function unrule(Section $section, int $rule, ManageMemberships $part): RedirectResponse
    {
        $part->unrule($section->observerRule($rule));

        return $this->done($section, (string) __('said.part.rule_taken_back'));
    }

    private function done(Section $section, string $said): RedirectResponse
    {
        return redirect()->route('section', $section)->with('said', $said);
    }
}
