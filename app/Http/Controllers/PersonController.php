<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Account\RenewLinks;
use Nomada\App\Actions\Recording\KeepConsent;
use Nomada\App\Actions\Term\DisablePerson;
use Nomada\App\Models\Term\Person;
use Nomada\App\View\Person\PersonQuery;

final class PersonController extends Controller
{
    public function __invoke(Request $request, string $sourcedId, PersonQuery $page): View
    {
        $person = Person::bySourcedId($sourcedId);

        return view('person', ['page' => $page->page($person, $this->person($request), $this->term())]);
    }

    public function disable(Request $request, string $sourcedId, DisablePerson $disable): RedirectResponse
    {
        return $this->mark($request, $sourcedId, $disable, true);
    }

    public function enable(Request $request, string $sourcedId, DisablePerson $disable): RedirectResponse
    {
        return $this->mark($request, $sourcedId, $disable, false);
    }

    /** Ends every link and secret address that somebody was sent. */
    public function renewLinks(Request $request, string $sourcedId, RenewLinks $renew): RedirectResponse
    {
        $person = Person::bySourcedId($sourcedId);
        $renew($person, $this->person($request));

        return redirect()
            ->route('person', $sourcedId)
            ->with('said', __('person.links_renewed', ['name' => $person->name()]));
    }

    /** Whether somebody agreed to be recorded, as the office has it. */
    public function recorded(Request $request, string $sourcedId, KeepConsent $keep): RedirectResponse
    {
        $given = $request->validate(
            ['agreed' => ['required', 'in:yes,no,unknown']],
            ['agreed.*' => __('recordings.consent.fault')],
        );
        $person = Person::bySourcedId($sourcedId);
        $keep(
            $person,
            ['yes' => true, 'no' => false, 'unknown' => null][$given['agreed']],
            $this->person($request),
        );

        return redirect()->route('person', $sourcedId)->with('said', __('recordings.consent.said'));
    }

    private function mark(
        Request $request,
        string $sourcedId,
        DisablePerson $disable,
        bool $isDisabled,
    ): RedirectResponse {
        $person = Person::bySourcedId($sourcedId);
        $disable($person, $isDisabled, $this->person($request));

        return redirect()
            ->route('person', $sourcedId)
            ->with(
                'said',
                $isDisabled
                    ? (string) __('said.person.cannot_sign_any', ['name' => $person->name()])
                    : (string) __('said.person.may_sign_again', ['name' => $person->name()]),
            );
    }
}
