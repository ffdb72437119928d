<?php

return [
    'passes' => [
        'title' => '{1}1 pass in two browsers|[2,*]:count passes in two browsers',
        'why' => 'A pass lets in one person. The first browser keeps it until you decide otherwise.',
        'first' => 'First: :browser, since :at',
        'second' => 'Asks: :browser, at :at',
        'unknown' => 'an unknown browser',
        'move' => 'It is the same person: move it',
        'keep' => 'Leave it where it is',
        'moved' => 'The pass of :name was moved to the second browser.',
        'kept' => 'The pass of :name stays in the first browser.',
    ],
];
