<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use App\Devices\SimulatedRoom;
use DateTimeZone;
use IdleRidge\Core\Interchange\AirFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Tables of readings as loggers and people write them. */
final class AirFileTest extends TestCase
{
    /** @return array<string, array{string}> the same two readings */
    public static function tables(): array
    {
        return [
            'commas' => ["time,temperature_c,humidity\n2026-10-14T10:00Z,18.5,62\n2026-10-14T10:10Z,18.7,61.5\n"],
            'semicolons and decimal commas' => ["at;temp;rh\r\n2026-10-14 10:00Z;18,5;62\r\n2026-10-14 10:10Z;18,7;61,5\r\n"],
            'tabs, other order' => ["RH\tTime\tT\n62\t2026-10-14 10:00+00:00\t18.5\n61.5\t2026-10-14 10:10+00:00\t18.7"],
            'a mark at the beginning, quotes, more columns' => [
                "\u{FEFF}\"Time\",\"Battery\",\"Temperature\",\"Humidity\"\n\"2026-10-14T10:00:20Z\",98,\"18.5\",\"62\"\n"
                    ."\"2026-10-14T10:10:20Z\",98,\"18.7\",\"61.5\"\n",
            ],
            'degrees Fahrenheit' => [
                "time,temperature_f,humidity\n2026-10-14T10:00Z,65.3,62\n2026-10-14T10:10Z,65.66,61.5\n",
            ],
            'local time' => ["time,temperature,humidity\n2026-10-14 12:00,18.5,62\n2026-10-14 12:10,18.7,61.5\n\n"],
        ];
    }

    #[DataProvider('tables')]
    public function test_tables_are_read(string $text): void
    {
        $at = Build::minute('2026-10-14T10:00Z');
        $read = AirFile::read($text, new DateTimeZone('Europe/Oslo'))->readings;
        $this->assertEqualsWithDelta([[$at, 18.5, 62.0], [$at + 10, 18.7, 61.5]], $read, 1e-9);
    }

    public function test_an_hour_that_the_clocks_repeat_is_named_as_doubled(): void
    {
        $oslo = new DateTimeZone('Europe/Oslo');
        $rows = "time,temperature_c,humidity\n2026-10-25 01:30,10,60\n2026-10-25 02:30,10,60\n2026-10-25 03:30,10,60\n";
        $this->assertCount(3, AirFile::read($rows, $oslo)->readings);
        // A logger that writes local time without an offset writes that hour twice: it cannot be told which is which.
        $this->assertSame(
            ['line 4' => 'It has the same minute as line 3.'],
            $this->faults("time,temperature_c,humidity\n2026-10-25 01:30,10,60\n2026-10-25 02:30,10,60\n2026-10-25 02:30,10,60\n"),
        );
        $this->assertCount(
            2,
            AirFile::read("time,temperature_c,humidity\n2026-10-25T02:30+02:00,10,60\n2026-10-25T02:30+01:00,10,60\n", $oslo)->readings,
            'with its offset it can',
        );
    }

    public function test_every_row_that_cannot_be_is_named_and_nothing_is_taken(): void
    {
        $this->assertSame(
            [
                'line 2' => '“soon” is not a time such as 2026-10-14 18:30.',
                'line 3' => '“hot” is no number for the temperature.',
                'line 4' => 'The humidity is missing.',
                'line 6' => 'The humidity is 140 %; it must lie between 0 % and 100 %.',
                'line 7' => 'It is earlier than line 5: the lines have to be in order.',
                'line 8' => 'The time is missing.',
            ],
            $this->faults(
                "time,temperature_c,humidity\nsoon,10,60\n2026-10-14T10:00Z,hot,60\n2026-10-14T10:10Z,10,\n"
                    ."2026-10-14T10:20Z,10,60\n2026-10-14T10:30Z,10,140\n2026-10-14T09:00Z,10,60\n,10,60\n",
            ),
        );
        $this->assertSame(
            ['line 1' => 'The first line names the columns; humidity_percent has to be among them.'],
            $this->faults("time,temperature_c\n2026-10-14T10:00Z,10\n"),
        );
        $this->assertSame(['line 2' => 'There is no reading in it.'], $this->faults("time,temperature_c,humidity\n"));
        $this->assertSame(['line 1'], array_keys($this->faults('')));
        $this->assertCount(8, $this->faults("time,temperature_c,humidity\n".str_repeat("x,1,1\n", 50)), 'more would be no help');
    }

    public function test_a_room_that_is_not_there_is_the_same_at_every_look(): void
    {
        $room = new SimulatedRoom(7, 16.0, 3.0, 60.0);
        $now = Build::minute('2026-10-14T10:00Z');
        $all = $room->readings($now - 1440 * 30, $now);
        $this->assertSame(array_values(array_filter($all, fn (array $r): bool => $r[0] > $now - 1440)), $room->readings($now - 1440, $now));
        $this->assertNotEquals($all, (new SimulatedRoom(8, 16.0, 3.0, 60.0))->readings($now - 1440 * 30, $now));
        $temperatures = array_column($all, 1);
        $this->assertEqualsWithDelta(16.0, array_sum($temperatures) / count($temperatures), 1.2);
        // Warmest in the afternoon, coldest before dawn; some readings dropped out, and some hours were silent.
        $mean = fn (int $hour): float => array_sum(
            $of = array_column(array_filter($all, fn (array $r): bool => intdiv($r[0], 60) % 24 === $hour), 1),
        ) / count($of);
        $this->assertGreaterThan($mean(3) + 3.0, $mean(15));
        $this->assertLessThan(0.97 * 30 * 144, count($all));
        $this->assertGreaterThan(0.88 * 30 * 144, count($all));
        foreach ($all as [, $temperature, $humidity]) {
            $this->assertTrue($temperature > 5.0 && $temperature < 27.0 && $humidity >= 5.0 && $humidity <= 99.0);
        }
    }

    /** @return array<string, string> place → message */
    private function faults(string $text): array
    {
        try {
            AirFile::read($text, new DateTimeZone('Europe/Oslo'));
        } catch (InvalidValues $refusals) {
            return array_column(array_map(fn (InvalidValue $r): array => [$r->place, $r->getMessage()], $refusals->all), 1, 0);
        }
        $this->fail('accepted');
    }
}
