<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\KeepLicences;
use Nomada\App\Actions\Timetable\SplitSeries;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Timetable\HostAccountRow;
use Nomada\App\Models\Timetable\HostingPlan;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Words;
use Nomada\App\View\Timetable\LicencePage;

/** Hosting plans, host accounts, and which series runs on which. */
final class LicenceController extends Controller
{
    public function index(LicencePage $page): View
    {
        return view('timetable.licences', $page->data($this->term()));
    }

    public function plan(Request $request, KeepLicences $keep): RedirectResponse
    {
        $given = $request->validate(
            [
                'plan' => ['nullable', 'integer', 'exists:hosting_plans,id'],
                'plan_name' => ['required', 'string', 'max:60'],
                'seats' => ['required', 'integer', 'between:1,10000'],
                'minutes' => ['required', 'integer', 'between:1,1440'],
                'at_once' => ['required', 'integer', 'between:1,100'],
            ],
            [
                'plan_name.*' => 'Write what the plan is called.',
                'seats.*' => 'Write how many people fit: 1 to 10,000.',
                'minutes.*' => 'Write how long a session may last: 1 to 1,440 minutes.',
                'at_once.*' => 'Write how many sessions may run at one time: 1 to 100.',
            ],
        );
        $keep->plan(
            $this->term(),
            trim($given['plan_name']),
            (int) $given['seats'],
            (int) $given['minutes'],
            (int) $given['at_once'],
            isset($given['plan']) ? HostingPlan::query()->findOrFail($request->integer('plan')) : null,
        );

        return $this->done('The plan is saved.');
    }

    public function dropPlan(HostingPlan $plan, KeepLicences $keep): RedirectResponse
    {
        $keep->dropPlan($plan);

        return $this->done("The plan {$plan->name} is taken out.");
    }

    public function account(Request $request, KeepLicences $keep): RedirectResponse
    {
        $given = $request->validate(
            [
                'of' => ['required', 'integer', 'exists:hosting_plans,id'],
                'account_name' => ['required', 'string', 'max:50'],
                'many' => ['nullable', 'integer', 'between:1,200'],
            ],
            [
                'of.*' => 'Choose its hosting plan.',
                'account_name.*' => 'Write what the account is called.',
                'many.*' => 'Add 1 to 200 at a time.',
            ],
        );
        $keep->accounts(
            HostingPlan::query()->findOrFail($request->integer('of')),
            trim($given['account_name']),
            (int) ($given['many'] ?? 1),
        );

        return $this->done(Words::count((int) ($given['many'] ?? 1), 'account').' added.');
    }

    public function regrade(Request $request, HostAccountRow $account, KeepLicences $keep): RedirectResponse
    {
        $request->validate(
            ['of' => ['required', 'integer', 'exists:hosting_plans,id']],
            ['of.*' => 'Choose its hosting plan.'],
        );
        $plan = HostingPlan::query()->findOrFail($request->integer('of'));
        $keep->regrade($this->term(), $account, $plan);

        return $this->done("{$account->name} goes by the plan {$plan->name}.");
    }

    public function dropAccount(HostAccountRow $account, KeepLicences $keep): RedirectResponse
    {
        $keep->dropAccount($this->term(), $account);

        return $this->done("{$account->name} is taken out; its series have no account now.");
    }

    public function assign(KeepLicences $keep): RedirectResponse
    {
        $sum = $keep->assign($this->term());

        return $this->done(
            Words::count($sum['placed'], 'series', 'series').
                ' stand on one account each; '.
                $sum['changed'].
                ' changed.'.
                ($sum['split'] > 0 ? " {$sum['split']} are split over several." : '').
                ($sum['left'] > 0 ? ' '.Words::count($sum['left'], 'session').' found no account.' : ''),
        );
    }

    public function put(Request $request, Series $series, KeepLicences $keep): RedirectResponse
    {
        $given = $request->validate(
            ['account' => ['nullable', 'integer', 'exists:host_accounts,id']],
            ['account.*' => 'Choose an account of the list.'],
        );
        $keep->put(
            $this->term(),
            $series,
            isset($given['account']) ? HostAccountRow::query()->findOrFail($request->integer('account')) : null,
        );

        return $this->done("{$series->title} is put there.");
    }

    public function split(Request $request, Series $series, SplitSeries $split): RedirectResponse
    {
        $given = $request->validate(
            [
                'most' => ['required', 'integer', 'between:5,720'],
                'pause' => ['required', 'integer', 'between:0,240'],
            ],
            ['most.*' => 'A part lasts 5 to 720 minutes.', 'pause.*' => 'A pause lasts up to 240 minutes.'],
        );
        $parts = $split(
            $series->load(['section.term.school', 'section.term.closures']),
            (int) $given['most'],
            (int) $given['pause'],
            $this->person($request),
        );

        return $this->done("The coming sessions are split into $parts parts.");
    }

    private function done(string $said): RedirectResponse
    {
        return redirect()->route('licences')->with('said', $said);
    }
}
