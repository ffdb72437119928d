<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\KeepLicences;
use Nomada\App\Actions\Timetable\SplitSeries;
use Nomada\App\Actions\Timetable\WorkOutLicences;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Timetable\HostAccountRow;
use Nomada\App\Models\Timetable\HostingPlan;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\View\Timetable\Licences\LicencesQuery;

/** Hosting plans, host accounts, and which series runs on which. */
final class LicenceController extends Controller
{
    public function index(LicencesQuery $page): View
    {
        $found = $page->page($this->term());
        if ($found->load === null) {
            WorkOutLicences::ask($this->term());
        }

        return view('timetable.licences', ['page' => $found]);
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
                'plan_name.*' => (string) __('said.licence.write_what_plan'),
                'seats.*' => (string) __('said.licence.write_how_many'),
                'minutes.*' => (string) __('said.licence.write_how_long'),
                'at_once.*' => (string) __('said.licence.write_how_many_2'),
            ],
        );
        $keep->plan(
            $this->term(),
            trim($given['plan_name']),
            (int) $given['seats'],
            (int) $given['minutes'],
            (int) $given['at_once'],
            isset($given['plan']) ? HostingPlan::findOrFail($request->integer('plan')) : null,
        );

        return $this->done((string) __('said.licence.plan_saved'));
    }

    public function dropPlan(HostingPlan $plan, KeepLicences $keep): RedirectResponse
    {
        $keep->dropPlan($plan);

        return $this->done((string) __('said.licence.plan_taken_out', ['name' => $plan->name]));
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
                'of.*' => (string) __('said.licence.choose_hosting_plan'),
                'account_name.*' => (string) __('said.licence.write_what_account'),
                'many.*' => (string) __('said.licence.add_1_200'),
            ],
        );
        $keep->accounts(
            HostingPlan::findOrFail($request->integer('of')),
            trim($given['account_name']),
            (int) ($given['many'] ?? 1),
        );

        return $this->done(trans_choice('licences.added', (int) ($given['many'] ?? 1)));
    }

    public function regrade(Request $request, HostAccountRow $account, KeepLicences $keep): RedirectResponse
    {
        $request->validate(
            ['of' => ['required', 'integer', 'exists:hosting_plans,id']],
            ['of.*' => (string) __('said.licence.choose_hosting_plan')],
        );
        $plan = HostingPlan::findOrFail($request->integer('of'));
        $keep->regrade($this->term(), $account, $plan);

        return $this->done(
            (string) __('said.licence.goes_by_plan', ['name' => $account->name, 'name_2' => $plan->name]),
        );
    }

    public function dropAccount(HostAccountRow $account, KeepLicences $keep): RedirectResponse
    {
        $keep->dropAccount($this->term(), $account);

        return $this->done((string) __('said.licence.taken_out_series', ['name' => $account->name]));
    }

    public function assign(KeepLicences $keep): RedirectResponse
    {
        $sum = $keep->assign($this->term());

        return $this->done(
            implode(
                ' ',
                array_filter([
                    trans_choice('said.licence.placed', $sum['placed'], ['changed' => $sum['changed']]),
                    $sum['split'] > 0 ? trans_choice('said.licence.split', $sum['split']) : '',
                    $sum['left'] > 0 ? trans_choice('said.licence.left', $sum['left']) : '',
                ]),
            ),
        );
    }

    public function put(Request $request, Series $series, KeepLicences $keep): RedirectResponse
    {
        $given = $request->validate(
            ['account' => ['nullable', 'integer', 'exists:host_accounts,id']],
            ['account.*' => (string) __('said.licence.choose_account_list')],
        );
        $keep->put(
            $this->term(),
            $series,
            isset($given['account']) ? HostAccountRow::findOrFail($request->integer('account')) : null,
        );

        return $this->done((string) __('said.licence.put_there', ['title' => $series->title]));
    }

    public function split(Request $request, Series $series, SplitSeries $split): RedirectResponse
    {
        $given = $request->validate(
            [
                'most' => ['required', 'integer', 'between:5,720'],
                'pause' => ['required', 'integer', 'between:0,240'],
            ],
            [
                'most.*' => (string) __('said.licence.part_lasts_5'),
                'pause.*' => (string) __('said.licence.pause_lasts_up'),
            ],
        );
        $parts = $split(
            $series->load(['section.term.school', 'section.term.closures']),
            (int) $given['most'],
            (int) $given['pause'],
            $this->person($request),
        );

        return $this->done((string) __('said.licence.coming_sessions_split', ['parts' => $parts]));
    }

    private function done(string $said): RedirectResponse
    {
        return redirect()->route('licences')->with('said', $said);
    }
}
