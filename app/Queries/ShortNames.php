<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\Core\Belonging\Role;

/**
 * Short names of staff that tell people apart: initial and surname, the given name written out where two would look
 * alike, and the school's id of them where even that is the same.
 */
final class ShortNames
{
    /** @return array<int, string> by person */
    public static function ofStaff(): array
    {
        $people = DB::table('people')
            ->whereIn('role', [Role::Teacher, Role::Coordinator])
            ->get(['id', 'sourced_id', 'given_name', 'family_name']);
        $forms = [
            fn (\stdClass $p): string => mb_substr($p->given_name, 0, 1).'. '.$p->family_name,
            fn (\stdClass $p): string => trim("$p->given_name $p->family_name"),
            fn (\stdClass $p): string => trim("$p->given_name $p->family_name")." ($p->sourced_id)",
        ];
        $out = [];
        foreach ($forms as $form) {
            $many = $people->countBy($form);
            foreach ($people as $person) {
                if (! isset($out[(int) $person->id]) && $many[$form($person)] === 1) {
                    $out[(int) $person->id] = $form($person);
                }
            }
        }

        return $out;
    }
}
