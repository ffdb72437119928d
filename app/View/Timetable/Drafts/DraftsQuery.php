<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Drafts;

use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\SolverState;
use Nomada\App\Models\Timetable\TimetableDraft;
use Nomada\App\Queries\DraftProblems;
use Nomada\App\View\Timetable\Fix\FixSeries;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\Solver\SolverMove;
use Nomada\Core\Timetable\Solver\TimetabledSeries;

/** Looks up the drafts about a term, and lays two of them side by side. */
final readonly class DraftsQuery
{
    public function __construct(private DraftProblems $problems)
    {
    }

    /** @param  list<int>  $shown  ids of the drafts to look at: none for the last one */
    public function page(Term $term, array $shown): DraftsPage
    {
        $drafts = TimetableDraft::about($term)->get();
        $chosen = [];
        foreach (array_slice($shown, 0, 2) as $id) {
            $one = $drafts->firstWhere('id', $id);
            if ($one !== null) {
                $chosen[$one->id] = $one;
            }
        }
        $first = $drafts->first();
        if ($chosen === [] && $first !== null) {
            $chosen = [$first->id => $first];
        }
        // Two can only be compared if they are made of the same term.
        $of = reset($chosen);
        $chosen = array_filter(
            $chosen,
            fn (TimetableDraft $d): bool => $of !== false && $d->from_term_id === $of->from_term_id,
        );
        $terms = Term::query()
            ->where('school_id', $term->school_id)
            ->whereKeyNot($term->id)
            ->orderBy('starts_on')
            ->get();

        return new DraftsPage(
            $term->title,
            $terms->mapWithKeys(fn (Term $t): array => [$t->id => $t->title])->all(),
            array_values($drafts->map($this->card(...))->all()),
            array_map($this->card(...), array_values($chosen)),
            $this->rows(array_values($chosen)),
        );
    }

    private function card(TimetableDraft $draft): DraftCard
    {
        $solution = $draft->answer();
        $sums = [];
        if ($solution !== null) {
            $hours = $draft->asked()->rules->ownHours;
            $placed = array_filter(
                $solution->moves,
                fn (SolverMove $m): bool => TimetabledSeries::withoutTime($m->series) !== null,
            );
            $sums['moved'] = count($solution->moves) - count($placed);
            $sums['placed'] = count($placed);
            foreach (['must', 'students', 'hours', 'lost', 'advice'] as $what) {
                $sums[$what] = $solution->after->{$what};
            }
            $words = ['opens' => TypedTime::format($hours[0]), 'closes' => TypedTime::format($hours[1])];
        }
        $out = [];
        foreach ($sums as $what => $n) {
            $out[] = [
                'words' => (string) __("drafts.sums.$what", $words ?? []),
                'n' => $n,
                'tone' => $what === 'must' ? ($n === 0 ? 'good' : 'bad') : '',
            ];
        }

        return new DraftCard(
            $draft->id,
            $draft->title,
            (string) __('drafts.about', ['to' => $draft->term->title, 'from' => $draft->fromTerm->title]),
            (string) __("drafts.states.{$draft->state->value}", ['seconds' => (int) $draft->seconds]),
            ! $draft->state->isOver(),
            $solution !== null && $draft->state !== SolverState::Taken,
            $out,
        );
    }

    /**
     * @param  list<TimetableDraft>  $drafts
     * @return list<DraftRow>
     */
    private function rows(array $drafts): array
    {
        $plans = [];
        foreach ($drafts as $draft) {
            $solution = $draft->answer();
            if ($solution !== null) {
                $plans[] = $this->problems->plans($draft, $solution);
            }
        }
        if ($plans === []) {
            return [];
        }
        $out = [];
        foreach (FixSeries::ofTerm($drafts[0]->fromTerm) as $series) {
            $isThere = array_filter($plans, fn (array $of): bool => array_key_exists($series->number, $of)) !== [];
            if (! $isThere) {
                continue;
            }
            $then = array_map(
                fn (array $of): string => isset($of[$series->number])
                    ? FixSeries::whenOf($of[$series->number])
                    : (string) __('fix.no_time'),
                $plans,
            );
            $out[] = new DraftRow(
                $series->number,
                $series->name,
                $series->when(),
                $then,
                count(array_unique([$series->when(), ...$then])) > 1,
                in_array($series->number, $drafts[0]->asked()->pins, true),
            );
        }
        usort($out, fn (DraftRow $a, DraftRow $b): int => $b->differs <=> $a->differs);

        return $out;
    }
}
