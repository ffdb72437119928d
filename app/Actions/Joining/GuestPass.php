<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Carbon;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Post\Letters;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;

/** Makes a pass for one outsider: for a series or one of its sessions, until a day. */
final readonly class GuestPass
{
    public function __construct(
        private Clock $clock,
        private KeepLink $keep,
        private Audit $audit,
        private Letters $letters,
    ) {
    }

    /**
     * @param  LocalDate|null  $until  null for a pass for one session: it is good as long as the session is to come,
     *   wherever in the term that is moved to
     *
     * @throws Fault where the day is past, or the series has no link yet
     */
    public function __invoke(
        Series $series,
        string $name,
        string $email,
        ?LocalDate $until,
        ?LocalDate $only,
        ?Person $by,
    ): JoinLink {
        $term = $series->section->term->calendar();
        $zone = $term->zone;
        $until ??= $term->last;
        $expires = $zone->instant($until->day + 1, 0);
        if ($expires <= $this->clock->seconds()) {
            throw new Fault('pass.past', 'until');
        }
        if (
            ! JoinLink::query()
                ->inForce()
                ->where('series_id', $series->id)
                ->where('kind', LinkKind::Series)
                ->exists()
        ) {
            throw new Fault('pass.link', 'guest_name');
        }
        $session =
            $only === null ? null : $series->sessions()->where('day', $only->iso())->orderBy('starts_at')->first();
        if ($only !== null && $session === null) {
            throw new Fault('pass.no_session', 'only_day', ['only' => $only]);
        }
        $link = JoinLink::query()->create(
            $this->keep->fresh($series->id, LinkKind::Guest, null) + [
                'guest_name' => $name,
                'guest_email' => $email === '' ? null : $email,
                'only_day' => $only?->iso(),
                'only_session_id' => $session?->id,
                'expires_at' => Carbon::createFromTimestamp($expires),
            ],
        );
        $this->letters->guest($link);
        ($this->audit)(
            'link',
            $series,
            $by,
            new Said($only === null ? 'audit.pass' : 'audit.pass_only', [
                'guest' => $name,
                'until' => $until,
                'only' => $only ?? '',
            ]),
        );

        return $link;
    }
}
