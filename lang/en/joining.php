<?php

return [
    'result' => [
        'done' => '{0}nothing was changed|{1}1 series changed|[2,*]:count series changed',
        'undone' => 'taken back',
        'series' => 'Series',
        'came' => 'What came of it',
        'back' => 'Back to joining',
        'publish' => 'Publish what is stale',
        'undo' => 'Take it back',
    ],
];
