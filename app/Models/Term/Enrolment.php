<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Nomada\Core\Belonging\MembershipRole;

/**
 * A person's part in a section: student, teacher, co-teacher or observer, from and until a day.
 *
 * @property int $id
 * @property int $section_id
 * @property int $person_id
 * @property MembershipRole $role
 * @property bool $is_primary
 * @property string|null $begins_on
 * @property string|null $ends_on
 * @property bool $is_local given here, not by the import
 * @property int|null $observer_rule_id
 * @property Person $person
 * @property Section $section
 */
final class Enrolment extends Model
{
    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['is_primary' => 'boolean', 'is_local' => 'boolean', 'role' => MembershipRole::class];

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

    public static function ofSection(Section $section, int $id): self
    {
        return self::query()
            ->with(['person', 'section.term.school'])
            ->where('section_id', $section->id)
            ->findOrFail($id);
    }
}
