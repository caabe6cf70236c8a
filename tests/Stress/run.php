<?php

declare(strict_types=1);

use App\Actions\House\Backups;
use App\Models\Layout;
use IdleRidge\Core\Coats\Library;
use Illuminate\Contracts\Console\Kernel;
use Tests\Feature\StressTest;
use Tests\Stress\Files;
use Tests\Stress\Race;
use Tests\Stress\Requests;
use Tests\Stress\Target;
use Tests\Stress\Whole;

require dirname(__DIR__, 2).'/vendor/autoload.php';

/** @var array<string, int> $wish */
$wish = ['kills' => 200, 'seconds' => 60, 'files' => 10_000, 'requests' => 5_000, 'seed' => 1];
foreach (array_slice($argv, 1) as $word) {
    if (preg_match('/^--(\w+)=(\d+)$/', $word, $m) !== 1 || ! isset($wish[$m[1]])) {
        fwrite(STDERR, "bin/stress does not know {$word}.\n");
        exit(2);
    }
    $wish[$m[1]] = (int) $m[2];
}
const WRITERS = 10;
$folder = dirname(__DIR__, 2).'/storage/framework/testing/stress';
$rows = [];
$bad = 0;
$say = function (string $what, string $came, int $faults) use (&$rows, &$bad): void {
    $rows[] = "| {$what} | {$came} |";
    $bad += $faults;
    echo "{$what}: {$came}\n";
};

if ($wish['seconds'] > 0) {
    $out = Race::writers(new Target("{$folder}/writers"), WRITERS, (float) $wish['seconds'], $wish['seed']);
    $say(
        WRITERS." writers for {$wish['seconds']} s on one layout",
        "{$out['requests']} requests, {$out['broken']} answered with 500 or not at all; {$out['saved']} changes to what "
            ."others change too, {$out['overwritten']} overwritten in silence, {$out['lost']} lost; {$out['stale']} refused as stale; ".
            "{$out['undone']} steps undone to the beginning, ".
            ($out['differ'] === 0 ? 'which stood as before' : "{$out['differ']} tables differ"),
        $out['broken'] + $out['overwritten'] + $out['lost'] + $out['half'] + $out['corrupt'] + $out['differ'],
    );
}
if ($wish['kills'] > 0) {
    $out = Race::kills(new Target("{$folder}/kills"), $wish['kills'], $wish['seed']);
    $say(
        "{$wish['kills']} kills while six write",
        "{$out['saved']} changes said to be saved, {$out['lost']} lost, {$out['half']} half "
            ."applied, {$out['corrupt']} corrupt, {$out['overwritten']} overwritten",
        $out['lost'] + $out['half'] + $out['corrupt'] + $out['overwritten'],
    );
}

$target = new Target("{$folder}/files");
foreach (
    [
        'DB_DATABASE' => $target->database(),
        'DB_QUEUE_DATABASE' => "{$folder}/files/queue.sqlite",
        'COMPUTED_PATH' => "{$folder}/files/computed",
        'SESSION_DRIVER' => 'array',
        'APP_ENV' => 'testing',
        'RIDGE_NOW' => '2026-10-14T17:10:00Z',
        'APP_KEY' => 'base64:AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA=',
    ] as $key => $value
) {
    putenv("{$key}={$value}");
    $_ENV[$key] = $_SERVER[$key] = $value;
}
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$layout = Layout::query()->firstOrFail();
if ($wish['files'] > 0) {
    $copy = app(Backups::class)->make("{$folder}/files");
    $out = (new Files(app(Library::class), $wish['seed']))->mutated(
        Whole::files($layout) + ['copy.zip' => (string) file_get_contents($copy)],
        $wish['files'],
    );
    $say(
        "{$out['files']} broken files of eleven kinds",
        sprintf(
            '%d read, %d refused, %d crashed; the longest took %.2f s, the largest %.0f MB%s',
            $out['read'],
            $out['refused'],
            $out['crashed'],
            $out['longest_s'],
            $out['most_mb'],
            $out['first'] === '' ? '' : "; first: {$out['first']}",
        ),
        $out['crashed'] + $out['slow'] + $out['large'],
    );
}
if ($wish['requests'] > 0) {
    $out = (new Requests(StressTest::known($layout), $wish['seed']))->odd($wish['requests']);
    $say(
        "{$out['requests']} odd requests to every address",
        sprintf(
            '%d refused with 4xx, %d answered with 500; the longest took %.2f s%s',
            $out['refused'],
            $out['broken'],
            $out['longest_s'],
            $out['first'] === '' ? '' : "; first: {$out['first']}",
        ),
        $out['broken'] + $out['slow'],
    );
}

$page = dirname(__DIR__, 2).'/docs/benchmarks.md';
$text = (string) file_get_contents($page);
$head = strstr($text, "\n## Held against\n", true);
file_put_contents(
    $page,
    ($head === false ? rtrim($text)."\n" : $head).
        "\n## Held against\n\nWritten by `bin/stress`, on two cores that also did "
            ."the asking.\n\n| what was done | what came of it |\n|---|---|\n".
        implode("\n", $rows).
        "\n",
);
exit($bad === 0 ? 0 : 1);
