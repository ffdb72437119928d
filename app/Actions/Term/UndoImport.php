<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Registration\RegisterRoster;
use Nomada\App\Actions\Timetable\DeleteSeries;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Actions\Timetable\UndoChange;
use Nomada\App\Models\Term\ObserverRule;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\SchoolImport;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Term\TermChange;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Support\CheckedAtEnd;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Locks;
use Nomada\Core\Fault;

/**
 * Takes the last import back: its series and closed days by their own histories, then its rows, as they were. What was
 * changed here since keeps that from being done, and is said.
 */
final readonly class UndoImport
{
    /** In the order in which rows that came are taken out again. */
    private const TABLES = ['enrolments', 'people', 'sections', 'courses', 'terms', 'schools'];

    public function __construct(
        private Clock $clock,
        private CurrentTerm $term,
        private UndoChange $series,
        private ChangeCalendar $calendar,
        private RegisterRoster $register,
        private RefreshClashes $clashes,
        private RefreshPlacements $refresh,
        private DeleteSeries $delete,
        private ManageMemberships $parts,
        private ChangeZone $zone,
    ) {
    }

    /** The one that can be taken back: the last, unless it was the school's first. */
    public static function last(): ?SchoolImport
    {
        $last = SchoolImport::query()->whereNull('undone_at')->orderByDesc('id')->with('person')->first();

        return $last === null || ($last->log['schools']['added'] ?? []) !== [] ? null : $last;
    }

    /** @throws Fault where it is not the last one, or something of it was changed since */
    public function __invoke(SchoolImport $import, Person $by): void
    {
        DB::transaction(function () use ($import, $by): void {
            DB::select('select pg_advisory_xact_lock(7301)');
            foreach (DB::table('terms')->orderBy('id')->pluck('id') as $id) {
                Locks::timetable((int) $id);
            }
            if (self::last()?->id !== $import->id) {
                throw new Fault('import.last', 'import');
            }
            $touched = $this->touched($import);
            $this->takeOutSeries($import);
            foreach (SeriesChange::query()->where('import_id', $import->id)->orderByDesc('id')->get() as $change) {
                ($this->series)($change, $by);
            }
            foreach (
                TermChange::query()->where('import_id', $import->id)->whereNull('undone_at')->get() as $change
            ) {
                $this->calendar->undo($change, $by, true);
            }
            $this->guardians($import);
            foreach (self::TABLES as $table) {
                $this->rows($table, $import->log[$table] ?? null);
            }
            $this->parts->apply(ObserverRule::query()->orderBy('id')->get());
            if (($import->others['zone'] ?? null) !== null) {
                $this->zone->everyTerm();
            }
            $import->update(['undone_at' => $this->clock->now(), 'undone_by' => $by->id]);
            $this->follow($touched);
        });
        $this->term->forget();
    }

    /**
     * Series that came are taken out again, and those that came back go again.
     *
     * @throws Fault where somebody has changed one of them here since
     */
    private function takeOutSeries(SchoolImport $import): void
    {
        $series = $import->others['series'] ?? ['added' => [], 'restored' => []];
        $restored = SeriesChange::query()->whereKey($series['restored'])->get();
        $ids = [...$series['added'], ...$restored->pluck('series_id')->all()];
        $changed = SeriesChange::query()
            ->whereIn('series_id', $ids)
            ->whereNull('term_change_id')
            ->whereNull('import_id')
            ->whereNull('undone_at')
            ->where('at', '>=', $import->at)
            ->with('section')
            ->first();
        if ($changed !== null) {
            throw new Fault('import.since', 'import', ['section' => $changed->section->name()]);
        }
        foreach (Series::query()->whereKey($ids)->orderBy('id')->get() as $one) {
            $this->delete->quietly($one);
        }
        // Those that have a time by now are series, and stay.
        SeriesToPlace::query()
            ->whereKey($import->others['to_place'] ?? [])
            ->delete();
        foreach ($restored as $change) {
            $change->update(['undone_at' => null, 'undone_by' => null]);
        }
    }

    private function guardians(SchoolImport $import): void
    {
        $log = $import->others['guardianships'] ?? ['added' => [], 'removed' => []];
        foreach ($log['added'] as $pair) {
            DB::table('guardianships')->where($pair)->delete();
        }
        DB::table('guardianships')->insertOrIgnore($log['removed']);
    }

    /** @return list<int> sections on both sides of what the import changed */
    private function touched(SchoolImport $import): array
    {
        $log = $import->log['enrolments'] ?? ['added' => [], 'changed' => [], 'now' => []];
        $sections = [
            ...DB::table('enrolments')->whereIntegerInRaw('id', $log['added'])->pluck('section_id')->all(),
            ...array_column($log['changed'], 'section_id'),
            ...DB::table('enrolments')
                ->whereIntegerInRaw('id', array_column($log['changed'], 'id'))
                ->pluck('section_id')
                ->all(),
            ...DB::table('enrolments')
                ->whereIntegerInRaw('person_id', array_column($import->log['people']['changed'] ?? [], 'id'))
                ->pluck('section_id')
                ->all(),
        ];

        return ImportSchool::withThoseThatShare($sections);
    }

    /**
     * @param  array{added: list<int>, changed: list<array<string, mixed>>, now: list<array<string, mixed>>}|null  $log
     */
    private function rows(string $table, ?array $log): void
    {
        if ($log === null) {
            return;
        }
        DB::table($table)->whereIntegerInRaw('id', $log['added'])->delete();
        CheckedAtEnd::of(function () use ($table, $log): void {
            // The last that was done to a row is undone first.
            foreach (array_reverse($log['changed']) as $was) {
                $to = array_diff_key($was, ['id' => 0]);
                if ($table === 'people' && isset($to['sourced_id'])) {
                    ImportSchool::rename((int) $was['id'], (string) $to['sourced_id']);
                }
                DB::table($table)
                    ->where('id', $was['id'])
                    ->update([...$to, 'updated_at' => now()]);
            }
        });
    }

    /** @param  list<int>  $touched */
    private function follow(array $touched): void
    {
        $known = DB::table('sections')->whereIn('id', $touched)->pluck('id')->all();
        foreach (
            Section::query()
                ->whereKey($known)
                ->with(['term.school', 'term.closures', 'series'])
                ->orderBy('id')
                ->get() as $one
        ) {
            foreach ($one->series as $series) {
                $this->register->follow($series);
            }
        }
        foreach (
            Term::query()
                ->with(['school', 'closures'])
                ->orderBy('id')
                ->get() as $term
        ) {
            ($this->clashes)($term);
        }
        ($this->refresh)(array_values(array_map(intval(...), DB::table('sections')->pluck('id')->all())));
    }
}
