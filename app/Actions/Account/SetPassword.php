<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Account;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Models\Account\AccountPass;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\School;
use Nomada\Core\Account\PasswordRule;
use Nomada\Core\Fault;
use Normalizer;

/** Sets somebody's password, by a link that is used up with it, or by the one that it replaces. */
final readonly class SetPassword
{
    public function __construct(private SignIns $signIns, private CheckPassword $check)
    {
    }

    /** @throws Fault where the link has been used or has ended, or the password is no good */
    public function byPass(AccountPass $pass, string $password): Person
    {
        return DB::transaction(function () use ($pass, $password): Person {
            $fresh = AccountPass::query()->with('person')->lock('for update')->findOrFail($pass->id);
            if (! $fresh->isOpen()) {
                throw new Fault('password.link', 'password');
            }
            $person = $fresh->person()->firstOrFail();
            $this->keep($person, $password);
            // Whatever other link is still about opens nothing any more.
            AccountPass::query()
                ->where('person_id', $person->id)
                ->whereNull('used_at')
                ->update(['used_at' => now()]);
            $this->signIns->end($person);

            return $person;
        });
    }

    /**
     * @param  int|null  $stays  the sign-in from which it is changed; all others end
     *
     * @throws Fault where the old one is wrong, or the new one no good
     */
    public function change(Person $person, string $old, string $new, ?int $stays): void
    {
        if (! $this->check->own($person, $old)) {
            throw new Fault('password.old', 'old_password');
        }
        DB::transaction(function () use ($person, $new, $stays): void {
            $this->keep($person, $new);
            $this->signIns->end($person, but: $stays);
        });
    }

    /** One spelling of what looks alike, whatever keyboard it was typed on. */
    public static function normal(string $password): string
    {
        return Normalizer::normalize($password, Normalizer::FORM_KC) ?: $password;
    }

    /** @throws Fault */
    private function keep(Person $person, string $password): void
    {
        $password = self::normal($password);
        self::rule()->check($password, [
            $person->given_name,
            $person->family_name,
            (string) $person->email,
            (string) $person->sign_in,
            (string) School::query()->orderBy('id')->value('name'),
            'Nomada',
        ]);
        $person
            ->forceFill([
                'password' => $password,
                'password_set_at' => now(),
                'has_demo_password' => false,
                'remember_token' => Str::random(60),
            ])
            ->save();
    }

    private static function rule(): PasswordRule
    {
        return new PasswordRule(function (string $plain): bool {
            static $list = null;
            $list ??= (array) require base_path('bootstrap/cache/common-passwords.php');

            return isset($list[$plain]);
        });
    }
}
