<?php

declare(strict_types=1);

namespace App\Actions\Air;

use App\Computed\Air\RoomReadings;
use App\Computed\ProjectLoader;
use App\Computed\UnreadableLayout;
use App\Devices\RoomLogger;
use App\Models\Layout;
use App\Models\TrustedLogger;
use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Interchange\AirFile;
use IdleRidge\Core\Measure\InvalidValue;
use Psr\Clock\ClockInterface;

/** Takes in what was read of rooms: from their loggers, or from a file. */
final readonly class ImportReadings
{
    /** At first a logger is asked for so much, minutes. */
    private const FIRST_MINUTES = 1440 * 14;

    public function __construct(private RoomLogger $logger, private ProjectLoader $load, private ClockInterface $clock)
    {
    }

    /**
     * @return int readings that came in
     *
     * @throws InvalidValue when the room has no logger, or it cannot be read
     */
    public function listen(Layout $layout, Room $room): int
    {
        if ($room->logger === '') {
            throw new InvalidValue('It has no logger yet: give its address.', 'logger');
        }
        if (! TrustedLogger::has($layout, $room->uid, $room->logger)) {
            throw new InvalidValue('Its address came with a file. Say first that it may be called.', 'logger');
        }
        $now = intdiv($this->clock->now()->getTimestamp(), 60);
        $last = (RoomReadings::logs($layout, $now)[$room->uid] ?? null)?->last()[0] ?? $now - self::FIRST_MINUTES;
        $log = $this->logger->since($room->logger, $last);
        if (($log->last()[0] ?? 0) > $now + RoomReadings::MAX_MINUTES_AHEAD) {
            throw new InvalidValue(
                'Its readings are dated ahead: its clock is wrong, or this machine’s is. Nothing was taken in.',
                'logger',
            );
        }

        return SaveReadings::add($layout, $room->uid, $log, $now);
    }

    /** @return list<string> what went wrong, room by room */
    public function listenAll(): array
    {
        $faults = [];
        foreach (Layout::query()->whereNull('removed_at')->get() as $layout) {
            try {
                $rooms = $this->load->works($layout)->rooms;
            } catch (UnreadableLayout $unreadable) {
                $faults[] = $unreadable->getMessage();

                continue;
            }
            foreach ($rooms as $room) {
                try {
                    TrustedLogger::has($layout, $room->uid, $room->logger) ? $this->listen($layout, $room) : 0;
                } catch (InvalidValue $refusal) {
                    $faults[] = "{$layout->name}, {$room->name}: {$refusal->getMessage()}";
                }
            }
        }

        return $faults;
    }

    /** A table of readings; gaps are told, and bridged with the usual air of the hour. */
    public function file(Layout $layout, Room $room, string $text): string
    {
        $zone = new DateTimeZone($layout->zone);
        $log = AirFile::read($text, $zone);
        $now = intdiv($this->clock->now()->getTimestamp(), 60);
        if (($log->last()[0] ?? 0) > $now + RoomReadings::MAX_MINUTES_AHEAD) {
            throw new InvalidValue('Its last reading is still to come: are its clock and time zone right?', 'file');
        }
        $count = SaveReadings::add($layout, $room->uid, $log, $now);
        if ($count === 0) {
            throw new InvalidValue(
                'All of it is older than '.RoomReadings::USED_DAYS.' days: it says nothing any more about what dries.',
                'file',
            );
        }

        return $this->sentence($log, $zone, $count);
    }

    private function sentence(AirLog $log, DateTimeZone $zone, int $count): string
    {
        $words = fn (int $minute): string => (new DateTimeImmutable('@'.$minute * 60))->setTimezone($zone)->format('D j M H:i');
        $gaps = array_map(
            fn (array $gap): string => 'after line '.($gap[0] + 2).", {$words($gap[1])} to {$words($gap[2])}",
            $log->gaps(),
        );

        return "{$count} readings taken in.".
            ($count < count($log->readings) ? ' Those from more than '.RoomReadings::USED_DAYS.' days ago were left out.' : '').
            ($gaps === []
                ? ''
                : ' Nothing is known '.
                    implode('; ', array_slice($gaps, 0, 3)).
                    (count($gaps) > 3 ? ' and '.(count($gaps) - 3).' times more' : '').
                    '; the usual air of the hour stands there.');
    }
}
