<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/**
 * How many series must move at least: every clash needs one of its series to move, so the moved ones cover all edges of
 * the graph whose vertices are series and whose edges are clashes. A smallest such set is a vertex cover (R. M. Karp
 * 1972); found by branching on the vertex with most edges, with a matching as the bound.
 */
final class VertexCover
{
    private int $best = 0;

    private int $steps = 0;

    /** Beyond these, the size of a matching is given, which is a bound as well. */
    private const MOST_STEPS = 20000;

    /**
     * The size of a smallest cover; a lower bound of it where the graph is too large to say.
     *
     * @param  list<array{int, int}>  $edges  an edge from a vertex to itself needs that vertex
     * @param  array<int, true>  $out  vertices that cannot be in the cover; an edge between two of them is passed over
     */
    public static function size(array $edges, array $out = []): int
    {
        $cover = new self();
        $graph = [];
        $taken = [];
        foreach ($edges as [$a, $b]) {
            if ($a === $b || isset($out[$a]) || isset($out[$b])) {
                foreach (array_diff($a === $b ? [$a] : [$a, $b], array_keys($out)) as $one) {
                    $taken[$one] = true;
                }
            }
        }
        foreach ($edges as [$a, $b]) {
            if (! isset($taken[$a]) && ! isset($taken[$b]) && ! isset($out[$a]) && ! isset($out[$b])) {
                $graph[$a][$b] = $graph[$b][$a] = true;
            }
        }
        $matched = self::matching($graph);
        $cover->best = count($graph);
        $cover->branch($graph, 0);

        return count($taken) + ($cover->steps > self::MOST_STEPS ? $matched : $cover->best);
    }

    /** @param  array<int, array<int, true>>  $graph */
    private function branch(array $graph, int $size): void
    {
        if (++$this->steps > self::MOST_STEPS || $size + self::matching($graph) >= $this->best) {
            return;
        }
        $most = null;
        foreach ($graph as $vertex => $others) {
            if ($others !== [] && ($most === null || count($others) > count($graph[$most]))) {
                $most = $vertex;
            }
        }
        if ($most === null) {
            $this->best = $size;

            return;
        }
        $others = array_keys($graph[$most]);
        $this->branch(self::without($graph, [$most]), $size + 1);
        // Without it, all its neighbours.
        if (count($others) > 1) {
            $this->branch(self::without($graph, $others), $size + count($others));
        }
    }

    /**
     * @param  array<int, array<int, true>>  $graph
     * @param  list<int>  $vertices
     * @return array<int, array<int, true>>
     */
    private static function without(array $graph, array $vertices): array
    {
        foreach ($vertices as $vertex) {
            foreach ($graph[$vertex] as $other => $_) {
                unset($graph[$other][$vertex]);
            }
            unset($graph[$vertex]);
        }

        return $graph;
    }

    /** @param  array<int, array<int, true>>  $graph */
    private static function matching(array $graph): int
    {
        $used = [];
        $size = 0;
        foreach ($graph as $vertex => $others) {
            foreach (isset($used[$vertex]) ? [] : $others as $other => $_) {
                if (! isset($used[$other])) {
                    $used[$vertex] = $used[$other] = true;
                    $size++;

                    break;
                }
            }
        }

        return $size;
    }
}
