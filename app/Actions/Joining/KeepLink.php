<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Support\Secrets;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\LinkSecret;

/** The link in force of a kind for a series (and a person), made if there is none. Asking twice makes one. */
final readonly class KeepLink
{
    private const AT_ONCE = 500;

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

    /**
     * Writes down many at once, in one statement with one parameter; the caller has seen to it that none of them is
     * there already.
     *
     * @param  list<array<string, mixed>>  $links  as {@see fresh()} makes them
     */
    public function insert(array $links): void
    {
        $now = now()->toIso8601String();
        $rows = [];
        foreach ($links as $plain) {
            $rows[] = JoinLink::row($plain) + ['created_at' => $now, 'updated_at' => $now];
        }
        foreach (array_chunk($rows, self::AT_ONCE) as $some) {
            DB::insert(
                'insert into join_links (series_id, kind, person_id, secret, secret_hash, join_code, code_hash, room,
                    dial_in, pin, created_at, updated_at)
                select series_id, kind, person_id, secret, secret_hash, join_code, code_hash, room, dial_in, pin,
                    created_at, updated_at
                from json_to_recordset(?::json) as t(series_id bigint, kind text, person_id bigint, secret text,
                    secret_hash text, join_code text, code_hash text, room text, dial_in text, pin text,
                    created_at timestamptz, updated_at timestamptz)',
                [json_encode($some, JSON_THROW_ON_ERROR)],
            );
        }
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
            'secret_hash' => Secrets::sum($secret),
        ];
    }
}
