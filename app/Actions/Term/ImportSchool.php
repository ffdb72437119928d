<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Registration\RegisterRoster;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\ObserverRule;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\SchoolImport;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Support\CheckedAtEnd;
use Nomada\App\Support\Clock;
use Nomada\App\Support\DryRun;
use Nomada\App\Support\Locks;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\ImportLine;
use Nomada\Core\Interchange\SchoolData;
use Nomada\Core\Interchange\Shrinkage;
use Nomada\Core\Timetable\SessionState;
use stdClass;

/**
 * Takes the good rows of an import, all in one transaction. Rows are known by their sourcedId; a row that says what is
 * known already changes nothing. An import ends and removes only what an import brought, and only where the files had
 * no fault: a faulty row must not take anybody out. What was made, renamed, deleted or decided by hand stays so, and is
 * told of. Each import is an act in the history of what it touches.
 *
 * @phpstan-import-type PersonRow from SchoolData
 */
final readonly class ImportSchool
{
    /** New rows by which tables grow so much that the database has to be told. */
    private const MANY = 1000;

    public function __construct(
        private Clock $clock,
        private CurrentTerm $term,
        private ImportCalendar $calendar,
        private ImportSeries $series,
        private RefreshClashes $clashes,
        private RefreshPlacements $refresh,
        private RegisterRoster $register,
        private ManageMemberships $parts,
        private ChangeZone $zone,
    ) {
    }

    /**
     * @param  list<string>|null  $sure  codes of the dangerous lines that should be done; null for all of them, but
     *   for what a file that is empty or has shrunk by more than a tenth would remove
     * @param  bool  $takesRemovals  that too
     * @return array<string, array{added: int, changed: int, removed: int, held?: int}> by kind of thing; `held` is how
     *   many removals were not done because they are so many
     */
    public function __invoke(
        SchoolData $data,
        ?Person $by = null,
        ?array $sure = null,
        bool $takesRemovals = false,
    ): array {
        $log = new ImportLog(false, $sure, $by?->id);
        try {
            DB::transaction(function () use ($data, $log, $by, $sure, $takesRemovals): void {
                $known = $sure === null && ! $takesRemovals ? $this->known() : [];
                $this->take($data, $log, $by);
                $many = array_keys(
                    array_filter(
                        $known,
                        fn (int $n, string $kind): bool => Shrinkage::isOne($n, $log->tally[$kind]['removed'] ?? 0),
                        ARRAY_FILTER_USE_BOTH,
                    ),
                );
                if ($many !== []) {
                    throw new TooManyRemovals($many);
                }
            });
        } catch (TooManyRemovals $e) {
            return $this->without($e->kinds, $data, $by, $log);
        }
        $this->term->forget();

        return $log->tally;
    }

    /**
     * The same without the removals of some kinds.
     *
     * @param  list<string>  $kinds
     * @return array<string, array{added: int, changed: int, removed: int, held?: int}>
     */
    private function without(array $kinds, SchoolData $data, ?Person $by, ImportLog $tried): array
    {
        $codes = [];
        foreach ($tried->lines as $line) {
            $isHeld = $line->verb === 'remove' && in_array($line->kind, $kinds, true);
            if ($line->isDangerous() && ! $isHeld) {
                $codes[] = $line->code;
            }
        }
        $done = $this($data, $by, $codes);
        foreach ($kinds as $kind) {
            $done[$kind] =
                ['held' => $tried->tally[$kind]['removed']] +
                ($done[$kind] ?? ['added' => 0, 'changed' => 0, 'removed' => 0]);
        }

        return $done;
    }

    /** @return array<string, int> how many of each kind a file of ours could remove */
    private function known(): array
    {
        $today = $this->clock->schoolDay()->iso();

        return [
            'enrolments' => DB::table('enrolments')
                ->where('is_local', false)
                ->where(fn ($q) => $q->whereNull('ends_on')->orWhere('ends_on', '>=', $today))
                ->count(),
            'series' => DB::table('series')->whereNotNull('import_hash')->count(),
            'closures' => DB::table('closures')->where('is_local', false)->count(),
            'people' => DB::table('people')->whereNull('disabled_on')->count(),
            'guardians' => DB::table('guardianships')->count(),
        ];
    }

    /**
     * What it would do, the dangerous things first: it is done, but for what only follows from it, and taken back.
     *
     * @return list<ImportLine>
     */
    public function look(SchoolData $data, ?Person $by = null): array
    {
        $log = new ImportLog(true, null, $by?->id);
        try {
            DryRun::of(fn () => $this->take($data, $log, $by));
        } finally {
            $this->term->forget();
        }
        usort(
            $log->lines,
            fn (ImportLine $a, ImportLine $b): int => [! $a->isDangerous(), $a->verb !== 'stays'] <=> [
                ! $b->isDangerous(),
                $b->verb !== 'stays',
            ],
        );

        return $log->lines;
    }

    private function take(SchoolData $data, ImportLog $log, ?Person $by): void
    {
        // One import at a time; and nobody changes a timetable meanwhile.
        DB::select('select pg_advisory_xact_lock(7301)');
        foreach (DB::table('terms')->orderBy('id')->pluck('id') as $id) {
            Locks::timetable((int) $id);
        }
        $import = SchoolImport::query()->create([
            'person_id' => $by?->id,
            'at' => $this->clock->now(),
        ]);
        if ($data->school !== null) {
            $known = DB::table('schools')->value('sourced_id');
            if ($known !== null && $known !== $data->school['sourced_id']) {
                throw new Fault('import.school', 'files', ['read' => $data->school['sourced_id'], 'known' => $known]);
            }
            $this->keep($log, 'schools', [$this->zoned($data->school, $log)], 'name');
        }
        $school = DB::table('schools')->orderBy('id')->value('id');
        // The dates of a term that is known are a change of its calendar, which every series follows.
        $dates = DB::table('terms')->get(['sourced_id', 'starts_on', 'ends_on'])->keyBy('sourced_id');
        $this->keep(
            $log,
            'terms',
            array_map(
                fn (array $t): array => [
                    ...$t,
                    ...array_intersect_key((array) $dates->get($t['sourced_id']), ['starts_on' => 0, 'ends_on' => 0]),
                    'school_id' => $school,
                ],
                array_values($data->terms),
            ),
            'title',
        );
        $terms = DB::table('terms')->pluck('id', 'sourced_id')->all();
        $this->keep($log, 'courses', array_values($data->courses), 'title');
        $courses = DB::table('courses')->pluck('id', 'sourced_id')->all();
        $this->keep(
            $log,
            'sections',
            array_map(function (array $s) use ($courses, $terms): array {
                $row = [...$s, 'course_id' => $courses[$s['course']], 'term_id' => $terms[$s['term']]];
                unset($row['course'], $row['term']);

                return $row;
            }, array_values($data->sections)),
            'title',
        );
        $this->goneSections($data, $log);
        $this->people($data, $log);
        $touched = $this->enrolments($data, $log);
        $touched = [...$touched, ...$this->parts->apply(ObserverRule::query()->orderBy('id')->get())];
        $touched = [...$touched, ...($this->calendar)($data, $log, $terms, $import)];
        $touched = [...$touched, ...($this->series)($data, $log, $import, $by), ...$log->touched];
        if ($log->others['zone'] !== null && ! $log->looks) {
            $this->zone->follow(...[...$log->others['zone'], $by, $import->id]);
            $touched = array_values(array_map(intval(...), DB::table('sections')->pluck('id')->all()));
        }
        if (! $log->looks) {
            $this->follow($touched, $data, $log);
            $this->note($import, $log);
        }
    }

    private function note(SchoolImport $import, ImportLog $log): void
    {
        $tally = array_filter(array_map(array_filter(...), $log->tally));
        if ($tally === []) {
            $import->delete();

            return;
        }
        $import->update(['tally' => $tally, 'log' => $log->rows, 'others' => $log->others]);
    }

    /**
     * The school's row with its zone as it was, where somebody has to be sure that every session changes.
     *
     * @param  array{sourced_id: string, name: string, time_zone: string}  $row
     * @return array{sourced_id: string, name: string, time_zone: string}
     */
    private function zoned(array $row, ImportLog $log): array
    {
        $was = DB::table('schools')->where('sourced_id', $row['sourced_id'])->value('time_zone');
        if ($was === null || $was === $row['time_zone']) {
            return $row;
        }
        $coming = DB::table('sessions')
            ->where('state', SessionState::Planned)
            ->whereRaw('starts_at > to_timestamp(?)', [$this->clock->seconds()])
            ->count();
        $line = new ImportLine('zone', 'change', $row['name'], $was, $row['time_zone'], 'zone', $coming);
        if (! $log->dangerous($line)) {
            return ['time_zone' => $was] + $row;
        }
        $log->others['zone'] = [$was, $row['time_zone']];

        return $row;
    }

    /**
     * Inserts what is new and updates what differs.
     *
     * @param  list<array<string, mixed>>  $rows  each with a sourced_id
     * @param  string  $named  the column that a line names the row by
     */
    private function keep(ImportLog $log, string $table, array $rows, string $named): void
    {
        $log->count($table, 'added', 0);
        if ($rows === []) {
            return;
        }
        $known = DB::table($table)
            ->get(['id', ...array_keys($rows[0])])
            ->keyBy('sourced_id');
        $added = [];
        foreach ($rows as $row) {
            $old = $known->get($row['sourced_id']);
            if ($old === null) {
                $added[] = [...$row, 'created_at' => now(), 'updated_at' => now()];
                $log->count($table, 'added');
                $log->line(new ImportLine($table, 'add', (string) $row[$named]));
            } elseif (self::differs($row, $old)) {
                $log->update($table, $old, $row);
                $log->count($table, 'changed');
                $log->line(new ImportLine($table, 'change', (string) $row[$named], ...self::told($row, $old)));
            }
        }
        $log->insert($table, $added);
    }

    /** @param  array<string, mixed>  $row */
    private static function differs(array $row, stdClass $old): bool
    {
        return array_diff_assoc(array_map(self::text(...), $row), array_map(self::text(...), (array) $old)) !== [];
    }

    private static function text(mixed $value): string
    {
        return is_bool($value) ? ($value ? '1' : '') : (is_scalar($value) ? (string) $value : '');
    }

    /**
     * What of a row was otherwise, before and after.
     *
     * @param  array<string, mixed>  $row
     * @return array{string, string}
     */
    private static function told(array $row, stdClass $old): array
    {
        $now = array_diff_assoc(array_map(self::text(...), $row), array_map(self::text(...), (array) $old));
        $was = array_intersect_key(array_map(self::text(...), (array) $old), $now);

        return [implode(', ', $was), implode(', ', $now)];
    }

    /** A class that is gone from the files stays whole; that is told of. */
    private function goneSections(SchoolData $data, ImportLog $log): void
    {
        if ($data->faults !== [] || $data->sections === []) {
            return;
        }
        $gone = DB::table('sections')
            ->join('terms', 'terms.id', '=', 'term_id')
            ->whereIn('terms.sourced_id', array_keys($data->terms))
            ->whereNotIn('sections.sourced_id', array_map(strval(...), array_keys($data->sections)))
            ->where('sections.sourced_id', 'not like', '%~%')
            ->get(['sections.title', 'sections.year']);
        foreach ($gone as $section) {
            $log->line(
                new ImportLine(
                    'sections',
                    'stays',
                    Section::called($section->year, $section->title),
                ),
            );
        }
    }

    private function people(SchoolData $data, ImportLog $log): void
    {
        // Nobody knows this password: a person signs in once one is set for them.
        $nobodys = Hash::make(Str::random(40));
        $log->count('people', 'added', 0);
        $known = DB::table('people')->get()->keyBy('sourced_id');
        $isFirst = $known->isEmpty();
        $added = $changed = [];
        $known = $this->renumbered($data, $known, $log);
        foreach ($data->people as $person) {
            $row = array_diff_key($person, ['guardians' => 0, 'enabled' => 0]);
            $old = $known->get($person['sourced_id']);
            $name = trim("$person[given_name] $person[family_name]");
            if ($old === null) {
                $line = new ImportLine(
                    'people',
                    'add',
                    $name,
                    '',
                    $person['role'],
                    $person['role'] === Role::Coordinator->value && ! $isFirst ? "role:$person[sourced_id]" : '',
                );
                if ($line->isDangerous() ? $log->dangerous($line) : true) {
                    $line->isDangerous() || $log->line($line);
                    $added[] = [...$row, 'password' => $nobodys, 'created_at' => now(), 'updated_at' => now()];
                    $log->count('people', 'added');
                }

                continue;
            }
            $row = $this->allowed($row, $old, $name, $log);
            if (self::differs($row, $old)) {
                $changed[] = [
                    $old,
                    array_diff_assoc(array_map(self::text(...), $row), array_map(self::text(...), (array) $old)),
                ];
                $log->count('people', 'changed');
                $log->line(new ImportLine('people', 'change', $name, ...self::told($row, $old)));
            }
        }
        $log->insert('people', $added);
        foreach ($changed as [$old, $to]) {
            $log->update(
                'people',
                $old,
                array_map(fn (string $v): ?string => $v === '' ? null : $v, $to) +
                    (isset($to['year']) ? ['year' => $to['year']] : []),
            );
        }
        $this->guardians($data, $log);
        $this->disabled($data, $log, $known->keyBy('sourced_id')->all());
    }

    /**
     * Somebody who comes under another id with the email address of a person who is not in the files any more is
     * proposed as that person: account, links, registrations and attendance go on.
     *
     * @param  Collection<array-key, stdClass>  $known  by sourcedId
     * @return Collection<array-key, stdClass>
     */
    private function renumbered(SchoolData $data, Collection $known, ImportLog $log): Collection
    {
        $free = [];
        foreach ($known as $old) {
            if ($old->email !== null && ! isset($data->people[$old->sourced_id])) {
                $free["$old->role ".mb_strtolower($old->email)][] = $old;
            }
        }
        $new = [];
        foreach ($free === [] ? [] : $data->people as $person) {
            if (! $known->has($person['sourced_id'])) {
                $new["$person[role] ".mb_strtolower((string) $person['email'])][] = $person;
            }
        }
        foreach ($new as $key => $people) {
            if (count($people) !== 1 || count($free[$key] ?? []) !== 1) {
                continue;
            }
            [$old, $id] = [$free[$key][0], $people[0]['sourced_id']];
            $name = trim("$old->given_name $old->family_name");
            if ($log->dangerous(new ImportLine('same', 'change', $name, $old->sourced_id, $id, "same:$id"))) {
                $log->update('people', $old, ['sourced_id' => $id]);
                $log->count('people', 'changed');
                self::rename((int) $old->id, $id);
                $known->forget($old->sourced_id);
                $known->put($id, (object) (['sourced_id' => $id] + (array) $old));
            }
        }

        return $known;
    }

    /** What names a person by the school's id, beside their own row. */
    public static function rename(int $person, string $sourcedId): void
    {
        foreach (['presence_events', 'participation'] as $table) {
            DB::table($table)->where('person_id', $person)->update(['who' => $sourcedId]);
        }
    }

    /**
     * A person's row with what may be changed of it: a role to or from coordinator, and an address, are asked for one
     * by one; anybody who imports stays who they are.
     *
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    private function allowed(array $row, stdClass $old, string $name, ImportLog $log): array
    {
        $isOwn = (int) $old->id === $log->by;
        if ($row['role'] !== $old->role && in_array(Role::Coordinator->value, [$row['role'], $old->role], true)) {
            $isLast =
                $old->role === Role::Coordinator->value &&
                DB::table('people')
                    ->where('role', Role::Coordinator)
                    ->whereNull('disabled_on')
                    ->where('id', '!=', $old->id)
                    ->doesntExist();
            $line = new ImportLine(
                'role',
                'change',
                $name,
                $old->role,
                (string) $row['role'],
                "role:$old->sourced_id",
            );
            if ($isOwn || $isLast) {
                $log->line(new ImportLine('role', 'stays', $name, $old->role, (string) $row['role']));
                $row['role'] = $old->role;
            } elseif (! $log->dangerous($line)) {
                $row['role'] = $old->role;
            }
        }
        if (($row['email'] ?? null) !== $old->email && $old->email !== null) {
            $line = new ImportLine(
                'address',
                'change',
                $name,
                $old->email,
                (string) $row['email'],
                "address:$old->sourced_id",
            );
            if ($isOwn) {
                $log->line(new ImportLine('address', 'stays', $name, $old->email, (string) $row['email']));
                $row['email'] = $old->email;
            } elseif (! $log->dangerous($line)) {
                $row['email'] = $old->email;
            }
        }

        return $row;
    }

    /** Guardians are those of the files, for every student that is in them. */
    private function guardians(SchoolData $data, ImportLog $log): void
    {
        $ids = DB::table('people')->pluck('id', 'sourced_id');
        $pairs = $students = [];
        foreach ($data->people as $person) {
            $student = $ids[$person['sourced_id']] ?? null;
            if ($person['role'] !== Role::Student->value || $student === null) {
                continue;
            }
            $students[] = (int) $student;
            foreach ($person['guardians'] as $guardian) {
                if (isset($ids[$guardian])) {
                    $pairs["$student $ids[$guardian]"] = [
                        'student_id' => $student,
                        'guardian_id' => $ids[$guardian],
                    ];
                }
            }
        }
        if ($data->faults === []) {
            $gone = DB::table('guardianships')
                ->whereIntegerInRaw('student_id', $students)
                ->get()
                ->reject(fn (stdClass $g): bool => isset($pairs["$g->student_id $g->guardian_id"]));
            foreach ($gone as $pair) {
                DB::table('guardianships')->where((array) $pair)->delete();
                $log->others['guardianships']['removed'][] = array_map(intval(...), (array) $pair);
                $log->count('guardians', 'removed');
            }
        }
        $there = DB::table('guardianships')
            ->get(['student_id', 'guardian_id'])
            ->keyBy(fn (stdClass $g): string => "$g->student_id $g->guardian_id")
            ->all();
        $new = array_values(array_diff_key($pairs, $there));
        foreach (array_chunk($new, 1000) as $chunk) {
            DB::table('guardianships')->insert($chunk);
        }
        if ($new !== []) {
            $log->count('guardians', 'added', count($new));
            $log->others['guardianships']['added'] = array_map(
                fn (array $pair): array => array_map(intval(...), $pair),
                $new,
            );
        }
    }

    /**
     * `enabledUser`: somebody for whom it is false has no part from today on. Who was disabled here stays so.
     *
     * @param  array<string, stdClass>  $known
     */
    private function disabled(SchoolData $data, ImportLog $log, array $known): void
    {
        $ids = DB::table('people')->pluck('id', 'sourced_id');
        foreach ($data->people as $person) {
            $old = $known[$person['sourced_id']] ?? null;
            $name = trim("$person[given_name] $person[family_name]");
            $is = $old !== null && $old->disabled_on !== null;
            if ($person['enabled'] === false && ! $is && isset($ids[$person['sourced_id']])) {
                $line = new ImportLine('people', 'remove', $name, '', '', "disable:$person[sourced_id]");
                $isOwn = (int) $ids[$person['sourced_id']] === $log->by;
                if ($isOwn) {
                    $log->line(new ImportLine('people', 'stays', $name));
                } elseif ($log->dangerous($line)) {
                    $this->mark((int) $ids[$person['sourced_id']], $this->clock->schoolDay()->iso(), $log);
                    $log->count('people', 'removed');
                }
            } elseif ($person['enabled'] === true && $is) {
                if ($old->is_disabled_here) {
                    $log->line(new ImportLine('people', 'stays', $name));
                } else {
                    $this->mark((int) $old->id, null, $log);
                    $log->count('people', 'changed');
                }
            }
        }
    }

    /** Disables or enables somebody; their sections follow. */
    private function mark(int $person, ?string $on, ImportLog $log): void
    {
        $columns = ['disabled_on', 'remember_token', 'links_version', 'feed_secret', 'feed_hash'];
        $log->before('people', $person, $columns);
        DisablePerson::mark([$person], $on);
        array_push(
            $log->touched,
            ...array_map(
                intval(...),
                DB::table('enrolments')->where('person_id', $person)->distinct()->pluck('section_id')->all(),
            ),
        );
    }

    /**
     * Anybody who is no longer in a section's enrolments has left it from today on, and keeps what was; a row that
     * comes after the term has begun, without a first day, begins today. A row that moves to another section, person or
     * part ends one membership and begins another: the past stays as it was.
     *
     * @return list<int> sections whose roster changed, on both sides of a move
     */
    private function enrolments(SchoolData $data, ImportLog $log): array
    {
        $log->count('enrolments', 'added', 0);
        $sections = DB::table('sections')->pluck('id', 'sourced_id')->all();
        $people = DB::table('people')->pluck('id', 'sourced_id')->all();
        $names = DB::table('people')->pluck(DB::raw("given_name || ' ' || family_name as name"), 'id')->all();
        $titles = DB::table('sections')
            ->pluck(DB::raw("case when year = '' then '' else 'Y' || year || ' ' end || title as name"), 'id')
            ->all();
        $today = $this->clock->schoolDay();
        $known = DB::table('enrolments')->get()->keyBy('sourced_id');
        $had = array_flip($known->where('is_local', false)->pluck('section_id')->unique()->all());
        $begun = array_flip(
            DB::table('sections')
                ->join('terms', 'terms.id', '=', 'term_id')
                ->where('terms.starts_on', '<', $today->iso())
                ->pluck('sections.id')
                ->all(),
        );
        $yesterday = $today->plus(-1)->iso();
        $added = $changed = $moved = $touched = [];
        foreach ($data->enrolments as $e) {
            $person = $people[$e['person']] ?? null;
            if ($person === null) {
                continue;
            }
            $section = (int) $sections[$e['section']];
            $row = [
                'sourced_id' => $e['sourced_id'],
                'section_id' => $section,
                'person_id' => (int) $person,
                'role' => $e['role'],
                'is_primary' => $e['primary'],
                'begins_on' => $e['begins_on'],
                'ends_on' => $e['ends_on'],
                'is_inferred' => false,
            ];
            $of = "{$names[$person]}, {$titles[$section]}";
            $old = $known->pull($e['sourced_id']);
            if ($old === null) {
                if ($row['begins_on'] === null && isset($had[$section], $begun[$section])) {
                    $row = ['begins_on' => $today->iso(), 'is_inferred' => true] + $row;
                }
                $added[] = [...$row, 'created_at' => now(), 'updated_at' => now()];
                $touched[] = $section;
                $log->count('enrolments', 'added');
                $log->line(new ImportLine('enrolments', 'add', $of, '', $e['role']));

                continue;
            }
            $isBack = $old->is_inferred && $old->ends_on !== null;
            if (
                $old->is_inferred &&
                ! $isBack &&
                $row['begins_on'] === null &&
                (int) $old->section_id === $section
            ) {
                $row = ['begins_on' => $old->begins_on, 'is_inferred' => true] + $row;
            }
            $isMoved =
                [(int) $old->section_id, (int) $old->person_id, $old->role] !== [$section, (int) $person, $e['role']];
            if ($isMoved && isset($begun[(int) $old->section_id]) && ($old->begins_on ?? '') < $today->iso()) {
                // The old membership keeps its row, under an id that no file has.
                $moved[] = [$old, [
                    'sourced_id' => "$old->sourced_id~$old->id",
                    'ends_on' => min($old->ends_on ?? $yesterday, $yesterday),
                    'is_inferred' => true,
                ]];
                $added[] = [
                    ...['begins_on' => $row['begins_on'] ?? $today->iso(), 'is_inferred' => true] + $row,
                    'created_at' => now(),
                    'updated_at' => now(),
                ];
                array_push($touched, (int) $old->section_id, $section);
                $log->count('enrolments', 'changed');
                $log->line(
                    new ImportLine('enrolments', 'change', $of, $titles[$old->section_id] ?? '', $titles[$section]),
                );

                continue;
            }
            if (self::differs($row, $old)) {
                $changed[] = [$old, $row];
                array_push($touched, (int) $old->section_id, $section);
                $log->count('enrolments', 'changed');
                $log->line(
                    new ImportLine(
                        'enrolments',
                        'change',
                        $of,
                        ($titles[$old->section_id] ?? '')." $old->begins_on $old->ends_on",
                        "{$titles[$section]} $row[begins_on] $row[ends_on]",
                    ),
                );
            }
        }
        // Rows that exchange people meet on their way.
        CheckedAtEnd::of(function () use ($log, $moved, $changed, $added): void {
            foreach ([...$moved, ...$changed] as [$old, $row]) {
                $log->update('enrolments', $old, $row);
            }
            $log->insert('enrolments', $added);
        });

        return [...$touched, ...$this->ended($data, $log, $known->all(), $sections, $names, $titles)];
    }

    /**
     * @param  array<string, stdClass>  $left  rows that no file has
     * @param  array<string, int>  $sections
     * @param  array<int, string>  $names
     * @param  array<int, string>  $titles
     * @return list<int>
     */
    private function ended(
        SchoolData $data,
        ImportLog $log,
        array $left,
        array $sections,
        array $names,
        array $titles,
    ): array {
        if ($data->faults !== [] || $data->enrolments === []) {
            return [];
        }
        $inFiles = array_flip(
            array_map(fn (string|int $id): int => (int) $sections[$id], array_keys($data->sections)),
        );
        $yesterday = $this->clock
            ->schoolDay()
            ->plus(-1)
            ->iso();
        $touched = [];
        foreach ($left as $old) {
            if ($old->is_local || ! isset($inFiles[$old->section_id]) || ($old->ends_on ?? '9') <= $yesterday) {
                continue;
            }
            $line = new ImportLine(
                'enrolments',
                'remove',
                "{$names[$old->person_id]}, {$titles[$old->section_id]}",
                $old->role,
                '',
                "leaves:$old->sourced_id",
            );
            if (! $log->dangerous($line)) {
                continue;
            }
            // Who had not begun yet never was there: the last day is before the first.
            $log->update('enrolments', $old, ['ends_on' => $yesterday, 'is_inferred' => true]);
            $log->count('enrolments', 'removed');
            $touched[] = (int) $old->section_id;
        }

        return $touched;
    }

    /**
     * A series that is registered as a roster follows it; then what should be published is written down again. Who
     * shares a series with a section is touched with it.
     *
     * @param  list<int>  $touched
     */
    private function follow(array $touched, SchoolData $data, ImportLog $log): void
    {
        if (array_sum(array_column($log->tally, 'added')) > self::MANY) {
            // The database plans by how large it believes its tables to be, and finds out about a minute too late.
            DB::statement('analyze people, sections, enrolments, series, series_sections, sessions');
        }
        $touched = self::withThoseThatShare($touched);
        $registered = DB::table('registrations')
            ->join('series', 'series.id', '=', 'series_id')
            ->whereIn('section_id', $touched)
            ->where('came_by', 'roster')
            ->distinct()
            ->pluck('section_id');
        $this->register->many(
            Section::query()
                ->whereKey($registered)
                ->with(['term.school', 'term.closures', 'series'])
                ->orderBy('id')
                ->get()
                ->all(),
        );
        foreach (
            Term::query()
                ->with(['school', 'closures'])
                ->orderBy('id')
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
        $read = ['schools', 'people', 'sections', 'courses', 'terms'];
        if (array_filter($read, $log->moved(...)) !== []) {
            $touched = [
                ...$touched,
                ...DB::table('sections')
                    ->whereIn('sourced_id', array_map(strval(...), array_keys($data->sections)))
                    ->pluck('id')
                    ->all(),
            ];
        }
        ($this->refresh)(array_values(array_map(intval(...), $touched)));
    }

    /**
     * @param  array<int>  $sections
     * @return list<int>
     */
    public static function withThoseThatShare(array $sections): array
    {
        $others = DB::table('series_sections as a')
            ->join('series_sections as b', 'b.series_id', '=', 'a.series_id')
            ->whereIn('a.section_id', array_unique($sections))
            ->distinct()
            ->pluck('b.section_id')
            ->all();

        return array_values(array_unique(array_map(intval(...), [...$sections, ...$others])));
    }
}
