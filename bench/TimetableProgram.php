<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Nomada\Core\Timetable\Solver\Candidate;
use Nomada\Core\Timetable\Solver\Problem;
use Nomada\Core\Timetable\Solver\SharedPeople;

/**
 * A timetable without clashes in the fewest moves as a mixed-integer program, in the LP format, for coinor-cbc: one
 * variable for each place of each series; every series is at one place; and of two series that share somebody or
 * something, at most one is in any span of the week between two times at which something begins or ends. Weeks must be
 * alike.
 */
final class TimetableProgram
{
    /** @var array<string, array{int, Candidate}> by name of the variable */
    private array $places = [];

    public function __construct(private readonly Problem $problem)
    {
    }

    /** Writes it; each place costs 1 where the series moves. */
    public function write(string $file): void
    {
        $cost = $one = $spans = [];
        foreach ($this->problem->series as $id => $series) {
            $names = [];
            foreach ([$series->now, ...$series->candidates()] as $i => $candidate) {
                if ($candidate->isNowhere()) {
                    continue;
                }
                $name = "x{$id}_$i";
                $this->places[$name] = [$id, $candidate];
                $names[] = $name;
                if ($i > 0 && ! $series->now->isNowhere()) {
                    $cost[] = $name;
                }
            }
            $one[] = implode(' + ', $names).' = 1';
        }
        $edges = $this->edges();
        foreach ($this->places as $name => [$id, $candidate]) {
            foreach ($candidate->blocks as $block) {
                foreach ($edges[$block->lane] as $n => $edge) {
                    if ($edge >= $block->from && $edge < $block->to) {
                        $spans[$id]["$block->lane $n"][] = $name;
                    }
                }
            }
        }
        $apart = [];
        foreach ($this->cliques() as $clique) {
            $by = [];
            foreach ($clique as $id) {
                foreach ($spans[$id] ?? [] as $span => $names) {
                    $by[$span][] = $names;
                }
            }
            foreach ($by as $lists) {
                if (count($lists) > 1) {
                    $apart[] = implode(' + ', array_unique(array_merge(...$lists))).' <= 1';
                }
            }
        }
        $rows = array_values(array_unique([...$one, ...$apart]));
        $text =
            "Minimize\n obj: ".($cost === [] ? '0 '.array_key_first($this->places) : implode("\n + ", $cost));
        $text .= "\nSubject To\n";
        foreach ($rows as $i => $row) {
            $text .= " r$i: ".wordwrap($row, 400, "\n ")."\n";
        }
        $text .= "Binary\n ".implode("\n ", array_keys($this->places))."\nEnd\n";
        file_put_contents($file, $text);
    }

    /**
     * Times of each day at which something begins or ends.
     *
     * @return array<int, list<int>> by lane, in order
     */
    private function edges(): array
    {
        $out = [];
        foreach ($this->places as [, $candidate]) {
            foreach ($candidate->blocks as $block) {
                $out[$block->lane][$block->from] = $block->from;
                $out[$block->lane][$block->to] = $block->to;
            }
        }
        foreach ($out as $lane => $of) {
            sort($of);
            $out[$lane] = $of;
        }

        return $out;
    }

    /** @return list<list<int>> series of which any two share something, grown around each pair */
    private function cliques(): array
    {
        $isBound = fn (SharedPeople $s): bool => $s->hasTeacher || $s->isSameRoom || $s->students > 0;
        $bound = [];
        foreach ($this->problem->shared as $id => $others) {
            $bound[$id] = array_filter($others, $isBound);
        }
        $out = $covered = [];
        foreach ($bound as $id => $others) {
            foreach (array_keys($others) as $other) {
                if (isset($covered[$id][$other])) {
                    continue;
                }
                $clique = [$id, $other];
                $with = array_intersect_key($bound[$id], $bound[$other]);
                while ($with !== []) {
                    $next = array_key_first($with);
                    $clique[] = $next;
                    $with = array_intersect_key($with, $bound[$next]);
                }
                foreach ($clique as $a) {
                    foreach ($clique as $b) {
                        $covered[$a][$b] = true;
                    }
                }
                $out[] = $clique;
            }
        }

        return $out;
    }

    /**
     * Asks coinor-cbc, which `bin/bench` installs where it is missing.
     *
     * @return array{objective: float|null, bound: float|null, isProved: bool, seconds: float}
     */
    public static function solve(string $file, int $seconds): array
    {
        $out = "$file.solution";
        $at = hrtime(true);
        $log = (string) shell_exec(
            sprintf('cbc %s sec %d solve solu %s 2>&1', escapeshellarg($file), $seconds, escapeshellarg($out)),
        );
        $took = (hrtime(true) - $at) / 1e9;
        $head = is_file($out) ? (string) strtok((string) file_get_contents($out), "\n") : '';
        preg_match('/objective value\s+(-?[\d.]+)/i', $head, $value);
        preg_match('/Lower bound:\s+(-?[\d.]+)/', $log, $bound);
        $isProved = str_starts_with($head, 'Optimal');
        $hasAny = $isProved || str_contains($head, 'Stopped');

        return [
            'objective' => $hasAny && isset($value[1]) && (float) $value[1] < 1e30 ? (float) $value[1] : null,
            'bound' => $isProved ? (float) ($value[1] ?? 0) : (isset($bound[1]) ? (float) $bound[1] : null),
            'isProved' => $isProved,
            'seconds' => $took,
        ];
    }
}
