<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\LocalDate;

/** A change of a series' sessions as it was filled in: done at once, or kept until a coordinator has decided. */
final readonly class SessionChangeForm
{
    /** @param  array<string, scalar|null>  $fields */
    private function __construct(public SessionVerb $verb, public array $fields)
    {
    }

    public static function cancel(string $reason, bool $keepsTopic): self
    {
        return new self(SessionVerb::Cancel, ['reason' => $reason, 'keeps_topic' => $keepsTopic]);
    }

    public static function restore(): self
    {
        return new self(SessionVerb::Restore, []);
    }

    public static function remove(): self
    {
        return new self(SessionVerb::Remove, []);
    }

    /** @param  int  $start  minutes from midnight on the school's clock */
    public static function move(LocalDate $day, int $start, int $minutes, Reach $reach): self
    {
        return new self(SessionVerb::Move, [
            'day' => $day->iso(),
            'start' => $start,
            'minutes' => $minutes,
            'reach' => $reach->value,
        ]);
    }

    /** @param  int|null  $teacher  id of who teaches it instead */
    public static function describe(string $title, string $note, ?int $teacher): self
    {
        return new self(SessionVerb::Describe, ['title' => $title, 'note' => $note, 'teacher' => $teacher]);
    }

    /** @param  int|null  $madeUp  id of the session that it makes up */
    public static function add(LocalDate $day, int $start, int $minutes, ?int $madeUp): self
    {
        return new self(SessionVerb::Add, [
            'day' => $day->iso(),
            'start' => $start,
            'minutes' => $minutes,
            'makes_up' => $madeUp,
        ]);
    }

    public static function topics(string $pasted, bool $move, bool $fromFirst): self
    {
        return new self(SessionVerb::PasteTopics, [
            'topics' => $pasted,
            'move' => $move,
            'from_first' => $fromFirst,
        ]);
    }

    /** @param  array<string, mixed>  $kept  as toArray() wrote it */
    public static function fromArray(array $kept): self
    {
        return new self(
            SessionVerb::from((string) $kept['verb']),
            array_filter((array) $kept['fields'], fn (mixed $value): bool => $value === null || is_scalar($value)),
        );
    }

    /** @return array{verb: string, fields: array<string, scalar|null>} */
    public function toArray(): array
    {
        return ['verb' => $this->verb->value, 'fields' => $this->fields];
    }

    public function text(string $field): string
    {
        return (string) ($this->fields[$field] ?? '');
    }

    public function number(string $field): int
    {
        return (int) ($this->fields[$field] ?? 0);
    }

    public function isOn(string $field): bool
    {
        return (bool) ($this->fields[$field] ?? false);
    }

    public function day(): LocalDate
    {
        return LocalDate::parse($this->text('day'));
    }

    public function reach(): Reach
    {
        return Reach::from($this->text('reach'));
    }

    /**
     * Which right of a teacher it needs.
     *
     * @param  int|null  $teacher  id of who teaches the session instead, as it stands
     */
    public function act(?int $teacher): TeacherAct
    {
        return match ($this->verb) {
            SessionVerb::Cancel, SessionVerb::Restore, SessionVerb::Remove => TeacherAct::Move,
            SessionVerb::Move => $this->reach() === Reach::This ? TeacherAct::Move : TeacherAct::Series,
            SessionVerb::Describe => $this->fields['teacher'] === $teacher
                ? TeacherAct::Describe
                : TeacherAct::Move,
            SessionVerb::Add => TeacherAct::Add,
            SessionVerb::PasteTopics => TeacherAct::Topics,
        };
    }
}
