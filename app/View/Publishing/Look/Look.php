<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Look;

use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Say;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Term\Zone;

/** Looking as somebody: a week of theirs as the door and every place tell it. */
final readonly class Look
{
    /**
     * @param  int  $at  UTC seconds, from when on
     * @param  list<LookRow>  $rows
     * @param  list<LookLetter>  $letters
     * @param  array<string, string>  $children  of whom a guardian reads: names by sourcedId
     * @param  bool  $mayPublish  whether the viewer may go on to Changed there
     */
    public function __construct(
        public Person $who,
        public int $at,
        public array $rows,
        public array $letters,
        public array $children,
        public bool $mayPublish,
    ) {
    }

    public function zone(): Zone
    {
        return $this->who->zone();
    }

    public function wrong(): int
    {
        return count(array_filter($this->rows, fn (LookRow $r): bool => $r->isWrong()));
    }

    /** @return list<Place> */
    public function places(): array
    {
        return Place::cases();
    }

    public function day(int $at): string
    {
        return Say::day($this->zone()->dateAt($at));
    }

    public function clock(int $at): string
    {
        return $this->zone()->clock($at);
    }
}
