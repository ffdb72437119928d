<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Timetable\Solver\Question;
use Nomada\Core\Timetable\Solver\Solution;

/**
 * A timetable of a term as it could be, made of another term's. Only coordinators see it; it has no sessions and no
 * links, and leaves no trace when it is thrown away.
 *
 * @property int $id
 * @property int $term_id that it would be the timetable of
 * @property int $from_term_id whose series it has
 * @property int|null $person_id who made it
 * @property string $title
 * @property bool $is_anew whether every series gets a new time; else only clashes are fixed
 * @property array<string, mixed> $question
 * @property SolverState $state
 * @property float $seconds that the solver has been looking
 * @property array<string, mixed>|null $solution
 * @property Carbon $asked_at on the machine's clock
 * @property Carbon|null $ended_at
 * @property Term $term
 * @property Term $fromTerm
 */
final class TimetableDraft extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = [
        'is_anew' => 'boolean',
        'question' => 'array',
        'state' => SolverState::class,
        'seconds' => 'float',
        'solution' => 'array',
        'asked_at' => 'datetime',
        'ended_at' => 'datetime',
    ];

    /** @return BelongsTo<Term, $this> */
    public function term(): BelongsTo
    {
        return $this->belongsTo(Term::class);
    }

    /** @return BelongsTo<Term, $this> */
    public function fromTerm(): BelongsTo
    {
        return $this->belongsTo(Term::class, 'from_term_id');
    }

    /** @return Builder<self> those that come from a term, or are for it; the last first */
    public static function about(Term $term): Builder
    {
        return self::query()
            ->with(['term.school', 'term.closures', 'fromTerm.school', 'fromTerm.closures'])
            ->where(fn ($q) => $q->where('term_id', $term->id)->orWhere('from_term_id', $term->id))
            ->orderByDesc('id');
    }

    /** One of them; not found where it is about other terms. */
    public static function found(Term $term, int $id): self
    {
        return self::about($term)->findOrFail($id);
    }

    public function asked(): Question
    {
        return Question::from($this->question);
    }

    /** Null where none was found yet. */
    public function answer(): ?Solution
    {
        return $this->solution === null ? null : Solution::from($this->solution);
    }
}
