<?php

declare(strict_types=1);

// Takes one picture of each main view. Called by bin/shots with the folder to write to.

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Bench;

require __DIR__.'/../../vendor/autoload.php';

$folder = $argv[1];
$root = dirname(__DIR__, 2);
foreach (
    [
        'RIDGE_NOW=2026-10-14T17:10:00Z',
        'APP_ENV=production',
        'DB_DATABASE='.Bench::database(),
        'DB_QUEUE_DATABASE='.Bench::folder().'/queue.sqlite',
    ] as $set
) {
    putenv($set);
}
Bench::clear();
passthru("{$root}/bin/php {$root}/artisan migrate --force --seed --quiet", $code);
if ($code !== 0) {
    exit($code);
}
$database = new PDO('sqlite:'.Bench::database());
$uid = fn (string $table, string $name): string => (string) $database
    ->query("select uid from {$table} where name = ".$database->quote($name).' order by id')
    ->fetchColumn();
$layout = '/layouts/'.$uid('layouts', 'Skarnvik Branch');
$land = fn (string $section, string $query = ''): string => "{$layout}/sections/{$uid('sections', $section)}/land{$query}";
$picture = $database->query("select uid from photos where data like '%lamp at the left%'")->fetchColumn();
$views = [
    'begin' => ['/begin', 1280, 800, 'film'],
    'layout-sheet' => ["{$layout}/settings", 1280, 800, 'film'],
    'land' => [$land('Tarnhead', '?st=850'), 1280, 800, 'film'],
    'land-lamp' => [$land('Tarnhead', '?st=300&pick='.$uid('land_features', 'Birch bank')), 1280, 800, 'lamp'],
    'whole-layout' => ["{$layout}/whole", 1280, 800, 'film'],
    'tonight' => ["{$layout}/tonight", 1280, 800, 'film'],
    'growth' => ["{$layout}/sections/{$uid('sections', 'Birch Cutting')}/growth", 1280, 800, 'film'],
    'tonight-phone' => ["{$layout}/tonight", 390, 844, 'film'],
    'coats' => ["{$layout}/sections/{$uid('sections', 'Tarnhead')}/coats", 1280, 800, 'film'],
    'water' => ["{$layout}/sections/{$uid('sections', 'Tarnhead')}/water", 1280, 800, 'film'],
    'land-turned' => [$land('Birch Cutting', '?st=300'), 1280, 800, 'film', '[data-turn]', 'done'],
    'rounds' => ["{$layout}/rounds", 1280, 800, 'film'],
    'picture' => ["{$layout}/photos/{$picture}", 1280, 800, 'film'],
    'journal' => ["{$layout}/journal", 1280, 800, 'film'],
    'pots' => ["{$layout}/pots?recipe=tinted-pulp-plaster&by=area&value=24&cup=500", 1280, 800, 'film'],
    'shelf' => ["{$layout}/shelf", 1280, 800, 'film'],
    'drying-line' => ["{$layout}/drying", 1280, 800, 'film'],
    'cuts' => ["{$layout}/sections/{$uid('sections', 'Tarnhead')}/cuts?layer=4", 1280, 800, 'film'],
    'cuts-sheets' => ["{$layout}/sections/{$uid('sections', 'Weir Bend')}/cuts?on=sheets", 1280, 800, 'film'],
];

$bench = Bench::start();
$browser = $bench->browser();
foreach ($views as $name => [$path, $width, $height, $theme]) {
    $bench->window($width, $height);
    $browser->get($bench->address().$path);
    if (($browser->executeScript('return document.documentElement.dataset.theme') === 'lamp') !== ($theme === 'lamp')) {
        $browser->findElement(WebDriverBy::cssSelector('.hz-lamp'))->click();
    }
    $browser->executeAsyncScript(
        'const done = arguments[0]; document.fonts.ready.then(() => Promise.all([...document.querySelectorAll("image")].map((i) '
            .'=> fetch(i.href.baseVal)))).then(() => setTimeout(done, 300));',
    );
    if (isset($views[$name][4])) {
        $browser->findElement(WebDriverBy::cssSelector($views[$name][4]))->click();
        sleep(2);
    }
    if (isset($views[$name][5])) {
        $browser->executeScript(
            'const s = document.querySelector("[data-wears]"); s.value = arguments[0]; s.dispatchEvent(new Event("change"));',
            [$views[$name][5]],
        );
        sleep(4);
    }
    $browser->takeScreenshot("{$folder}/{$name}.png");
    echo "{$folder}/{$name}.png\n";
}
