<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;

/** Several moves that are made in one step: two series that change places, or a larger exchange of times. */
final readonly class MoveSet
{
    public const MOST = 20;

    /**
     * @param  non-empty-list<Move>  $moves
     *
     * @throws Fault where a session is in it twice, or a series moves as a whole and one of its sessions alone
     */
    public function __construct(public array $moves)
    {
        $sessions = array_map(fn (Move $m): int => $m->session, $moves);
        if (count(array_unique($sessions)) < count($sessions)) {
            throw new Fault('moves.twice', 'moves');
        }
        $bySeries = [];
        foreach ($moves as $move) {
            $bySeries[$move->series][] = $move->reach;
        }
        foreach ($bySeries as $reaches) {
            if (count($reaches) > 1 && array_filter($reaches, fn (Reach $r): bool => $r !== Reach::This) !== []) {
                throw new Fault('moves.both', 'moves');
            }
        }
        if (count($moves) > self::MOST) {
            throw new Fault('moves.many', 'moves', ['n' => self::MOST]);
        }
    }

    /**
     * Those of the same series, which are not in each other's way.
     *
     * @return list<int> ids of sessions
     */
    public function besides(Move $move): array
    {
        $others = array_filter(
            $this->moves,
            fn (Move $m): bool => $m->series === $move->series && $m->session !== $move->session,
        );

        return array_values(array_map(fn (Move $m): int => $m->session, $others));
    }
}
