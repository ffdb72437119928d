<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use LogicException;
use Nomada\Core\Belonging\MembershipRole;

/**
 * A person's part in a section, as everything but the import and anybody who gives parts asks for it: parts with the
 * days on which they hold, and substitutes with their one session. A view of the database; nothing is written to it.
 *
 * @property int|null $id of the enrolment; null for a substitute
 * @property int $section_id
 * @property int $person_id
 * @property MembershipRole $role
 * @property bool $is_primary
 * @property bool $is_local
 * @property int|null $observer_rule_id
 * @property string|null $begins_on
 * @property string|null $ends_on the earlier of the enrolment's last day and the day before the person was disabled
 * @property int|null $session_id
 * @property Person $person
 * @property Section $section
 */
final class MembershipRow extends Model
{
    protected $table = 'memberships';

    /** @var array<string, string> */
    protected $casts = ['is_primary' => 'boolean', 'is_local' => 'boolean', 'role' => MembershipRole::class];

    protected static function booted(): void
    {
        self::saving(fn () => throw new LogicException('Parts are read; parts are written.'));
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Section, $this> */
    public function section(): BelongsTo
    {
        return $this->belongsTo(Section::class);
    }

    /**
     * Those that hold on a day.
     *
     * @param  Builder<MembershipRow>  $query
     */
    public function scopeOn(Builder $query, string $day): void
    {
        $query->whereRaw("coalesce(begins_on, '-infinity') <= ?::date", [$day])->stillOn($day);
    }

    /**
     * Those that hold on a day or will later: all but what is over.
     *
     * @param  Builder<MembershipRow>  $query
     */
    public function scopeStillOn(Builder $query, string $day): void
    {
        $query->whereRaw("coalesce(ends_on, 'infinity') >= ?::date", [$day]);
    }

    /** @param  Builder<MembershipRow>  $query */
    public function scopeTeaching(Builder $query): void
    {
        $query->whereIn('role', MembershipRole::TEACHING);
    }
}
