<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nomada\App\Models\Concerns\FoundBySourcedId;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Order;
use Nomada\App\Support\Secrets;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\TeacherRights;

/**
 * @property int $id
 * @property int $course_id
 * @property int $term_id
 * @property string $sourced_id
 * @property \Illuminate\Support\Carbon|null $created_at
 * @property string $title
 * @property string $code
 * @property string $year
 * @property int|null $target_minutes contact time that the school owes it
 * @property array<string, mixed>|null $formula of the participation score; null for the usual one
 * @property bool $releases_by_itself recordings are released once they are ready
 * @property string $remind how its students are reminded of sessions
 * @property array<string, mixed>|null $teacher_rights what its teachers may do; null: as the school has it
 * @property string|null $feed_secret
 * @property string|null $feed_hash
 * @property Term $term
 * @property Course $course
 */
final class Section extends Model
{
    use FoundBySourcedId;

    protected $guarded = ['id'];

    protected $hidden = ['feed_secret', 'feed_hash'];

    /** @var array<string, string> */
    protected $casts = [
        'feed_secret' => 'encrypted',
        'formula' => 'array',
        'releases_by_itself' => 'boolean',
        'teacher_rights' => 'array',
    ];

    public function getRouteKeyName(): string
    {
        return 'sourced_id';
    }

    /** What its teachers may do to its timetable. */
    public function teacherRights(): TeacherRights
    {
        return TeacherRights::fromArray($this->teacher_rights ?? $this->term->school->teacher_rights);
    }

    /** @return BelongsTo<Term, $this> */
    public function term(): BelongsTo
    {
        return $this->belongsTo(Term::class);
    }

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class);
    }

    /** @return HasMany<MembershipRow, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(MembershipRow::class);
    }

    /**
     * The series that it meets in: its own, and those that it shares with other sections.
     *
     * @return BelongsToMany<Series, $this>
     */
    public function series(): BelongsToMany
    {
        return $this->belongsToMany(Series::class, 'series_sections')
            ->orderBy('starts_on')
            ->orderBy('series.title');
    }

    /** @return HasMany<DropInRoom, $this> */
    public function dropInRooms(): HasMany
    {
        return $this->hasMany(DropInRoom::class)->orderBy('name');
    }

    /** @return HasMany<Placement, $this> */
    public function placements(): HasMany
    {
        return $this->hasMany(Placement::class);
    }

    /**
     * The sections that somebody of staff may see: a coordinator all, others those they have a part in that is not
     * over.
     *
     * @param  Builder<Section>  $query
     */
    public function scopeSeenBy(Builder $query, Person $person): void
    {
        if (! $person->isCoordinator()) {
            $query->whereIn(
                'sections.id',
                MembershipRow::query()
                    ->where('person_id', $person->id)
                    ->whereIn('role', MembershipRole::SEEING)
                    ->stillOn(app(Clock::class)->schoolDay()->iso())
                    ->select('section_id'),
            );
        }
    }

    /**
     * The sections whose links, registrations and publishing somebody looks after: a coordinator all, others those that
     * they teach today.
     *
     * @param  Builder<Section>  $query
     */
    public function scopeServedBy(Builder $query, Person $person): void
    {
        if (! $person->isCoordinator()) {
            $query->whereIn(
                'sections.id',
                MembershipRow::query()
                    ->where('person_id', $person->id)
                    ->teaching()
                    ->on(app(Clock::class)->schoolDay()->iso())
                    ->select('section_id'),
            );
        }
    }

    /** Sorts Year 7 before Year 10, then by title; worked out once a section, since comparing models is slow. */
    public function order(): string
    {
        return self::orderOf($this->year, $this->title, $this->id);
    }

    /** `Y7 Mathematics A`; of sections that are no models, since six hundred of those are slow to ask. */
    public static function called(string $year, string $title): string
    {
        return ($year === '' ? '' : "Y$year ").$title;
    }

    /** What sections are sorted by, likewise. */
    public static function orderOf(string $year, string $title, int $id): string
    {
        return sprintf('%05d %s %010d', (int) $year, Order::key($year, $title), $id);
    }

    /** `Y7 Mathematics A` */
    public function name(): string
    {
        return self::called($this->year, $this->title);
    }

    /** Null where the term has none of that id. */
    public static function inTerm(Term $term, string $sourcedId): ?self
    {
        return self::query()->where('term_id', $term->id)->where('sourced_id', $sourcedId)->first();
    }

    /** By the secret address of its feed, page and stream. */
    public static function byFeed(string $secret): ?self
    {
        return self::query()->with('term.school')->where('feed_hash', Secrets::sum($secret, 'feed'))->first();
    }

    /**
     * The sections in which a student is, of those that somebody sees.
     *
     * @return list<int> ids
     */
    public static function sharedBy(Person $student, Person $for): array
    {
        return array_values(
            self::query()
                ->seenBy($for)
                ->whereHas(
                    'memberships',
                    fn ($q) => $q->where('person_id', $student->id)->where('role', MembershipRole::Student),
                )
                ->pluck('id')
                ->map(intval(...))
                ->all(),
        );
    }

    /**
     * The sections of a term that somebody looks after.
     *
     * @return list<int> ids
     */
    public static function servedIn(Term $term, Person $for): array
    {
        return array_values(
            self::query()->where('term_id', $term->id)->servedBy($for)->pluck('id')->map(intval(...))->all(),
        );
    }

    /** A session of the section that is held. */
    public function heldSession(int $id): Session
    {
        return Session::query()
            ->whereIn('series_id', $this->series()->pluck('series.id'))
            ->where('state', SessionState::Planned)
            ->with('series.section')
            ->findOrFail($id);
    }

    /** A student of the section, now or before. */
    public function student(string $sourcedId): Person
    {
        return Person::query()
            ->where('sourced_id', $sourcedId)
            ->whereIn('id', $this->memberships()->where('role', MembershipRole::Student)->select('person_id'))
            ->firstOrFail();
    }

    /** A change of one of its series, whether that is there any more or not. */
    public function change(int $id): SeriesChange
    {
        return SeriesChange::query()
            ->where(
                fn ($q) => $q
                    ->where('section_id', $this->id)
                    ->orWhereIn('series_id', $this->series()->select('series.id')),
            )
            ->findOrFail($id);
    }

    public function observerRule(int $id): ObserverRule
    {
        return ObserverRule::query()->with('section.term.school')->where('section_id', $this->id)->findOrFail($id);
    }
}
