<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunEnds;

/** Two runs of which one should go on where the other ends, as at a board's joint, but with a step, aside or with a kink. */
final class RunsMeet implements LandRule
{
    /** The step between rail tops, and how far they may lie aside, mm. */
    public const MAX_STEP_MM = 1.0;

    /** What a wheel takes without complaint, degrees: a starting value. */
    public const MAX_KINK_DEG = 1.5;

    public function ids(): array
    {
        return ['run-joint'];
    }

    public function check(LandStudy $study): array
    {
        $ends = [];
        foreach ($study->model->grading->runs as $run) {
            array_push($ends, [$run, 0.0], [$run, $run->alignment->length]);
        }
        $found = [];
        foreach ($ends as $k => [$run, $station]) {
            foreach (array_slice($ends, $k + 1) as [$other, $at]) {
                $finding = $this->between($study, $run, $station, $other, $at);
                if ($finding !== null) {
                    $found[] = $finding;
                }
            }
        }

        return $found;
    }

    private function between(LandStudy $study, Run $run, float $station, Run $other, float $at): ?Finding
    {
        [$p, $q] = [$run->alignment->pointAt($station), $other->alignment->pointAt($at)];
        $heading = $run->alignment->headingAt($station);
        $kink = RunEnds::kink($run, $station, $other, $at);
        $on = fn (Point $p): bool => $p->x > -0.5 &&
            $p->y > -0.5 &&
            $p->x < $study->section->width + 0.5 &&
            $p->y < $study->section->depth + 0.5;
        if (! RunEnds::meet($run, $station, $other, $at) || (! $on($p) && ! $on($q))) {
            return null;
        }
        $step = $run->grade->heightAt($station) + $run->profile->railTop() - $other->grade->heightAt($at) - $other->profile->railTop();
        $aside = abs(($q->y - $p->y) * cos($heading) - ($q->x - $p->x) * sin($heading));
        $with = ['on' => $other->name];
        $figures = array_filter([
            'step' => abs($step) > self::MAX_STEP_MM ? new Quantity(abs($step), 'mm', 'difference of rail tops', $with, decimals: 1) : null,
            'aside' => $aside > self::MAX_STEP_MM
                    ? new Quantity($aside, 'mm', 'distance across the track between the ends', $with, decimals: 1)
                    : null,
            'kink' => rad2deg($kink) > self::MAX_KINK_DEG
                    ? new Quantity(rad2deg($kink), '°', 'difference of headings', $with, 'starting value', 1)
                    : null,
        ]);
        if ($figures === []) {
            return null;
        }

        return new Finding(
            'run-joint',
            isset($figures['kink']) && count($figures) === 1 ? Severity::Care : Severity::Stop,
            'Runs do not meet',
            $study->section->uid,
            Place::onRun($run->uid, $station, $station, $p->x, $p->y),
            $figures,
            "“{$run->name}” goes on as “{$other->name}”. ".'Vehicles derail or uncouple where rails step, lie aside or bend sharply.',
            'Give the ends one height, place and heading: the grade of either run, or where the second begins.',
        );
    }
}
