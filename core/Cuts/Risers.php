<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\StructureKind;

/** Blocks that carry a run's base along its grade: never further apart than a gap, and one wherever the grade changes. */
final class Risers
{
    public const MAX_GAP_MM = 100.0;

    /** Lower ones are packing, mm. */
    private const MIN_HEIGHT_MM = 2.0;

    /**
     * @param  array{float, float}  $over stations between which the run lies over the board
     * @param  float  $base the board's top, mm over the datum
     * @param  float  $plate thickness of the base that lies on them
     * @param  list<float>  $thicknesses of what they are stacked of
     * @return list<Riser> by station; none on bridges, which carry themselves
     *
     * @throws InvalidValue
     */
    public static function along(Run $run, array $over, float $base, float $plate, array $thicknesses, float $gap = self::MAX_GAP_MM): array
    {
        InvalidValue::unlessBetween($gap, 20.0, 1000.0, 'The gap between risers', 'mm', 'gap');
        InvalidValue::unlessBetween($plate, 0.0, 50.0, 'The track’s base', 'mm', 'plate');
        $fixed = [
            $over[0],
            ...array_filter($run->grade->stations, fn (float $s): bool => $s > $over[0] + 1.0 && $s < $over[1] - 1.0),
            $over[1],
        ];
        $out = [];
        foreach ($fixed as $k => $to) {
            $from = $fixed[$k - 1] ?? $to;
            $parts = $k === 0 ? 1 : max(1, (int) ceil(($to - $from) / $gap - 1e-9));
            for ($n = 1; $n <= $parts; $n++) {
                $station = $from + (($to - $from) * $n) / $parts;
                $height = $run->grade->heightAt($station) - $base - $plate;
                if ($run->structureAt($station)?->kind !== StructureKind::Bridge && $height >= self::MIN_HEIGHT_MM) {
                    // At a change of grade the top takes the mean of both.
                    $grade =
                        ($run->grade->gradeAt(max(0.0, $station - 0.5)) +
                            $run->grade->gradeAt(min($run->alignment->length - 0.001, $station + 0.5))) /
                        2.0;
                    $out[] = new Riser(
                        $station,
                        $height,
                        rad2deg(atan($grade / 100.0)),
                        $run->profile->halfWidth(Side::Left),
                        $run->profile->halfWidth(Side::Right),
                        SheetPacking::to($height, $thicknesses),
                    );
                }
            }
        }

        return $out;
    }
}
