<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Post\Letters;
use Nomada\App\Queries\Registered;
use Nomada\App\Support\Clock;
use Nomada\Core\Post\Reminder;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\SessionState;
use stdClass;

/** Writes the reminders that are due: one letter for all sessions of which somebody is reminded at once. */
final readonly class Remind
{
    /** Seconds ahead; nobody is reminded earlier than the evening before. */
    private const AHEAD = 36 * 3600;

    public function __construct(private Clock $clock, private Letters $letters)
    {
    }

    /** @return int how many letters */
    public function __invoke(): int
    {
        $now = $this->clock->seconds();
        $due = [];
        foreach ($this->rows($now) as $row) {
            $at = Reminder::from($row->remind)->due((int) $row->start, Zone::named($row->time_zone));
            if ($at !== null && $at <= $now) {
                $due[(int) $row->person_id][(int) $row->id] = (int) $row->start;
            }
        }
        $n = 0;
        $people = Person::query()->whereKey(array_keys($due))->orderBy('id')->get();
        foreach ($people as $person) {
            $n += DB::transaction(fn (): int => $this->one($person, $due[$person->id]));
        }

        return $n;
    }

    /** @param  array<int, int>  $sessions  starts by id */
    private function one(Person $person, array $sessions): int
    {
        $new = [];
        foreach ($sessions as $id => $start) {
            // Of one that was moved one is reminded again.
            $made = DB::table('sent_reminders')->insertOrIgnore([
                'session_id' => $id,
                'person_id' => $person->id,
                'starts_at' => gmdate('Y-m-d H:i:sP', $start),
            ]);
            if ($made === 1) {
                $new[] = $id;
            }
        }

        return $new === [] ? 0 : $this->letters->reminder($person, $new);
    }

    /** @return iterable<stdClass> sessions ahead of everybody who is registered for them */
    private function rows(int $now): iterable
    {
        $registered = Registered::on('r', $this->clock->schoolDay());

        return DB::table('sessions')
            ->join('series', 'series.id', '=', 'sessions.series_id')
            ->join('sections', 'sections.id', '=', 'series.section_id')
            ->join('registrations as r', 'r.series_id', '=', 'series.id')
            ->join('people', 'people.id', '=', 'r.person_id')
            ->where('sessions.state', SessionState::Planned)
            ->whereRaw('starts_at > to_timestamp(?)', [$now])
            ->whereRaw('starts_at <= to_timestamp(?)', [$now + self::AHEAD])
            ->whereRaw($registered)
            ->whereRaw('(r.only_day is null or r.only_day = sessions.day)')
            ->whereRaw('(sessions.chosen is null or sessions.chosen @> to_jsonb(r.person_id))')
            ->whereRaw("coalesce(people.remind, sections.remind) in ('evening', 'hours-1', 'hours-2')")
            ->orderBy('starts_at')
            ->select([
                'sessions.id',
                'r.person_id',
                'people.time_zone',
                DB::raw('coalesce(people.remind, sections.remind) as remind'),
                DB::raw('extract(epoch from starts_at)::bigint as start'),
            ])
            ->cursor();
    }
}
