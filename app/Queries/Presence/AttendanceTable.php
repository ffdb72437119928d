<?php

declare(strict_types=1);

namespace Nomada\App\Queries\Presence;

use Nomada\Core\Presence\Attendance;
use Nomada\Core\Presence\Status;

/** Who was there: students by sessions. */
final readonly class AttendanceTable
{
    /**
     * @param  list<HeldSession>  $sessions  in the order of time
     * @param  list<Pupil>  $pupils  by family name
     * @param  array<int, array<int, Attendance>>  $cells  by session and person; none where the student was not on the
     *   roster, or nothing is known of the session
     * @param  array<int, int>  $guests  by session: people inside who are on no roster and teach nothing
     */
    public function __construct(
        public array $sessions,
        public array $pupils,
        public array $cells,
        public array $guests,
    ) {
    }

    public function of(HeldSession $session, Pupil $pupil): ?Attendance
    {
        return $this->cells[$session->id][$pupil->id] ?? null;
    }

    /**
     * What one student's sessions came to, in their order; those that still run are left out.
     *
     * @return list<Attendance>
     */
    public function whole(Pupil $pupil): array
    {
        $out = [];
        foreach ($this->sessions as $session) {
            $one = $this->of($session, $pupil);
            if ($one !== null && ! $session->isRunning) {
                $out[] = $one;
            }
        }

        return $out;
    }

    /** @return array<string, int> how many of each status, in one session */
    public function sums(HeldSession $session): array
    {
        $out = array_fill_keys(array_column(Status::cases(), 'value'), 0);
        foreach ($this->cells[$session->id] ?? [] as $one) {
            $out[$one->status()->value]++;
        }

        return $out;
    }
}
