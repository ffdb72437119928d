<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Nomada\App\Actions\Term\ImportSchool;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Interchange\ImportLine;
use Nomada\Core\Interchange\SchoolData;

/** What an import would do, before it is done: its faults, what is dangerous, what stays, and all the rest by kind. */
final readonly class ImportPreview
{
    /** Of how many lines of a kind each is named; the rest is counted. */
    private const NAMED = 60;

    /**
     * @param  list<ImportFault>  $faults  faults, then warnings, the first 500
     * @param  list<ImportLine>  $dangerous  asked for one by one
     * @param  list<ImportLine>  $stays  what was made, renamed or deleted by hand, and stays so
     * @param  array<string, array{lines: list<ImportLine>, counts: array<string, int>, more: int}>  $others  by kind
     */
    private function __construct(
        public string $key,
        public string $school,
        public int $faultCount,
        public int $warningCount,
        public array $faults,
        public int $followed,
        public bool $needsZone,
        public array $dangerous,
        public array $stays,
        public array $others,
    ) {
    }

    public static function of(string $key, SchoolData $data, ImportSchool $import, Person $by): self
    {
        $canBeTaken = $data->school !== null || $data->faults === [];
        $lines = $canBeTaken && ! $data->needsZone ? $import->look($data, $by) : [];
        $others = [];
        foreach ($lines as $line) {
            if (! $line->isDangerous() && $line->verb !== 'stays') {
                $others[$line->kind]['counts'][$line->verb] =
                    ($others[$line->kind]['counts'][$line->verb] ?? 0) + 1;
                $others[$line->kind]['lines'][] = $line;
            }
        }

        return new self(
            $key,
            $data->school['name'] ?? '',
            count($data->faults),
            count($data->warnings),
            array_slice([...$data->faults, ...$data->warnings], 0, 500),
            array_sum($data->followed),
            $data->needsZone,
            array_values(array_filter($lines, fn (ImportLine $l): bool => $l->isDangerous())),
            array_values(array_filter($lines, fn (ImportLine $l): bool => $l->verb === 'stays')),
            array_map(
                fn (array $of): array => [
                    'lines' => array_slice($of['lines'], 0, self::NAMED),
                    'counts' => $of['counts'],
                    'more' => max(0, count($of['lines']) - self::NAMED),
                ],
                $others,
            ),
        );
    }
}
