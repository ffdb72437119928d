<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use DateTimeZone;
use Nomada\Core\Interchange\TypedSchool;
use Nomada\Core\Term\LocalDate;

/** What an empty school is asked for first. */
final readonly class BeginPage
{
    /** Rules that have words of their own, by the field that they are told at. */
    public const FIELDS = [
        'name.*' => 'name',
        'zone.*' => 'zone',
        'term.*' => 'term',
        'term_first.*' => 'term_first',
        'term_last.*' => 'term_last',
        'sections.*' => 'sections',
        'students.*' => 'students',
    ];

    /** @param  list<string>  $zones  of the IANA database */
    private function __construct(public array $zones)
    {
    }

    public static function of(): self
    {
        return new self(DateTimeZone::listIdentifiers());
    }

    /**
     * @param  array<string, mixed>  $given  checked
     * @return array<string, string> texts by file
     */
    public static function files(array $given): array
    {
        $text = fn (string $key): string => is_string($given[$key] ?? null) ? $given[$key] : '';

        return TypedSchool::files(
            $text('name'),
            $text('zone'),
            $text('term'),
            LocalDate::parse($text('term_first')),
            LocalDate::parse($text('term_last')),
            $text('sections'),
            $text('students'),
        );
    }
}
