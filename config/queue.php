<?php

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => [
            'driver' => 'database',
            'connection' => 'pgsql',
            'table' => 'jobs',
            'queue' => 'default',
            // A job whose worker was killed is taken up again after this many seconds; none runs longer (see
            // RunLaneJob::$timeout).
            'retry_after' => (int) env('DB_QUEUE_RETRY_AFTER', 40),
            // Jobs are queued in the transaction that makes what they work on, in the same database: both come to be,
            // or neither.
            'after_commit' => false,
        ],
    ],
    'batching' => ['database' => 'pgsql', 'table' => 'job_batches'],
    'failed' => ['driver' => 'database-uuids', 'database' => 'pgsql', 'table' => 'failed_jobs'],
];
