<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Presence;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Presence\TodayPage;

final class TodayController extends Controller
{
    public function __invoke(Request $request, TodayPage $page): View
    {
        return view(
            'presence.today',
            $page->data($this->term(), $this->person($request), (string) $request->query('date', '')),
        );
    }
}
