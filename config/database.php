<?php

$sqlite = fn (string $path): array => [
    'driver' => 'sqlite',
    'database' => $path,
    'prefix' => '',
    'foreign_key_constraints' => true,
    // Who wants to write waits for its turn, milliseconds.
    'busy_timeout' => 30_000,
    'journal_mode' => 'WAL',
    // What was said to be saved is on the disk, also when the power goes the moment after.
    'synchronous' => 'FULL',
];

return [
    'default' => 'sqlite',
    'connections' => [
        'sqlite' => $sqlite(env('DB_DATABASE', storage_path('ridge.sqlite'))),
        // The queue and its progress have a file of their own, so that a long computation never holds up a save.
        'queue' => $sqlite(env('DB_QUEUE_DATABASE', storage_path('queue.sqlite'))),
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
