<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Growth;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Project\GrowthSurvey;

/** What stands along a row comes into what passes; or a row has lost what it goes along. */
final class RowsStandFree implements GrowthRule
{
    /** What lies unbroken is looked at in such steps, mm. */
    private const STEP_MM = 10.0;

    public function ids(): array
    {
        return ['row-in-envelope', 'row-gone'];
    }

    public function check(GrowthSurvey $survey): array
    {
        $found = [];
        $names = array_map(fn (RowLayout $set): string => $set->row->called(), $survey->sets);
        foreach ($survey->sets as $set) {
            $worst = null;
            $count = 0;
            foreach ($set->row->kind->stands() ? $this->places($set, $survey) : [] as [$x, $y, $height]) {
                // On a shoulder it may stand, in the room of what passes it may not.
                $met = $survey->ground->obstacle($x, $y, $height, -INF, $set->wide / 2.0, 0.0, $names);
                if ($met !== null) {
                    $count++;
                    $worst = $worst === null || $met['lacks'] > $worst[0]['lacks'] ? [$met, $x, $y] : $worst;
                }
            }
            if ($worst !== null) {
                [$met, $x, $y] = $worst;
                $found[] = new Finding(
                    'row-in-envelope',
                    Severity::Care,
                    $set->row->called().($set->row->kind->isUnbroken() ? " stands too near {$met['what']}" : ": {$count} ".
                        $set->row->kind->word($count)." too near {$met['what']}"),
                    $survey->section->uid,
                    Place::at($x, $y),
                    ['lacks' => new Quantity($met['lacks'], 'mm', 'what is missing at the worst', decimals: 1)],
                    'What passes there takes it along.',
                    'Set the row further off, or end it before.',
                );
            }
        }
        foreach ($survey->faults as $uid => $why) {
            foreach ($survey->project->works->growth->rows as $row) {
                if ($row->uid === $uid && $survey->project->sections[0] === $survey->section) {
                    $found[] = new Finding(
                        'row-gone',
                        Severity::Care,
                        "{$row->called()} cannot be set out",
                        $survey->section->uid,
                        Place::at(0.0, 0.0),
                        [],
                        $why,
                        'Say what it goes along, or put it away.',
                    );
                }
            }
        }

        return $found;
    }

    /** @return list<array{float, float, float}> on the board: place and height */
    private function places(RowLayout $set, GrowthSurvey $survey): array
    {
        $out = [];
        $here = function (float $x, float $y, float $height) use ($survey, &$out): void {
            $p = $survey->section->placement->toSection(new Point($x, $y));
            $out[] = [$p->x, $p->y, $height];
        };
        foreach ($set->on($survey->section->uid) as $thing) {
            $here($thing->x, $thing->y, $thing->height);
        }
        foreach ($set->row->kind->isUnbroken() ? $set->parts : [] as $part) {
            for ($at = $part->from; $part->section === $survey->section->uid && $at <= $part->to; $at += self::STEP_MM) {
                [$x, $y] = $set->line->at($at);
                $here($x, $y, $set->height);
            }
        }

        return $out;
    }
}
