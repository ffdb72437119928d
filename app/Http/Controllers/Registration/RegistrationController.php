<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Joining\SeriesList;
use Nomada\App\View\Joining\SeriesRow;

final class RegistrationController extends Controller
{
    public function __invoke(Request $request, SeriesList $list): View
    {
        $rows = $list->rows($this->term(), $this->person($request));
        $left = array_values(array_filter($rows, fn (SeriesRow $r): bool => $r->registered < $r->roster));
        $show = (string) $request->query('show', '');

        return view('registration.registration', [
            'rows' => $show === 'left' ? $left : $rows,
            'all' => count($rows),
            'left' => count($left),
            'show' => $show,
        ]);
    }
}
