<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/**
 * One thing of ours at one destination, as it ought to stand there. `key` is its own within the destination and never changes;
 * `fields` are what a person reads, in order; `body` is what only the machine there needs (an iCalendar object).
 */
final readonly class Placement
{
    /**
     * @param  array<string, string|list<string>>  $fields
     * @param  string|null  $person  sourcedId of the one person whose calendar it stands in
     */
    public function __construct(public Place $place, public string $key, public string $label, public array $fields, public string $body = '', public ?string $person = null)
    {
    }

    /** Equal for equal content, and for nothing else: what decides whether a placement has changed. */
    public function fingerprint(): string
    {
        return hash('sha256', json_encode([$this->label, $this->fields, $this->body], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
    }
}
