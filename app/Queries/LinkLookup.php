<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\Core\Fault;
use Nomada\Core\Joining\JoinCode;

/** Finds what somebody has typed or followed: a link by its secret or its memorable address, a secret by its code. */
final class LinkLookup
{
    /** The link, or the drop-in room, that a secret is of; 404 where it is of none. */
    public function find(string $secret): JoinLink|DropInRoom
    {
        return JoinLink::query()->withSecret($secret)->first() ??
            DropInRoom::query()
                ->withSecret($secret)
                ->with(['section.term.school', 'section.term.closures'])
                ->firstOrFail();
    }

    public function short(string $address): JoinLink
    {
        return JoinLink::query()->inForce()->where('short_address', mb_strtolower($address))->firstOrFail();
    }

    /** @throws Fault where the code is mistyped or nobody's */
    public function secretOf(string $typed): string
    {
        $code = JoinCode::read($typed) ?? throw new Fault('code.slip', 'code');

        return JoinLink::query()->inForce()->withCode($code)->first()->secret ??
            (DropInRoom::query()->withCode($code)->first()->secret ?? throw new Fault('code.none', 'code'));
    }
}
