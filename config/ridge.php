<?php

return [
    // A moment in ISO 8601 freezes the clock; a file holding one freezes it too and may be rewritten to step it.
    'now' => env('RIDGE_NOW'),
    'clock_file' => env('RIDGE_CLOCK_FILE'),
    // How long a search for a better plan goes on.
    'search_seconds' => (float) env('RIDGE_SEARCH_SECONDS', 20),
    // Whether other machines in the house may be let in, the address they come to, and where the hash of the code for that is kept.
    'lan' => env('RIDGE_LAN', false) === true || env('RIDGE_LAN') === '1',
    'house' => env('RIDGE_HOUSE', ''),
    'pairing' => storage_path('app/pairing'),
    // Where copies of all data are kept.
    'backups' => env('RIDGE_BACKUPS', storage_path('backups')),
];
