<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\CheckDerived;
use Tests\Support\RandomActs;

// Whatever people do, in whatever order: what is derived follows, every place shows what the door would say, and what
// is undone is as it was. `NOMADA_ACTS=500 bin/test feature --filter=RandomActs` does more of it.

/** Rows that say what the school and its timetable are, but for what counts or dates changes. */
function schoolRows(): array
{
    $but = array_flip(['updated_at', 'created_at', 'changed_at', 'sequence', 'remember_token', 'registering', 'door']);
    $out = [];
    foreach (
        ['schools', 'terms', 'courses', 'sections', 'people', 'enrolments', 'closures', 'series', 'sessions'] as $table
    ) {
        $out[$table] = DB::table($table)
            ->orderBy($table === 'closures' ? 'uid' : 'id')
            ->get()
            ->map(
                fn (stdClass $r): string => (string) json_encode(
                    array_diff_key((array) $r, $but, $table === 'closures' ? ['id' => 0] : []),
                ),
            )
            ->all();
    }

    return $out;
}

test('any acts in any order leave nothing wrong, and undone they leave nothing at all', function (int $seed) {
    $this->standins();
    $this->school();
    momentAt('2027-02-09', '12:00');
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    $before = schoolRows();
    $acts = new RandomActs($this, $seed);
    $n = (int) (getenv('NOMADA_ACTS') ?: 25);
    $log = [];
    for ($i = 1; $i <= $n; $i++) {
        $log[] = $acts->act();
        if (mt_rand(0, 7) === 0) {
            $log[] = (string) $acts->undo();
        }
        $wrong = $i % 5 === 0 ? app(CheckDerived::class)() : [];
        expect($wrong)->toBe([], "seed $seed, after act $i: ".implode("\n", array_slice($log, -12)));
        if ($i % max(30, intdiv($n, 8)) === 0) {
            Artisan::call('nomada:publish');
            Artisan::call('nomada:truth', ['--json' => true]);
            $truth = json_decode(Artisan::output(), true)['differences'];
            expect($truth)->toBe([], "seed $seed, published after act $i: ".implode("\n", array_slice($log, -32)));
        }
    }
    while (($undone = $acts->undo()) !== null) {
        $log[] = $undone;
    }
    file_put_contents(
        base_path("var/random-acts-$seed.json"),
        json_encode(['done' => $acts->done, 'refused' => $acts->refused], JSON_PRETTY_PRINT),
    );
    expect(app(CheckDerived::class)())->toBe([]);
    foreach (schoolRows() as $table => $rows) {
        expect([
            'more' => array_values(array_diff($rows, $before[$table])),
            'less' => array_values(array_diff($before[$table], $rows)),
        ])->toBe(['more' => [], 'less' => []], "seed $seed, $table: ".implode("\n", $log));
    }
})->with([11, 12]);
