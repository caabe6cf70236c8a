<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Track\StationRange;

/** A face steeper than its skin holds. */
final class FaceTooSteep implements LandRule
{
    /** Lower faces hold anyway, mm. */
    private const MIN_FACE_HEIGHT_MM = 3.0;

    public function ids(): array
    {
        return ['face-too-steep'];
    }

    public function check(LandStudy $study): array
    {
        return [...$this->alongRuns($study), ...$this->naturalGround($study)];
    }

    /** @return list<Finding> */
    private function alongRuns(LandStudy $study): array
    {
        $limit = $study->project->layout->faceLimitDeg;
        $samples = [];
        foreach ($study->terrain->graded as $at) {
            if ($at->kind !== Grading::CUT && $at->kind !== Grading::FILL) {
                continue;
            }
            $run = $study->model->grading->runs[$at->run];
            $side = Side::at($at->offset);
            if ($run->wallAt($at->station, $side)) {
                continue;
            }
            $batter = $at->kind === Grading::CUT ? $run->profile->batterInCut($side) : $run->profile->batterInFill($side);
            $face = abs($at->height - $run->grade->heightAt($at->station)) + $at->gap;
            if (rad2deg(atan(1.0 / $batter)) > $limit && $face > self::MIN_FACE_HEIGHT_MM) {
                $samples[$at->run][$side->value][(string) $batter][] = [$at->station, $face];
            }
        }
        $found = [];
        foreach ($samples as $k => $sides) {
            $run = $study->model->grading->runs[$k];
            foreach ($sides as $word => $batters) {
                $side = Side::from($word);
                foreach ($batters as $batter => $places) {
                    foreach (StationRange::gather($places, $study->terrain->cell, $run->alignment->length) as $stretch) {
                        $half = $run->profile->halfWidth($side);
                        $mark = $run->alignment->beside(($stretch->from + $stretch->to) / 2.0, $side->offset($half));
                        $found[] = $this->finding(
                            $study, Place::onRun($run->uid, $stretch->from, $stretch->to, $mark->x, $mark->y, $side),
                            rad2deg(atan(1.0 / (float) $batter)),
                            ['height' => new Quantity($stretch->greatest, 'mm', 'height of the face over the formation', decimals: 1)],
                        );
                    }
                }
            }
        }

        return $found;
    }

    /** @return list<Finding> at most one: the steepest place of the ground that no run has graded */
    private function naturalGround(LandStudy $study): array
    {
        $terrain = $study->terrain;
        $steepest = 0.0;
        $at = null;
        $n = $terrain->cols;
        for ($j = 1; $j < $terrain->rows - 1; $j++) {
            for ($i = 1; $i < $n - 1; $i++) {
                $p = $j * $n + $i;
                $gx = $terrain->ground[$p + 1] - $terrain->ground[$p - 1];
                $gy = $terrain->ground[$p + $n] - $terrain->ground[$p - $n];
                $square = $gx * $gx + $gy * $gy;
                if ($square > $steepest && ! isset($terrain->graded[$p])) {
                    [$steepest, $at] = [$square, $p];
                }
            }
        }
        $angle = rad2deg(atan(sqrt($steepest) / (2.0 * $terrain->cell)));
        if ($at === null || $angle <= $study->project->layout->faceLimitDeg) {
            return [];
        }
        [$x, $y] = $terrain->middle($at);

        return [$this->finding($study, Place::at($x, $y), $angle, [])];
    }

    /** @param  array<string, Quantity>  $figures */
    private function finding(LandStudy $study, Place $place, float $angle, array $figures): Finding
    {
        $limit = $study->project->layout->faceLimitDeg;

        return new Finding(
            'face-too-steep', Severity::Care, 'Face too steep', $study->section->uid, $place,
            ['angle' => new Quantity($angle, '°', 'slope of the face', ['holds' => round($limit).'°'], decimals: 0)] + $figures,
            sprintf('Its skin holds up to %d°.', round($limit)),
            'Ease the slope, or make the face of rock castings or a wall.',
        );
    }
}
