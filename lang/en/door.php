<?php

return [
    'looks_again' => 'This page looks again by itself.',
    'pass' => [
        'ask' => 'Ask to come in here',
        'asked' => 'The teacher has been asked. Look again in a minute.',
        'kept' => 'The teacher has decided that the pass stays in the other browser.',
        'look' => 'Look again',
    ],
];
