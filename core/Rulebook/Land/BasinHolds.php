<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\Basin;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Water\Dam;
use IdleRidge\Core\Water\WaterBody;

/**
 * Water that would run out over a bank lower than its level, that meets the board's edge and needs a dam there, or whose
 * bank crosses another water's at another level.
 */
final class BasinHolds implements LandRule
{
    /** The bank is looked at so often along it, and so far outside it, mm. */
    private const STEP_MM = 5.0;

    private const BEYOND_BANK_MM = 8.0;

    /** Lower by less than this is the raster, mm. */
    private const RASTER_TOLERANCE_MM = 0.5;

    public function ids(): array
    {
        return ['banks-cross', 'basin-spills', 'basin-leaves-board'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        $basins = $study->model->ground->basins;
        $water = WaterStudy::of($study);
        $bodies = $basins === [] ? [] : array_column(array_map(fn (WaterBody $b): array => [$b->uid, $b], $water->bodies()), 1, 0);
        foreach ($basins as $k => $basin) {
            array_push(
                $found,
                ...$this->spills($study, $basin, $water, $bodies[$basin->uid] ?? null),
                ...$this->edges($study, $basin, $bodies[$basin->uid]->dams ?? []),
                ...$this->crossing($study, $basin, array_slice($basins, $k + 1)),
            );
        }

        return $found;
    }

    /**
     * @param  list<Basin>  $others
     * @return list<Finding>
     */
    private function crossing(LandStudy $study, Basin $basin, array $others): array
    {
        $found = [];
        foreach ($others as $other) {
            if (abs($basin->level - $other->level) > self::RASTER_TOLERANCE_MM && Polygon::overlap($basin->bank, $other->bank)) {
                [$x, $y] = $this->within($basin, $other);
                [$one, $two] = [$this->name($basin), $this->name($other)];
                $found[] = new Finding(
                    'banks-cross',
                    Severity::Stop,
                    'Banks cross',
                    $study->section->uid,
                    Place::at(max(0.0, min($study->section->width, $x)), max(0.0, min($study->section->depth, $y))),
                    ['difference' => new Quantity(abs($basin->level - $other->level), 'mm', 'difference of the two levels', decimals: 1)],
                    "“{$one}” and “{$two}” lie over each other at different levels; the higher runs into the lower.",
                    'Draw the banks apart, or give both one level.',
                );
            }
        }

        return $found;
    }

    /** @return array{float, float} a corner of one that lies in the other, or the middle between the two */
    private function within(Basin $basin, Basin $other): array
    {
        foreach ([[$basin, $other], [$other, $basin]] as [$of, $in]) {
            foreach ($of->bank as [$x, $y]) {
                if (Polygon::holds($in->bank, $x, $y)) {
                    return [$x, $y];
                }
            }
        }
        $middle = fn (int $axis): float => (array_sum(array_column($basin->bank, $axis)) / count($basin->bank) +
            array_sum(array_column($other->bank, $axis)) / count($other->bank)) /
            2.0;

        return [$middle(0), $middle(1)];
    }

    private function name(Basin $basin): string
    {
        return $basin->name === '' ? 'The water' : $basin->name;
    }

    /** @return list<Finding> */
    private function spills(LandStudy $study, Basin $basin, WaterStudy $water, ?WaterBody $body): array
    {
        if ($body === null || $body->spill === null || (float) $body->margin() > -self::RASTER_TOLERANCE_MM) {
            return [];
        }
        [$x, $y] = $body->spill->at();

        return [
            new Finding(
                'basin-spills',
                Severity::Stop,
                "{$this->name($basin)} runs out",
                $study->section->uid,
                Place::at($x, $y),
                [
                    'too_low' => new Quantity(
                        -(float) $body->margin(),
                        'mm',
                        'level less the height at which it finds a way out over the land',
                        ['level' => Format::length($basin->level, 1), 'way out at' => Format::length($body->spill->level, 1)],
                        decimals: 1,
                    ),
                ],
                "Its bank is lower than the water: it runs {$water->way($body)}.",
                'Lower the level, raise the ground there, or draw the bank further in.',
            ),
        ];
    }

    /**
     * @param  list<Dam>  $dams
     * @return list<Finding>
     */
    private function edges(LandStudy $study, Basin $basin, array $dams): array
    {
        $section = $study->section;
        if ($dams !== []) {
            $at = $dams[0]->edge->place(($dams[0]->from + $dams[0]->to) / 2.0, $section->width, $section->depth);
            $long = array_sum(array_map(fn (Dam $d): float => $d->length(), $dams));

            return [$this->leaves($study, $basin, $at, $long, 'length of the edge that is under water')];
        }
        $edge = 0.0;
        $dam = null;
        foreach ($basin->bank as $k => $a) {
            $b = $basin->bank[($k + 1) % count($basin->bank)];
            $length = hypot($b[0] - $a[0], $b[1] - $a[1]);
            $steps = max(1, (int) ceil($length / self::STEP_MM));
            for ($n = 0; $n < $steps; $n++) {
                $t = ($n + 0.5) / $steps;
                [$x, $y] = [$a[0] + $t * ($b[0] - $a[0]), $a[1] + $t * ($b[1] - $a[1])];
                // The ring runs counter-clockwise: outside lies to the right.
                [$ox, $oy] = [
                    $x + (self::BEYOND_BANK_MM * ($b[1] - $a[1])) / max(1e-9, $length),
                    $y - (self::BEYOND_BANK_MM * ($b[0] - $a[0])) / max(1e-9, $length),
                ];
                if ($x < -1.0 || $y < -1.0 || $x > $section->width + 1.0 || $y > $section->depth + 1.0) {
                    continue;
                }
                if ($ox <= 0.0 || $oy <= 0.0 || $ox >= $section->width || $oy >= $section->depth) {
                    $edge += $length / $steps;
                    $dam = [max(0.0, min($section->width, $x)), max(0.0, min($section->depth, $y))];
                }
            }
        }

        return $dam === null ? [] : [$this->leaves($study, $basin, $dam, $edge, 'length of the bank along the edge')];
    }

    /** @param  array{float, float}  $at */
    private function leaves(LandStudy $study, Basin $basin, array $at, float $long, string $from): Finding
    {
        return new Finding(
            'basin-leaves-board',
            Severity::Care,
            "{$this->name($basin)} meets the board’s edge",
            $study->section->uid,
            Place::at($at[0], $at[1]),
            ['dam' => new Quantity($long, 'mm', $from, decimals: 0)],
            'What is poured would run off there.',
            'Plan a dam for the pour, and seal it.',
        );
    }
}
