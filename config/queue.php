<?php

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => ['driver' => 'database', 'connection' => 'queue', 'table' => 'jobs', 'queue' => 'default', 'retry_after' => 600],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => 'queue', 'table' => 'failed_jobs'],
];
