<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;

/** A guardian, or the school, tells an absence in advance: it counts as excused. */
final readonly class TellAbsence
{
    /** Days that one absence may last. */
    private const MOST = 120;

    public function __construct(private Clock $clock, private Audit $audit, private WorkOutSums $sums)
    {
    }

    /**
     * @param  bool  $mayBePast  the office may tell one afterwards, a guardian may not
     *
     * @throws Fault
     */
    public function __invoke(
        Person $student,
        LocalDate $from,
        LocalDate $to,
        string $why,
        Person $by,
        bool $mayBePast,
    ): void {
        if ($to->day < $from->day) {
            throw new Fault('absence.backwards', 'to_day');
        }
        if ($to->day - $from->day >= self::MOST) {
            throw new Fault('absence.long', 'to_day', ['n' => self::MOST]);
        }
        if (! $mayBePast && $from->day < $this->clock->schoolDay()->day) {
            throw new Fault('absence.over', 'from_day');
        }
        DB::transaction(function () use ($student, $from, $to, $why, $by): void {
            DB::table('reported_absences')->insert([
                'person_id' => $student->id,
                'from_day' => $from->iso(),
                'to_day' => $to->iso(),
                'why' => mb_substr(trim($why), 0, 300),
                'by_id' => $by->id,
                'told_at' => $this->clock->now(),
            ]);
            ($this->audit)(
                'person',
                null,
                $by,
                new Said(trim($why) === '' ? 'audit.away' : 'audit.away_because', [
                    'student' => $student->name(),
                    'days' => $from->day === $to->day
                        ? $from
                        : new Said('history.days', ['first' => $from, 'last' => $to]),
                    'why' => trim($why),
                ]),
            );
            $this->refresh($student->id, $from->iso(), $to->iso());
        });
    }

    public function takeBack(int $absence, Person $student, Person $by): void
    {
        DB::transaction(function () use ($absence, $student, $by): void {
            $row = DB::table('reported_absences')
                ->where(['id' => $absence, 'person_id' => $student->id])
                ->first();
            if ($row === null) {
                return;
            }
            DB::table('reported_absences')->where('id', $absence)->delete();
            ($this->audit)('person', null, $by, new Said('audit.away_back', [
                'first' => LocalDate::parse($row->from_day),
                'last' => LocalDate::parse($row->to_day),
            ]));
            $this->refresh((int) $row->person_id, (string) $row->from_day, (string) $row->to_day);
        });
    }

    private function refresh(int $person, string $from, string $to): void
    {
        ($this->sums)(
            array_values(
                array_map(
                    intval(...),
                    DB::table('sessions')
                        ->whereBetween('day', [$from, $to])
                        ->whereIn(
                            'series_id',
                            DB::table('memberships')
                                ->join('series_sections', 'series_sections.section_id', '=', 'memberships.section_id')
                                ->where('person_id', $person)
                                ->where('role', MembershipRole::Student)
                                ->select('series_id'),
                        )
                        ->pluck('id')
                        ->all(),
                ),
            ),
        );
    }
}
