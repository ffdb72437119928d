<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\FaultWords;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\KnownRooms;
use Nomada\Core\Language\Said;

/** Keeps a list of known rooms in place of the one before, as a whole or not at all. */
final readonly class KeepRooms
{
    public function __construct(private Audit $audit)
    {
    }

    /**
     * @return int how many rooms
     *
     * @throws Fault with every fault of the list, by line
     */
    public function __invoke(string $file, string $text, Person $by): int
    {
        $accounts = DB::table('host_accounts')->orderBy('name')->pluck('name')->all();
        $list = new KnownRooms($file, $text, array_values(array_map(strval(...), $accounts)));
        if ($list->faults !== []) {
            $words = array_map(FaultWords::line(...), array_slice($list->faults, 0, 20));

            throw new Fault('import.lines', 'rooms', ['lines' => implode("\n", $words)]);
        }
        DB::transaction(function () use ($list, $by): void {
            DB::table('known_rooms')->delete();
            foreach ($list->rooms as $room) {
                DB::table('known_rooms')->insert([
                    'account' => $room['account'],
                    'address' => Crypt::encryptString($room['address']),
                    'dial_in' => $room['dial_in'],
                    'pin' => Crypt::encryptString($room['pin']),
                ]);
            }
            ($this->audit)('place', null, $by, new Said('audit.rooms', ['n' => count($list->rooms)]));
        });

        return count($list->rooms);
    }
}
