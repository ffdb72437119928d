<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\Cache;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Words;

/**
 * What a teacher does at the live desk: lets in one or all (late ones are marked), sends out, gives and takes back the
 * floor, ends it for all.
 */
final readonly class LiveAct
{
    /** Who comes to a rehearsal. */
    private const INVENTED = [
        'Alba Ferrán',
        'Bruno Casal',
        'Chloé Marin',
        'Dídac Soler',
        'Edda Lindqvist',
        'Farid Amrani',
    ];

    public function __construct(private ConferenceBridge $bridge, private Clock $clock, private Audit $audit)
    {
    }

    /**
     * @return string what is told of it
     *
     * @throws DestinationFailure in the bridge's own words
     */
    public function __invoke(LiveRoom $live, string $act, string $person, Person $by): string
    {
        if ($live->way->room === '') {
            throw new DestinationFailure('There is no room yet. Make the join link first.');
        }
        if ($act === 'rehearse') {
            return $this->rehearse($live, $by);
        }
        $now = $this->clock->seconds();
        // Late by the rule that attendance uses: more than five minutes after the start. In a drop-in room nobody is.
        $state = $this->bridge->act(
            $live->way->room,
            $live->meeting,
            $act,
            $person,
            ! $live->isRehearsal && $live->series !== null && $now > $live->start + 300,
            $now,
        );
        Cache::forget($live->way->look($live->meeting));
        if (! $live->isRehearsal && in_array($act, ['send-out', 'end'], true)) {
            ($this->audit)(
                'live',
                $live->series,
                $by,
                $act === 'end' ? 'ended for everybody' : "sent out $person",
                $live->section,
            );
        }

        return match ($act) {
            'let-in' => 'Let in.',
            'let-in-all' => 'Everybody is let in.',
            'send-out' => 'Sent out; they stay out for this session.',
            'give-floor' => 'The floor is given.',
            'take-floor' => 'The floor is taken back.',
            default => $state['inside'] === []
                ? 'It is over for everybody; nobody is left inside.'
                : Words::count(count($state['inside']), 'person', 'people').
                    ' are still inside. End it once more.',
        };
    }

    private function rehearse(LiveRoom $live, Person $by): string
    {
        if (! $live->isRehearsal) {
            throw new DestinationFailure('Invented students come to a rehearsal only.');
        }
        $with = [
            'meeting' => $live->meeting,
            'floor' => $live->way->floor->toArray(),
            'at' => $this->clock->seconds(),
        ];
        $this->bridge->admit($live->way->room, $by->sourced_id, $by->name(), true, $with);
        foreach (self::INVENTED as $n => $name) {
            $this->bridge->admit($live->way->room, "invented-$n", $name, false, ['outside' => $n > 1] + $with);
        }

        return 'Two invented students are inside, four wait outside. Nothing of a rehearsal counts.';
    }
}
