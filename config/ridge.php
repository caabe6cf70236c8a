<?php

return [
    // A moment in ISO 8601 freezes the clock; a file holding one freezes it too and may be rewritten to step it.
    'now' => env('RIDGE_NOW'),
    'clock_file' => env('RIDGE_CLOCK_FILE'),
];
