<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Joining\ComeIn;
use Nomada\App\Actions\Joining\DecideAdmission;
use Nomada\App\Actions\Joining\HoldPass;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\GuestCookie;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Queries\LinkLookup;
use Nomada\App\Support\Browser;
use Nomada\App\View\Joining\DoorPage;
use Nomada\Core\Fault;
use Nomada\Core\Joining\AdmissionDecision;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Language\Said;

final class DoorController extends Controller
{
    /** Where a join code is typed. */
    public function ask(): View
    {
        return view('joining.code');
    }

    public function find(Request $request, LinkLookup $links, Audit $audit): RedirectResponse
    {
        $request->validate(['code' => ['required', 'string', 'max:40']], ['code.*' => __('faults.code.write')]);
        try {
            return redirect()->route('door', $links->secretOf((string) $request->input('code')));
        } catch (Fault $e) {
            $audit('code', null, $this->person($request), new Said('audit.no_code'));

            throw $e;
        }
    }

    /** The memorable address of a series. */
    public function short(string $address, LinkLookup $links): RedirectResponse
    {
        return redirect()->route('door', $links->short($address)->secret);
    }

    public function show(
        Request $request,
        string $secret,
        LinkLookup $links,
        DoorPage $page,
        HoldPass $hold,
    ): View|RedirectResponse {
        if ($this->asksToSignIn($request, $secret)) {
            return redirect()->guest(route('sign-in'));
        }
        $link = $links->find($secret);

        return view('joining.door', [
            'page' => $page->view(
                $link,
                $secret,
                $this->visitor($request),
                $hold->at($link, GuestCookie::of($request)),
            ),
        ]);
    }

    /** Another browser asks the teacher for a pass that is held. */
    public function askForPass(
        Request $request,
        string $secret,
        LinkLookup $links,
        HoldPass $hold,
    ): RedirectResponse {
        $pass = self::pass($links->find($secret)) ?? abort(404);
        if ($hold->at($pass, GuestCookie::of($request))->isElsewhere) {
            $hold->ask($pass, GuestCookie::keep($request), Browser::of($request));
        }

        return redirect()->route('door', $secret);
    }

    private static function mayLook(int $person, int $version): bool
    {
        return Person::find($person)?->takesLink($version) ?? false;
    }

    private static function pass(JoinLink|DropInRoom $link): ?JoinLink
    {
        return $link instanceof JoinLink && $link->kind === LinkKind::Guest ? $link : null;
    }

    /** Whether a door may answer otherwise by now: small, without a session, for those who wait. */
    public function look(Request $request, string $secret, LinkLookup $links, DecideAdmission $decide): JsonResponse
    {
        $person = $request->integer('person') ?: null;
        abort_unless($person === null || self::mayLook($person, $request->integer('v')), 403);

        return response()->json(['version' => $decide->version($links->find($secret), $person)]);
    }

    /** Asks the door once more, and only then brings the person to the bridge. */
    public function enter(
        Request $request,
        string $secret,
        LinkLookup $links,
        DecideAdmission $decide,
        ComeIn $comeIn,
        HoldPass $hold,
    ): RedirectResponse {
        if ($this->asksToSignIn($request, $secret)) {
            return redirect()->guest(route('sign-in'));
        }
        $person = $this->visitor($request);
        $link = $links->find($secret);
        $at = $hold->at($link, GuestCookie::of($request));
        $admission = $decide($link, $secret, $person, $at);
        $answer = $admission->decision;
        $whom = $answer->reply->opens() ? DecideAdmission::whom($answer, $link, $person, $at) : null;
        // The first browser keeps the pass; of two at one moment one.
        $pass = self::pass($link);
        if ($pass !== null && $answer->asGuest && $whom !== null) {
            $whom = $hold->take($pass, GuestCookie::keep($request), Browser::of($request));
        }
        if ($whom === null) {
            return redirect()->route('door', $secret);
        }
        try {
            return redirect()->away(
                $comeIn($admission->way, $admission->meeting, $whom, self::name($answer, $link, $person), $answer),
            );
        } catch (DestinationFailure $e) {
            return redirect()
                ->route('door', $secret)
                ->withErrors([
                    'bridge' => __('faults.room', ['why' => $e->getMessage()]),
                ]);
        }
    }

    /** As the room shows them: guests and observers are marked. */
    private static function name(AdmissionDecision $answer, JoinLink|DropInRoom $link, ?Person $person): string
    {
        return match (true) {
            $answer->asGuest && $link instanceof JoinLink => "$link->guest_name (guest)",
            $person === null => '',
            default => $person->name().($answer->looks ? ' (observer)' : ''),
        };
    }

    /**
     * A guest's pass opens without an account; every other link asks to sign in first, and tells nobody before that
     * whether it is one.
     */
    private function asksToSignIn(Request $request, string $secret): bool
    {
        return $request->user() === null && ! JoinLink::isPass($secret);
    }

    private function visitor(Request $request): ?Person
    {
        $person = $request->user();

        return $person instanceof Person ? $person : null;
    }
}
