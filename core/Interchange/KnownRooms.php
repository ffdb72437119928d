<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Fault;

/**
 * The rooms of a conference service that we do not speak to: a CSV file with one line an account of the licences
 * (account, address, dial_in, pin). Where a room is comes from this list, who may come in from the door as ever.
 */
final class KnownRooms
{
    /** @var list<ImportFault> */
    public array $faults = [];

    /** @var list<array{account: string, address: string, dial_in: string, pin: string}> */
    public array $rooms = [];

    /** @param  list<string>  $accounts  the names of the licences' accounts */
    public function __construct(string $file, string $text, array $accounts)
    {
        $csv = new Csv($file, $text, ['account', 'address']);
        $this->faults = $csv->faults;
        $seen = [];
        foreach ($csv->rows as $row) {
            $account = trim($row->get('account'));
            $address = trim($row->get('address'));
            if (! in_array($account, $accounts, true)) {
                $known = array_slice($accounts, 0, 8);
                $code = $known === [] ? 'rooms.none' : 'rooms.account';
                $this->faults[] = $row->fault('account', new Fault($code, '', ['known' => $known]));
            } elseif (isset($seen[$account])) {
                $this->faults[] = $row->fault('account', 'rooms.twice');
            }
            if (filter_var($address, FILTER_VALIDATE_URL) === false || ! str_starts_with($address, 'https://')) {
                $this->faults[] = $row->fault('address', 'material.address');
            }
            $seen[$account] = true;
            $this->rooms[] = [
                'account' => $account,
                'address' => $address,
                'dial_in' => trim($row->get('dial_in')),
                'pin' => trim($row->get('pin')),
            ];
        }
        if ($csv->rows === [] && $this->faults === []) {
            $this->faults[] = new ImportFault($file, 2, '', 'csv.no_line');
        }
    }
}
