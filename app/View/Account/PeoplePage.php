<?php

declare(strict_types=1);

namespace Nomada\App\View\Account;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Account\AccountPass;
use Nomada\App\Models\Account\SignIn;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Belonging\Role;

/**
 * Who can sign in, by role: how many have a password, an invitation, neither; and one role's people, a page at a time.
 */
final readonly class PeoplePage
{
    private const MANY = 50;

    /**
     * @param  list<RoleRow>  $roles
     * @param  list<AccountRow>  $people
     */
    private function __construct(
        public array $roles,
        public Role $role,
        public array $people,
        public int $page,
        public int $pages,
    ) {
    }

    public static function of(string $role, int $page): self
    {
        $chosen = Role::tryFrom($role) ?? Role::Coordinator;
        $open = AccountPass::query()->whereNull('used_at')->where('expires_at', '>', now())->select('person_id');
        $counts = Person::query()
            ->whereNull('disabled_on')
            ->groupBy('role')
            ->toBase()
            ->select('role')
            ->selectRaw(
                'count(*) as n, count(password_set_at) as ready, count(*) filter (where email is null) as silent',
            )
            ->selectRaw(
                'count(*) filter (where password_set_at is null and id in ('.$open->toSql().')) as invited',
                $open->getBindings(),
            )
            ->get()
            ->keyBy('role');
        $roles = [];
        foreach (Role::cases() as $one) {
            $row = $counts[$one->value] ?? null;
            if ($row !== null) {
                $roles[] = new RoleRow(
                    $one,
                    (int) $row->n,
                    (int) $row->ready,
                    (int) $row->invited,
                    (int) $row->silent,
                );
            }
        }
        $of = Person::query()->where('role', $chosen)->whereNull('disabled_on');
        $pages = max(1, (int) ceil((clone $of)->count() / self::MANY));
        $page = min(max(1, $page), $pages);
        $people = $of
            ->orderByRaw('password_set_at is not null, family_name, given_name, id')
            ->forPage($page, self::MANY)
            ->get();
        $invited = AccountPass::query()
            ->whereIn('person_id', $people->modelKeys())
            ->whereNull('used_at')
            ->groupBy('person_id')
            ->pluck(DB::raw('max(expires_at) as until'), 'person_id');
        $seen = SignIn::query()
            ->whereIn('person_id', $people->modelKeys())
            ->groupBy('person_id')
            ->pluck(DB::raw('max(seen_at) as seen'), 'person_id');

        return new self(
            $roles,
            $chosen,
            array_values(
                $people
                    ->map(
                        fn (Person $p): AccountRow => AccountRow::of(
                            $p,
                            isset($invited[$p->id]) ? (int) strtotime((string) $invited[$p->id]) : null,
                            isset($seen[$p->id]) ? (int) strtotime((string) $seen[$p->id]) : null,
                        ),
                    )
                    ->all(),
            ),
            $page,
            $pages,
        );
    }
}
