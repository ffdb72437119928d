<?php

return [
    'looks_again' => 'This page looks again by itself.',
    'recorded' => 'This session is being recorded. If you do not want to be in it, keep microphone and camera off '.
        'and tell your teacher.',
    'pass' => [
        'ask' => 'Ask to come in here',
        'asked' => 'The teacher has been asked. Look again in a minute.',
        'kept' => 'The teacher has decided that the pass stays in the other browser.',
        'look' => 'Look again',
    ],
];
