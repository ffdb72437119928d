<?php

declare(strict_types=1);

namespace Nomada\App\View\Account;

use Nomada\App\Actions\Account\SecondFactor;
use Nomada\App\Models\Account\SignIn;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\School;
use Nomada\App\Support\Say;
use Nomada\Core\Account\Totp;

/** One's own account: the password, the second factor as far as it is set up, and where one is signed in. */
final readonly class AccountPage
{
    /**
     * @param  string|null  $secret  the key, in groups of four, while it is being set up
     * @param  string|null  $address  the same, as an authenticator reads it
     * @param  list<SignInRow>  $signIns  this one first
     */
    private function __construct(
        public string $name,
        public string $signsInBy,
        public ?string $passwordSince,
        public bool $isDemo,
        public bool $needsFactor,
        public ?string $factorSince,
        public int $codesLeft,
        public ?string $secret,
        public ?string $address,
        public array $signIns,
    ) {
    }

    /** @param  int|null  $current  the sign-in of this browser */
    public static function of(Person $person, ?int $current): self
    {
        $zone = $person->zone();
        $on = fn (?\Illuminate\Support\Carbon $at): ?string => $at === null
            ? null
            : Say::day($zone->dateAt((int) $at->timestamp));
        $isBeingSet = $person->totp_secret !== null && ! $person->hasSecondFactor();
        $signIns = SignIn::query()
            ->where('person_id', $person->id)
            ->whereNull('ended_at')
            ->where('seen_at', '>', now()->subDays(30))
            ->orderByRaw('id = ? desc', [$current ?? 0])
            ->orderByDesc('seen_at')
            ->limit(30)
            ->get()
            ->map(fn (SignIn $s): SignInRow => SignInRow::of($s, $zone, $s->id === $current));

        return new self(
            $person->name(),
            $person->signsInBy(),
            $on($person->password_set_at),
            $person->has_demo_password,
            (bool) config('nomada.second_factor') && $person->isCoordinator(),
            $on($person->totp_set_at),
            $person->hasSecondFactor() ? SecondFactor::left($person) : 0,
            $isBeingSet ? trim(chunk_split((string) $person->totp_secret, 4, ' ')) : null,
            $isBeingSet
                ? Totp::address(
                    (string) $person->totp_secret,
                    (string) ($person->email ?? $person->sourced_id),
                    (string) (School::query()->orderBy('id')->value('name') ?? 'Nomada'),
                )
                : null,
            array_values($signIns->all()),
        );
    }
}
