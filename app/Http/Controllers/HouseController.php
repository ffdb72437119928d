<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers;

use Illuminate\View\View;
use Nomada\App\View\House\HousePage;

/** The components of the house, for anybody who builds pages of them; not there in production. */
final class HouseController extends Controller
{
    public function __invoke(): View
    {
        abort_unless((bool) config('nomada.house'), 404);

        return view('house', ['page' => HousePage::of(resource_path('views/components'))]);
    }
}
