<?php

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Support\Retention;

// What the job forbids is refused by the database itself. Each line of nonsense.txt is
// one statement, told to the small school with its links and registrations; `:name` is the id of a row.

test('the database refuses nonsense', function () {
    $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    $series = $this->section('MAR')->series()->firstOrFail();
    DB::table('day_plans')->insert([
        'term_id' => $series->section->term_id,
        'name' => 'Usual',
        'is_usual' => true,
        'periods' => '[]',
    ]);
    DB::table('closures')->insertOrIgnore([
        'term_id' => $series->section->term_id,
        'uid' => 'x',
        'starts_on' => '2027-03-01',
        'ends_on' => '2027-03-02',
        'reason' => 'Fair',
    ]);
    $ids = [
        ':student' => personCalled('S-1')->id,
        ':section' => $series->section_id,
        ':series' => $series->id,
        ':session' => $series->sessions()->where('day', '2027-02-18')->value('id'),
        ':next' => $series->sessions()->where('day', '2027-02-23')->value('id'),
    ];
    $taken = [];
    foreach (file(__DIR__.'/nonsense.txt', FILE_IGNORE_NEW_LINES) ?: [] as $line) {
        [$what, $sql] = explode(': ', $line, 2);
        DB::beginTransaction();
        try {
            $rows = DB::affectingStatement(strtr($sql, $ids));
            DB::statement('set constraints all immediate');
            $taken[] = "$what ($rows rows)";
        } catch (QueryException $e) {
            if (! str_starts_with((string) $e->getCode(), '23')) {
                $taken[] = "$what: {$e->getMessage()}";
            }
        } finally {
            DB::rollBack();
        }
    }
    expect($taken)->toBe([]);
});

test('docs/data.md names every table, every column about a person, and how long each is kept', function () {
    $written = (string) file_get_contents(base_path('docs/data.md'));
    $columns = DB::select(
        <<<'SQL'
        select c.relname as "table", attname as "column", exists (
                select 1 from pg_constraint k where k.conrelid = c.oid and k.confrelid = 'people'::regclass
                    and attnum = any (k.conkey)
            ) or attname ~ '(^|_)(email|address|browser|speaker|theirs)$' as is_personal
        from pg_class c join pg_attribute on attrelid = c.oid
        where relkind = 'r' and relnamespace = 'public'::regnamespace and attnum > 0 and not attisdropped
            and relname <> 'migrations'
        SQL,
    );
    $ours = ['join_links.short_address', 'materials.address', 'webhooks.address', 'known_rooms.address'];
    $missing = [];
    foreach ($columns as $c) {
        $lines = preg_grep("/^\| `$c->table` \|.*`$c->column`/", explode("\n", $written));
        if ($c->is_personal && $lines === [] && ! in_array("$c->table.$c->column", $ours, true)) {
            $missing[] = "$c->table.$c->column";
        }
        if (! str_contains($written, "`$c->table`")) {
            $missing[] = $c->table;
        }
    }
    foreach (Retention::DAYS as $table => [$days]) {
        if (preg_match("/^\| `$table` \|.*\| [^|]*\b$days days/m", $written) !== 1) {
            $missing[] = "$table: $days days";
        }
    }
    expect(array_values(array_unique($missing)))->toBe([]);
});

test('what is only written down goes after its time, and the last import stays', function () {
    $this->school();
    $old = fn (string $table): string => now()
        ->subDays(Retention::DAYS[$table][0] + 1)
        ->toIso8601String();
    DB::table('imports')->update(['at' => $old('imports')]);
    DB::table('imports')->insert(['at' => now()->toIso8601String()]);
    $person = personCalled('S-1')->id;
    foreach ([$old('sign_ins'), now()->toIso8601String()] as $at) {
        DB::table('sign_ins')->insert(['person_id' => $person, 'began_at' => $at, 'seen_at' => $at]);
        DB::table('audit_log')->insert(['kind' => 'door', 'words' => 'x', 'at' => $at]);
    }
    expect(array_filter(Retention::prune()))
        ->toBe(['imports' => 1, 'sign_ins' => 1])
        ->and(DB::table('audit_log')->count())
        ->toBe(2);
    DB::table('imports')->update(['at' => $old('imports')]);
    Retention::prune();
    expect(DB::table('imports')->count())->toBe(1);
});
