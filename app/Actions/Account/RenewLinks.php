<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Account;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Language\Said;

/**
 * Ends every link and secret address that a person was ever sent (their children's page, the way to stop emails, their
 * calendar, links to set a password), because somebody else may have them. New ones are made when they are next needed.
 */
final readonly class RenewLinks
{
    public function __construct(private Audit $audit)
    {
    }

    public function __invoke(Person $person, Person $by): void
    {
        DB::transaction(function () use ($person, $by): void {
            SignIns::endLinks([$person->id]);
            ($this->audit)('person', null, $by, new Said('audit.links_renewed', ['person' => $person->name()]));
        });
    }
}
