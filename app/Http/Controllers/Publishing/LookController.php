<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Clock;
use Nomada\App\View\Publishing\LookPage;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\TypedTime;

final class LookController extends Controller
{
    /** As somebody, from a day and a time of theirs on; from now where none is given. */
    public function __invoke(Request $request, string $sourcedId, LookPage $page, Clock $clock): View
    {
        $who = Person::query()->where('sourced_id', $sourcedId)->firstOrFail();
        $date = (string) $request->query('date', '');
        $time = (string) $request->query('time', '');
        $fault = null;
        $at = $clock->seconds();
        try {
            $zone = $who->zone();
            $at =
                $date === ''
                    ? $at
                    : $zone->instant(
                        LocalDate::parse($date)->day,
                        $time === '' ? 0 : TypedTime::read($time, 'time')->minute,
                    );
        } catch (Fault $e) {
            $fault = $e->getMessage();
        }

        return view('publishing.look', [
            'page' => $page->of($who, $this->person($request), $this->term(), $at),
            'fault' => $fault,
        ]);
    }
}
