<?php

declare(strict_types=1);

// Loads one file of the core from another place: its changed copy. MUTANT names both.

$autoload = require __DIR__.'/../../vendor/autoload.php';
$mutant = (string) getenv('MUTANT');
if ($mutant !== '') {
    [$class, $file] = explode('|', $mutant, 2);
    spl_autoload_register(function (string $wanted) use ($class, $file): void {
        if ($wanted === $class) {
            require $file;
        }
    }, prepend: true);
}
$loads = (string) getenv('LOADS');
if ($loads !== '') {
    register_shutdown_function(function () use ($loads): void {
        $core = dirname(__DIR__, 2).'/core/';
        $files = array_filter(get_included_files(), fn (string $f): bool => str_starts_with($f, $core));
        file_put_contents($loads, implode("\n", array_map(fn (string $f): string => substr($f, strlen($core)), $files)));
    });
}
