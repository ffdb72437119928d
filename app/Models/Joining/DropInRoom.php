<?php

declare(strict_types=1);

namespace Nomada\App\Models\Joining;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Secrets;
use Nomada\Core\Joining\OpeningHours;

/**
 * A drop-in room of a section, for office hours: it has open hours instead of dated sessions, and a link of its own.
 *
 * @property int $id
 * @property int $section_id
 * @property string $uid
 * @property string $name
 * @property list<array{int, int, int}> $hours
 * @property string $preset
 * @property string $secret_hash
 * @property string $secret
 * @property list<string> $retired_hashes
 * @property string $join_code sealed, as the PIN is
 * @property string $code_hash
 * @property string $room
 * @property string $dial_in
 * @property string $pin
 * @property bool $is_hidden
 * @property Section $section
 */
final class DropInRoom extends Model
{
    protected $guarded = ['id'];

    protected $hidden = ['secret', 'secret_hash', 'retired_hashes'];

    /** @var array<string, string> */
    protected $casts = [
        'hours' => 'array',
        'secret' => 'encrypted',
        'join_code' => 'encrypted',
        'pin' => 'encrypted',
        'retired_hashes' => 'array',
        'is_hidden' => 'boolean',
    ];

    /** A code is sealed, so a sum of it is what finds the room. */
    protected static function booted(): void
    {
        self::saving(function (DropInRoom $room): void {
            if ($room->isDirty('join_code')) {
                $room->code_hash = Secrets::sum($room->join_code, 'code');
            }
        });
    }

    /** @param  Builder<DropInRoom>  $query */
    public function scopeWithCode(Builder $query, string $code): void
    {
        $query->where('code_hash', Secrets::sum($code, 'code'));
    }

    /** @return BelongsTo<Section, $this> */
    public function section(): BelongsTo
    {
        return $this->belongsTo(Section::class);
    }

    /**
     * By its link, in force or replaced.
     *
     * @param  Builder<DropInRoom>  $query
     */
    public function scopeWithSecret(Builder $query, string $secret): void
    {
        $sum = Secrets::sum($secret);
        $query->where(fn ($q) => $q->where('secret_hash', $sum)->orWhereJsonContains('retired_hashes', $sum));
    }

    public function openHours(): OpeningHours
    {
        return new OpeningHours($this->hours);
    }

    public function address(): string
    {
        return route('door', $this->secret);
    }

    public static function withTerm(int $id): self
    {
        return self::query()
            ->with(['section.term.school', 'section.term.closures'])
            ->findOrFail($id);
    }
}
