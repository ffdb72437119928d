<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Closure;

/**
 * One thing of ours at one destination, as it should be there. `key` is its own within the destination and never
 * changes; `fields` are what a person reads, in order, each under its code (of one of several series with its id: `link
 * 12`); their words are the reader's. Those in SETTINGS are for the place and no words of the item: where it is,
 * from when till when, who may answer, and for whom. The body is what only the machine there needs (an iCalendar
 * object).
 */
final readonly class Placement
{
    public const SETTINGS = ['position', 'from', 'till', 'answers', 'for'];

    /**
     * @param  array<string, string|list<string>>  $fields
     * @param  (Closure(): string)|null  $makes  makes the body, when it should be sent
     * @param  string|null  $person  sourcedId of the one person whose calendar it is in
     * @param  array<int, string>  $of  titles of the series whose ids are in the fields' codes
     * @param  string  $language  of what is read (BCP 47)
     * @param  string  $essence  equal for an equal body, and cheaper: most placements are compared and not sent
     */
    public function __construct(
        public Place $place,
        public string $key,
        public string $label,
        public array $fields,
        private ?Closure $makes = null,
        public ?string $person = null,
        private string $essence = '',
        public array $of = [],
        public string $language = 'en',
    ) {
    }

    public function body(): string
    {
        return $this->makes === null ? '' : ($this->makes)();
    }

    /** @return array<string, string|list<string>> what a person reads */
    public function read(): array
    {
        return array_diff_key($this->fields, array_flip(self::SETTINGS));
    }

    /** @return array<string, string|list<string>> what the place does with it */
    public function settings(): array
    {
        return array_intersect_key($this->fields, array_flip(self::SETTINGS));
    }

    /** Equal for equal content, and for nothing else: what decides whether a placement has changed. */
    public function fingerprint(): string
    {
        return hash(
            'sha256',
            json_encode(
                [$this->label, $this->fields, $this->of, $this->essence, $this->language],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
            ),
        );
    }
}
