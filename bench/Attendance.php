<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Nomada\Core\Presence\Attendance as Core;
use Nomada\Core\Presence\PresenceEvent;
use PDO;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A term of the large school (9,000 students, 600 sections, about three million events made from a seed, a tenth of
 * them faulty) into the attendance of every student and session: in core/, and by PostgreSQL's own multiranges
 * (range_agg) on the same events. Both must come to the same minutes for every student and session.
 *
 * The events come to core/ as a query would hand them out, session by session, so that no more than one is in memory.
 */
final class Attendance
{
    private const SECTIONS = 600;

    private const SESSIONS = 36;

    private const STUDENTS = 38;

    private const START = 1_800_000_000;

    private const LENGTH = 2820;

    public function run(): bool
    {
        $events = 0;
        $checks = [];
        $ours = $peer = 0.0;
        $memory = 0;
        $isSame = true;
        $pdo = $this->table();
        // A tenth of the sections at a time: the peer's table would not fit a small machine otherwise.
        for ($part = 0; $part < 10; $part++) {
            $random = new Randomizer(new Mt19937(7302 + $part));
            $sessions = [];
            for ($s = 0; $s < (self::SECTIONS * self::SESSIONS) / 10; $s++) {
                $sessions[$s] = $this->session($random);
                $events += array_sum(array_map(count(...), $sessions[$s]));
            }
            $this->fill($pdo, $sessions);
            memory_reset_peak_usage();
            $before = memory_get_usage();
            $at = hrtime(true);
            $mine = [];
            foreach ($sessions as $s => $people) {
                foreach ($people as $p => $told) {
                    $coming = [];
                    foreach ($told as [$second, $isJoin, $device]) {
                        $coming[] = new PresenceEvent($second, $isJoin, $device);
                    }
                    $mine[$s * 100 + $p] = Core::of($coming, self::START, self::START + self::LENGTH)->seconds;
                }
            }
            $ours += (hrtime(true) - $at) / 1e6;
            $memory = max($memory, memory_get_peak_usage() - $before);
            $at = hrtime(true);
            $theirs = $this->ask($pdo);
            $peer += (hrtime(true) - $at) / 1e6;
            ksort($mine);
            ksort($theirs);
            $checks[] = count($mine);
            $isSame = $isSame && array_filter($mine) == array_filter($theirs);
        }
        printf(
            "attendance: %s events, %s student-sessions, same seconds as the peer: %s\n",
            number_format($events),
            number_format(array_sum($checks)),
            $isSame ? 'yes' : 'NO',
        );
        printf(
            "  ours %.0f ms, PostgreSQL range_agg %.0f ms: %.2f times as fast; %.0f MB at most\n",
            $ours,
            $peer,
            $peer / $ours,
            $memory / 1e6,
        );

        return $isSame && $peer >= $ours && $memory <= 256e6;
    }

    /** @return list<list<array{int, bool, string}>> by student: second, whether a join, device */
    private function session(Randomizer $random): array
    {
        $out = [];
        for ($p = 0; $p < self::STUDENTS; $p++) {
            $device = 'd'.$random->getInt(1, 2);
            $came = self::START + $random->getInt(-400, 500);
            $told = [[$came, true, $device]];
            if ($random->getInt(1, 2) === 1) {
                $lost = $random->getInt(self::START + 600, self::START + 2000);
                array_push($told, [$lost, false, $device], [$lost + $random->getInt(20, 600), true, $device]);
            }
            $told[] = [self::START + self::LENGTH + $random->getInt(-900, 300), false, $device];
            // One in ten is doubled, missing, or out of its order.
            foreach (array_keys($told) as $i) {
                $fault = $random->getInt(1, 30);
                if ($fault === 1) {
                    $told[] = $told[$i];
                } elseif ($fault === 2) {
                    $told[] = [$told[$i][0] + 7, $told[$i][1], $told[$i][2]];
                } elseif ($fault === 3 && count($told) > 1) {
                    unset($told[$i]);
                }
            }
            $out[] = $random->shuffleArray(array_values($told));
        }

        return $out;
    }

    private function table(): PDO
    {
        $env = [];
        foreach (file(__DIR__.'/../.env', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
            [$name, $value] = explode('=', $line, 2) + ['', ''];
            $env[$name] = trim($value, '"');
        }
        $pdo = new PDO(
            "pgsql:host=127.0.0.1;port={$env['DB_PORT']};dbname=postgres",
            $env['DB_USERNAME'] ?? 'nomada',
            $env['DB_PASSWORD'],
            [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
        $pdo->exec(
            'create temporary table told (who integer, at integer, is_join boolean, device text);
            set work_mem = \'256MB\'',
        );

        return $pdo;
    }

    /** @param  array<int, list<list<array{int, bool, string}>>>  $sessions */
    private function fill(PDO $pdo, array $sessions): void
    {
        $pdo->exec('truncate told');
        $rows = [];
        foreach ($sessions as $s => $people) {
            foreach ($people as $p => $told) {
                foreach ($told as [$at, $isJoin, $device]) {
                    $rows[] = $s * 100 + $p."\t$at\t".($isJoin ? 't' : 'f')."\t$device";
                }
            }
        }
        foreach (array_chunk($rows, 100_000) as $chunk) {
            $pdo->pgsqlCopyFromArray('told', $chunk);
        }
        $pdo->exec('analyze told');
    }

    /**
     * The same rules in SQL: what is told twice in a second counts once, a join and a leave in one second are nothing;
     * of each device a join counts where none is open, a first leave is from the start, a last join to the end.
     *
     * @return array<int, int> seconds by who
     */
    private function ask(PDO $pdo): array
    {
        [$from, $to] = [self::START, self::START + self::LENGTH];
        $sql = <<<SQL
        with steps as (
            select who, device, at, bool_or(is_join) as is_join from told
            group by who, device, at having count(distinct is_join) = 1
        ), first as (
            select who, device, min(at) as begun from told group by who, device
        ), turned as (
            select s.*, lag(s.is_join) over w as before, lead(s.at) over w as next, f.begun
            from steps s join first f using (who, device)
            window w as (partition by who, device order by at)
        ), turns as (
            select who, device, at, is_join, begun, before,
                lead(at) over (partition by who, device order by at) as until
            from turned where before is distinct from is_join
        ), inside as (
            select who, greatest(at, $from) as since, least(coalesce(until, $to), $to) as until
            from turns where is_join
            union all
            select who, $from, least(at, $to) from turns where not is_join and before is null and at = begun
        ), merged as (
            select who, unnest(range_agg(int4range(since, until))) as r from inside where until > since group by who
        )
        select who, sum(upper(r) - lower(r)) from merged group by who
        SQL;
        $out = [];
        $found = $pdo->query($sql) ?: throw new \RuntimeException('PostgreSQL did not answer');
        foreach ($found->fetchAll(PDO::FETCH_NUM) as [$who, $seconds]) {
            $out[(int) $who] = (int) $seconds;
        }

        return $out;
    }
}
