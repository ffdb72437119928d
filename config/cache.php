<?php

$folder = storage_path('framework/cache/data/'.env('DB_DATABASE', 'nomada'));

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        // What is kept is of one school: two copies on one machine have a database each, and share these files.
        'file' => ['driver' => 'file', 'path' => $folder, 'lock_path' => $folder],
    ],
];
