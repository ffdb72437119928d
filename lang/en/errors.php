<?php

return [
    'host' => 'This page does not exist. Use the link that your school gave you.',
    'pages' => [
        '401' => [
            'title' => 'Sign in first',
            'text' => 'You need to sign in to see this page.',
        ],
        '403' => [
            'title' => 'You do not have access',
            'text' => 'This page belongs to somebody else. If you should have access, ask the coordinator.',
        ],
        '404' => [
            'title' => 'Page not found',
            'text' => 'This page does not exist. If a link brought you here, it was changed or is incomplete. Look it '
                .'up again where you found it.',
        ],
        '405' => [
            'title' => 'This page cannot be opened directly',
            'text' => 'Go back and use the button on the page.',
        ],
        '419' => [
            'title' => 'The page expired',
            'text' => 'It was open for too long to be sent safely. Go back, reload it and send it again. Nothing was '
                .'changed.',
        ],
        '429' => [
            'title' => 'Too many attempts',
            'text' => 'Too many attempts were made from here in a short time. Wait a minute, then try again.',
        ],
        '4xx' => [
            'title' => 'This did not work',
            'text' => 'The request could not be answered. Go back and try again.',
        ],
        '500' => [
            'title' => 'Something went wrong',
            'text' => 'This is our mistake, and it has been recorded. Nothing was saved. Try again. If it happens '
                .'again, tell the coordinator what you were doing.',
        ],
        '503' => [
            'title' => 'Back in a moment',
            'text' => 'Nomada is being updated. Work in progress continues afterwards.',
        ],
        '5xx' => [
            'title' => 'Something went wrong',
            'text' => 'This is our mistake, and it has been recorded. Try again in a moment.',
        ],
    ],
    'first' => 'Go to the home page',
    'sign_in' => 'Sign in',
    'key' => [
        'title' => 'The key does not match the database',
        'text' => 'Links, codes and emails in this database are encrypted with another APP_KEY than the one in .env. '
            .'Restore the key that was in use when the database was made or backed up. Nothing is lost, but nothing '
            .'can be read without it.',
        'console' => 'APP_KEY does not match this database. Restore the key that its data was encrypted with to .env.',
    ],
];
