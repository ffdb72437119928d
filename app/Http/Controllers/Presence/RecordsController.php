<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Presence;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Presence\RecordsPage;

final class RecordsController extends Controller
{
    public function __invoke(Request $request, RecordsPage $page): View
    {
        return view('presence.records', [
            'rows' => $page->rows($this->term(), $this->person($request)),
            'term' => $this->term(),
        ]);
    }
}
