<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Joining\SeriesList;
use Nomada\App\View\LaterRows;
use Nomada\App\View\Registration\RostersPage;

final class RegistrationController extends Controller
{
    /** Rows that have come into sight. */
    public function rows(Request $request, SeriesList $list): View
    {
        return view('rows', [
            'page' => new RostersPage(
                $list->rows($this->term(), $this->person($request), LaterRows::numbers($request)),
                false,
            ),
            'row' => 'registration.roster-row',
        ]);
    }

    public function __invoke(Request $request, SeriesList $list): View
    {
        return view('registration.registration', [
            'page' => new RostersPage(
                $list->rows($this->term(), $this->person($request)),
                $request->query('show') === 'left',
            ),
        ]);
    }
}
