<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Nomada\Core\Interchange\Csv;
use Nomada\Core\Interchange\CsvText;
use Nomada\Core\Interchange\TypedSchool;
use Nomada\Core\Term\LocalDate;

/** A small invented school as an import folder, to be filled in with one's own; its columns are explained beside it. */
final class SampleFolder
{
    /** @return array<string, string> texts by file */
    public static function files(): array
    {
        $first = LocalDate::parse('2027-01-11');
        $files = TypedSchool::files(
            'Sample school',
            'Europe/Madrid',
            'Spring term',
            $first,
            LocalDate::parse('2027-04-23'),
            "Marine Science,8,Nadir,Haddad,nadir@school.example\nMathematics,8,Inés,Belmar,ines@school.example",
            "Galia,Zabalo,galia@school.example,8\nRui,Mestre,rui@school.example,8",
        );

        $section = (new Csv('classes.csv', $files['classes.csv'], ['sourcedId']))->rows[0]->get('sourcedId');

        return $files + [
            'timetable.csv' => CsvText::write([
                ['class_sourced_id', 'title', 'dtstart', 'minutes', 'tzid', 'rrule'],
                [
                    $section,
                    'Marine Science',
                    '2027-01-12T10:00',
                    47,
                    'Europe/Madrid',
                    'FREQ=WEEKLY;BYDAY=TU,TH;UNTIL=20270423T215959Z',
                ],
            ]),
            'closures.ics' => implode("\r\n", [
                'BEGIN:VCALENDAR',
                'VERSION:2.0',
                'PRODID:-//Nomada//Sample 1//EN',
                'BEGIN:VEVENT',
                'UID:carnival@sample.example',
                'DTSTAMP:20270101T000000Z',
                'DTSTART;VALUE=DATE:20270215',
                'DTEND;VALUE=DATE:20270218',
                'SUMMARY:Carnival',
                'END:VEVENT',
                'END:VCALENDAR',
                '',
            ]),
            'READ ME.txt' => (string) __('begin.columns'),
        ];
    }
}
