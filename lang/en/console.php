<?php

// What the commands say; what they are for stands beside them, since it is read before there are words.
return [
    'check' => [
        'disabled' => 'enrolment :enrolment does not know who is disabled',
        'right' => 'Everything that is derived is as it follows from what is decided.',
        'sessions' => ':section, :series: its sessions are others',
    ],
    'coordinator' => [
        'address' => '":address" is no address. Write one as in candela@school.example.',
        'shared' => ':address is shared by several people. Give one of them an address of their own.',
    ],
    'demo' => [
        'faults' => 'The demo school has faults: php artisan nomada:import database/demo/marisma',
        'loaded' => 'A school is loaded already. The demo goes into an empty database only.',
        'loading' => 'Loading the demo school (only on the first start)',
        'none' => 'This is not a demo. Set NOMADA_DEMO=true in .env to make it one.',
    ],
    'door' => [
        'moment' => 'Write the moment as 2027-02-09T09:52.',
        'no_link' => 'There is no such link or join code.',
        'nobody' => 'Nobody has this sourcedId.',
    ],
    'free' => [
        'costs' => 'What it costs',
        'hours' => 'Out of hours',
        'shift' => 'Shift in days',
    ],
    'import' => [
        'counts' => ':kind: :added added, :changed changed, :removed removed',
        'faults' => 'Nothing was saved: :count fault. Mend it, or take the good rows with --take-good.|'.
            'Nothing was saved: :count faults. Mend them, or take the good rows with --take-good.',
        'saved' => 'Saved.',
        'warning' => 'Warning: :what',
    ],
    'large' => 'Ask for 1 to 5000 sections and up to 100000 students.',
    'letters' => ':n letters sent.',
    'licences' => [
        'fewest' => 'fewest that suffice',
        'peak' => 'at one time',
        'split' => 'series split',
        'standing' => 'standing ones to change',
        'without' => 'sessions without an account',
    ],
    'links' => ':done links made, :failed failed.',
    'no_file' => 'There is no file ":path".',
    'no_person' => 'There is no person :person. Give the sourcedId of users.csv.',
    'no_section' => 'No section has this id.',
    'no_term' => 'There is no term yet. Import a school first.',
    'no_term_import' => 'There is no term yet. Import a school first: php artisan nomada:import PATH',
    'nothing_kept' => 'Nothing was kept:',
    'one_section' => 'Name one section: --section=ID.',
    'presence' => [
        'new' => ':count new event|:count new events',
        'of' => ':new new events of :people people',
    ],
    'publish' => [
        'done' => ':done placements done, :failed failed.',
        'right' => 'Everything stands as it should.',
    ],
    'recording' => [
        'none' => ':section has held no session on :day.',
        'ready' => ':count became ready|:count became ready',
    ],
    'run' => [
        'accounts' => 'Demo accounts, all with the password',
        'again' => ':name ended and is started again; see storage/logs/:name.log',
        'end' => 'Ctrl-C ends all of it.',
        'ended' => 'Ended.',
        'nomada' => 'Nomada is at',
        'not_up' => 'The server did not come up within 10 s; see storage/logs/web.log and storage/logs/standins.log.',
        'standins' => 'Stand-ins at',
    ],
    'taken_up' => ':lanes lanes taken up, :runs runs begun.',
    'unknown_section' => 'There is no section with the sourcedId ":id".',
];
