<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;

/**
 * What the teachers of a section may do to its timetable. A school sets it for all sections, and for single ones
 * otherwise.
 */
final readonly class TeacherRights
{
    private const LONGEST_NOTICE = 720;

    /**
     * @param  array<string, Permission>  $of  by the value of each TeacherAct
     * @param  int  $noticeHours  how long before its start a session can be moved or cancelled without asking
     */
    private function __construct(private array $of, public int $noticeHours)
    {
    }

    /** What holds until a school says otherwise: everything about single sessions, a day before at the latest. */
    public static function usual(): self
    {
        return self::from([], 24);
    }

    /**
     * @param  array<string, Permission>  $of  by act; what is missing is as usual
     *
     * @throws Fault `rights.notice` where the notice is no number of hours up to 30 days
     */
    public static function from(array $of, int $noticeHours): self
    {
        if ($noticeHours < 0 || $noticeHours > self::LONGEST_NOTICE) {
            throw new Fault('rights.notice', 'notice');
        }
        $all = [];
        foreach (TeacherAct::cases() as $act) {
            $usual = $act === TeacherAct::Series ? Permission::Ask : Permission::Yes;
            $all[$act->value] = $of[$act->value] ?? $usual;
        }

        return new self($all, $noticeHours);
    }

    /** @param  array<string, mixed>|null  $kept  as toArray() wrote it; null for the usual */
    public static function fromArray(?array $kept): self
    {
        $of = [];
        foreach (TeacherAct::cases() as $act) {
            $permission = Permission::tryFrom((string) ($kept['of'][$act->value] ?? ''));
            if ($permission !== null) {
                $of[$act->value] = $permission;
            }
        }

        return self::from($of, (int) ($kept['notice'] ?? 24));
    }

    /** @return array{of: array<string, string>, notice: int} */
    public function toArray(): array
    {
        return [
            'of' => array_map(fn (Permission $p): string => $p->value, $this->of),
            'notice' => $this->noticeHours,
        ];
    }

    public function of(TeacherAct $act): Permission
    {
        return $this->of[$act->value];
    }

    /** Whether there is anything that a teacher may do or ask for. */
    public function allowAnything(): bool
    {
        return array_filter($this->of, fn (Permission $p): bool => $p !== Permission::No) !== [];
    }

    /**
     * @param  int  $now  UTC seconds
     * @param  int|null  $start  UTC seconds: when the session that is changed begins, before or after the change,
     *   whichever is sooner; null where no session is moved or cancelled
     * @param  bool  $isClear  whether the new time is inside the school's open hours and clashes with nobody
     */
    public function answer(TeacherAct $act, int $now, ?int $start, bool $isClear): Permission
    {
        $base = $this->of($act);
        if ($base !== Permission::Yes) {
            return $base;
        }
        $isLate = $act === TeacherAct::Move && $start !== null && $start - $now < 3600 * $this->noticeHours;

        return $isLate || ($act->setsTime() && ! $isClear) ? Permission::Ask : Permission::Yes;
    }
}
