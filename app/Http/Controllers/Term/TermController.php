<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Term\TermPage;

final class TermController extends Controller
{
    public function __invoke(TermPage $page): View
    {
        return view('term.term', $page->data($this->term()));
    }
}
