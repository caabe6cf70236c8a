<?php

declare(strict_types=1);

// Names what is too long, and what is installed otherwise than it was tested. Called by bin/check.

const MAX_LINES = 500;
const MAX_WIDTH = 140;
const ENDINGS = ['php', 'js', 'scss'];

$root = dirname(__DIR__, 2);
$faults = [];
exec('git -C '.escapeshellarg($root).' ls-files -co --exclude-standard', $files);
foreach ($files as $file) {
    if (! in_array(pathinfo($file, PATHINFO_EXTENSION), ENDINGS, true) || ! is_file("{$root}/{$file}")) {
        continue;
    }
    $text = (string) file_get_contents("{$root}/{$file}");
    if (str_ends_with($file, '.php') && ! str_ends_with($file, '.blade.php')) {
        try {
            $parsed = PhpToken::tokenize($text, TOKEN_PARSE);
        } catch (ParseError $error) {
            $faults[] = "{$file}:{$error->getLine()}: {$error->getMessage()}";
        }
    }
    $lines = explode("\n", rtrim($text, "\n"));
    if (count($lines) > MAX_LINES) {
        $faults[] = "{$file}: ".count($lines).' lines, '.MAX_LINES.' at most';
    }
    foreach ($lines as $k => $line) {
        if (mb_strlen($line) > MAX_WIDTH) {
            $faults[] = "{$file}:".($k + 1).': '.mb_strlen($line).' characters, '.MAX_WIDTH.' at most';
        }
    }
}

// There is no lock file, for it would hold addresses: what is named by version in composer.json has to be just that, what comes along
// with it may be a later one of the same major version, and then it is said.
$tested = json_decode((string) file_get_contents(__DIR__.'/tested.json'), true, 4, JSON_THROW_ON_ERROR);
$named = json_decode((string) file_get_contents("{$root}/composer.json"), true, 8, JSON_THROW_ON_ERROR);
$direct = $named['require'] + $named['require-dev'];
$installed = [];
foreach ((require "{$root}/vendor/composer/installed.php")['versions'] as $name => $package) {
    if (isset($package['pretty_version']) && $name !== $named['name']) {
        $installed[$name] = ltrim($package['pretty_version'], 'v');
    }
}
foreach (array_keys($tested + $installed) as $name) {
    [$one, $other] = [$tested[$name] ?? 'none', $installed[$name] ?? 'none'];
    if ($one === $other) {
        continue;
    }
    $said = "{$name}: {$other} is installed, {$one} was tested";
    if (isset($direct[$name]) || explode('.', $one)[0] !== explode('.', $other)[0]) {
        $faults[] = $said;
    } else {
        fwrite(STDERR, "note: {$said}\n");
    }
}

echo implode("\n", $faults), $faults === [] ? '' : "\n";
exit($faults === [] ? 0 : 1);
