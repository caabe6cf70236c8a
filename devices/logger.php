<?php

/*
 * A stand-in for loggers in rooms, to be served by itself: /workroom and /shed answer with what such a room would have shown
 * since a minute, up to the moment in the application's clock.
 */

declare(strict_types=1);

use App\Computed\Clock\BenchClock;
use App\Devices\SimulatedRoom;

require dirname(__DIR__).'/vendor/autoload.php';

$rooms = ['/workroom' => new SimulatedRoom(11, 16.5, 2.5, 58.0), '/shed' => new SimulatedRoom(12, 9.5, 4.0, 72.0)];
$room = $rooms[(string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? ''), PHP_URL_PATH)] ?? null;
header('Content-Type: application/json');
if ($room === null) {
    http_response_code(404);
    echo '{"error": "there is no such room"}';

    return;
}
$clock = new BenchClock(getenv('RIDGE_NOW') ?: null, getenv('RIDGE_CLOCK_FILE') ?: null);
$now = intdiv($clock->now()->getTimestamp(), 60);
echo json_encode(['readings' => $room->readings(max((int) ($_GET['since'] ?? 0), $now - 1440 * 14), $now)], JSON_THROW_ON_ERROR);
