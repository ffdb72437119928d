<?php

declare(strict_types=1);

namespace Tests\Support;

/** The import files of a school of three sections, in the term of the scenario. */
final class SmallSchool
{
    /**
     * @param  array<string, string|null>  $change  files instead of its own; null leaves one out
     * @return array<string, string>
     */
    public static function files(array $change = []): array
    {
        $users =
            "sourcedId,status,role,givenName,familyName,email,grades,agentSourcedIds,metadata.timeZone\n".
            "A-1,,administrator,Candela,Marrero,candela@school.example,,,Europe/Madrid\n".
            "T-1,,teacher,Inés,Belmar,ines@school.example,,,Europe/Madrid\n".
            "T-2,,teacher,Nadir,Haddad,nadir@school.example,,,Africa/Casablanca\n".
            "S-1,,student,Galia,Zabalo,galia@school.example,08,G-1,Atlantic/Canary\n".
            "S-2,,student,Rui,Mestre,rui@school.example,08,,Africa/Casablanca\n".
            "S-3,,student,Teo,Kallas,teo@school.example,08,,\n".
            "S-4,,student,Lúa,Piñeiral,lua@school.example,07,,\n".
            "G-1,,guardian,Mar,Zabalo,mar@home.example,,,\n";
        $enrolments =
            "sourcedId,status,classSourcedId,userSourcedId,role,primary,beginDate,endDate\n".
            "E-1,,MAR,T-2,teacher,true,,\nE-2,,MAR,S-1,student,false,,\nE-3,,MAR,S-2,student,false,,\n".
            "E-4,,MAR,S-3,student,false,,2027-02-20\n".
            "E-5,,SPA,T-1,teacher,true,,\nE-6,,SPA,S-4,student,false,,\nE-7,,STA,T-1,teacher,true,,\n".
            "E-8,,STA,S-3,student,false,,\n";

        return array_filter(
            [
                ...[
                    'orgs.csv' => self::csv(
                        'sourcedId,status,name,type,metadata.timeZone',
                        'MTS,,Marisma Travelling School,school,Europe/Madrid',
                    ),
                    'academicSessions.csv' => self::csv(
                        'sourcedId,status,title,type,startDate,endDate',
                        '27S,,Spring term,term,2027-01-11,2027-04-23',
                    ),
                    'courses.csv' => self::csv(
                        'sourcedId,status,title,courseCode',
                        '8MAR,,Marine Science,8MAR',
                        '7SPA,,Spanish Language,7SPA',
                        '8STA,,Statistics,8STA',
                    ),
                    'classes.csv' => self::csv(
                        'sourcedId,status,title,grades,courseSourcedId,schoolSourcedId,termSourcedIds',
                        'MAR,,Marine Science,08,8MAR,MTS,27S',
                        'SPA,,Spanish Language,07,7SPA,MTS,27S',
                        'STA,,Statistics,08,8STA,MTS,27S',
                    ),
                    'users.csv' => $users,
                    'enrollments.csv' => $enrolments,
                    'closures.ics' => self::closures(),
                    'timetable.csv' => self::csv(
                        'class_sourced_id,title,dtstart,minutes,tzid,rrule',
                        'MAR,Marine Science,2027-01-12T10:00,47,Europe/Madrid,'.
                            '"FREQ=WEEKLY;BYDAY=TU,TH;UNTIL=20270423T215959Z"',
                        'SPA,Spanish Language,2027-01-11T09:00,40,Europe/Madrid,"FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR"',
                    ),
                ],
                ...$change,
            ],
            fn (?string $text): bool => $text !== null,
        );
    }

    public static function csv(string ...$rows): string
    {
        return implode("\n", $rows)."\n";
    }

    public static function closures(): string
    {
        $events = '';
        foreach (
            [
                ['staff', '20270129', '20270130', 'Staff day'],
                ['carnival', '20270215', '20270218', 'Carnival'],
                ['easter', '20270322', '20270403', 'Easter break'],
            ] as [$uid, $from, $to, $why]
        ) {
            $events .=
                "BEGIN:VEVENT\r\nUID:$uid\r\nDTSTAMP:20261201T080000Z\r\nSUMMARY:$why\r\n".
                "DTSTART;VALUE=DATE:$from\r\nDTEND;VALUE=DATE:$to\r\nEND:VEVENT\r\n";
        }

        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//T//T//EN\r\n{$events}END:VCALENDAR\r\n";
    }

    /**
     * Writes the files into a new folder.
     *
     * @param  array<string, string|null>  $change
     */
    public static function folder(array $change = []): string
    {
        $folder = sys_get_temp_dir().'/school-'.bin2hex(random_bytes(5));
        mkdir($folder);
        foreach (self::files($change) as $name => $text) {
            file_put_contents("$folder/$name", $text);
        }

        return $folder;
    }
}
