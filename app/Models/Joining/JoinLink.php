<?php

declare(strict_types=1);

namespace Nomada\App\Models\Joining;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Crypt;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Secrets;
use Nomada\Core\Joining\LinkKind;

/**
 * A join link in force, or a retired one. The secret is sealed with the application's key; what finds the link is a
 * keyed sum of it.
 *
 * @property int $id
 * @property \Illuminate\Support\Carbon|null $created_at
 * @property int $series_id
 * @property int|null $person_id
 * @property LinkKind $kind
 * @property string $secret_hash
 * @property string $secret
 * @property string|null $join_code sealed, as the PIN is
 * @property string|null $code_hash
 * @property string|null $room
 * @property string|null $dial_in
 * @property string|null $pin
 * @property bool $is_hidden
 * @property Carbon|null $retired_at
 * @property string|null $guest_name
 * @property string|null $guest_email
 * @property string|null $only_day
 * @property int|null $only_session_id
 * @property string|null $holder_hash of the browser that keeps a guest's pass
 * @property Carbon|null $held_at
 * @property string $held_browser
 * @property Carbon|null $expires_at
 * @property string|null $short_address
 * @property Series $series
 * @property Person|null $person
 */
final class JoinLink extends Model
{
    protected $guarded = ['id'];

    protected $hidden = ['secret', 'secret_hash', 'holder_hash'];

    /** @var array<string, string> */
    protected $casts = [
        'kind' => LinkKind::class,
        'secret' => 'encrypted',
        'join_code' => 'encrypted',
        'pin' => 'encrypted',
        'retired_at' => 'datetime',
        'expires_at' => 'datetime',
        'is_hidden' => 'boolean',
        'held_at' => 'datetime',
    ];

    /** A code is sealed, so a sum of it is what finds the link. */
    protected static function booted(): void
    {
        self::saving(function (JoinLink $link): void {
            if ($link->isDirty('join_code')) {
                $link->code_hash = $link->join_code === null ? null : Secrets::sum($link->join_code, 'code');
            }
        });
    }

    /**
     * A new link as its row is kept, without a model for each: thousands are made at once.
     *
     * @param  array<string, mixed>  $plain
     * @return array<string, mixed>
     */
    public static function row(array $plain): array
    {
        $code = $plain['join_code'] ?? null;
        foreach (['secret', 'join_code', 'pin'] as $sealed) {
            if (isset($plain[$sealed]) && is_string($plain[$sealed])) {
                $plain[$sealed] = Crypt::encryptString($plain[$sealed]);
            }
        }

        return ['code_hash' => is_string($code) ? Secrets::sum($code, 'code') : null] + $plain;
    }

    /** @param  Builder<JoinLink>  $query */
    public function scopeWithCode(Builder $query, string $code): void
    {
        $query->where('code_hash', Secrets::sum($code, 'code'));
    }

    /** @return BelongsTo<Series, $this> */
    public function series(): BelongsTo
    {
        return $this->belongsTo(Series::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @param  Builder<JoinLink>  $query */
    public function scopeInForce(Builder $query): void
    {
        $query->whereNull('retired_at');
    }

    /** @param  Builder<JoinLink>  $query */
    public function scopeWithSecret(Builder $query, string $secret): void
    {
        $query->where('secret_hash', Secrets::sum($secret));
    }

    /** The day of the one session that a pass is for, wherever that was moved; null where it is for all. */
    public function onlyDay(): ?string
    {
        return $this->only_session_id === null
            ? $this->only_day
            : (string) Session::query()->whereKey($this->only_session_id)->value('day');
    }

    /** UTC seconds after which it is worth nothing: a pass for one session lasts as long as that. */
    public function endsAt(): ?int
    {
        if ($this->expires_at === null) {
            return null;
        }
        $end =
            $this->only_session_id === null
                ? null
                : Session::query()
                    ->whereKey($this->only_session_id)
                    ->first(['ends_at'])?->ends_at->timestamp;

        return max((int) $this->expires_at->timestamp, (int) $end);
    }

    public function address(): string
    {
        return route('door', $this->secret);
    }

    /** Whether the secret is that of a guest's pass, which needs no account. */
    public static function isPass(string $secret): bool
    {
        return self::query()->withSecret($secret)->where('kind', LinkKind::Guest)->exists();
    }

    /** One in force of a series, of one kind or of any. */
    public static function ofSeries(Series $series, int $id, ?LinkKind $kind = null): self
    {
        return self::query()
            ->inForce()
            ->where('series_id', $series->id)
            ->when($kind !== null, fn ($q) => $q->where('kind', $kind))
            ->with(['series.section', 'person'])
            ->findOrFail($id);
    }
}
