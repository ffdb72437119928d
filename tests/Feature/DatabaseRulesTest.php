<?php

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

// What the job forbids is refused by the database itself, whoever writes. Each line of nonsense.txt is
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
