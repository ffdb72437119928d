<?php

return [
    'there' => 'A school exists here now. The first page is for a new, empty school. To add to this one, import files '
        .'here.',
    'title' => 'Set up your school',
    'sum' => 'Nothing is saved until you have seen the preview.',
    'hint' => 'Three things are enough to start. Timetables, links and registrations follow on their own pages, and '
        .'anything missing can be added later.',
    'steps' => [
        'school' => '1 · The school and its term',
        'sections' => '2 · Sections and their teachers',
        'students' => '3 · Students',
    ],
    'name' => 'Name of the school',
    'zone' => 'Time zone of the school',
    'zone_hint' => 'For example Europe/Madrid. All times on screen use this clock.',
    'term' => 'Name of the term',
    'first' => 'First day',
    'last' => 'Last day',
    'sections_hint' => 'One section per line, as copied from a spreadsheet: title, year, teacher’s given name, family '
        .'name, email address.',
    'sections_example' => "Marine Science, 8, Nadir, Haddad, n.haddad@school.example\nMathematics, 8, Inés, Belmar, "
            .'i.belmar@school.example',
    'students_hint' => 'One student per line: given name, family name, email address, year. To enrol a student in '
        .'some sections only, add their titles separated by |. You can also do this later.',
    'students_example' => "Galia, Zabalo, galia@school.example, 8\nRui, Mestre, rui@school.example, 8, Marine Science",
    'go' => 'Preview',
    'files' => [
        'title' => 'Or import files',
        'hint' => 'For a larger school, export OneRoster 1.1 from its own system and add closed days and timetable.',
        'import' => 'Upload files…',
        'sample' => 'Sample folder to fill in (.zip)',
        'sample_hint' => 'Each file has two sample rows, and its columns are explained.',
    ],
    'demo' => [
        'title' => 'Or try the demo first',
        'hint' => 'The demo school runs beside this one, with its own database and ports: see README, “Two copies '
            .'side by side”.',
    ],
    'faults' => [
        'name' => 'Enter the school’s name.',
        'zone' => 'Choose a time zone from the list, for example Europe/Madrid.',
        'term' => 'Enter the term’s name.',
        'term_first' => 'Enter the term’s first day, for example 11 Jan.',
        'term_last' => 'Enter the term’s last day, for example 23 Apr.',
        'sections' => 'Enter at least one section, one per line.',
        'students' => 'That is more than can be typed here. Upload the students as files.',
    ],
    'columns' => "What the files in this folder hold\nReplace the sample rows with your own, zip the folder, and "
        .'upload it on the page Import. Upload it again whenever something changes: rows are recognised by their '
        ."sourcedId.\n\norgs.csv          the school: sourcedId (a code of your own that never changes), name, type "
        ."(school), metadata.timeZone\nacademicSessions  the term: sourcedId, title, type (term), startDate, endDate "
        ."(2027-01-11)\ncourses.csv       what is taught: sourcedId, title, courseCode\nclasses.csv       sections: "
        ."sourcedId, title, grades (the year), courseSourcedId, schoolSourcedId, termSourcedIds\nusers.csv         "
        .'people: sourcedId, role (student, teacher, guardian, administrator), givenName, familyName, email, grades, '
        ."agentSourcedIds (guardians), and optionally metadata.timeZone and metadata.language (es)\nenrollments.csv   "
        .'who is in which section: sourcedId, classSourcedId, userSourcedId, role (student, teacher), primary (true '
        ."for its teacher), beginDate, endDate (empty for the whole term)\nclosures.ics      closed days, one event "
        ."each; the summary is the reason\ntimetable.csv     one series per row: class_sourced_id, title, dtstart "
        ."(2027-01-12T10:00), minutes, tzid, rrule\n\nA row whose status is tobedeleted is ignored.\n",
];
