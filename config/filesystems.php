<?php

return [
    'default' => 'local',
    'disks' => [
        'local' => [
            'driver' => 'local',
            'root' => storage_path('app'),
            'throw' => true,
        ],
        // Where recordings lie: any of the framework's disks. Nobody reads them but through us.
        'recordings' => [
            'driver' => env('RECORDINGS_DISK', 'local'),
            'root' => env('RECORDINGS_ROOT', storage_path('app/recordings')),
            'throw' => true,
            'permissions' => [
                'file' => ['public' => 0600, 'private' => 0600],
                'dir' => ['public' => 0700, 'private' => 0700],
            ],
        ],
    ],
];
