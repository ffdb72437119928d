<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/** One session as students have been told of it; start and end in UTC seconds. */
final readonly class ToldSession
{
    /**
     * @param  string  $key  the same for the same session, wherever it is moved to: its date of the pattern, or of an
     *   extra one its start
     * @param  string  $reason  why it is cancelled; empty where it is held
     * @param  string  $makesUp  day (ISO) of the session that it makes up; empty where it makes up none
     */
    public function __construct(
        public string $key,
        public int $start,
        public int $end,
        public bool $isCancelled = false,
        public string $reason = '',
        public string $title = '',
        public string $teacher = '',
        public string $makesUp = '',
    ) {
    }

    public static function of(PlannedSession $session): self
    {
        $slot = $session->slot();

        return new self(
            $slot === null ? "x$session->start" : (new LocalDate($slot))->iso(),
            $session->start,
            $session->end,
            $session->state === SessionState::Cancelled,
            (string) $session->reason,
            $session->own->title ?? ($session->own->topic ?? ''),
            (string) $session->own?->teacherName,
            $session->own?->makesUp === null ? '' : (new LocalDate($session->own->makesUp))->iso(),
        );
    }

    /** @return array<string, string|int|bool> what `from` reads back */
    public function toArray(): array
    {
        return array_filter(get_object_vars($this), fn (mixed $v): bool => $v !== '' && $v !== false);
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        $text = fn (string $key): string => is_scalar($plain[$key] ?? null) ? (string) $plain[$key] : '';

        return new self(
            $text('key'),
            (int) $text('start'),
            (int) $text('end'),
            $text('isCancelled') === '1',
            $text('reason'),
            $text('title'),
            $text('teacher'),
            $text('makesUp'),
        );
    }
}
