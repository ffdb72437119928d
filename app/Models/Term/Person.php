<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\URL;
use Nomada\App\Models\Concerns\FoundBySourcedId;
use Nomada\App\Support\Secrets;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Post\Reminder;
use Nomada\Core\Term\Zone;

/**
 * Everybody whom the school knows. Signs in with the address.
 *
 * @property int $id
 * @property string $sourced_id
 * @property Role $role
 * @property string $given_name
 * @property string $family_name
 * @property string|null $email a family may share one
 * @property string|null $sign_in a name of one's own to sign in by
 * @property string $year
 * @property string $time_zone
 * @property string|null $language what they chose to read; null for as the roster or the browser says
 * @property string|null $roster_language
 * @property string|null $feed_secret
 * @property string|null $feed_hash
 * @property int $links_version counted up when all signed links about or for them end
 * @property string|null $disabled_on from when on they have no part and cannot sign in
 * @property string $password a hash
 * @property Carbon|null $password_set_at since when it is one of their own
 * @property bool $has_demo_password the public one of the demo, which counts nowhere else
 * @property string|null $totp_secret the key of the second factor
 * @property Carbon|null $totp_set_at since when it counts
 * @property int $totp_step the last code's
 * @property bool|null $may_be_recorded whether they agreed, as the office has it; null where nobody has said
 * @property string|null $remind
 * @property string|null $recorded_said_on
 * @property Carbon|null $letters_stopped_at since when a guardian wants no letters
 */
final class Person extends Authenticatable
{
    use FoundBySourcedId;

    protected $table = 'people';

    protected $guarded = ['id'];

    protected $hidden = ['password', 'remember_token', 'feed_secret', 'feed_hash', 'totp_secret'];

    /** @var array<string, string> */
    protected $casts = [
        'role' => Role::class,
        'password' => 'hashed',
        'feed_secret' => 'encrypted',
        'letters_stopped_at' => 'datetime',
        'password_set_at' => 'datetime',
        'has_demo_password' => 'boolean',
        'totp_secret' => 'encrypted',
        'totp_set_at' => 'datetime',
        'totp_step' => 'integer',
        'may_be_recorded' => 'boolean',
    ];

    /** @return HasMany<MembershipRow, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(MembershipRow::class);
    }

    /** @return BelongsToMany<Person, $this> */
    public function guardians(): BelongsToMany
    {
        return $this->belongsToMany(self::class, 'guardianships', 'student_id', 'guardian_id');
    }

    /** @return BelongsToMany<Person, $this> */
    public function wards(): BelongsToMany
    {
        return $this->belongsToMany(self::class, 'guardianships', 'guardian_id', 'student_id');
    }

    /**
     * Anybody who signs in by what was typed: an address that is theirs alone, the school's id of them, or a name of
     * their own.
     *
     * @return Closure(Builder<Person>): mixed a condition
     */
    public static function signingInBy(string $typed): Closure
    {
        $address = mb_strtolower($typed);
        $isTheirs =
            self::query()
                ->whereRaw('lower(email) = ?', [$address])
                ->count() === 1;

        return function (Builder $query) use ($typed, $address, $isTheirs): void {
            $query->where('sourced_id', $typed)->orWhere('sign_in', $typed);
            if ($isTheirs) {
                $query->orWhereRaw('lower(email) = ?', [$address]);
            }
        };
    }

    /** By what they sign in: a name of their own, an address that is theirs alone, else the school's id of them. */
    public function signsInBy(): string
    {
        $isShared =
            $this->email === null ||
            self::query()
                ->whereRaw('lower(email) = ?', [mb_strtolower($this->email)])
                ->count() > 1;

        return $this->sign_in ?? ($isShared ? $this->sourced_id : (string) $this->email);
    }

    /** How this person chose to be reminded; null for as each section says. */
    public function reminder(): ?Reminder
    {
        return $this->remind === null ? null : Reminder::from($this->remind);
    }

    /** Of a guardian: where the children's attendance stands, and an absence is told. */
    public function childrenPage(): string
    {
        return $this->signed('children');
    }

    /** A signed link of theirs: it ends when they are disabled, and when their links are renewed. */
    public function signed(string $route): string
    {
        return URL::signedRoute($route, ['person' => $this->id, 'v' => $this->links_version]);
    }

    /** Whether a signed link of theirs that names this version is good. */
    public function takesLink(int $version): bool
    {
        return $this->disabled_on === null && $version === $this->links_version;
    }

    public function name(): string
    {
        return trim("$this->given_name $this->family_name");
    }

    /** `I. Belmar` */
    public function shortName(): string
    {
        return mb_substr($this->given_name, 0, 1).'. '.$this->family_name;
    }

    /** `Belmar, Inés`, as lists are sorted. */
    public function sortedName(): string
    {
        return "$this->family_name, $this->given_name";
    }

    public function zone(): Zone
    {
        return Zone::named($this->time_zone);
    }

    public function isCoordinator(): bool
    {
        return $this->role === Role::Coordinator;
    }

    public function hasSecondFactor(): bool
    {
        return $this->totp_set_at !== null;
    }

    public function isStaff(): bool
    {
        return $this->role->isStaff();
    }

    /** Somebody of one role. */
    public static function ofRole(Role $role, string $sourcedId): self
    {
        return self::query()->where('role', $role)->where('sourced_id', $sourcedId)->firstOrFail();
    }

    /** A guardian behind an emailed link, which names them by number. */
    public static function guardian(int $id): self
    {
        return self::query()->where('role', Role::Guardian)->findOrFail($id);
    }

    /** Null where they are disabled, or not there. */
    public static function enabled(int $id): ?self
    {
        return self::query()->whereNull('disabled_on')->find($id);
    }

    /** By the secret address of their calendar feed. */
    public static function byFeed(string $secret): ?self
    {
        return self::query()->where('feed_hash', Secrets::sum($secret, 'feed'))->first();
    }

    /** @return Collection<int, self> */
    public static function teachers(): Collection
    {
        return self::query()->where('role', Role::Teacher)->orderBy('family_name')->orderBy('given_name')->get();
    }

    /** One of the students whose guardian this is. */
    public function ward(string $sourcedId): self
    {
        return $this->wards()->where('sourced_id', $sourcedId)->firstOrFail();
    }
}
