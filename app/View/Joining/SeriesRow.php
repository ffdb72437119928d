<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

/** One series with its join link, as plain values. Link, code and phone are null where no link is made. */
final readonly class SeriesRow
{
    /** @param  array<string, string>  $moreOpen  in what its door or floor is more open than its preset */
    public function __construct(
        public string $section,
        public string $name,
        public string $title,
        public string $meets,
        public ?string $link,
        public ?string $code,
        public ?string $phone,
        public ?string $pin,
        public int $roster,
        public int $registered,
        public int $id = 0,
        public string $preset = 'Lesson',
        public string $sentence = '',
        public bool $differs = false,
        public array $moreOpen = [],
        public ?string $acceptedBy = null,
        public bool $isHidden = false,
        public ?string $account = null,
        public ?string $registering = null,
    ) {
    }
}
