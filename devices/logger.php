<?php

/*
 * A stand-in for loggers in rooms and for the scale at the bench, to be served by itself: /workroom and /shed answer with what such a
 * room would have shown since a minute, up to the moment in the application's clock; /scale with what lies on it, in a line of text,
 * after /scale/128.5 put that there.
 */

declare(strict_types=1);

use App\Computed\Clock\BenchClock;
use App\Devices\SimulatedRoom;

require dirname(__DIR__).'/vendor/autoload.php';

$path = (string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? ''), PHP_URL_PATH);
if (preg_match('#^/scale(?:/(-?\d{1,5}(?:\.\d{1,2})?))?$#', $path, $put) === 1) {
    $file = sys_get_temp_dir().'/ridge-scale-'.($_SERVER['SERVER_PORT'] ?? '0');
    isset($put[1]) && file_put_contents($file, $put[1]);
    header('Content-Type: text/plain');
    echo sprintf("%9.1f g\n", is_file($file) ? (float) file_get_contents($file) : 0.0);

    return;
}
$rooms = ['/workroom' => new SimulatedRoom(11, 16.5, 2.5, 58.0), '/shed' => new SimulatedRoom(12, 9.5, 4.0, 72.0)];
$room = $rooms[$path] ?? null;
header('Content-Type: application/json');
if ($room === null) {
    http_response_code(404);
    echo '{"error": "there is no such room"}';

    return;
}
$clock = new BenchClock(getenv('RIDGE_NOW') ?: null, getenv('RIDGE_CLOCK_FILE') ?: null);
$now = intdiv($clock->now()->getTimestamp(), 60);
echo json_encode(['readings' => $room->readings(max((int) ($_GET['since'] ?? 0), $now - 1440 * 14), $now)], JSON_THROW_ON_ERROR);
