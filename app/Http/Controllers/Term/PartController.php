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
            ['person.*' => 'Choose a person.', 'role.*' => 'Choose what they are: co-teacher or observer.'],
        );
        $person = Person::query()->where('sourced_id', $given['person'])->firstOrFail();
        $part($section, $person, $given['role']);

        return $this->done($section, "{$person->name()} is a {$given['role']} of this section.");
    }

    public function destroy(Section $section, int $enrolment, TakePart $part): RedirectResponse
    {
        $found = Enrolment::query()
            ->with(['person', 'section.term.school'])
            ->where('section_id', $section->id)
            ->findOrFail($enrolment);
        $part->leave($found);

        return $this->done($section, "{$found->person->name()} has no part in this section any more.");
    }

    public function rule(Request $request, Section $section, TakePart $part): RedirectResponse
    {
        $given = $request->validate(
            ['rule' => ['required', 'string', 'max:80', 'regex:/^(year|course):.+/']],
            ['rule.*' => 'Choose a year or a course.'],
        );
        [$kind, $of] = explode(':', $given['rule'], 2);
        $rule = $part->rule(
            $section,
            $kind === 'year' ? $of : null,
            $kind === 'course' ? Course::query()->where('sourced_id', $of)->firstOrFail() : null,
        );

        return $this->done(
            $section,
            ucfirst($rule->load('course')->words()).' observes this section; coming is optional for them.',
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

        return $this->done($section, 'The rule is taken back.');
    }

    private function done(Section $section, string $said): RedirectResponse
    {
        return redirect()->route('section', $section)->with('said', $said);
    }
}
