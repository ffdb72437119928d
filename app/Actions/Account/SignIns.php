<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Account;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Models\Account\AccountPass;
use Nomada\App\Models\Account\SignIn;
use Nomada\App\Models\Term\Person;

/**
 * Where people are signed in. A browser whose sign-in is ended from elsewhere is out at its next request, remembered
 * or not.
 */
final class SignIns
{
    /** How long "seen" may lag behind, in seconds: it costs a write. */
    private const LAG = 300;

    /** Writes down where somebody signs in. */
    public function begin(Person $person, string $browser, string $address): SignIn
    {
        $now = now();

        return SignIn::query()->create([
            'person_id' => $person->id,
            'browser' => $browser,
            'address' => $address,
            'began_at' => $now,
            'seen_at' => $now,
        ]);
    }

    /**
     * The sign-in that goes on: the one that is known, or another where none is. Null where it was ended elsewhere.
     *
     * @param  int|null  $id  of the sign-in that the browser knows
     */
    public function goOn(Person $person, ?int $id, string $browser, string $address): ?int
    {
        $row = $id === null ? null : SignIn::query()->find($id);
        if ($row === null || $row->person_id !== $person->id) {
            return $this->begin($person, $browser, $address)->id;
        }
        if ($row->ended_at !== null) {
            return null;
        }
        if ($row->seen_at->diffInSeconds(now()) > self::LAG) {
            $row->update(['seen_at' => now(), 'address' => $address]);
        }

        return $row->id;
    }

    /**
     * Ends all sign-ins of people who are disabled, their links to set a password, their signed links and the secret
     * address of their calendar: enabling them later revives none of them.
     *
     * @param  list<int>  $people
     */
    public static function endAll(array $people): void
    {
        SignIn::query()
            ->whereIn('person_id', $people)
            ->whereNull('ended_at')
            ->update(['ended_at' => now()]);
        self::endLinks($people);
    }

    /**
     * Ends every link and secret address of people, and not where they are signed in.
     *
     * @param  list<int>  $people
     */
    public static function endLinks(array $people): void
    {
        AccountPass::query()
            ->whereIn('person_id', $people)
            ->whereNull('used_at')
            ->update(['used_at' => now()]);
        Person::query()
            ->whereKey($people)
            ->update([
                'links_version' => DB::raw('links_version + 1'),
                'feed_secret' => null,
                'feed_hash' => null,
            ]);
    }

    /**
     * Ends some of a person's sign-ins. Every browser's remembering ends with it: what is kept in their cookies is one
     * word for all.
     *
     * @param  int|null  $only  one of them; null for all
     * @param  int|null  $but  the one that stays
     */
    public function end(Person $person, ?int $only = null, ?int $but = null): int
    {
        $n = SignIn::query()
            ->where('person_id', $person->id)
            ->whereNull('ended_at')
            ->when($only !== null, fn ($q) => $q->whereKey($only))
            ->when($but !== null, fn ($q) => $q->where('id', '!=', $but))
            ->update(['ended_at' => now()]);
        if ($n > 0) {
            $person->forceFill(['remember_token' => Str::random(60)])->save();
        }

        return $n;
    }
}
