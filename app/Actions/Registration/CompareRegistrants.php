<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Registration\Finding;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Registration\Verdict;

/**
 * Compares everybody who waits for a decision with the rosters.
 *
 * @phpstan-type Look array{counts: array<string, int>, safe: int, shown: array<string, array<int, Finding>>}
 */
final readonly class CompareRegistrants
{
    /** How many of each verdict are kept: a page of them. */
    public const OF_EACH = 200;

    /** From how many on a queue is compared behind the page. */
    private const LONG = 300;

    public function __construct(private RegistrationChecks $checks)
    {
    }

    /**
     * Those that wait for a decision and may be accepted without a look.
     *
     * @return list<Registration>
     */
    public function certain(Term $term, Person $for): array
    {
        $queue = $this->queue($this->of($term, $for)());
        $findings = $this->checks->findings($queue);

        return array_values(
            $queue
                ->filter(
                    fn (Registration $r): bool => isset($findings[$r->id]) &&
                        RegistrationChecks::isSafe($findings[$r->id], $r),
                )
                ->all(),
        );
    }

    /**
     * @param  Builder<Registration>  $of
     * @return Collection<int, Registration>
     */
    private function queue(Builder $of): Collection
    {
        return $of
            ->where('state', RegistrationState::Waiting)
            ->with(['series.section', 'person'])
            ->orderBy('arrived_at')
            ->orderBy('id')
            ->get();
    }

    /**
     * How many there are of each verdict, and the first of each. A long queue is compared once and behind the page,
     * until anything of it or of the rosters changes; what is kept is no longer than a page of each verdict.
     *
     * @param  bool  $now  compares it here, however long it takes
     * @return Look|null null for a long queue that has not been compared yet: CompareQueue does that
     */
    public function look(Term $term, Person $for, bool $now = false): ?array
    {
        $of = $this->of($term, $for);
        $state = $of()
            ->where('state', RegistrationState::Waiting)
            ->toBase()
            ->selectRaw('count(*) as n, max(id) as last, sum(id) as ids, max(updated_at) as at')
            ->first();
        if ($state === null || $state->n < self::LONG) {
            return $this->found($this->queue($of()));
        }
        $rosters = DB::table('memberships')->selectRaw('count(*) as n, max(updated_at) as at')->first();
        $print =
            'desk '.
            md5(
                json_encode(
                    [
                        $for->isCoordinator() ? 0 : $for->id,
                        $term->id,
                        $state,
                        $rosters,
                        DB::table('registrations')->where('state', RegistrationState::Accepted)->count(),
                        DB::table('people')->max('updated_at'),
                    ],
                    JSON_THROW_ON_ERROR,
                ),
            );
        /** @var Look|null $kept */
        $kept = Cache::get($print);
        if ($kept !== null) {
            return $kept;
        }
        if (! $now) {
            return null;
        }
        $found = $this->found($this->queue($of()));
        Cache::put($print, $found, 600);

        return $found;
    }

    /**
     * @param  Collection<int, Registration>  $queue
     * @return Look
     */
    private function found(Collection $queue): array
    {
        $findings = $this->checks->findings($queue);
        $order = array_flip(array_map(fn (Verdict $v): string => $v->value, Verdict::cases()));
        // Sorting is stable: of one verdict, in order of arrival.
        $sorted = [];
        foreach ($queue->modelKeys() as $id) {
            $sorted[(int) $id] = $findings[$id];
        }
        uasort(
            $sorted,
            fn (Finding $x, Finding $y): int => $order[$x->verdict->value] <=> $order[$y->verdict->value],
        );
        $shown = ['' => array_slice($sorted, 0, self::OF_EACH, true)];
        foreach ($sorted as $id => $finding) {
            if (count($shown[$finding->verdict->value] ?? []) < self::OF_EACH) {
                $shown[$finding->verdict->value][$id] = $finding;
            }
        }

        return [
            'counts' => array_count_values(array_map(fn (Finding $f): string => $f->verdict->value, $findings)),
            'safe' => $queue
                ->filter(fn (Registration $r): bool => RegistrationChecks::isSafe($findings[$r->id], $r))
                ->count(),
            'shown' => $shown,
        ];
    }

    /** @return callable(): Builder<Registration> those of the sections that somebody looks after */
    public function of(Term $term, Person $for): callable
    {
        $mine = Section::query()->where('term_id', $term->id)->servedBy($for)->select('id');

        return fn (): Builder => Registration::query()->whereHas(
            'series',
            fn ($q) => $q->whereIn('section_id', clone $mine),
        );
    }
}
