<?php

return [
    'there' => 'There is a school here now. What you type on the first page would be a whole school; bring what is to '
        .'be '.
        'added as files here.',
    'title' => 'Begin with your school',
    'sum' => 'nothing is saved before you have seen what comes of it',
    'hint' => 'Three things are enough to begin; patterns, links and registrations follow from them on their '.
    'own pages.'.
        ' What is missing can be added later.',
    'steps' => [
        'school' => '1 · The school and its term',
        'sections' => '2 · Sections and their teachers',
        'students' => '3 · Students',
    ],
    'name' => 'Name of the school',
    'zone' => 'Time zone of the school',
    'zone_hint' => 'As in Europe/Madrid. Every time on the screen is on this clock.',
    'term' => 'Name of the term',
    'first' => 'First day',
    'last' => 'Last day',
    'sections_hint' => 'A line each, as it comes out of a sheet: title, year, teacher’s given name, family '.
    'name, address.',
    'sections_example' => "Marine Science, 8, Nadir, Haddad, n.haddad@school.example\nMathematics, 8, Inés, Belmar, "
            .'i.belmar@school.example',
    'students_hint' => 'A line each: given name, family name, address, year; and, where it is not all '.
    'sections of the year,'.
        ' their titles with | between them. May be left for later.',
    'students_example' => "Galia, Zabalo, galia@school.example, 8\nRui, Mestre, rui@school.example, 8, Marine Science",
    'go' => 'Look at it',
    'files' => [
        'title' => 'Or as files',
        'hint' => 'A larger school comes out of its own system as OneRoster 1.1, with closures and timetable '.
        'beside it.',
        'import' => 'Bring files…',
        'sample' => 'A sample folder to fill in (.zip)',
        'sample_hint' => 'Every file with two lines of an invented school, and its columns explained.',
    ],
    'demo' => [
        'title' => 'Or look first',
        'hint' => 'The demo school runs beside this one, on a database and ports of its own: README, “Two '.
        'copies side by '
                .'side”.',
    ],
    'faults' => [
        'name' => 'Write the school’s name.',
        'zone' => 'Choose a time zone of the list, as in Europe/Madrid.',
        'term' => 'Write the term’s name.',
        'term_first' => 'Write the term’s first day, as in 11 Jan.',
        'term_last' => 'Write the term’s last day, as in 23 Apr.',
        'sections' => 'Write at least one section, a line each.',
        'students' => 'That is more than can be typed. Bring the students as files.',
    ],
    'columns' => "What the files of this folder hold\n".
        'Put your own rows in their place, make a zip of the folder, and bring it on the page Import. Bring it again '.
        "whenever something has changed: rows are known again by their sourcedId.\n\n".
        'orgs.csv          the school: sourcedId (a code of yours that stays), name, type (school), '.
        "metadata.timeZone\n".
        "academicSessions  the term: sourcedId, title, type (term), startDate, endDate (2027-01-11)\n".
        "courses.csv       what is taught: sourcedId, title, courseCode\n".
        'classes.csv       sections: sourcedId, title, grades (the year), courseSourcedId, schoolSourcedId, '.
        "termSourcedIds\n".
        'users.csv         people: sourcedId, role (student, teacher, guardian, administrator), givenName, '.
        'familyName, '.
        "email, grades, agentSourcedIds (guardians), and if you like metadata.timeZone and metadata.language (es)\n".
        'enrollments.csv   who is in which section: sourcedId, classSourcedId, userSourcedId, role (student, '.
        'teacher), '.
        "primary (true for its teacher), beginDate, endDate (empty for the whole term)\n".
        "closures.ics      closed days, one event each; the summary is the reason\n".
        'timetable.csv     one series a row: class_sourced_id, title, dtstart (2027-01-12T10:00), minutes, tzid, '
            ."rrule\n\n".
        "A row whose status is tobedeleted is as if it were not there.\n",
];
