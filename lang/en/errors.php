<?php

return [
    'host' => 'There is no page here. Ask for the address that your school gave you.',
    'pages' => [
        '401' => [
            'title' => 'Sign in first',
            'text' => 'This page is for somebody who is signed in.',
        ],
        '403' => [
            'title' => 'Not yours to see',
            'text' => 'You are signed in, but this page belongs to somebody else. If it should be yours, ask the '.
                'coordinator.',
        ],
        '404' => [
            'title' => 'Nothing here',
            'text' => 'There is no page at this address. If a link brought you here, it was changed or has a slip '.
                'in it; look it up again where you found it.',
        ],
        '405' => [
            'title' => 'Not this way',
            'text' => 'This address is not opened like that. Go back, and use the button on the page.',
        ],
        '419' => [
            'title' => 'This page waited too long',
            'text' => 'It was open for so long that it is no longer safe to send. Go back, load it again, and send '.
                'it once more; nothing was changed.',
        ],
        '429' => [
            'title' => 'Too many tries',
            'text' => 'Too many tries came from here in a short time. Wait a minute, then try again.',
        ],
        '4xx' => [
            'title' => 'This did not work',
            'text' => 'The request could not be answered. Go back and try again.',
        ],
        '500' => [
            'title' => 'Something broke',
            'text' => 'This is our mistake, and it is written down. Nothing half-done is kept. Try again; if it '.
                'happens again, tell the coordinator what you were doing.',
        ],
        '503' => [
            'title' => 'Back in a moment',
            'text' => 'Nomada is being looked after. What is under way goes on afterwards by itself.',
        ],
        '5xx' => [
            'title' => 'Something broke',
            'text' => 'This is our mistake, and it is written down. Try again in a moment.',
        ],
    ],
    'first' => 'To the first page',
    'sign_in' => 'Sign in',
    'key' => [
        'title' => 'The key does not fit the database',
        'text' => 'Links, codes and letters are sealed with another APP_KEY than the one in .env. Put that one back, '.
            'as it was when the database was made or saved; nothing is lost, and nothing can be opened without it.',
        'console' => 'APP_KEY does not fit this database: what is sealed in it was sealed with another. Put that '.
            'key back into .env.',
    ],
];
