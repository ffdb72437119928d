<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

/**
 * A section's score as OneRoster 1.1 CSV writes it: categories.csv, lineItems.csv, results.csv, and the manifest that
 * says so (IMS OneRoster v1.1, CSV tables).
 */
final class Gradebook
{
    /**
     * @param  string  $first  ISO; $last likewise: when it was given and when it is due
     * @param  list<GradebookResult>  $results
     * @return array<string, list<list<string|int|float|null>>> rows by file name, the header first
     */
    public static function files(
        string $section,
        string $title,
        string $school,
        string $first,
        string $last,
        int $maximum,
        array $results,
    ): array {
        $item = "$section-participation";
        $rows = [
            [
                'sourcedId',
                'status',
                'dateLastModified',
                'lineItemSourcedId',
                'studentSourcedId',
                'scoreStatus',
                'score',
                'scoreDate',
                'comment',
            ],
        ];
        foreach ($results as $one) {
            $rows[] = [
                "$item-$one->person",
                '',
                '',
                $item,
                $one->person,
                'fully graded',
                $one->points,
                $last,
                $one->comment,
            ];
        }

        return [
            OneRosterManifest::NAME => OneRosterManifest::of(['categories', 'lineItems', 'results']),
            'categories.csv' => [
                ['sourcedId', 'status', 'dateLastModified', 'title'],
                ['participation', '', '', $title],
            ],
            'lineItems.csv' => [
                [
                    'sourcedId',
                    'status',
                    'dateLastModified',
                    'title',
                    'description',
                    'assignDate',
                    'dueDate',
                    'classSourcedId',
                    'categorySourcedId',
                    'gradingPeriodSourcedId',
                    'resultValueMin',
                    'resultValueMax',
                    'schoolSourcedId',
                ],
                [$item, '', '', $title, '', $first, $last, $section, 'participation', '', 0, $maximum, $school],
            ],
            'results.csv' => $rows,
        ];
    }
}
