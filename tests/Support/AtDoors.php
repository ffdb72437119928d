<?php

declare(strict_types=1);

namespace Tests\Support;

use Nomada\App\Models\Joining\JoinLink;
use Nomada\Core\Joining\LinkKind;

/** What tests of doors do again and again. */
final class AtDoors
{
    public static function link($test, LinkKind $kind, ?string $person = null): JoinLink
    {
        return JoinLink::query()
            ->inForce()
            ->where('kind', $kind)
            ->whereRelation('series.section', 'sourced_id', 'MAR')
            ->when($person !== null, fn ($q) => $q->whereRelation('person', 'sourced_id', $person))
            ->firstOrFail();
    }

    public static function series($test): string
    {
        return '/sections/MAR/series/'.$test->section('MAR')->series()->value('series.id');
    }

    /** Presses the door's button as somebody; null for a guest. */
    public static function enter($test, ?string $who, JoinLink $link): string
    {
        auth()->logout();
        cache()->flush();

        return (string) ($who === null ? $test : $test->as($who))
            ->post('/join/'.$link->secret)
            ->headers->get('Location');
    }

    public const RULES = [
        'opens_before' => 10,
        'opens_before_hosts' => 15,
        'needs_host' => 1,
        'straight_in' => 'accepted',
        'others_wait' => 0,
        'one_device' => 1,
        'speak' => 'everyone',
        'camera' => 'everyone',
        'chat' => 'everyone',
        'screen' => 'host',
        'draw' => 'host',
        'record' => 'host',
        'muted_on_entry' => 1,
    ];

    /** Where the page of somebody who waits asks for its version. */
    public static function look($test, string $who, JoinLink $link): string
    {
        $page = $test
            ->as($who)
            ->get("/join/$link->secret")
            ->assertOk()
            ->getContent();
        auth()->logout();

        return html_entity_decode((string) preg_replace('/.*data-look="([^"]*)".*/s', '$1', (string) $page));
    }
}
