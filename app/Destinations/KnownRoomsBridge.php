<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * A conference service that we do not speak to: a series has the room of the account that the licences give it, and
 * anybody who is admitted is sent there. What goes on inside is not known, and nothing is asked.
 */
final class KnownRoomsBridge implements ConferenceBridge
{
    public function makeRoom(string $key, string $title): Room
    {
        $account = DB::table('series')
            ->join('host_accounts', 'host_accounts.id', '=', 'host_account_id')
            ->where('uid', $key)
            ->value('host_accounts.name');
        if (! is_string($account)) {
            throw new DestinationFailure((string) __('places.rooms.no_account', ['title' => $title]), true);
        }
        $room = $this->room($account);

        return new Room($account, (string) $room->dial_in, Crypt::decryptString((string) $room->pin));
    }

    public function admit(string $room, string $person, string $name, bool $asHost, array $with = []): string
    {
        return Crypt::decryptString((string) $this->room($room)->address);
    }

    public function state(string $room, string $meeting): array
    {
        // Whether a teacher is there nobody tells us: the room's own waiting area keeps students out.
        return UnknownRoom::state('open', true);
    }

    public function events(string $room, string $meeting, int $after): array
    {
        return ['events' => [], 'counts' => [], 'over_at' => null];
    }

    public function act(string $room, string $meeting, string $act, int $at, array $with = []): array
    {
        throw new DestinationFailure((string) __('places.rooms.no_act'), true);
    }

    public function recordings(string $room, string $meeting): array
    {
        return [];
    }

    public function transcript(string $room, string $recording): string
    {
        throw new DestinationFailure((string) __('places.rooms.no_act'), true);
    }

    public function fetch(string $room, string $recording, string $into, int $most): string
    {
        throw new DestinationFailure((string) __('places.rooms.no_act'), true);
    }

    private function room(string $account): stdClass
    {
        return DB::table('known_rooms')->where('account', $account)->first() ??
            throw new DestinationFailure((string) __('places.rooms.none', ['account' => $account]), true);
    }
}
