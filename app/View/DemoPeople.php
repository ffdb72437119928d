<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Illuminate\Support\Collection;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Belonging\Role;

/** Whom the demo's sign-in page offers: the coordinators, the teachers, and some students in each zone. */
final class DemoPeople
{
    /** @return array<string, Collection<int, Person>> by the code of their role, of those roles that anybody has */
    public function groups(): array
    {
        $staff = Person::query()
            ->whereIn('role', [Role::Coordinator, Role::Teacher])
            ->orderBy('sourced_id')
            ->get();
        $students = Person::query()->where('role', Role::Student)->orderBy('sourced_id')->get();
        // The demo student first, then the first student of each zone and of each year.
        $known = $students->where('sourced_id', config('nomada.demo_accounts.student'));
        $some = $known
            ->concat($students->unique('time_zone'))
            ->concat($students->unique('year'))
            ->unique('id')
            ->take(10);

        return array_filter(
            [
                'coordinator' => $staff->where('role', Role::Coordinator),
                'teacher' => $staff->where('role', Role::Teacher),
                'student' => $some,
            ],
            fn (Collection $of): bool => $of->isNotEmpty(),
        );
    }
}
