<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

use Nomada\Core\Registration\Address;
use Nomada\Core\Registration\NameRelation;
use Nomada\Core\Registration\PersonName;

/**
 * Whom a list means, by the registration desk's own comparison. Certain is an id, an address that only one of them has
 * and whose name is like it, or exactly one's name; anybody else is shown beside those whose names are near.
 */
final readonly class ListedPeople
{
    /** @param  list<ListedPerson>  $people */
    public function __construct(private array $people)
    {
    }

    /** The sourcedId of the certain match. */
    public function certain(string $person, string $address): ?string
    {
        foreach ($this->people as $one) {
            if ($one->sourcedId === $person) {
                return $person;
            }
        }
        $typed = Address::normal(str_contains($person, '@') && $address === '' ? $person : $address);
        $name = new PersonName(str_contains($person, '@') ? '' : $person);
        if ($typed !== '') {
            $by = array_filter($this->people, fn (ListedPerson $p): bool => $p->address === $typed);
            // A family's address is several people's; the name says whose it is here.
            $like = array_filter($by, fn (ListedPerson $p): bool => $name->compare($p->name)->isLike());
            $found = $name->words === [] ? $by : $like;
            if (count($found) === 1) {
                return array_values($found)[0]->sourcedId;
            }
            if ($by !== []) {
                return null;
            }
        }
        $equal = array_values(
            array_filter(
                $this->people,
                fn (ListedPerson $p): bool => $name->compare($p->name) === NameRelation::Equal,
            ),
        );

        return count($equal) === 1 ? $equal[0]->sourcedId : null;
    }

    /**
     * Who it may be, the likest first.
     *
     * @return list<string> sourcedIds
     */
    public function near(string $person, string $address): array
    {
        $name = new PersonName(str_contains($person, '@') ? (string) strstr($person, '@', true) : $person);
        $typed = Address::normal($address === '' ? $person : $address);
        $scores = [];
        foreach ($this->people as $one) {
            $score = $name->compare($one->name)->score() + ($typed !== '' && $one->address === $typed ? 4 : 0);
            if ($score > 0) {
                $scores[$one->sourcedId] = $score;
            }
        }
        arsort($scores);

        return array_map(strval(...), array_keys($scores));
    }
}
