<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\App\Actions\Joining\ComeIn;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Enrolment;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Presets;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\Preset;

/** The teacher's page while a session runs: who is inside, who waits outside, who is missing. */
final readonly class LiveDesk
{
    public function __construct(private ConferenceBridge $bridge, private Clock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function data(Session $session, bool $isRehearsal): array
    {
        $series = $session->series;
        $zone = $series->section->term->calendar()->zone;
        $core = $session->toCore();
        $meeting = $isRehearsal ? "rehearsal-$session->id" : ComeIn::meeting($core);
        $trouble = null;
        try {
            $state = $this->bridge->state(ComeIn::room($series->id), $meeting);
        } catch (DestinationFailure $e) {
            $state = ['state' => 'shut', 'host_inside' => false, 'inside' => [], 'outside' => [], 'sent_out' => []];
            $trouble = $e->getMessage();
        }
        $here = array_column([...$state['inside'], ...$state['outside']], 'person');
        $roster = Enrolment::query()->whereIn('section_id', $series->sectionIds())->where('role', 'student')->with('person')->get()->unique('person_id')->sortBy(fn (Enrolment $e): string => $e->person->family_name);
        $now = $this->clock->seconds();
        [$door, $floor] = Presets::rules($series, Presets::all());
        $host = JoinLink::query()->inForce()->where('series_id', $series->id)->where('kind', LinkKind::Host)->first();

        return [
            'session' => $session, 'series' => $series, 'section' => $series->section, 'zone' => $zone, 'core' => $core, 'state' => $state, 'trouble' => $trouble, 'meeting' => $meeting, 'isRehearsal' => $isRehearsal,
            'missing' => $isRehearsal ? [] : array_values($roster->filter(fn (Enrolment $e): bool => ! in_array($e->person->sourced_id, $here, true))->map(fn (Enrolment $e): string => $e->person->name())->all()),
            'now' => $now, 'late' => $now > $core->start + 300, 'rules' => Preset::say($door, $floor), 'host' => $host?->address(), 'words' => ['shut' => 'nobody is there yet', 'waiting' => 'waiting for a teacher', 'running' => 'running', 'over' => 'over'][$state['state']] ?? $state['state'],
        ];
    }
}
