<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nomada\Core\Term\Zone;

/**
 * @property int $id
 * @property string $sourced_id
 * @property string $name
 * @property string $time_zone
 * @property array<string, int>|null $attendance from when on somebody is late, present, absent; null for the usual
 * @property array<string, mixed>|null $teacher_rights what teachers may do to the timetable; null for the usual
 * @property int $recordings_days for which a recording is kept
 * @property string $started_told how students are told of a session that begins now
 * @property int $substitute_days for which a substitute may still act on a session that is over
 */
final class School extends Model
{
    /** How students are told of a session that begins now. */
    public const BY_EMAIL = 'email';

    public const BY_STREAM = 'stream';

    public const BY_BOTH = 'both';

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['attendance' => 'array', 'teacher_rights' => 'array'];

    /** @return HasMany<Term, $this> */
    public function terms(): HasMany
    {
        return $this->hasMany(Term::class);
    }

    public function zone(): Zone
    {
        return Zone::named($this->time_zone);
    }

    /** Whether there is a school yet. */
    public static function isSetUp(): bool
    {
        return self::query()->exists();
    }

    /** The zone of the school, or empty before there is one. */
    public static function zoneName(): string
    {
        return (string) self::query()->orderBy('id')->value('time_zone');
    }
}
