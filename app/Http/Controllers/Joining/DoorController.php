<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Joining\ComeIn;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\View\Joining\DoorPage;
use Nomada\Core\Fault;
use Nomada\Core\Joining\LinkKind;

final class DoorController extends Controller
{
    /** Where a join code is typed. */
    public function ask(): View
    {
        return view('joining.code');
    }

    public function find(Request $request, DoorPage $page, Audit $audit): RedirectResponse
    {
        $request->validate(
            ['code' => ['required', 'string', 'max:40']],
            ['code.*' => 'Write the join code: ten letters and figures.'],
        );
        try {
            return redirect()->route('door', $page->secretOf((string) $request->input('code')));
        } catch (Fault $e) {
            $audit('code', null, $this->person($request), 'a join code that is none was typed');

            throw $e;
        }
    }

    /** The memorable address of a series. */
    public function short(string $address, DoorPage $page): RedirectResponse
    {
        return redirect()->route('door', $page->short($address)->secret);
    }

    public function show(Request $request, string $secret, DoorPage $page): View|RedirectResponse
    {
        return $this->asksToSignIn($request, $secret)
            ? redirect()->guest(route('sign-in'))
            : view('joining.door', $page->data($page->find($secret), $secret, $this->visitor($request)));
    }

    /** Whether a door may answer otherwise by now: small, without a session, for those who wait. */
    public function look(Request $request, string $secret, DoorPage $page): JsonResponse
    {
        $person = $request->integer('person') ?: null;

        return response()->json(['version' => $page->version($page->find($secret), $person)]);
    }

    /** Asks the door once more, and only then brings the person to the bridge. */
    public function enter(Request $request, string $secret, DoorPage $page, ComeIn $comeIn): RedirectResponse
    {
        if ($this->asksToSignIn($request, $secret)) {
            return redirect()->guest(route('sign-in'));
        }
        $person = $this->visitor($request);
        $link = $page->find($secret);
        [$answer, $way, $meeting] = $page->answer($link, $secret, $person);
        if (! $answer->reply->opens()) {
            return redirect()->route('door', $secret);
        }
        try {
            return redirect()->away(
                $comeIn(
                    $way,
                    $meeting,
                    $person->sourced_id ?? DoorPage::guest($link),
                    ($person?->name() ?? ($link instanceof JoinLink ? (string) $link->guest_name : '')).
                        ($answer->looks ? ' (observer)' : ''),
                    $answer,
                ),
            );
        } catch (DestinationFailure $e) {
            return redirect()
                ->route('door', $secret)
                ->withErrors([
                    'bridge' => 'The room did not open: '.
                        $e->getMessage().
                        ' Try again in a minute, or come in by phone.',
                ]);
        }
    }

    /**
     * A guest's pass opens without an account; every other link asks to sign in first, and tells nobody before that
     * whether it is one.
     */
    private function asksToSignIn(Request $request, string $secret): bool
    {
        return $request->user() === null &&
            ! JoinLink::query()->withSecret($secret)->where('kind', LinkKind::Guest)->exists();
    }

    private function visitor(Request $request): ?Person
    {
        $person = $request->user();

        return $person instanceof Person ? $person : null;
    }
}
