<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Account;

use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Secrets;
use Nomada\Core\Account\RecoveryCode;
use Nomada\Core\Account\Totp;
use Nomada\Core\Fault;

/**
 * A second factor: codes of an authenticator, and ten codes on paper that open once each. The key is sealed, the paper
 * codes are kept as sums under the application's key.
 */
final class SecondFactor
{
    /** Wrong codes within fifteen minutes. */
    private const TRIES = 6;

    /** Begins: a key that counts once a code of it was typed. */
    public function begin(Person $person): void
    {
        if ($person->totp_set_at === null) {
            $person->forceFill(['totp_secret' => Totp::secret(random_bytes(20))])->save();
        }
    }

    /**
     * Ends the beginning, and gives the paper codes.
     *
     * @return list<string>
     *
     * @throws Fault where the code is wrong
     */
    public function confirm(Person $person, string $code): array
    {
        if ($person->totp_set_at !== null) {
            throw new Fault('factor.on', 'code');
        }
        $codes =
            $this->bounded(
                $person,
                fn (): ?array => DB::transaction(function () use ($person, $code): ?array {
                    $fresh = Person::query()->lock('for update')->findOrFail($person->id);
                    $step =
                        $fresh->totp_secret === null || $fresh->totp_set_at !== null
                            ? null
                            : Totp::of($fresh->totp_secret)->stepOf($code, time(), $fresh->totp_step);
                    if ($step === null) {
                        return null;
                    }
                    $fresh->forceFill(['totp_set_at' => now(), 'totp_step' => $step])->save();

                    return $this->codes($fresh);
                }),
            ) ?? throw new Fault('factor.wrong', 'code');
        $person->refresh();

        return $codes;
    }

    /**
     * New paper codes; those of before open nothing any more.
     *
     * @return list<string>
     */
    public function codes(Person $person): array
    {
        $codes = RecoveryCode::fresh(fn (int $most): int => random_int(0, $most));
        DB::transaction(function () use ($person, $codes): void {
            DB::table('recovery_codes')->where('person_id', $person->id)->delete();
            DB::table('recovery_codes')->insert(
                array_map(fn (string $c): array => ['person_id' => $person->id, 'hash' => self::sum($c)], $codes),
            );
        });

        return $codes;
    }

    /**
     * Whether a typed code opens, once: the authenticator's current one, or one on paper.
     *
     * @throws Fault where too many were wrong
     */
    public function opens(Person $person, string $typed): bool
    {
        return $this->bounded(
            $person,
            fn (): ?bool => DB::transaction(function () use ($person, $typed): ?bool {
                $fresh = Person::query()->lock('for update')->findOrFail($person->id);
                if (RecoveryCode::looksLikeOne($typed)) {
                    return DB::table('recovery_codes')
                        ->where('person_id', $fresh->id)
                        ->where('hash', self::sum($typed))
                        ->whereNull('used_at')
                        ->update(['used_at' => now()]) === 1 ?:
                        null;
                }
                $step = Totp::of((string) $fresh->totp_secret)->stepOf($typed, time(), $fresh->totp_step);
                if ($step === null || $fresh->totp_set_at === null) {
                    return null;
                }
                $fresh->forceFill(['totp_step' => $step])->save();

                return true;
            }),
        ) ?? false;
    }

    /**
     * Does something that a right code is needed for, and counts the wrong ones on every road alike.
     *
     * @template T
     *
     * @param  Closure(): ?T  $do  null where the code was wrong
     * @return ?T
     *
     * @throws Fault where too many were wrong
     */
    private function bounded(Person $person, Closure $do): mixed
    {
        $key = "second factor $person->id";
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            throw new Fault('factor.many', 'code');
        }
        $came = $do();
        $came !== null ? RateLimiter::clear($key) : RateLimiter::hit($key, 900);

        return $came;
    }

    /** Removes it again: by its owner, or by the console where everything is lost. */
    public function drop(Person $person): void
    {
        DB::transaction(function () use ($person): void {
            DB::table('recovery_codes')->where('person_id', $person->id)->delete();
            $person->forceFill(['totp_secret' => null, 'totp_set_at' => null, 'totp_step' => 0])->save();
        });
    }

    public static function left(Person $person): int
    {
        return DB::table('recovery_codes')->where('person_id', $person->id)->whereNull('used_at')->count();
    }

    private static function sum(string $code): string
    {
        return Secrets::sum(RecoveryCode::plain($code), 'recovery');
    }
}
