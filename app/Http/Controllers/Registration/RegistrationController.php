<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Joining\SeriesList;
use Nomada\App\View\Registration\RostersPage;

final class RegistrationController extends Controller
{
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
