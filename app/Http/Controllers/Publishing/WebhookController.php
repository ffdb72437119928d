<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Publishing\Webhooks;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Publishing\WebhooksPage;

final class WebhookController extends Controller
{
    public function index(): View
    {
        return view('publishing.webhooks', ['page' => WebhooksPage::of($this->term()->calendar()->zone)]);
    }

    public function store(Request $request, Webhooks $webhooks): RedirectResponse
    {
        $given = $request->validate(['address' => ['required', 'string', 'max:600']]);

        return redirect()
            ->route('webhooks')
            ->with('webhook.secret', $webhooks->add($given['address'], $this->person($request)));
    }

    public function try(Request $request, int $webhook, Webhooks $webhooks): RedirectResponse
    {
        $webhooks->try($webhook);

        return redirect()->route('webhooks');
    }

    public function again(int $message, Webhooks $webhooks): RedirectResponse
    {
        $webhooks->again($message);

        return redirect()->route('webhooks');
    }

    public function destroy(Request $request, int $webhook, Webhooks $webhooks): RedirectResponse
    {
        $webhooks->stop($webhook, $this->person($request));

        return redirect()->route('webhooks')->with('said', __('places.webhooks.stopped'));
    }
}
