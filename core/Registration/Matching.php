<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

/**
 * Compares a queue of registrants with the rosters. A roster student is given to at most one registrant: the best
 * assignment over the whole queue, not the first come.
 *
 * Candidates are found by address and by words of the name, never by looking at every pair. Registrants that compete
 * for the same students form small groups, and each group is solved exactly.
 */
final class Matching
{
    /** @var array<int, array<string, list<RosterEntry>>> by section, then by address */
    private array $byAddress = [];

    /** @var array<int, array<string, list<RosterEntry>>> by section, then by word (or its first three letters) */
    private array $byWord = [];

    /** @var array<int, array<int, true>> sections by course */
    private array $sections = [];

    /**
     * @param  list<RosterEntry>  $roster
     * @param  list<string>  $domains  of the school's addresses
     */
    public function __construct(array $roster, private readonly array $domains)
    {
        foreach ($roster as $entry) {
            $this->byAddress[$entry->section][$entry->address][] = $entry;
            foreach ($entry->name->words as $word) {
                $this->byWord[$entry->section][$word][] = $entry;
                $this->byWord[$entry->section]['~'.substr($word, 0, 3)][] = $entry;
                $this->byWord[$entry->section]['~~'.substr($word, -3)][] = $entry;
            }
            $this->sections[$entry->course][$entry->section] = true;
        }
    }

    /**
     * @param  list<Registrant>  $queue
     * @return list<Finding> in the order of the queue
     */
    public function findings(array $queue): array
    {
        $edges = [];
        $typed = array_count_values(array_map(fn (Registrant $r): string => "$r->section $r->address", $queue));
        foreach ($queue as $i => $registrant) {
            $own = $typed["$registrant->section $registrant->address"] === 1 ? $this->evident($registrant) : null;
            if ($own !== null) {
                $edges[$i]["$own->section $own->person"] = [$this->score($registrant, $own), $own];

                continue;
            }
            foreach ($this->candidates($registrant, $registrant->section) as $entry) {
                $score = $this->score($registrant, $entry);
                if ($score > 0 && ! $entry->isRegistered) {
                    $edges[$i]["$entry->section $entry->person"] = [$score, $entry];
                }
            }
        }
        $given = $this->assign($edges);
        $out = [];
        foreach ($queue as $i => $registrant) {
            $out[] = isset($given[$i]) ? $this->finding($registrant, $given[$i]) : $this->without($registrant);
        }

        return $out;
    }

    /**
     * The student with the same address and the same name. Nobody else of the queue has that address, so this outweighs
     * whatever the two could be given instead, and no other pair need be looked at.
     */
    private function evident(Registrant $registrant): ?RosterEntry
    {
        foreach ($this->byAddress[$registrant->section][$registrant->address] ?? [] as $entry) {
            if (! $entry->isRegistered && $registrant->name->compare($entry->name) === NameRelation::Equal) {
                return $entry;
            }
        }

        return null;
    }

    /** @return array<string, RosterEntry> */
    private function candidates(Registrant $registrant, int $section): array
    {
        $out = [];
        foreach ($this->byAddress[$section][$registrant->address] ?? [] as $entry) {
            $out["$entry->section $entry->person"] = $entry;
        }
        foreach ($registrant->name->words as $word) {
            foreach ([$word, '~'.substr($word, 0, 3), '~~'.substr($word, -3)] as $key) {
                foreach ($this->byWord[$section][$key] ?? [] as $entry) {
                    $out["$entry->section $entry->person"] = $entry;
                }
            }
        }

        return $out;
    }

    /**
     * How well a registrant and a student go together; 0 where they do not. The same address outweighs any name, and of
     * the same address the liker name.
     */
    private function score(Registrant $registrant, RosterEntry $entry): int
    {
        $same = $registrant->address !== '' && $registrant->address === $entry->address;
        $like = $registrant->name->compare($entry->name)->score();
        $score = match (true) {
            $same => 10 + 10 * $like,
            $like === 0 => 0,
            default => 2 * $like + (Address::isSchools($registrant->address, $this->domains) ? 1 : 0),
        };

        return $score === 0 ? 0 : 2 * $score + ($registrant->account === $entry->person ? 1 : 0);
    }

    /**
     * The assignment of greatest sum, group by group.
     *
     * @param  array<int, array<string, array{int, RosterEntry}>>  $edges  by registrant, then by student
     * @return array<int, RosterEntry> by registrant
     */
    private function assign(array $edges): array
    {
        $of = [];
        foreach ($edges as $i => $to) {
            foreach ($to as $student => $edge) {
                $of[$student][] = $i;
            }
        }
        $out = $seen = [];
        foreach (array_keys($edges) as $start) {
            if (isset($seen[$start])) {
                continue;
            }
            $group = [];
            $stack = [$start];
            while ($stack !== []) {
                $i = array_pop($stack);
                if (isset($seen[$i])) {
                    continue;
                }
                $seen[$i] = true;
                $group[] = $i;
                foreach (array_keys($edges[$i]) as $student) {
                    array_push($stack, ...$of[$student]);
                }
            }
            $out += $this->group($group, $edges);
        }

        return $out;
    }

    /**
     * One group, exactly: the Hungarian method over registrants and students, with nobody as a further choice for each.
     *
     * @param  list<int>  $group
     * @param  array<int, array<string, array{int, RosterEntry}>>  $edges
     * @return array<int, RosterEntry>
     */
    private function group(array $group, array $edges): array
    {
        sort($group);
        if (count($group) === 1) {
            $best = null;
            foreach ($edges[$group[0]] as $edge) {
                $best = $best === null || $edge[0] > $best[0] ? $edge : $best;
            }

            return $best === null ? [] : [$group[0] => $best[1]];
        }
        $students = [];
        foreach ($group as $i) {
            foreach ($edges[$i] as $key => $edge) {
                $students[$key] ??= count($students);
            }
        }
        $n = count($group);
        $m = count($students) + $n;
        $cost = [];
        foreach ($group as $row => $i) {
            $cost[$row] = array_fill(0, $m, 0);
            foreach ($edges[$i] as $key => $edge) {
                $cost[$row][$students[$key]] = -$edge[0];
            }
        }
        $keys = array_flip($students);
        $out = [];
        foreach (self::hungarian($cost, $n, $m) as $row => $column) {
            $key = $keys[$column] ?? null;
            if ($key !== null && isset($edges[$group[$row]][$key])) {
                $out[$group[$row]] = $edges[$group[$row]][$key][1];
            }
        }

        return $out;
    }

    /**
     * The assignment of least cost of n rows to m ≥ n columns (Kuhn's method with potentials, in O(n²m)).
     *
     * @param  array<int, array<int, int>>  $cost
     * @return array<int, int> the column of each row
     */
    public static function hungarian(array $cost, int $n, int $m): array
    {
        // Of each row and column what it gives up (row and column 0 stand for nobody), the row of each column, and the
        // column that the way to it came from.
        $u = $v = $p = $way = array_fill(0, $m + 1, 0);
        for ($i = 1; $i <= $n; $i++) {
            $p[0] = $i;
            $j0 = 0;
            $least = $used = [];
            do {
                $used[$j0] = true;
                $i0 = $p[$j0];
                $delta = PHP_INT_MAX;
                $j1 = 0;
                for ($j = 1; $j <= $m; $j++) {
                    if (isset($used[$j])) {
                        continue;
                    }
                    $now = $cost[$i0 - 1][$j - 1] - $u[$i0] - $v[$j];
                    if ($now < ($least[$j] ?? PHP_INT_MAX)) {
                        $least[$j] = $now;
                        $way[$j] = $j0;
                    }
                    if ($least[$j] < $delta) {
                        $delta = $least[$j];
                        $j1 = $j;
                    }
                }
                foreach (array_keys($used) as $j) {
                    $u[$p[$j]] += $delta;
                    $v[$j] -= $delta;
                }
                foreach (array_keys(array_diff_key($least, $used)) as $j) {
                    $least[$j] -= $delta;
                }
                $j0 = $j1;
            } while ($p[$j0] !== 0);
            do {
                $j1 = $way[$j0];
                $p[$j0] = $p[$j1];
                $j0 = $j1;
            } while ($j0 !== 0);
        }
        $out = [];
        for ($j = 1; $j <= $m; $j++) {
            if ($p[$j] !== 0) {
                $out[$p[$j] - 1] = $j - 1;
            }
        }

        return $out;
    }

    private function finding(Registrant $registrant, RosterEntry $entry): Finding
    {
        $same = $registrant->address === $entry->address;
        $name = $registrant->name->compare($entry->name);
        // Brothers and sisters may share an address: there the name, or the account, tells who it is.
        $isShared = count($this->byAddress[$entry->section][$entry->address] ?? []) > 1;
        $isOwn = $registrant->account === $entry->person;
        $verdict = match (true) {
            ! $same => Verdict::CheckAddress,
            ! $name->isLike() => Verdict::CheckName,
            $registrant->account !== null && ! $isOwn => Verdict::AnotherAccount,
            $isShared && ! $isOwn && $name !== NameRelation::Equal => Verdict::CheckName,
            default => Verdict::Certain,
        };
        // A name that is like those of two students says nothing of either.
        if (
            $verdict === Verdict::CheckAddress &&
            count(
                array_filter(
                    $this->candidates($registrant, $registrant->section),
                    fn (RosterEntry $e): bool => $registrant->name->compare($e->name)->score() >= $name->score(),
                ),
            ) > 1
        ) {
            $verdict = Verdict::Unknown;
        }

        return new Finding(
            $registrant,
            $verdict,
            $verdict === Verdict::Unknown ? null : $entry,
            $name,
            $same,
            Address::isSchools($registrant->address, $this->domains),
        );
    }

    private function without(Registrant $registrant): Finding
    {
        $isSchools = Address::isSchools($registrant->address, $this->domains);
        foreach ($this->candidates($registrant, $registrant->section) as $entry) {
            $name = $registrant->name->compare($entry->name);
            if (
                $entry->isRegistered &&
                ($registrant->address === $entry->address || $name === NameRelation::Equal)
            ) {
                return new Finding(
                    $registrant,
                    Verdict::Already,
                    $entry,
                    $name,
                    $registrant->address === $entry->address,
                    $isSchools,
                );
            }
        }
        foreach (array_keys($this->sections[$registrant->course] ?? []) as $section) {
            foreach ($section === $registrant->section ? [] : $this->candidates($registrant, $section) as $entry) {
                $name = $registrant->name->compare($entry->name);
                if ($registrant->address === $entry->address || $name === NameRelation::Equal) {
                    return new Finding(
                        $registrant,
                        Verdict::AnotherSection,
                        $entry,
                        $name,
                        $registrant->address === $entry->address,
                        $isSchools,
                    );
                }
            }
        }

        // Somebody typed a student's address or name from another account, while the student waits as well.
        foreach (
            $registrant->account === null ? [] : $this->candidates($registrant, $registrant->section) as $entry
        ) {
            $name = $registrant->name->compare($entry->name);
            $same = $registrant->address === $entry->address;
            if ($registrant->account !== $entry->person && ($same || $name === NameRelation::Equal)) {
                return new Finding($registrant, Verdict::AnotherAccount, $entry, $name, $same, $isSchools);
            }
        }

        return new Finding($registrant, Verdict::Unknown, null, NameRelation::Different, false, $isSchools);
    }
}
