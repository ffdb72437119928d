<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Support\Secrets;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\LinkSecret;

/** The link in force of a kind for a series (and a person), made where there is none. Asking twice makes one. */
final readonly class KeepLink
{
    /** @param  array<string, string>  $more join code, room, dial-in and PIN of a series link */
    public function __invoke(int $series, LinkKind $kind, ?int $person = null, array $more = []): JoinLink
    {
        $query = JoinLink::query()
            ->inForce()
            ->where('series_id', $series)
            ->where('kind', $kind)
            ->where('person_id', $person);

        return $query->first() ?? JoinLink::query()->create($this->fresh($series, $kind, $person) + $more);
    }

    /** @return array<string, mixed> */
    public function fresh(int $series, LinkKind $kind, ?int $person): array
    {
        $secret = LinkSecret::make(Secrets::random());

        return [
            'series_id' => $series,
            'kind' => $kind,
            'person_id' => $person,
            'secret' => $secret,
            'secret_sum' => Secrets::sum($secret),
        ];
    }
}
