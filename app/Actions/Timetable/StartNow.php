<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Term\LocalDate;

/** A session outside the timetable that begins now: an extra one of the section's series, with all of its rules. */
final readonly class StartNow
{
    public function __construct(private Clock $clock, private ChangeSession $change)
    {
    }

    /** @throws Fault where the section has no join link, or the time does not fit */
    public function __invoke(Section $section, int $minutes, Person $by): Session
    {
        $series = $section
            ->series()
            ->whereIn(
                'series.id',
                JoinLink::query()->inForce()->where('kind', LinkKind::Series)->select('series_id'),
            )
            ->first();
        if ($series === null) {
            throw new Fault("{$section->name()} has no join link yet. Make it first.", 'section');
        }
        [$day, $minute] = $section->term->calendar()->zone->wall($this->clock->seconds());

        // The next whole minute: what has begun already cannot be planned.
        return $this->change->add($series, new LocalDate($day), $minute + 1, $minutes, null, $by);
    }
}
