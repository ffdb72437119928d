<?php

declare(strict_types=1);

namespace Nomada\App\View\Requests;

use Illuminate\Database\Eloquent\Builder;
use Nomada\App\Actions\Timetable\LookAtChange;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\ChangeRequest;
use Nomada\App\Models\Timetable\RequestState;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\Say;
use Nomada\Core\Fault;

/** Looks up the requests of teachers: all of a term for a coordinator, their own for a teacher. */
final readonly class RequestList
{
    /** How many are listed of those that wait, and of those that are decided. */
    private const SHOWN = 40;

    /** Of how many it is worked out what they would do. */
    private const LOOKED_AT = 12;

    public function __construct(private LookAtChange $look)
    {
    }

    /** How many wait for a coordinator. */
    public static function waiting(Term $term): int
    {
        return ChangeRequest::query()->open()->whereRelation('section', 'term_id', $term->id)->count();
    }

    /** @return list<RequestLine> those that wait, the oldest first */
    public function open(Term $term, Person $for, ?Section $section = null): array
    {
        $n = 0;

        return array_values(
            $this->query($term, $for, $section)
                ->where('state', RequestState::Open)
                ->orderBy('id')
                ->limit(self::SHOWN)
                ->get()
                ->map(function (ChangeRequest $r) use ($term, $for, &$n): RequestLine {
                    return $this->line($r, $term, $for, $for->isCoordinator() && $n++ < self::LOOKED_AT);
                })
                ->all(),
        );
    }

    /** @return list<RequestLine> those that are decided, the last first */
    public function decided(Term $term, Person $for, ?Section $section = null, int $most = self::SHOWN): array
    {
        return array_values(
            $this->query($term, $for, $section)
                ->where('state', '!=', RequestState::Open)
                ->orderByDesc('decided_at')
                ->orderByDesc('id')
                ->limit($most)
                ->get()
                ->map(fn (ChangeRequest $r): RequestLine => $this->line($r, $term, $for, false))
                ->all(),
        );
    }

    /** @return Builder<ChangeRequest> */
    private function query(Term $term, Person $for, ?Section $section): Builder
    {
        return ChangeRequest::query()
            ->whereRelation('section', 'term_id', $term->id)
            ->when($section !== null, fn (Builder $q) => $q->where('section_id', $section?->id))
            ->when(! $for->isCoordinator(), fn (Builder $q) => $q->where('person_id', $for->id))
            ->with(['person', 'section', 'series.section.term']);
    }

    private function line(ChangeRequest $request, Term $term, Person $for, bool $isLookedAt): RequestLine
    {
        $zone = $term->calendar()->zone;
        $at = (int) $request->asked_at->timestamp;
        [$effect, $isPossible] = $isLookedAt ? $this->effect($request, $for) : [null, true];

        return new RequestLine(
            $request->id,
            $request->section->name(),
            route('section', $request->section),
            $request->person->name(),
            Say::day($zone->dateAt($at)).' '.$zone->clock($at),
            $request->line(),
            $request->why,
            $request->state,
            $request->answer,
            $effect,
            $isPossible,
            $request->person_id === $for->id,
        );
    }

    /** @return array{string, bool} what accepting would cost, and whether it can be done */
    private function effect(ChangeRequest $request, Person $by): array
    {
        try {
            $session = Session::query()->find($request->session_id)?->setRelation('series', $request->series);
            $look = ($this->look)($request->series, $session, $request->change(), $by);
        } catch (Fault $e) {
            return [FaultWords::of($e), false];
        }

        return [
            match (true) {
                $look->newClashes > 0 => trans_choice('requests.clashes', $look->newClashes),
                ! $look->isOpen => (string) __('requests.closed'),
                default => (string) __('requests.clear'),
            },
            true,
        ];
    }
}
