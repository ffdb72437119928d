<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\ChangeRequest;
use Nomada\App\Models\Timetable\RequestState;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Locks;
use Nomada\Core\Fault;

/** Accepts a teacher's request, which does what it asks for, declines it, or takes it back. Each is decided once. */
final readonly class DecideRequest
{
    public function __construct(private Clock $clock, private PerformChange $perform)
    {
    }

    public function find(int $id): ChangeRequest
    {
        return ChangeRequest::query()->with('person')->findOrFail($id);
    }

    /** @throws Fault where it is decided already, or cannot be done any more */
    public function accept(ChangeRequest $request, Person $by, string $answer = ''): void
    {
        DB::transaction(function () use ($request, $by, $answer): void {
            Locks::timetableOf($request->series_id);
            $request = $this->open($request);
            $series = Series::query()
                ->with(['section.term.school', 'section.term.closures'])
                ->findOrFail($request->series_id);
            $session = Session::query()->find($request->session_id)?->setRelation('series', $series);
            ($this->perform)($series, $session, $request->change(), $by);
            $this->decide($request, RequestState::Accepted, $by, $answer);
        });
    }

    /** @throws Fault where it is decided already */
    public function decline(ChangeRequest $request, Person $by, string $answer = ''): void
    {
        DB::transaction(fn () => $this->decide($this->open($request), RequestState::Declined, $by, $answer));
    }

    /** @throws Fault where it is decided already */
    public function withdraw(ChangeRequest $request, Person $by): void
    {
        DB::transaction(fn () => $this->decide($this->open($request), RequestState::Withdrawn, $by, ''));
    }

    private function open(ChangeRequest $request): ChangeRequest
    {
        $locked = ChangeRequest::query()->lock('for no key update')->findOrFail($request->id);
        if ($locked->state !== RequestState::Open) {
            throw new Fault('request.decided', 'request');
        }

        return $locked;
    }

    private function decide(ChangeRequest $request, RequestState $state, Person $by, string $answer): void
    {
        $request->update([
            'state' => $state,
            'decided_at' => $this->clock->now(),
            'decided_by' => $by->id,
            'answer' => trim($answer),
        ]);
    }
}
