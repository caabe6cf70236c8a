<?php

declare(strict_types=1);

// Changes seeded places in core, one at a time, and names those that no test of the core notices. Called by bin/mutate.

use Symfony\Component\Process\Process;
use Tests\Mutate\Mutations;

require __DIR__.'/../../vendor/autoload.php';

$root = dirname(__DIR__, 2);
$options = getopt('', ['count:', 'seed:', 'workers:', 'only:', 'again:']);
$count = (int) ($options['count'] ?? 200);
$seed = (int) ($options['seed'] ?? 1);
$workers = (int) ($options['workers'] ?? 2);
$only = $options['only'] ?? '';
$scratch = sys_get_temp_dir().'/mutate-'.getmypid();
mkdir($scratch);
register_shutdown_function(fn () => array_map(unlink(...), glob("{$scratch}/*") ?: []) && rmdir($scratch));

$phpunit = function (string $test, array $env, float $seconds) use ($root): Process {
    $settings = ['-d', 'memory_limit=512M'];

    return new Process(
        [
            PHP_BINARY,
            ...$settings,
            'vendor/bin/phpunit',
            '--bootstrap',
            'tests/Mutate/bootstrap.php',
            '--stop-on-defect',
            '--no-progress',
            $test,
        ],
        $root, $env, timeout: $seconds,
    );
};

// Which test loads which file of the core, and how long it takes.
$tests = [];
$files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/tests/Core", FilesystemIterator::SKIP_DOTS));
foreach ($files as $file) {
    if ($file instanceof SplFileInfo && str_ends_with($file->getFilename(), 'Test.php')) {
        $tests[] = substr($file->getPathname(), strlen($root) + 1);
    }
}
sort($tests);
$known = [];
$learned = "{$root}/storage/framework/testing/mutate.json";
$stamp = sha1(implode('', array_map(fn (string $t): string => $t.filesize("{$root}/{$t}"), $tests)));
if (is_file($learned)) {
    $known = json_decode((string) file_get_contents($learned), true);
    $known = ($known['stamp'] ?? '') === $stamp ? $known['tests'] : [];
}
if ($known === []) {
    $running = [];
    $queue = $tests;
    while ($queue !== [] || $running !== []) {
        while ($queue !== [] && count($running) < $workers) {
            $test = array_shift($queue);
            $process = $phpunit($test, ['LOADS' => $loads = "{$scratch}/".md5($test)], 900.0);
            $process->start();
            $running[$test] = [$process, microtime(true), $loads];
        }
        foreach ($running as $test => [$process, $began, $loads]) {
            if (! $process->isRunning()) {
                if (! $process->isSuccessful()) {
                    exit("{$test} fails as it is.\n{$process->getOutput()}");
                }
                $known[$test] = [
                    'seconds' => round(microtime(true) - $began, 2),
                    'files' => explode("\n", (string) file_get_contents($loads)),
                ];
                unset($running[$test]);
            }
        }
        usleep(20_000);
    }
    @mkdir(dirname($learned), 0777, true);
    file_put_contents($learned, json_encode(['stamp' => $stamp, 'tests' => $known]));
}

$places = [];
$core = new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/core", FilesystemIterator::SKIP_DOTS));
$sources = [];
foreach ($core as $file) {
    if ($file instanceof SplFileInfo) {
        $sources[] = substr($file->getPathname(), strlen("{$root}/core/"));
    }
}
sort($sources);
foreach ($sources as $path) {
    if ($only === '' || str_starts_with($path, $only)) {
        foreach (Mutations::in((string) file_get_contents("{$root}/core/{$path}")) as $place) {
            $places[] = ['path' => $path] + $place;
        }
    }
}
mt_srand($seed);
shuffle($places);
if (isset($options['again'])) {
    $named = (string) file_get_contents((string) $options['again']);
    $says = fn (array $place): string => "core/{$place['path']}:{$place['line']}: {$place['old']} → {$place['new']}";
    $places = array_values(array_filter($places, fn (array $place): bool => str_contains($named, $says($place))));
}
$chosen = array_slice($places, 0, $count);
fprintf(STDERR, "%d of %d places, seed %d\n", count($chosen), count($places), $seed);

// Those of the same folder first, the quick before the slow.
$order = function (string $path) use ($known): array {
    $those = array_filter($known, fn (array $t): bool => in_array($path, $t['files'], true));
    $near = fn (string $test): int => str_starts_with($test, 'tests/Core/'.dirname($path).'/') ? 0 : 1;
    uksort($those, fn (string $a, string $b): int => [$near($a), $those[$a]['seconds']] <=> [$near($b), $those[$b]['seconds']]);

    return array_map(fn (array $t): float => $t['seconds'], $those);
};
$jobs = [];
$survivors = [];
$caught = 0;
$next = 0;
while ($next < count($chosen) || $jobs !== []) {
    while ($next < count($chosen) && count($jobs) < $workers) {
        $place = $chosen[$next];
        $code = (string) file_get_contents("{$root}/core/{$place['path']}");
        $copy = "{$scratch}/{$next}.php";
        file_put_contents($copy, substr($code, 0, $place['from']).$place['new'].substr($code, $place['to']));
        $class = 'IdleRidge\Core\\'.str_replace('/', '\\', substr($place['path'], 0, -4));
        $jobs[$next] = ['place' => $place, 'env' => ['MUTANT' => "{$class}|{$copy}"], 'tests' => $order($place['path']), 'process' => null];
        $next++;
    }
    foreach ($jobs as $k => &$job) {
        $process = $job['process'];
        if ($process instanceof Process) {
            $ended = ! $process->isRunning();
            try {
                $process->checkTimeout();
            } catch (Symfony\Component\Process\Exception\ProcessTimedOutException) {
                $ended = true;
            }
            if (! $ended) {
                continue;
            }
            if (! $process->isSuccessful()) {
                $caught++;
                unset($jobs[$k]);

                continue;
            }
        }
        if ($job['tests'] === []) {
            $survivors[] = $job['place'];
            fwrite(STDERR, "core/{$job['place']['path']}:{$job['place']['line']}: {$job['place']['old']} → {$job['place']['new']}\n");
            unset($jobs[$k]);

            continue;
        }
        $test = (string) array_key_first($job['tests']);
        $job['process'] = $phpunit($test, $job['env'], 20.0 + 6.0 * $job['tests'][$test]);
        unset($job['tests'][$test]);
        $job['process']->start();
    }
    unset($job);
    usleep(10_000);
}
usort($survivors, fn (array $a, array $b): int => [$a['path'], $a['line']] <=> [$b['path'], $b['line']]);
foreach ($survivors as $place) {
    $line = trim(explode("\n", (string) file_get_contents("{$root}/core/{$place['path']}"))[$place['line'] - 1]);
    echo "core/{$place['path']}:{$place['line']}: {$place['old']} → {$place['new']}   {$line}\n";
}
printf("%d of %d noticed (%.1f %%), seed %d\n", $caught, count($chosen), 100.0 * $caught / max(1, count($chosen)), $seed);
