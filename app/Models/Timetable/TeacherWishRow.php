<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Timetable\Solver\TeacherWish;

/**
 * A time of the week at which a teacher would rather not teach.
 *
 * @property int $id
 * @property int $person_id
 * @property int $weekday 1 (Monday) to 7
 * @property int $from_minute
 * @property int $to_minute
 * @property bool $is_rule whether the coordinator has made it a rule
 * @property Person $person
 */
final class TeacherWishRow extends Model
{
    public $timestamps = false;

    protected $table = 'teacher_wishes';

    protected $guarded = ['id'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** One that somebody may change: a teacher their own, a coordinator anybody's; not found otherwise. */
    public static function for(Person $by, int $id): self
    {
        return self::query()
            ->when(! $by->isCoordinator(), fn ($q) => $q->where('person_id', $by->id))
            ->findOrFail($id);
    }

    public function wish(): TeacherWish
    {
        return new TeacherWish(
            $this->person_id,
            $this->weekday,
            $this->from_minute,
            $this->to_minute,
            $this->is_rule,
        );
    }

    /** @return list<TeacherWish> */
    public static function wishes(): array
    {
        return array_values(
            self::query()->orderBy('id')->get()->map(fn (self $one): TeacherWish => $one->wish())->all(),
        );
    }
}
