<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Publishing\ChangePlace;
use Nomada\App\Actions\Publishing\KeepRooms;
use Nomada\App\Actions\Publishing\TryPlace;
use Nomada\App\Destinations\Places;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\PlaceRequest;
use Nomada\App\View\Publishing\PlacesPage;
use Nomada\Core\Publishing\ExternalService;

final class PlacesController extends Controller
{
    public function show(Places $places): View
    {
        return view('publishing.places', ['page' => PlacesPage::of($places)]);
    }

    public function update(
        PlaceRequest $request,
        ExternalService $service,
        Places $places,
        ChangePlace $change,
    ): RedirectResponse {
        $change($request->settings($service, $places), $this->person($request));

        return redirect()
            ->to(route('places')."#$service->value")
            ->with('said', __('publishing.places.kept'));
    }

    public function reset(Request $request, ExternalService $service, ChangePlace $change): RedirectResponse
    {
        $change->reset($service, $this->person($request));

        return redirect()
            ->to(route('places')."#$service->value")
            ->with('said', __('publishing.places.kept'));
    }

    public function rooms(Request $request, KeepRooms $keep): RedirectResponse
    {
        $request->validate(
            ['rooms' => ['required', 'file', 'max:512']],
            ['rooms.*' => __('publishing.places.rooms_hint')],
        );
        $file = $request->file('rooms');
        $n = $keep($file->getClientOriginalName(), (string) $file->get(), $this->person($request));

        return redirect()
            ->to(route('places').'#bridge')
            ->with('said', trans_choice('publishing.places.rooms_kept', $n));
    }

    /** What was typed is tried, and not kept. */
    public function try(
        PlaceRequest $request,
        ExternalService $service,
        Places $places,
        TryPlace $try,
    ): RedirectResponse {
        $trial = $try($request->settings($service, $places));

        return redirect()
            ->to(route('places')."#$service->value")
            ->withInput($request->except('password'))
            ->with('trial', [
                'service' => $service->value,
                'works' => $trial->works,
                'words' => $trial->words,
            ]);
    }
}
