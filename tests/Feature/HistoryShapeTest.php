<?php

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Support\SnapshotShape;

/*
 * Histories keep rows and put them back by the names of their columns, long after they were written.
 */

beforeEach(fn () => $this->school());

test('no column of a kept row is renamed or dropped without a step, and a new one needs no value', function () {
    foreach (file(__DIR__.'/history-shape-'.SnapshotShape::CURRENT.'.txt', FILE_IGNORE_NEW_LINES) as $line) {
        [$table, $columns] = explode(': ', $line);
        $is = collect(Schema::getColumns($table))->keyBy('name');
        $needed = fn (array $c): bool => ! $c['nullable'] && $c['default'] === null;
        $new = $is->except(explode(' ', $columns))->filter($needed);
        expect([$table, array_diff(explode(' ', $columns), $is->keys()->all()), $new->keys()->all()])->toBe([
            $table,
            [],
            [],
        ]);
    }
    foreach (['series_changes', 'term_changes', 'imports'] as $table) {
        $default = collect(Schema::getColumns($table))->firstWhere('name', 'shape')['default'];
        expect((int) trim((string) $default, "'"))->toBe(SnapshotShape::CURRENT);
    }
});

test('a row of an older shape goes through every step from there on', function () {
    $steps = [
        1 => fn (string $table, array $row): array => $table === 'series' ? ['name' => $row['title']] : $row,
        2 => fn (string $table, array $row): array => $row + ['colour' => 'red'],
    ];
    expect([
        SnapshotShape::upgrade('series', ['title' => 'Reefs'], 1, $steps),
        SnapshotShape::upgrade('people', ['title' => 'Dr'], 1, $steps),
        SnapshotShape::upgrade('series', ['name' => 'Reefs'], 2, $steps),
        SnapshotShape::upgrade('series', ['name' => 'Reefs'], 3, $steps),
    ])->toBe([
        ['name' => 'Reefs', 'colour' => 'red'],
        ['title' => 'Dr', 'colour' => 'red'],
        ['name' => 'Reefs', 'colour' => 'red'],
        ['name' => 'Reefs'],
    ]);
});

test('a deleted series comes back whole, but for what was about somebody who was erased since', function () {
    Illuminate\Support\Facades\Artisan::call('nomada:register', ['--section' => ['MAR']]);
    $series = $this->section('MAR')->series()->firstOrFail();
    $session = DB::table('sessions')->where('series_id', $series->id)->orderBy('starts_at')->value('id');
    [$stays, $goes] = [personCalled('S-1')->id, personCalled('S-2')->id];
    $teacher = DB::table('people')->insertGetId(
        ['sourced_id' => 'T-X', 'feed_hash' => null, 'sign_in' => null] +
            array_diff_key((array) DB::table('people')->where('sourced_id', 'T-2')->first(), ['id' => 0]),
    );
    DB::table('sessions')
        ->where('id', $session)
        ->update(['teacher_id' => $teacher]);
    foreach ([$stays, $goes] as $person) {
        DB::table('invitation_responses')->insert([
            'series_id' => $series->id,
            'person_id' => $person,
            'answer' => 'accepted',
            'at' => now(),
        ]);
        DB::table('presence_events')->insert([
            'session_id' => $session,
            'who' => "P-$person",
            'person_id' => $person,
            'at' => now(),
            'is_join' => true,
        ]);
    }
    $link = DB::table('join_links')
        ->where(['series_id' => $series->id, 'person_id' => $stays])
        ->value('id');
    DB::table('pass_claims')->insert(['join_link_id' => $link, 'hash' => str_repeat('a', 64), 'asked_at' => now()]);
    $tables = ['sessions', 'pass_claims', 'presence_events', 'join_links', 'registrations', 'invitation_responses'];
    $rows = fn (): array => array_map(fn (string $table): int => DB::table($table)->count(), $tables);
    $before = $rows();
    $this->as('A-1')
        ->delete("/sections/MAR/series/$series->id")
        ->assertSessionHasNoErrors();
    DB::table('people')
        ->whereIn('id', [$goes, $teacher])
        ->delete();
    $change = SeriesChange::query()->latest('id')->firstOrFail();
    $this->post("/sections/MAR/changes/$change->id/undoing")->assertSessionHasNoErrors();
    $lost = array_map(fn (int $was, int $is): int => $was - $is, $before, $rows());
    expect(array_combine($tables, $lost))->toBe(array_combine($tables, [0, 0, 0, 1, 1, 1]));
    expect(DB::table('sessions')->where('id', $session)->value('teacher_id'))->toBeNull();
});

test('a deleted series cannot come back over another one of its title', function () {
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->as('A-1')
        ->delete("/sections/MAR/series/$series->id")
        ->assertSessionHasNoErrors();
    $change = SeriesChange::query()->latest('id')->firstOrFail();
    $other = $this->section('SPA')->series()->firstOrFail();
    DB::table('series')
        ->where('id', $other->id)
        ->update(['section_id' => $series->section_id, 'title' => $series->title]);
    DB::table('series_sections')->insert(['series_id' => $other->id, 'section_id' => $series->section_id]);
    $this->post("/sections/MAR/changes/$change->id/undoing")->assertSessionHasErrors([
        'change' => "The section has another series called “{$series->title}” by now. Rename that one first.",
    ]);
});

test('the database lets nothing be about a session that never was', function () {
    expect(
        fn () => DB::table('session_notes')->insert(['session_id' => 987654321, 'text' => 'x', 'at' => now()]),
    )->toThrow(Illuminate\Database\QueryException::class, 'session_identities');
});
