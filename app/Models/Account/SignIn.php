<?php

declare(strict_types=1);

namespace Nomada\App\Models\Account;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Person;

/**
 * Where somebody is signed in: a browser, since when, and when it was seen last.
 *
 * @property int $id
 * @property int $person_id
 * @property string $browser what it says of itself
 * @property string $address
 * @property Carbon $began_at
 * @property Carbon $seen_at to five minutes
 * @property Carbon|null $ended_at
 */
final class SignIn extends Model
{
    public $timestamps = false;

    protected $table = 'sign_ins';

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['began_at' => 'datetime', 'seen_at' => 'datetime', 'ended_at' => 'datetime'];

    /** Ends one sign-in, where it is theirs. */
    public static function end(int|string $id, Person $person): void
    {
        self::query()->whereKey($id)->where('person_id', $person->id)->update(['ended_at' => now()]);
    }
}
