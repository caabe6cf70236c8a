<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\CellCoverage;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Polygon;

/**
 * A bed carved for a pond or a stream, section coordinates, mm: from its bank line, which lies at the water's level, it falls
 * to its depth over the width of the shore; outside, the ground above the level comes down to the bank at 1 in 1.5.
 */
final readonly class Basin implements Shape
{
    private const BANK_BATTER = 1.5;

    /** Places along each side of a cell that its bank goes through. */
    private const LEVEL_PLACES = 6;

    /** @param  non-empty-list<array{float, float}>  $bank ring of the bank line */
    public function __construct(
        public string $uid,
        public string $name,
        public array $bank,
        public float $level,
        public float $depth,
        public float $shore,
    ) {
    }

    /** It only ever takes away. */
    public function shape(float $x, float $y, float $ground): float
    {
        $inside = Polygon::depth($this->bank, $x, $y);
        if ($inside <= 0.0) {
            return min($ground, $this->level - $inside / self::BANK_BATTER);
        }
        $t = min(1.0, $inside / $this->shore);

        return min($ground, $this->level - $this->depth * (1.0 - (1.0 - $t) ** 2));
    }

    /** Level of the water at a place; null where there is none. */
    public function waterAt(float $x, float $y): ?float
    {
        return Polygon::holds($this->bank, $x, $y) ? $this->level : null;
    }

    public function reach(float $lowest, float $highest): array
    {
        return Box::around($this->bank, max(0.0, $highest - $this->level) * self::BANK_BATTER + 1.0);
    }

    /**
     * The water that stands in it up to its level. Cells that it covers whole count as they lie; of those at its bank, or in which the land
     * comes out of it, places are looked at.
     *
     * @return array{surface: float, volume: float} mm², mm³
     */
    public function water(LandModel $model, HeightMesh $land): array
    {
        $board = Polygon::within($this->bank, 0.0, 0.0, $model->width, $model->depth);
        $n = count($land->xs);
        $surface = $volume = 0.0;
        foreach ($board === [] ? [] : CellCoverage::of([$board], $land->xs, $land->ys) as $cell => $share) {
            [$i, $j] = [$cell % ($n - 1), intdiv($cell, $n - 1)];
            $p = $j * $n + $i;
            $corners = [$land->z[$p], $land->z[$p + 1], $land->z[$p + $n], $land->z[$p + $n + 1]];
            $area = ($land->xs[$i + 1] - $land->xs[$i]) * ($land->ys[$j + 1] - $land->ys[$j]);
            if ($share > 1.0 - 1e-6 && max($corners) < $this->level) {
                $surface += $area;
                $volume += $area * ($this->level - array_sum($corners) / 4.0);

                continue;
            }
            $hits = $deep = 0.0;
            for ($k = 0; $k < self::LEVEL_PLACES ** 2; $k++) {
                $x = $land->xs[$i] + ((($k % self::LEVEL_PLACES) + 0.5) / self::LEVEL_PLACES) * ($land->xs[$i + 1] - $land->xs[$i]);
                $y = $land->ys[$j] + ((intdiv($k, self::LEVEL_PLACES) + 0.5) / self::LEVEL_PLACES) * ($land->ys[$j + 1] - $land->ys[$j]);
                $under = Polygon::holds($board, $x, $y) ? $this->level - $model->heightAt($x, $y) : 0.0;
                if ($under > 0.0) {
                    $hits++;
                    $deep += $under;
                }
            }
            $surface += ($area * $hits) / self::LEVEL_PLACES ** 2;
            $volume += ($area * $deep) / self::LEVEL_PLACES ** 2;
        }

        return ['surface' => $surface, 'volume' => $volume];
    }
}
