<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use DateInterval;
use DateTimeImmutable;
use DateTimeInterface;
use Nomada\Core\Fault;

/**
 * A start of a recurrence that counts the steps which are made from it. The library that works recurrences out looks
 * for the next date of a rule until it finds one: of a rule that never occurs (30 February) without end.
 */
final class CountedDate extends DateTimeImmutable
{
    /** Steps from one start: days of a century. */
    private const MOST = 40_000;

    /** Shared by all dates that were reached from one start. */
    private ?Steps $steps = null;

    public static function from(DateTimeInterface $date): self
    {
        $self = self::createFromInterface($date);
        $self->steps = new Steps(self::MOST);

        return $self;
    }

    /** @throws Fault where too many steps were made */
    public function modify(string $modifier): static|false
    {
        $this->steps?->make();

        return parent::modify($modifier);
    }

    public function setDate(int $year, int $month, int $day): static
    {
        $this->steps?->make();

        return parent::setDate($year, $month, $day);
    }

    public function setISODate(int $year, int $week, int $dayOfWeek = 1): static
    {
        $this->steps?->make();

        return parent::setISODate($year, $week, $dayOfWeek);
    }

    public function add(DateInterval $interval): static
    {
        $this->steps?->make();

        return parent::add($interval);
    }
}
