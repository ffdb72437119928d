<?php

declare(strict_types=1);

namespace Nomada\App\Models\Account;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\URL;
use Nomada\App\Models\Term\Person;

/**
 * A link by which somebody sets a password, once and until it ends. The link is signed with the application's key, so
 * nothing of it is here: a copy of the database opens nothing.
 *
 * @property int $id
 * @property int $person_id
 * @property string $kind `invitation` or `reset`
 * @property int|null $made_by
 * @property string|null $sent_to the email address that it went to; it ends when the person's becomes another
 * @property Carbon $expires_at
 * @property Carbon|null $used_at
 * @property-read Person $person
 */
final class AccountPass extends Model
{
    public const INVITATION = 'invitation';

    public const RESET = 'reset';

    protected $table = 'account_passes';

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['expires_at' => 'datetime', 'used_at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    public function isOpen(): bool
    {
        return $this->used_at === null &&
            $this->expires_at->isFuture() &&
            $this->person->disabled_on === null &&
            mb_strtolower((string) $this->sent_to) === mb_strtolower((string) $this->person->email);
    }

    public function address(): string
    {
        return url(
            URL::temporarySignedRoute('account.pass', $this->expires_at, ['pass' => $this->id], absolute: false),
        );
    }
}
