<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Joining\SeriesList;
use Nomada\App\View\Joining\SeriesRow;

final class JoiningController extends Controller
{
    public function __invoke(Request $request, SeriesList $list): View
    {
        $rows = $list->rows($this->term(), $this->person($request));
        $show = (string) $request->query('show', '');
        $missing = array_values(array_filter($rows, fn (SeriesRow $r): bool => $r->link === null));

        return view('joining.joining', ['rows' => $show === 'missing' ? $missing : $rows, 'all' => count($rows), 'missing' => count($missing), 'show' => $show]);
    }
}
