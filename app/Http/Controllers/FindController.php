<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Nomada\App\View\FindQuery;

final class FindController extends Controller
{
    public function __invoke(Request $request, FindQuery $find): JsonResponse
    {
        $typed = mb_substr(trim((string) $request->query('q', '')), 0, 80);

        return new JsonResponse([
            'found' => $typed === '' ? [] : $find->find($typed, $this->term(), $this->person($request)),
        ]);
    }
}
