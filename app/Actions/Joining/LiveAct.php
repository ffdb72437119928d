<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\Cache;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Presets;
use Nomada\App\Support\Words;

/** What a teacher does at the live desk: lets in one or all (late ones are marked), sends out, gives and takes back the floor, ends it for all. */
final readonly class LiveAct
{
    /** Who comes to a rehearsal. */
    private const INVENTED = ['Alba Ferrán', 'Bruno Casal', 'Chloé Marin', 'Dídac Soler', 'Edda Lindqvist', 'Farid Amrani'];

    public function __construct(private ConferenceBridge $bridge, private Clock $clock, private Audit $audit)
    {
    }

    /**
     * @return string what is told of it
     *
     * @throws DestinationFailure in the bridge's own words
     */
    public function __invoke(Session $session, string $act, string $person, bool $isRehearsal, Person $by): string
    {
        $room = ComeIn::room($session->series_id);
        if ($room === '') {
            throw new DestinationFailure('There is no room yet. Make the join link first.');
        }
        $core = $session->toCore();
        $meeting = $isRehearsal ? "rehearsal-$session->id" : ComeIn::meeting($core);
        $now = $this->clock->seconds();
        if ($act === 'rehearse') {
            return $this->rehearse($session, $room, "rehearsal-$session->id", $by);
        }
        // Late by the rule that attendance uses: more than five minutes after the start.
        $state = $this->bridge->act($room, $meeting, $act, $person, ! $isRehearsal && $now > $core->start + 300, $now);
        Cache::forget(ComeIn::look($session->series_id, $meeting));
        if (! $isRehearsal && in_array($act, ['send-out', 'end'], true)) {
            ($this->audit)('live', $session->series, $by, $act === 'end' ? 'ended for everybody' : "sent out $person");
        }

        return match ($act) {
            'let-in' => 'Let in.', 'let-in-all' => 'Everybody is let in.', 'send-out' => 'Sent out; they stay out for this session.', 'give-floor' => 'The floor is given.', 'take-floor' => 'The floor is taken back.',
            default => $state['inside'] === [] ? 'It is over for everybody; nobody is left inside.' : Words::count(count($state['inside']), 'person', 'people').' are still inside. End it once more.',
        };
    }

    private function rehearse(Session $session, string $room, string $meeting, Person $by): string
    {
        [, $floor] = Presets::rules($session->series, Presets::all());
        $with = ['meeting' => $meeting, 'floor' => $floor->toArray(), 'at' => $this->clock->seconds()];
        $this->bridge->admit($room, $by->sourced_id, $by->name(), true, $with);
        foreach (self::INVENTED as $n => $name) {
            $this->bridge->admit($room, "invented-$n", $name, false, ['outside' => $n > 1] + $with);
        }

        return 'Two invented students are inside, four wait outside. Nothing of a rehearsal counts.';
    }
}
