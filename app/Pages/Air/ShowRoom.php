<?php

declare(strict_types=1);

namespace App\Pages\Air;

use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\TrustedLogger;
use App\Pages\Words\LearnedWords;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;

/** One room: what its air was and is taken to be, what its logger is, and what was learned of drying in it. */
final readonly class ShowRoom
{
    public function __construct(private ProjectLoader $load, private ComputedPlan $desk)
    {
    }

    /** @return array<string, mixed> for the view rooms.show */
    public function of(Layout $layout, Room $room): array
    {
        $project = $this->load->of($layout);
        $work = $this->desk->planOf($project, $this->desk->minute())->work;
        $drying = $work->dryingIn($room);
        $words = new ClockWords($work->zone(), $work->now);
        $log = $project->works->logs[$room->uid] ?? null;
        $last = $log?->last();
        $names = [];
        foreach ($project->works->laid as $laid) {
            if ($this->standsIn($work->project->works->room($project->section($laid->section)), $room) && $laid->seen !== []) {
                $names[$laid->recipe->id] = $laid->recipe->name;
            }
        }
        asort($names);
        $learned = [];
        foreach ($names as $id => $name) {
            $of = $drying->learned((string) $id);
            if ($of->cases > 0) {
                $learned[] = [
                    'name' => $name,
                    'words' => LearnedWords::of($of, $name, $room->name),
                    'picture' => LearnedDrawing::of($of),
                    'range' => Decimal::trimmed($of->factor(0.1), 2).' to '.Decimal::trimmed($of->factor(0.9), 2),
                ];
            }
        }

        return [
            'layout' => $layout,
            'room' => $room,
            'first' => $project->sections[0] ?? null,
            'drawing' => AirDrawing::of($drying->air, $log, $work->now, $work->zone()),
            'learned' => $learned,
            'last' => $last === null
                    ? null
                    : $words->moment($last[0]).': '.Format::text($last[1], '°C', 1).', '.Decimal::trimmed($last[2], 0).' %',
            'gaps' => array_map(
                fn (array $g): string => "{$words->moment($g[1])} to {$words->moment($g[2])}",
                array_slice(array_reverse($log?->gaps() ?? []), 0, 5),
            ),
            'sections' => array_values(
                array_filter($project->sections, fn ($s): bool => $this->standsIn($project->works->room($s), $room)),
            ),
            'isRead' => $drying->air->isRead(),
            'asks' => $room->logger !== '' && ! TrustedLogger::has($layout, $room->uid, $room->logger),
        ];
    }

    private function standsIn(Room $one, Room $other): bool
    {
        return $one->uid === $other->uid;
    }
}
