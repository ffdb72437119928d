<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Recording;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Clock;
use Nomada\Core\Language\Said;

/** Whether somebody agreed to be recorded, with the day on which the office wrote it down. */
final readonly class KeepConsent
{
    public function __construct(private Clock $clock, private Audit $audit)
    {
    }

    /** @param  bool|null  $agreed  null where nobody has said */
    public function __invoke(Person $person, ?bool $agreed, Person $by): void
    {
        DB::transaction(function () use ($person, $agreed, $by): void {
            $person->update([
                'may_be_recorded' => $agreed,
                'recorded_said_on' => $agreed === null ? null : $this->clock->schoolDay()->iso(),
            ]);
            ($this->audit)(
                'person',
                null,
                $by,
                new Said(match ($agreed) {
                    true => 'audit.agreed',
                    false => 'audit.not_agreed',
                    null => 'audit.not_said',
                }, ['person' => $person->name()]),
            );
        });
    }
}
