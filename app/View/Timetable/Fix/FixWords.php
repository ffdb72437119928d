<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

use Nomada\App\Support\Say;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\Solver\Question;
use Nomada\Core\Timetable\Solver\Solution;
use Nomada\Core\Timetable\Solver\SolverMove;
use Nomada\Core\Timetable\Solver\TimetabledSeries;

/**
 * Puts answers of the solver into words.
 *
 * @phpstan-import-type Reason from SolverMove
 */
final readonly class FixWords
{
    /** The most clashes of a move that are named one by one. */
    private const NAMED = 3;

    /** The sums of an answer. */
    private const SUMS = ['must', 'students', 'hours', 'lost'];

    /** @param  array<int, FixSeries>  $series  by number */
    public function __construct(private array $series, private Question $asked)
    {
    }

    public function answer(Solution $solution, int $n): FixAnswer
    {
        $placed = count(array_filter($solution->moves, fn (SolverMove $m): bool => self::isPlaced($m)));
        $moves = count($solution->moves) - $placed;
        $sums = [];
        $left = $solution->leftOf($this->asked);
        $without = count(array_filter($left, fn (array $l): bool => $l['kind'] === 'no_time'));
        foreach (self::SUMS as $what) {
            [$before, $after] = [$solution->before->{$what}, $solution->after->{$what}];
            if ($what === 'must' && $this->asked->kind === Question::PLACE) {
                $what = 'no_time';
                [$before, $after] = [$placed + $without, $without];
            }
            $sums[] = [
                'words' => (string) __("fix.sums.$what", $this->hours()),
                'before' => $before,
                'after' => $after,
                'tone' => $after > $before || (in_array($what, ['must', 'no_time'], true) && $after > 0)
                        ? 'todo'
                        : ($after < $before
                            ? 'good'
                            : ''),
            ];
        }

        return new FixAnswer(
            $n,
            (string) trans_choice("fix.label.$solution->kind", count($solution->moves)),
            array_map($this->move(...), $solution->moves),
            $sums,
            array_map($this->left(...), $left),
            $this->verdict($solution, $moves, $placed),
            $moves,
            $placed,
        );
    }

    private function verdict(Solution $solution, int $moves, int $placed): string
    {
        $n = $moves + $placed;

        return (string) __(
            match (true) {
                $n === 0 => 'fix.verdict.none',
                $moves === 0 && $solution->isProved => 'fix.verdict.placed',
                ! $solution->isProved && $moves === 0 => 'fix.verdict.tried',
                ! $solution->isProved => 'fix.verdict.found',
                $solution->bound === $n => 'fix.verdict.bound',
                default => 'fix.verdict.proved',
            },
            ['bound' => max(0, $solution->bound - $placed)],
        );
    }

    private static function isPlaced(SolverMove $move): bool
    {
        return TimetabledSeries::withoutTime($move->series) !== null;
    }

    public function move(SolverMove $move): FixMove
    {
        $one = $this->series[$move->series] ?? null;
        $reasons = [];
        foreach (['because' => $move->because, 'room' => $move->room] as $why => $all) {
            foreach (array_slice($all, 0, self::NAMED) as $reason) {
                $reasons[] = $this->reason($why, $reason);
            }
            if (count($all) > self::NAMED) {
                $reasons[] = trans_choice('fix.more', count($all) - self::NAMED);
            }
        }
        $costs = array_filter([
            trans_choice('fix.sessions', $move->sessions, ['day' => Say::day($move->plan->from)]),
            $move->cost->lost > 0 ? trans_choice('fix.lost', $move->cost->lost) : '',
            $move->cost->hours > 0 ? trans_choice('fix.hours', $move->cost->hours, $this->hours()) : '',
        ]);

        return new FixMove(
            $move->series,
            $one->name ?? '',
            $one->code ?? '',
            $one === null ? '' : $one->when(),
            FixSeries::whenOf($move->plan),
            $reasons,
            implode(' · ', $costs),
            $move->cost->lost > 0 || $move->cost->hours > 0,
        );
    }

    /**
     * @param  string  $why  key of fix: because, room or obstacle
     * @param  Reason  $reason
     */
    public function reason(string $why, array $reason): string
    {
        return trans_choice("fix.$why.{$reason['kind']}", $reason['students'], [
            'other' => $this->series[$reason['series']]->name ?? '',
            ...$this->hours(),
        ]);
    }

    /** @param  array{kind: string, series: list<int>, students: int}  $left */
    private function left(array $left): string
    {
        $names = array_map(fn (int $id): string => $this->series[$id]->name ?? '', $left['series']);

        return trans_choice("fix.left.{$left['kind']}", $left['students'], [
            'a' => $names[0],
            'b' => $names[1] ?? $names[0],
            ...$this->hours(),
        ]);
    }

    /** @return array{opens: string, closes: string} of a student's own clock */
    private function hours(): array
    {
        [$opens, $closes] = $this->asked->rules->ownHours;

        return [
            'opens' => TypedTime::format($opens),
            'closes' => TypedTime::format($closes),
        ];
    }
}
