<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Registration\RegistrationState;

/** Sets how students get into a series: by the roster, or by registering. Who is registered stays registered. */
final readonly class KeepRegistering
{
    public function __construct(
        private Audit $audit,
        private DecideRegistration $decide,
        private RefreshPlacements $refresh,
    ) {
    }

    /** @throws Fault where the series has no dated sessions */
    public function __invoke(Series $series, ?Registering $registering, Person $by): void
    {
        if ($registering !== null && ! $series->sessions()->exists()) {
            throw new Fault('registering.undated', 'mode');
        }
        DB::transaction(function () use ($series, $registering, $by): void {
            DB::table('series')->where('id', $series->id)->lock('for no key update')->first();
            $series->update(['registering' => $registering?->toArray()]);
            ($this->audit)(
                'registration',
                $series,
                $by,
                $registering === null ? new Said('audit.roster') : $registering->said(),
            );
            // More seats: the waiting list moves up.
            foreach (
                Registration::query()
                    ->where('series_id', $series->id)
                    ->where('state', RegistrationState::Queued)
                    ->distinct()
                    ->pluck('session_id') as $session
            ) {
                $this->decide->moveUp($series, $session === null ? null : (int) $session);
            }
            // Which of its sessions somebody's calendar shows depends on how students register.
            ($this->refresh)($series->sectionIds());
        });
    }
}
