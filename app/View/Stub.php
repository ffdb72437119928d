<?php

declare(strict_types=1);

namespace Nomada\App\View;

/** A row that is brought when it comes into sight: what it can be found, chosen and opened by before that. */
final readonly class Stub
{
    /**
     * @param  string  $key  what the row is asked for by
     * @param  string  $value  of its box
     * @param  string  $more  what tells it from others of that name, or empty
     * @param  string  $small  what is there beneath its name, or empty
     */
    public function __construct(
        public string $key,
        public string $value,
        public string $name,
        public string $url,
        public string $more = '',
        public string $small = '',
    ) {
    }

    public function label(): string
    {
        return $this->more === '' ? $this->name : "$this->name: $this->more";
    }
}
