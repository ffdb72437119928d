<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;

/** A page of one day; what is no day in the address is as if none was there. */
final class DayRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    public function day(): ?LocalDate
    {
        $typed = $this->input('date');
        try {
            return is_string($typed) && $typed !== '' ? LocalDate::parse($typed) : null;
        } catch (Fault) {
            return null;
        }
    }
}
