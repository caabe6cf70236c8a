<?php

declare(strict_types=1);

namespace Tests\Stress;

use App\Actions\Files\LayoutFiles;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Land\ExportLand;
use IdleRidge\Core\Interchange\CalendarFile;

/** One good file of every kind that comes in, written from a layout. */
final class Whole
{
    /** @return array<string, string> name → contents */
    public static function files(Layout $layout): array
    {
        $section = $layout->sections()->firstOrFail();
        $out = ['layout.json' => app(LayoutFiles::class)->export($layout)];
        foreach (['csv', 'dxf', 'svg', 'xml', 'asc'] as $form) {
            $out["track.{$form}"] = app(ExportLand::class)->as($form, $layout, $section)['body'];
        }
        // A coarser grid is as good a one, and sooner fitted.
        $out['track.asc'] =
            "ncols 24\nnrows 12\nxllcorner 0\nyllcorner 0\ncellsize 50\nNODATA_value -9999\n".
            implode(
                "\n",
                array_map(
                    fn (int $r): string => implode(' ', array_map(fn (int $c): string => (string) (($r * $c) % 37), range(1, 24))),
                    range(1, 12),
                ),
            ).
            "\n";
        $out['room.air'] =
            "time;temperature_c;humidity\n".
            implode("\n", array_map(fn (int $h): string => sprintf('2026-10-13 %02d:00;14,%d;7%d', $h, $h % 10, $h % 10), range(0, 23))).
            "\n";
        $desk = app(ComputedPlan::class);
        $out['plan.ics'] = CalendarFile::write($desk->planOf(app(ProjectLoader::class)->of($layout), $desk->minute()));
        $out['busy.ics'] =
            "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//T//EN\r\nBEGIN:VEVENT\r\nUID:1\r\n"
                ."DTSTART;TZID=Europe/Oslo:20150105T090000\r\nDURATION:PT1H\r\nRRULE:FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE\r\n"
                ."EXDATE;TZID=Europe/Oslo:20261012T090000\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";

        return $out;
    }
}
