<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Licences;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\HostingPlan;
use Nomada\App\Queries\Licences\LicenceLoad;
use Nomada\App\View\Typed;
use Nomada\Core\Timetable\SessionState;

/** Looks up the hosting plans of a school, and what its host accounts bear. */
final readonly class LicencesQuery
{
    public function __construct(private LicenceLoad $load)
    {
    }

    public function page(Term $term): LicencesPage
    {
        $plans = HostingPlan::query()->withCount('accounts')->orderBy('seats')->get();
        $sessions = (int) DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->where('state', SessionState::Planned)
            ->count();

        return new LicencesPage(
            array_values($plans->map(fn (HostingPlan $p): PlanForm => $this->form($p))->all()),
            $this->form(null),
            $sessions,
            $this->load->of($term, $sessions),
        );
    }

    /** A plan as it is, or as it was typed last where its form came back with a fault. */
    private function form(?HostingPlan $plan): PlanForm
    {
        $isTyped = Typed::has('plan_name') && Typed::text('plan') === (string) ($plan->id ?? '');
        $stands = [
            'seats' => (string) ($plan->seats ?? ''),
            'minutes' => (string) ($plan->minutes ?? ''),
            'at_once' => (string) ($plan->at_once ?? 1),
        ];

        return new PlanForm(
            $plan?->id,
            $isTyped ? Typed::text('plan_name') : $plan->name ?? '',
            $isTyped
                ? array_combine(array_keys($stands), array_map(Typed::text(...), array_keys($stands)))
                : $stands,
            (int) ($plan->accounts_count ?? 0),
            $isTyped,
        );
    }
}
