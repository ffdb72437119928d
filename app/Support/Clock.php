<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use DateTimeImmutable;
use Illuminate\Support\Facades\DB;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Psr\Clock\ClockInterface;

/**
 * The application's clock: everything that depends on the moment asks it. In the demo it stops where a person
 * set it; otherwise it is the machine's. The queue's own pauses use the machine's clock, never this one.
 */
final class Clock implements ClockInterface
{
    private ?int $standsAt = null;

    private bool $isRead = false;

    private ?Zone $zone = null;

    public function now(): DateTimeImmutable
    {
        return new DateTimeImmutable('@'.$this->seconds());
    }

    /** UTC seconds */
    public function seconds(): int
    {
        if (! config('nomada.demo')) {
            return time();
        }
        if (! $this->isRead) {
            $value = DB::table('settings')->where('name', 'clock')->value('value');
            $this->standsAt = $value === null ? (int) strtotime((string) config('nomada.demo_at')) : (int) $value;
            $this->isRead = true;
        }

        return (int) $this->standsAt;
    }

    /** The date on a zone's clock. */
    public function today(Zone $zone): LocalDate
    {
        return $zone->dateAt($this->seconds());
    }

    /** The date on the school's clock, by which parts begin and end. */
    public function schoolDay(): LocalDate
    {
        $this->zone ??= Zone::named((string) (DB::table('schools')->orderBy('id')->value('time_zone') ?? 'UTC'));

        return $this->today($this->zone);
    }

    public function set(int $seconds): void
    {
        DB::table('settings')->upsert([['name' => 'clock', 'value' => (string) $seconds]], 'name');
        $this->standsAt = $seconds;
        $this->isRead = true;
    }

    public function isMovable(): bool
    {
        return (bool) config('nomada.demo');
    }
}
