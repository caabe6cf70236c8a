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
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\StationRange;
use IdleRidge\Core\Track\Structure;
use IdleRidge\Core\Track\StructureKind;

/** A bridge that stands too low over a run below it, or lies on the land it should clear. */
final class Headroom implements LandRule
{
    private const STEP_MM = 4.0;

    /** Land may come so near under a deck at its abutments, mm along the bridge. */
    private const ABUTMENT_MM = 25.0;

    public function ids(): array
    {
        return ['headroom'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach ($study->model->grading->runs as $run) {
            foreach ($run->structures as $structure) {
                if ($structure->kind !== StructureKind::Bridge) {
                    continue;
                }
                $low = [];
                for ($station = $structure->from; $station <= $structure->to; $station += self::STEP_MM) {
                    $p = $run->alignment->pointAt($station);
                    if ($p->x < 0.0 || $p->y < 0.0 || $p->x > $study->section->width || $p->y > $study->section->depth) {
                        continue;
                    }
                    $under = $run->grade->heightAt($station) - $structure->thick;
                    foreach ($study->model->grading->runs as $below) {
                        $place = $below->alignment->nearest($p);
                        if ($below->uid !== $run->uid && abs($place['offset']) <= $below->profile->halfWidth(Side::at($place['offset']))) {
                            $needs = $study->project->roof($below, $place['station']) - $under;
                            $low[$below->uid][] = [$station, $needs];
                        }
                    }
                    if ($station > $structure->from + self::ABUTMENT_MM && $station < $structure->to - self::ABUTMENT_MM) {
                        $low['land'][] = [$station, $study->model->heightAt($p->x, $p->y) - $under];
                    }
                }
                foreach ($low as $what => $samples) {
                    array_push($found, ...$this->of($study, $run, $structure, (string) $what, $samples));
                }
            }
        }

        return $found;
    }

    /**
     * @param  list<array{float, float}>  $samples station, what is missing
     * @return list<Finding>
     */
    private function of(LandStudy $study, Run $run, Structure $bridge, string $what, array $samples): array
    {
        $found = [];
        $short = array_values(array_filter($samples, fn (array $s): bool => $s[1] > 0.0));
        foreach (StationRange::gather($short, self::STEP_MM, $run->alignment->length) as $stretch) {
            $mark = $run->alignment->pointAt(($stretch->from + $stretch->to) / 2.0);
            $land = $what === 'land';
            $found[] = new Finding(
                'headroom',
                Severity::Stop,
                $land ? 'The bridge lies on the land' : 'Too little headroom under the bridge',
                $study->section->uid,
                Place::onRun($run->uid, $stretch->from, $stretch->to, $mark->x, $mark->y),
                [
                    'missing' => new Quantity(
                        $stretch->greatest,
                        'mm',
                        $land
                            ? 'land less the underside of the deck'
                            : 'rail top, vehicle height and margin of the run below less the underside of the deck',
                        ['deck' => Format::length($bridge->thick, 1)],
                        decimals: 1,
                    ),
                ],
                $land ? 'There is nothing to bridge here.' : 'The tallest vehicle strikes the deck.',
                $land ? 'Shorten the bridge, or carve the land under it.' : 'Raise the bridge, or lower the run below.',
            );
        }

        return $found;
    }
}
