<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\Term\TakePart;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Course;
use Nomada\App\Models\Term\Enrolment;
use Nomada\App\Models\Term\ObserverRule;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;

/** Co-teachers and observers of a section, one by one or by rule. */
final class PartController extends Controller
{
    public function store(Request $request, Section $section, TakePart $part): RedirectResponse
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
        $person = Person::query()->where('sourced_id', $given['person'])->firstOrFail();
        $part($section, $person, $given['role']);

        return $this->done(
            $section,
            (string) __('said.part.section', ['name' => $person->name(), 'role' => $given['role']]),
        );
    }

    public function destroy(Section $section, int $enrolment, TakePart $part): RedirectResponse
    {
        $found = Enrolment::query()
            ->with(['person', 'section.term.school'])
            ->where('section_id', $section->id)
            ->findOrFail($enrolment);
        $part->leave($found);

        return $this->done($section, (string) __('said.part.has_no_part', ['name' => $found->person->name()]));
    }

    public function rule(Request $request, Section $section, TakePart $part): RedirectResponse
    {
        $given = $request->validate(
            ['rule' => ['required', 'string', 'max:80', 'regex:/^(year|course):.+/']],
            ['rule.*' => (string) __('said.part.choose_year_or')],
        );
        [$kind, $of] = explode(':', $given['rule'], 2);
        $rule = $part->rule(
            $section,
            $kind === 'year' ? $of : null,
            $kind === 'course' ? Course::query()->where('sourced_id', $of)->firstOrFail() : null,
        );

        return $this->done(
            $section,
            (string) __('said.part.observes', ['who' => ucfirst($rule->load('course')->words())]),
        );
    }

    public function unrule(Section $section, int $rule, TakePart $part): RedirectResponse
    {
        $part->unrule(
            ObserverRule::query()
                ->with('section.term.school')
                ->where('section_id', $section->id)
                ->findOrFail($rule),
        );

        return $this->done($section, (string) __('said.part.rule_taken_back'));
    }

    private function done(Section $section, string $said): RedirectResponse
    {
        return redirect()->route('section', $section)->with('said', $said);
    }
}
