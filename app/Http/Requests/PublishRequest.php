<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Nomada\Core\Fault;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Term\Zone;

/** What should be published: which sections, where, and when. */
final class PublishRequest extends ChosenSections
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return parent::rules() + [
            'places' => ['nullable', 'array', 'max:3'],
            'places.*' => ['string', 'in:'.implode(',', array_column(Place::cases(), 'value'))],
            'later' => ['nullable', 'boolean'],
            'date' => ['nullable', 'required_with:later', 'string', 'max:40'],
            'time' => ['nullable', 'required_with:later', 'string', 'max:20'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return parent::messages() + [
            'date.*' => __('publishing.later.fault'),
            'time.*' => __('publishing.later.fault'),
            'places.*' => __('publishing.drift.fault'),
        ];
    }

    /** @return list<Place>|null null for all */
    public function places(): ?array
    {
        $chosen = array_map(Place::from(...), (array) $this->validated('places'));

        return $chosen === [] ? null : array_values($chosen);
    }

    /**
     * When it is to begin, in UTC seconds; null for now.
     *
     * @throws Fault where that is no time
     */
    public function at(Zone $zone): ?int
    {
        return $this->boolean('later')
            ? $zone->instant(
                LocalDate::parse((string) $this->validated('date'))->day,
                TypedTime::read((string) $this->validated('time'), 'time')->minute,
            )
            : null;
    }
}
