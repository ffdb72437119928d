<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\ExecuteRun;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Models\Term\Section;

/**
 * The links of all series and the rosters of all sections of the large school, in one process; the peer writes the rows
 * that came of it into the same tables, one by one by a prepared statement, with nothing worked out.
 */
final class Making
{
    private const TABLES = ['join_links', 'registrations', 'published_items'];

    public function run(): bool
    {
        $served = new ServedSchool(null);
        try {
            $sections = array_values(array_map(intval(...), Section::query()->orderBy('id')->pluck('id')->all()));
            $at = microtime(true);
            $run = app(StartRun::class)->links($sections, null, false);
            if ($run !== null) {
                app(ExecuteRun::class)($run);
            }
            $links = microtime(true) - $at;
            $at = microtime(true);
            Artisan::call('nomada:register', ['--json' => true]);
            $rosters = microtime(true) - $at;
            [$rows, $peer] = $this->peer();
            printf(
                "making: links of %d series %.1f s; %d rosters %.1f s\n  %d rows, written again one by one %.1f s: ".
                    "%.2f times as long; %d MB\n",
                DB::table('series')->count(),
                $links,
                count($sections),
                $rosters,
                $rows,
                $peer,
                ($links + $rosters) / $peer,
                memory_get_peak_usage(true) / 1e6,
            );

            return $links + $rosters <= 3 * $peer;
        } finally {
            $served->end();
        }
    }

    /** @return array{int, float} how many rows, and how long they took */
    private function peer(): array
    {
        $pdo = DB::connection()->getPdo();
        $all = [];
        foreach (self::TABLES as $table) {
            $all[$table] = DB::table($table)->get()->map(fn (\stdClass $row): array => (array) $row)->all();
        }
        $pdo->exec('truncate '.implode(', ', self::TABLES).' cascade');
        $at = microtime(true);
        $pdo->beginTransaction();
        $n = 0;
        foreach ($all as $table => $rows) {
            if ($rows === []) {
                continue;
            }
            $columns = array_keys($rows[0]);
            $insert = $pdo->prepare(
                "insert into $table (".
                    implode(', ', $columns).
                    ') values ('.
                    implode(', ', array_fill(0, count($columns), '?')).
                    ')',
            );
            foreach ($rows as $row) {
                foreach (array_values($row) as $i => $value) {
                    $insert->bindValue($i + 1, $value, is_bool($value) ? \PDO::PARAM_BOOL : \PDO::PARAM_STR);
                }
                $insert->execute();
                $n++;
            }
        }
        $pdo->commit();

        return [$n, microtime(true) - $at];
    }
}
