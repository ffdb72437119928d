<?php

declare(strict_types=1);

namespace Nomada\App\View\Requests;

/** All requests of teachers: what waits, and what was decided. */
final readonly class RequestsPage
{
    /**
     * @param  list<RequestLine>  $open  the oldest first
     * @param  list<RequestLine>  $decided  the last first
     */
    public function __construct(public array $open, public array $decided, public bool $mayDecide)
    {
    }
}
