<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Account;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Account\AccountPass;
use Nomada\App\Models\Term\Person;
use Nomada\App\Post\Letters;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Fault;
use Nomada\Core\Post\LetterKind;

/**
 * Sends people the link by which they set a password: an invitation from the school, or a reset that they asked for.
 */
final readonly class InvitePeople
{
    /** Hours for which the link is good. */
    public const HOURS = 72;

    /** People of one address who are written to, at most. */
    private const SHARING = 12;

    /** Minutes within which a person who asks for a new password again gets no second email. */
    private const PAUSE = 5;

    public function __construct(private Letters $letters)
    {
    }

    /** @throws Fault where the person is disabled */
    public function one(Person $person, ?Person $by): AccountPass
    {
        if ($person->disabled_on !== null) {
            throw new Fault('account.disabled', 'person', ['person' => $person->name()]);
        }

        return DB::transaction(function () use ($person, $by): AccountPass {
            $pass = $this->pass($person, AccountPass::INVITATION, $by);
            $this->letters->account($pass, LetterKind::Invitation);

            return $pass;
        });
    }

    /** To everybody of a role who has no password yet and has no invitation that is still good. Returns how many. */
    public function all(Role $role, Person $by): int
    {
        $n = 0;
        foreach (self::uninvited($role)->lazyById(200) as $person) {
            $this->one($person, $by);
            $n++;
        }

        return $n;
    }

    /**
     * Where the school knows the address or the id, an email goes; nobody is told. People who share an address get one
     * each: it says what each of them signs in by.
     */
    public function reset(string $typed): void
    {
        Person::query()
            ->where(
                fn ($q) => $q
                    ->where(Person::signingInBy($typed))
                    ->orWhereRaw('lower(email) = ?', [mb_strtolower($typed)]),
            )
            ->whereNull('disabled_on')
            ->whereNotNull('email')
            ->orderBy('id')
            ->limit(self::SHARING)
            ->get()
            ->each($this->resetOne(...));
    }

    private function resetOne(Person $person): void
    {
        DB::transaction(function () use ($person): void {
            Person::query()->whereKey($person->id)->lock('for no key update')->first();
            $open = AccountPass::query()
                ->where('person_id', $person->id)
                ->where('kind', AccountPass::RESET)
                ->whereNull('used_at');
            if ($open->clone()->where('created_at', '>', now()->subMinutes(self::PAUSE))->exists()) {
                return;
            }
            // The newest link is the only one.
            $open->update(['used_at' => now()]);
            $this->letters->account($this->pass($person, AccountPass::RESET, null), LetterKind::Reset);
        });
    }

    /** @return \Illuminate\Database\Eloquent\Builder<Person> */
    public static function uninvited(Role $role): \Illuminate\Database\Eloquent\Builder
    {
        return Person::query()
            ->where('role', $role)
            ->whereNull('disabled_on')
            ->whereNotNull('email')
            ->whereNull('password_set_at')
            ->whereNotIn(
                'id',
                AccountPass::query()->whereNull('used_at')->where('expires_at', '>', now())->select('person_id'),
            );
    }

    private function pass(Person $person, string $kind, ?Person $by): AccountPass
    {
        return AccountPass::query()->create([
            'person_id' => $person->id,
            'kind' => $kind,
            'sent_to' => $person->email,
            'made_by' => $by?->id,
            'expires_at' => now()->addHours(self::HOURS),
        ]);
    }
}
