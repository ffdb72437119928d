<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

/**
 * Where each student of a session is while it runs: inside, not any more, or never seen. The live desk, its emails,
 * Today and attendance ask this and nothing else, so that nobody who came and left is said not to have come.
 */
final readonly class RollCall
{
    /**
     * @param  list<string>  $inside  on the roster and inside, or waiting to be let in
     * @param  list<string>  $left  on the roster, were inside, and are not any more
     * @param  list<string>  $never  on the roster, and never came
     */
    private function __construct(public array $inside, public array $left, public array $never)
    {
    }

    /**
     * @param  list<string>  $roster  ids, in the order in which they are listed
     * @param  list<string>  $here  who is inside or waits, by the room
     * @param  list<string>  $came  who was inside at any moment, by the room or by what is kept of it
     */
    public static function of(array $roster, array $here, array $came): self
    {
        [$here, $came] = [array_flip($here), array_flip($came)];
        $lists = [[], [], []];
        foreach ($roster as $id) {
            $lists[isset($here[$id]) ? 0 : (isset($came[$id]) ? 1 : 2)][] = $id;
        }

        return new self(...$lists);
    }
}
