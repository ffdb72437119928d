<?php

return [
    'default' => 'local',
    'disks' => [
        'local' => [
            'driver' => 'local',
            'root' => storage_path('app'),
            'throw' => true,
        ],
        // Where files lie that teachers bring for their sections.
        'materials' => [
            'driver' => env('MATERIALS_DISK', 'local'),
            'root' => env('MATERIALS_ROOT', storage_path('app/materials')),
            'throw' => true,
            'permissions' => [
                'file' => ['public' => 0600, 'private' => 0600],
                'dir' => ['public' => 0700, 'private' => 0700],
            ],
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
