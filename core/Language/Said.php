<?php

declare(strict_types=1);

namespace Nomada\Core\Language;

/**
 * Something that core/ has to say: the code of its words (lang/…/says.php), and what is put into them. `n`, where there
 * is one, chooses the form of the number.
 */
final readonly class Said
{
    /** @param  array<string, mixed>  $with  text, a number, a date, something else to say, or a list of those */
    public function __construct(public string $code, public array $with = [])
    {
    }

    /**
     * Several things in one: "a, b and c".
     *
     * @param  non-empty-list<self>  $all
     */
    public static function and(array $all): self
    {
        $last = array_pop($all);

        return $all === [] ? $last : new self('and', ['list' => $all, 'last' => $last]);
    }
}
