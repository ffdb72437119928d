<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Account;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Account\InvitePeople;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Person;
use Nomada\App\View\Account\PeoplePage;
use Nomada\Core\Belonging\Role;

/** Who of the school can sign in, and invitations to those who cannot yet. */
final class PeopleController extends Controller
{
    public function show(Request $request): View
    {
        return view('account.people', [
            'page' => PeoplePage::of($request->string('role')->value(), $request->integer('page', 1)),
        ]);
    }

    public function inviteAll(Request $request, InvitePeople $invite): RedirectResponse
    {
        $given = $request->validate(
            ['role' => ['required', 'string', 'in:'.implode(',', array_column(Role::cases(), 'value'))]],
            ['role.*' => __('account.people.choose')],
        );
        $role = Role::from($given['role']);
        $n = $invite->all($role, $this->person($request));

        return redirect()
            ->route('accounts', ['role' => $role->value])
            ->with('said', trans_choice('account.people.said', $n));
    }

    public function invite(Request $request, string $sourcedId, InvitePeople $invite): RedirectResponse
    {
        $person = Person::bySourcedId($sourcedId);
        $pass = $invite->one($person, $this->person($request));

        return $person->email !== null
            ? back()->with('said', __('account.people.sent', ['name' => $person->name(), 'to' => $person->email]))
            : back()
                ->with('said', __('account.people.by_hand', ['name' => $person->name()]))
                ->with('link', $pass->address());
    }
}
