<?php

return [
    'host' => 'There is no page here. Ask for the address that your school gave you.',
    'key' => [
        'title' => 'The key does not fit the database',
        'text' => 'Links, codes and letters are sealed with another APP_KEY than the one in .env. Put that one back, '.
            'as it was when the database was made or saved; nothing is lost, and nothing can be opened without it.',
        'console' => 'APP_KEY does not fit this database: what is sealed in it was sealed with another. Put that '.
            'key back into .env.',
    ],
];
