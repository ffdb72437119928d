<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

use Nomada\Core\Fault;

/** From when on somebody is late, and how much of the held time makes present and absent: the school sets it. */
final readonly class AttendanceRules
{
    /**
     * @param  int  $lateAfter  minutes after the start
     * @param  int  $presentFrom  per cent of the held time
     * @param  int  $absentUnder  per cent of the held time
     *
     * @throws Fault where nothing would be left between present and absent
     */
    public function __construct(
        public int $lateAfter = 5,
        public int $presentFrom = 75,
        public int $absentUnder = 10,
    ) {
        if ($lateAfter < 0 || $lateAfter > 60) {
            throw new Fault('attendance.late', 'late_after');
        }
        if ($presentFrom < 1 || $presentFrom > 100) {
            throw new Fault('attendance.present', 'present_from');
        }
        if ($absentUnder < 0 || $absentUnder > $presentFrom) {
            throw new Fault('attendance.absent', 'absent_under');
        }
    }

    /** Whether who comes in then is late. */
    public function isLate(int $at, int $start): bool
    {
        return $at > $start + 60 * $this->lateAfter;
    }

    /** @return array{late_after: int, present_from: int, absent_under: int} */
    public function toArray(): array
    {
        return [
            'late_after' => $this->lateAfter,
            'present_from' => $this->presentFrom,
            'absent_under' => $this->absentUnder,
        ];
    }

    /** @param  array<mixed>  $kept */
    public static function from(array $kept): self
    {
        return new self(
            (int) ($kept['late_after'] ?? 5),
            (int) ($kept['present_from'] ?? 75),
            (int) ($kept['absent_under'] ?? 10),
        );
    }
}
