<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Fault;
use Nomada\Core\Language\Phrases;
use Nomada\Core\Term\LocalDate;

/** A link to something that students need: for the whole section, or for one session. */
final readonly class MaterialFacts
{
    public const LONGEST_TITLE = 120;

    public const LONGEST_ADDRESS = 1000;

    /** @param  int|null  $day  day number of the session that it is for; null for all */
    public function __construct(public string $title, public string $address, public ?int $day = null)
    {
    }

    /**
     * As somebody has typed it.
     *
     * @throws Fault that names the field
     */
    public static function typed(string $title, string $address): self
    {
        $title = trim($title);
        $address = trim($address);
        if ($title === '' || mb_strlen($title) > self::LONGEST_TITLE) {
            throw new Fault('material.title', 'material_title', ['n' => self::LONGEST_TITLE]);
        }
        if (
            filter_var($address, FILTER_VALIDATE_URL) === false ||
            preg_match('~^https?://~', $address) !== 1 ||
            strlen($address) > self::LONGEST_ADDRESS
        ) {
            throw new Fault('material.address', 'material_address');
        }

        return new self($title, $address);
    }

    /** What is read of it where it is: title and address, and the day where it is for one. */
    public function line(Phrases $phrases): string
    {
        return ($this->day === null ? '' : $phrases->day(new LocalDate($this->day)).', ').
            "$this->title: $this->address";
    }
}
