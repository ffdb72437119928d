<?php

return [
    'closing' => [
        'region' => 'Before it is saved',
        'days' => '{1}:reason, :first:|[2,*]:reason, :first to :last:',
        'lost' => '{0}No session would be lost.|{1}1 session of :sections would be lost.|[2,*]:count sessions of '.
            ':sections would be lost.',
        'begun' => '{0}|{1}1 session that has begun stays.|[2,*]:count sessions that have begun stay.',
        'waiting' => '{1}1 change of a single session waits, and holds again when the day opens:|'.
            '[2,*]:count changes of single sessions wait, and hold again when the days open:',
        'more' => '{1}and 1 more|[2,*]and :count more',
        'are_lost' => 'they are lost',
        'make_up' => 'make them up: choose times next',
        'close' => 'Close these days',
        'leave' => 'Leave them open',
    ],
    'history' => [
        'title' => 'Changes of the calendar',
        'none' => 'Nothing was changed here yet.',
        'import' => 'import',
        'undone' => 'undone',
        'undo' => 'Undo',
    ],
    'read' => [
        'why' => 'Why',
        'from' => 'From',
        'to' => 'To',
        'falls' => 'What falls on it',
        'lost' => '{0}no session|{1}1 session of :sections|[2,*]:count sessions of :sections',
        'cut' => '· cut to the term',
        'hours' => '· it is from :hours only: ticked, it closes the whole day',
        'not' => ['outside' => 'outside the term', 'known' => 'closed already'],
        'take' => 'Close what is ticked',
        'back' => 'Back to the term',
    ],
    'sections' => '{1}1 section|[2,*]:count sections',
];
