<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\MoveClock;

final class ClockController extends Controller
{
    public function __invoke(Request $request, MoveClock $move): RedirectResponse
    {
        $this->authorize('move-clock');
        $given = $request->validate(
            [
                'step' => ['nullable', 'string', 'max:10'],
                'date' => ['nullable', 'date_format:Y-m-d'],
                'time' => ['nullable', 'string', 'max:10'],
            ],
            ['date.*' => (string) __('said.clock.choose_day')],
        );
        $move(
            $this->person($request),
            (string) ($given['step'] ?? ''),
            (string) ($given['date'] ?? ''),
            (string) ($given['time'] ?? ''),
        );

        return back();
    }
}
