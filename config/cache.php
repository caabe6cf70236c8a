<?php

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'file' => ['driver' => 'file', 'path' => storage_path('framework/cache/data')],
        // Terrains and pictures, keyed by the hash of what they were computed from.
        'computed' => ['driver' => 'file', 'path' => env('COMPUTED_PATH', storage_path('computed'))],
    ],
    'prefix' => '',
];
