<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use LogicException;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Registration\RegisterRoster;
use Nomada\App\Actions\Timetable\LaySessions;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\ObserverRule;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\App\Support\CurrentTerm;
use Nomada\Core\Interchange\SchoolData;

/**
 * Takes the good rows of an import, all in one transaction. Rows are known by their sourcedId; a row that says what is
 * known already changes nothing. Whoever is no longer in a section's enrolments loses their place there, but only where
 * the files had no fault: a faulty row must not take anybody out.
 */
final class ImportSchool
{
    /** @var array<string, array{added: int, changed: int, removed: int}> */
    private array $tally = [];

    public function __construct(
        private readonly Clock $clock,
        private readonly CurrentTerm $term,
        private readonly LaySessions $lay,
        private readonly RefreshClashes $clashes,
        private readonly RefreshPlacements $refresh,
        private readonly RegisterRoster $register,
        private readonly TakePart $parts,
    ) {
    }

    /** @return array<string, array{added: int, changed: int, removed: int}> by kind of thing */
    public function __invoke(SchoolData $data): array
    {
        $this->tally = [];
        DB::transaction(function () use ($data): void {
            // One import at a time.
            DB::select('select pg_advisory_xact_lock(7301)');
            if ($data->school !== null) {
                $this->keep('schools', [$data->school]);
            }
            $school = DB::table('schools')->orderBy('id')->value('id');
            $this->keep(
                'terms',
                array_map(fn (array $t): array => [...$t, 'school_id' => $school], array_values($data->terms)),
            );
            $terms = DB::table('terms')->pluck('id', 'sourced_id')->all();
            $calendarChanged = $this->closures($data, $terms) || $this->moved('terms');
            $this->keep('courses', array_values($data->courses));
            $courses = DB::table('courses')->pluck('id', 'sourced_id')->all();
            $this->keep(
                'sections',
                array_map(function (array $s) use ($courses, $terms): array {
                    $row = [...$s, 'course_id' => $courses[$s['course']], 'term_id' => $terms[$s['term']]];
                    unset($row['course'], $row['term']);

                    return $row;
                }, array_values($data->sections)),
            );
            $this->people($data);
            $touched = $this->enrolments($data);
            $touched = [...$touched, ...$this->parts->apply(ObserverRule::query()->orderBy('id')->get())];
            $touched = [...$touched, ...$this->series($data, $calendarChanged)];
            $this->follow($touched, $data);
        });
        $this->term->forget();

        return $this->tally;
    }

    /**
     * Inserts what is new and updates what differs.
     *
     * @param  list<array<string, mixed>>  $rows  each with a sourced_id
     * @param  array<string, mixed>  $whenNew  columns that only a new row gets
     */
    private function keep(string $table, array $rows, array $whenNew = []): void
    {
        $tally = ['added' => 0, 'changed' => 0, 'removed' => 0];
        $now = now();
        $added = [];
        if ($rows !== []) {
            $known = DB::table($table)
                ->get(['id', ...array_keys($rows[0])])
                ->keyBy('sourced_id');
            foreach ($rows as $row) {
                $old = $known->get($row['sourced_id']);
                if ($old === null) {
                    $added[] = [
                        ...$row,
                        ...array_map(fn (mixed $v): mixed => $v instanceof \Closure ? $v() : $v, $whenNew),
                        'created_at' => $now,
                        'updated_at' => $now,
                    ];
                } elseif (
                    array_diff_assoc(array_map(self::text(...), $row), array_map(self::text(...), (array) $old)) !==
                    []
                ) {
                    DB::table($table)
                        ->where('id', $old->id)
                        ->update([...$row, 'updated_at' => $now]);
                    $tally['changed']++;
                }
            }
            foreach (array_chunk($added, 1000) as $chunk) {
                DB::table($table)->insert($chunk);
            }
        }
        $tally['added'] = count($added);
        $this->tally[$table] = $tally;
    }

    private static function text(mixed $value): string
    {
        return is_bool($value) ? ($value ? '1' : '') : (is_scalar($value) ? (string) $value : '');
    }

    private function moved(string $table): bool
    {
        return ($this->tally[$table]['changed'] ?? 0) +
            ($this->tally[$table]['removed'] ?? 0) +
            ($this->tally[$table]['added'] ?? 0) >
            0;
    }

    /** @param  array<string, int>  $terms */
    private function closures(SchoolData $data, array $terms): bool
    {
        $this->tally['closures'] = ['added' => 0, 'changed' => 0, 'removed' => 0];
        if ($data->closures === null) {
            return false;
        }
        foreach ($data->terms as $sourcedId => $term) {
            $id = $terms[$sourcedId];
            $known = DB::table('closures')->where('term_id', $id)->get()->keyBy('uid');
            foreach ($data->closures as $closure) {
                if ($closure['last'] < $term['starts_on'] || $closure['first'] > $term['ends_on']) {
                    continue;
                }
                $row = [
                    'starts_on' => $closure['first'],
                    'ends_on' => $closure['last'],
                    'reason' => $closure['reason'],
                ];
                $old = $known->pull($closure['uid']);
                if ($old === null) {
                    DB::table('closures')->insert([
                        ...$row,
                        'term_id' => $id,
                        'uid' => $closure['uid'],
                        'created_at' => now(),
                        'updated_at' => now(),
                    ]);
                    $this->tally['closures']['added']++;
                } elseif (array_diff_assoc($row, (array) $old) !== []) {
                    DB::table('closures')
                        ->where('id', $old->id)
                        ->update([...$row, 'updated_at' => now()]);
                    $this->tally['closures']['changed']++;
                }
            }
            if ($data->faults === []) {
                $this->tally['closures']['removed'] += DB::table('closures')
                    ->whereIn('id', $known->pluck('id'))
                    ->delete();
            }
        }

        return $this->moved('closures');
    }

    private function people(SchoolData $data): void
    {
        $rows = array_map(function (array $p): array {
            unset($p['guardians']);

            return $p;
        }, array_values($data->people));
        // Nobody knows this password: a person signs in once one is set for them.
        $nobodys = Hash::make(Str::random(40));
        $this->keep('people', $rows, ['password' => fn (): string => $nobodys]);
        $ids = DB::table('people')->pluck('id', 'sourced_id');
        $pairs = [];
        foreach ($data->people as $person) {
            foreach ($person['guardians'] as $guardian) {
                $pairs[] = ['student_id' => $ids[$person['sourced_id']], 'guardian_id' => $ids[$guardian]];
            }
        }
        foreach (array_chunk($pairs, 1000) as $chunk) {
            DB::table('guardianships')->insertOrIgnore($chunk);
        }
    }

    /** @return list<int> sections whose roster changed */
    private function enrolments(SchoolData $data): array
    {
        $sections = DB::table('sections')->pluck('id', 'sourced_id')->all();
        $people = DB::table('people')->pluck('id', 'sourced_id')->all();
        $before = now();
        $rows = array_map(
            fn (array $e): array => [
                'sourced_id' => $e['sourced_id'],
                'section_id' => $sections[$e['section']],
                'person_id' => $people[$e['person']],
                'role' => $e['role'],
                'is_primary' => $e['primary'],
                'begins_on' => $e['begins_on'],
                'ends_on' => $e['ends_on'],
            ],
            array_values($data->enrolments),
        );
        $touched = [];
        $removed = 0;
        if ($data->faults === [] && $rows !== []) {
            $inFiles = array_map(fn (string $id): int => (int) $sections[$id], array_keys($data->sections));
            $gone = DB::table('enrolments')
                ->whereIn('section_id', $inFiles)
                ->where('is_local', false)
                ->whereNotIn('sourced_id', array_column($rows, 'sourced_id'));
            $touched = array_map(intval(...), $gone->pluck('section_id')->all());
            $removed = $gone->delete();
        }
        $this->keep('enrolments', $rows);
        $this->tally['enrolments']['removed'] = $removed;
        if ($this->moved('enrolments')) {
            $touched = [
                ...$touched,
                ...array_map(
                    intval(...),
                    DB::table('enrolments')
                        ->where('updated_at', '>=', $before->format('Y-m-d H:i:sP'))
                        ->distinct()
                        ->pluck('section_id')
                        ->all(),
                ),
            ];
        }

        return array_values($touched);
    }

    /** @return list<int> sections whose sessions changed */
    private function series(SchoolData $data, bool $calendarChanged): array
    {
        $tally = ['added' => 0, 'changed' => 0, 'removed' => 0];
        $touched = [];
        $sections = DB::table('sections')
            ->get(['id', 'sourced_id', 'term_id'])
            ->keyBy('sourced_id');
        $terms = Term::query()
            ->with(['school', 'closures'])
            ->get()
            ->keyBy('id');
        $known = Series::query()
            ->get()
            ->keyBy(fn (Series $s): string => "$s->section_id ".mb_strtolower($s->title));
        $now = Carbon::createFromTimestamp($this->clock->seconds());
        foreach ($data->series ?? [] as $row) {
            $section =
                $sections[$row['section']] ?? throw new LogicException('A series of a section that was not kept');
            $columns = Series::columns($row['plan']);
            $print = hash('sha256', (string) json_encode($columns));
            $title = $row['title'] === '' ? (string) $data->sections[$row['section']]['title'] : $row['title'];
            $series = $known->get("$section->id ".mb_strtolower($title));
            if ($series !== null && $series->import_print === $print) {
                continue;
            }
            $tally[$series === null ? 'added' : 'changed']++;
            if ($series === null) {
                $series = new Series([
                    'section_id' => $section->id,
                    'title' => $title,
                    'uid' => (string) Str::uuid(),
                ]);
            } else {
                $series->sequence++;
            }
            $series->fill([...$columns, 'import_print' => $print, 'changed_at' => $now])->save();
            ($this->lay)(
                $series,
                (
                    $terms->get($section->term_id) ??
                    throw new LogicException('A section of a term that was not kept')
                )->calendar(),
            );
            $touched[] = (int) $section->id;
        }
        if ($calendarChanged) {
            foreach ($known as $series) {
                $section = Section::query()
                    ->with(['term.school', 'term.closures'])
                    ->findOrFail($series->section_id);
                ($this->lay)($series, $section->term->calendar());
                $touched[] = $series->section_id;
            }
        }
        $this->tally['series'] = $tally;

        return $touched;
    }

    /**
     * A section that is registered as a roster follows it; then what ought to be published is written down anew.
     *
     * @param  list<int>  $touched
     */
    private function follow(array $touched, SchoolData $data): void
    {
        $touched = array_values(array_unique($touched));
        $registered = DB::table('registrations')
            ->join('series', 'series.id', '=', 'series_id')
            ->whereIn('section_id', $touched)
            ->where('came_by', 'roster')
            ->distinct()
            ->pluck('section_id');
        foreach (
            Section::query()
                ->whereKey($registered)
                ->with(['term.school', 'term.closures', 'series'])
                ->get() as $section
        ) {
            ($this->register)($section);
        }
        foreach (
            Term::query()
                ->with(['school', 'closures'])
                ->get() as $term
        ) {
            $own = array_values(
                array_map(
                    intval(...),
                    DB::table('sections')->where('term_id', $term->id)->whereIn('id', $touched)->pluck('id')->all(),
                ),
            );
            // Most of a school at once is found faster all at once.
            ($this->clashes)($term, count($own) > 50 ? null : $own);
        }
        ($this->refresh)($touched);
        if ($this->moved('people') || $this->moved('sections') || $this->moved('courses')) {
            ($this->refresh)(
                array_values(
                    array_map(
                        intval(...),
                        DB::table('sections')
                            ->whereIn('sourced_id', array_keys($data->sections))
                            ->pluck('id')
                            ->all(),
                    ),
                ),
            );
        }
    }
}
