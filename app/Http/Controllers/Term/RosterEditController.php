<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\View\View;
use Nomada\App\Actions\Term\EditRoster;
use Nomada\App\Actions\Term\ImportSchool;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Person;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\StagedText;
use Nomada\App\View\People\PeopleList;
use Nomada\App\View\Term\ImportPreview;
use Nomada\App\View\Term\ImportTally;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Fault;

/** The people of the school: found, added, changed and moved, each change with a preview. */
final class RosterEditController extends Controller
{
    public function index(Request $request, PeopleList $list): View
    {
        $lacks = $request->query('lacks');

        return view('people.list', [
            'page' => $list->page(
                $this->term(),
                mb_substr((string) $request->query('q', ''), 0, 80),
                Role::tryFrom((string) $request->query('role', '')),
                in_array($lacks, ['email', 'disabled'], true) ? $lacks : '',
                $request->integer('page', 1),
            ),
        ]);
    }

    public function create(): View
    {
        $this->term();

        return view('people.add');
    }

    public function store(Request $request, EditRoster $edit): RedirectResponse
    {
        $given = $request->validate(
            ['role' => ['required', Rule::in(['student', 'teacher'])], 'text' => ['required', 'string', 'max:200000']],
            ['role.*' => __('staff_faults.people.none'), 'text.*' => __('staff_faults.people.none')],
        );
        $typed = ['role' => $given['role'], 'lines' => $given['text']];
        try {
            $faults = $edit->faults($this->term(), $typed);
        } catch (Fault $e) {
            $faults = [$e];
        }

        return $faults === []
            ? $this->preview($typed)
            : back()
                ->withInput()
                ->withErrors(['text' => implode("\n", array_map(FaultWords::of(...), $faults))]);
    }

    public function update(Request $request, string $sourcedId): RedirectResponse
    {
        $person = Person::bySourcedId($sourcedId);
        $given = $request->validate(
            [
                'given_name' => ['required', 'string', 'max:80'],
                'family_name' => ['required', 'string', 'max:80'],
                'email' => ['nullable', 'email:rfc', 'max:200'],
                'year' => ['nullable', 'string', 'max:20'],
                'zone' => ['required', 'timezone:all'],
                'language' => ['nullable', Rule::in(Templates::languages())],
            ],
            [
                'given_name.*' => __('people.edit.name_fault'),
                'family_name.*' => __('people.edit.name_fault'),
                'email.*' => __('people.edit.email_fault'),
                'zone.*' => __('people.edit.zone_fault'),
                'language.*' => __('people.edit.language_fault'),
            ],
        );

        return $this->preview([
            'person' => $person->sourced_id,
            'to' => [
                'givenName' => trim($given['given_name']),
                'familyName' => trim($given['family_name']),
                'email' => (string) ($given['email'] ?? ''),
                'grades' => trim((string) ($given['year'] ?? '')),
                'metadata.timeZone' => $given['zone'],
                'metadata.language' => (string) ($given['language'] ?? ''),
            ],
        ]);
    }

    public function move(Request $request, string $sourcedId): RedirectResponse
    {
        $person = Person::bySourcedId($sourcedId);
        $given = $request->validate(
            [
                'leaves' => ['nullable', 'string', 'exists:sections,sourced_id'],
                'joins' => ['required_without:leaves', 'nullable', 'string', 'exists:sections,sourced_id'],
                'from_day' => ['required', 'date_format:Y-m-d'],
            ],
            [
                'leaves.*' => __('people.move.fault'),
                'joins.*' => __('people.move.fault'),
                'from_day.*' => __('people.move.day_fault'),
            ],
        );

        return $this->preview([
            'person' => $person->sourced_id,
            'leaves' => $given['leaves'] ?? '',
            'joins' => $given['joins'] ?? '',
            'on' => $given['from_day'],
        ]);
    }

    public function show(Request $request, string $key, EditRoster $edit, ImportSchool $import): View|RedirectResponse
    {
        try {
            $data = $edit->data($this->term(), StagedText::find($key));
        } catch (Fault $e) {
            return redirect()->route('people')->withErrors(['people' => FaultWords::of($e)]);
        }

        return view('people.preview', ['page' => ImportPreview::of($key, $data, $import, $this->person($request))]);
    }

    public function take(Request $request, string $key, EditRoster $edit, ImportSchool $import): RedirectResponse
    {
        $given = $request->validate([
            'sure' => ['nullable', 'array', 'max:20000'],
            'sure.*' => ['string', 'max:300'],
        ]);
        $kept = StagedText::find($key);
        $done = $import(
            $edit->data($this->term(), $kept),
            $this->person($request),
            array_values(array_map(strval(...), (array) ($given['sure'] ?? []))),
        );
        $kept->forget();
        $what = ImportTally::words($done);

        return redirect()
            ->route('people')
            ->with('said', $what === '' ? __('people.preview.nothing') : __('people.preview.saved', ['what' => $what]));
    }

    /** @param  array<string, mixed>  $edit */
    private function preview(array $edit): RedirectResponse
    {
        return redirect()->route('people.preview', StagedText::text((string) json_encode($edit))->key);
    }
}
