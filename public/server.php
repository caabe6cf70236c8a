<?php

// Router for PHP's own web server: files under public/ as they are, with a year in the browser's cache where their
// name carries a hash; everything else goes to the application.

$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$file = realpath(__DIR__.$path);
$types = [
    'css' => 'text/css',
    'js' => 'text/javascript',
    'woff2' => 'font/woff2',
    'woff' => 'font/woff',
    'svg' => 'image/svg+xml',
    'ico' => 'image/x-icon',
];
$type = $types[pathinfo($path, PATHINFO_EXTENSION)] ?? null;

if ($type !== null && $file !== false && str_starts_with($file, __DIR__.'/') && is_file($file)) {
    header('Content-Type: '.$type);
    header('X-Content-Type-Options: nosniff');
    header('Cache-Control: '.(str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'));
    readfile($file);

    return true;
}

require __DIR__.'/index.php';
