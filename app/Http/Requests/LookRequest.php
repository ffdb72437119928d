<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\App\Support\FaultWords;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Term\Zone;

/** From when on one looks as somebody; a page that only looks says what was wrong with it, and shows itself. */
final class LookRequest extends FormRequest
{
    public ?string $fault = null;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    /** UTC seconds, by a day and a time on that person's clock; now where none is given, or none can be read. */
    public function at(Zone $zone, int $now): int
    {
        $date = $this->string('date')->toString();
        $time = $this->string('time')->toString();
        if ($date === '') {
            return $now;
        }
        try {
            return $zone->instant(
                LocalDate::parse($date)->day,
                $time === '' ? 0 : TypedTime::read($time, 'time')->minute,
            );
        } catch (Fault $e) {
            $this->fault = FaultWords::of($e);

            return $now;
        }
    }
}
