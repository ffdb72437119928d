<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Illuminate\Http\Client\Response;
use Nomada\App\Models\Publishing\Placement as Standing;
use Nomada\Core\Publishing\Placement;

/**
 * The calendar server: one calendar a person, one iCalendar object a series (PUT, GET and DELETE with ETags, as RFC
 * 4791 has it).
 */
final class CalendarDestination implements Destination
{
    public function put(Placement $wanted, Standing $standing): Receipt
    {
        [$person, $uid] = explode('/', $wanted->key, 2);
        $path = '/people/'.rawurlencode($person).'/'.rawurlencode($uid).'.ics';

        $body = $wanted->body();

        return $this->service()->putVersion(
            $path,
            $body,
            $standing->etag,
            fn (Response $r): bool => $r->body() === $body,
            'text/calendar',
        );
    }

    public function remove(Standing $standing): void
    {
        $this->service()->delete((string) $standing->remote);
    }

    private function service(): Service
    {
        return Service::of('calendar server', '/calendar');
    }
}
