<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

/** The manifest of a OneRoster 1.1 CSV package: it says of every file of the standard whether the package holds it. */
final class OneRosterManifest
{
    public const NAME = 'manifest.csv';

    /** The files of OneRoster 1.1, in the order of its CSV binding. */
    private const FILES = [
        'academicSessions',
        'categories',
        'classes',
        'classResources',
        'courses',
        'courseResources',
        'demographics',
        'enrollments',
        'lineItems',
        'orgs',
        'resources',
        'results',
        'users',
    ];

    /**
     * @param  list<string>  $held  without `.csv`; each file of them holds everything there is (`bulk`)
     * @return list<array{string, string}> property and value, with the heading
     */
    public static function of(array $held): array
    {
        return [
            ['propertyName', 'value'],
            ['manifest.version', '1.0'],
            ['oneroster.version', '1.1'],
            ...array_map(
                fn (string $file): array => ["file.$file", in_array($file, $held, true) ? 'bulk' : 'absent'],
                self::FILES,
            ),
            ['source.systemName', 'Nomada'],
            ['source.systemCode', 'nomada'],
        ];
    }
}
