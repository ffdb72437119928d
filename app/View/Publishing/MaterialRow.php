<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

/** One link; `day` is that of the session that it is for, empty where it is for the whole section. */
final readonly class MaterialRow
{
    public function __construct(
        public int $id,
        public string $title,
        public string $address,
        public string $day,
        public string $section,
    ) {
    }
}
