<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Track\Crossing;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Turnout;

/** A turnout that steps or kinks, whose grade changes within it, or onto which a road lands. */
final class TurnoutsKeepClear implements LandRule
{
    /** Rails may step, and bend, by this much: mm, degrees. Curved branches turn a little within their first millimetres. */
    public const MAX_STEP_MM = 1.0;

    public const MAX_KINK_DEG = 1.5;

    public function ids(): array
    {
        return ['turnout-joint', 'turnout-on-grade-change', 'road-on-turnout'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach ($study->turnouts as $turnout) {
            $p = $turnout->main->alignment->pointAt($turnout->toe);
            if ($p->x < 0.0 || $p->y < 0.0 || $p->x > $study->section->width || $p->y > $study->section->depth) {
                continue;
            }
            array_push($found, ...$this->joint($study, $turnout), ...$this->grade($study, $turnout), ...$this->roads($study, $turnout));
        }

        return $found;
    }

    /** @return list<Finding> */
    private function joint(LandStudy $study, Turnout $turnout): array
    {
        $figures = array_filter([
            'step' => abs($turnout->step) > self::MAX_STEP_MM
                    ? new Quantity(
                        abs($turnout->step),
                        'mm',
                        'difference of rail tops at the toe',
                        ['leaves' => $turnout->main->name],
                        decimals: 1,
                    )
                    : null,
            'kink' => $turnout->kinkDeg > self::MAX_KINK_DEG
                    ? new Quantity(
                        $turnout->kinkDeg,
                        '°',
                        'difference of headings at the toe',
                        ['leaves' => $turnout->main->name],
                        'starting value',
                        1,
                    )
                    : null,
        ]);

        return $figures === []
            ? []
            : [
                new Finding(
                    'turnout-joint',
                    isset($figures['step']) ? Severity::Stop : Severity::Care,
                    'Turnout steps or kinks',
                    $study->section->uid,
                    $this->place($turnout),
                    $figures,
                    "“{$turnout->branch->name}” leaves “{$turnout->main->name}” here.",
                    'Begin the branch with the height and heading of the track it leaves.',
                ),
            ];
    }

    /** @return list<Finding> */
    private function grade(LandStudy $study, Turnout $turnout): array
    {
        foreach ($turnout->main->grade->stations as $k => $station) {
            $curve = $turnout->main->grade->curves[$k] / 2.0;
            $change = abs($turnout->main->grade->gradeAt($station + 0.5) - $turnout->main->grade->gradeAt($station - 0.5));
            if (
                $k > 0 &&
                $station > 1.0 &&
                $station < $turnout->main->alignment->length - 1.0 &&
                $change > 0.1 &&
                $station + $curve > $turnout->from &&
                $station - $curve < $turnout->to
            ) {
                return [
                    new Finding(
                        'turnout-on-grade-change',
                        Severity::Care,
                        'Grade changes in a turnout',
                        $study->section->uid,
                        $this->place($turnout),
                        [
                            'change' => new Quantity(
                                $change,
                                '%',
                                'grade after less grade before',
                                ['at station' => Format::length($station)],
                                decimals: 1,
                            ),
                        ],
                        'A turnout is flat: its blades lift where the track bends in height.',
                        'Move the grade point out of the keep-clear stretch.',
                    ),
                ];
            }
        }

        return [];
    }

    /** @return list<Finding> */
    private function roads(LandStudy $study, Turnout $turnout): array
    {
        $found = [];
        foreach ($study->model->grading->runs as $road) {
            foreach ($road->kind === RunKind::Road ? [$turnout->main, $turnout->branch] : [] as $track) {
                foreach (Crossing::between($track, $road) as $crossing) {
                    $half = max($road->profile->halfWidth(Side::Left), $road->profile->halfWidth(Side::Right));
                    if ($crossing->onTheLevel() && $turnout->holds($track->uid, $crossing->station, $half)) {
                        $found[] = new Finding(
                            'road-on-turnout',
                            Severity::Stop,
                            'A road lands on a turnout',
                            $study->section->uid,
                            Place::onRun(
                                $track->uid,
                                $crossing->station - $half,
                                $crossing->station + $half,
                                $crossing->at->x,
                                $crossing->at->y,
                            ),
                            [
                                'keep_clear' => new Quantity(
                                    $turnout->to - $turnout->from,
                                    'mm',
                                    'from before the toe to the fouling point',
                                    ['from' => Format::length($turnout->from), 'to' => Format::length($turnout->to)],
                                ),
                            ],
                            "“{$road->name}” crosses “{$track->name}” where its blades and frog move.",
                            'Move the road past the fouling point, or take it over on a bridge.',
                        );
                        // Across both tracks of one turnout it is still one road.
                        break 2;
                    }
                }
            }
        }

        return $found;
    }

    private function place(Turnout $turnout): Place
    {
        $p = $turnout->main->alignment->pointAt($turnout->toe);

        return Place::onRun($turnout->main->uid, $turnout->from, $turnout->to, $p->x, $p->y);
    }
}
