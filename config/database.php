<?php

return [
    'default' => 'pgsql',
    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '54330'),
            'database' => env('DB_DATABASE', 'nomada'),
            'username' => env('DB_USERNAME', 'nomada'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'prefix_indexes' => true,
            'search_path' => 'public',
            'sslmode' => 'prefer',
            'timezone' => 'UTC',
            // Every question goes in one round trip instead of three.
            'options' => defined('PDO::PGSQL_ATTR_DISABLE_PREPARES')
                ? [PDO::PGSQL_ATTR_DISABLE_PREPARES => true]
                : [],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
