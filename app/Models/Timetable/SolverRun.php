<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Fault;
use Nomada\Core\Timetable\Solver\Question;
use Nomada\Core\Timetable\Solver\Solution;

/**
 * One question to the solver, and its answers. Nothing of it changes the timetable until it is taken.
 *
 * @property int $id
 * @property int $term_id
 * @property 'fix'|'place' $kind of {@see Question}
 * @property int|null $person_id who asked
 * @property array<string, mixed> $question
 * @property SolverState $state
 * @property float $seconds that it has been looking for
 * @property list<array<string, mixed>> $solutions the best first
 * @property Carbon $asked_at on the machine's clock, as $ended_at
 * @property Carbon|null $ended_at
 * @property Term $term
 */
final class SolverRun extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = [
        'question' => 'array',
        'state' => SolverState::class,
        'seconds' => 'float',
        'solutions' => 'array',
        'asked_at' => 'datetime',
        'ended_at' => 'datetime',
    ];

    /** @return BelongsTo<Term, $this> */
    public function term(): BelongsTo
    {
        return $this->belongsTo(Term::class);
    }

    /** A term's own; not found where it is another's. */
    public static function ofTerm(Term $term, int $id): self
    {
        return self::query()->where('term_id', $term->id)->findOrFail($id);
    }

    public function asked(): Question
    {
        return Question::from($this->question);
    }

    /** @return list<Solution> */
    public function found(): array
    {
        return array_map(Solution::from(...), $this->solutions);
    }

    /** @throws Fault where it has no such answer (any more) */
    public function solution(int $n): Solution
    {
        return $this->found()[$n] ?? throw new Fault('solver.none', 'answer');
    }

    /** @param  list<Solution>  $solutions */
    public function keep(array $solutions): void
    {
        $this->solutions = array_map(fn (Solution $s): array => $s->toArray(), $solutions);
    }
}
