<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Clock;

/** Stops the emails that a guardian may refuse, or lets them come again. */
final readonly class StopLetters
{
    public function __construct(private Clock $clock)
    {
    }

    public function __invoke(Person $guardian, bool $again): void
    {
        $guardian->update([
            'letters_stopped_at' => $again ? null : Carbon::createFromTimestamp($this->clock->seconds()),
        ]);
    }
}
