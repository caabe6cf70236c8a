<?php

declare(strict_types=1);

namespace App\Pages\Land;

use IdleRidge\Core\Coats\CoatLook;
use IdleRidge\Core\Coats\Pigment;
use IdleRidge\Core\Geometry\CellCoverage;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\ValueNoise;

/** The colours of a board's land under its coats, by the cells of its raster: what covers only a share of it lies in patches. */
final class ReliefCover
{
    /** Patches are about so wide, cells. */
    private const PATCH_CELLS = 6.0;

    /** How much the same stuff differs from place to place. */
    private const UNEVEN = 0.07;

    /** Steepness of a patch's edge, and how much of the noise lies about its middle. */
    private const SHARP = 6.0;

    private const MIDDLE = 0.75;

    /** @var array<int, array{float, float, float}> by cell, 0 … 1 */
    private array $cells;

    private readonly int $cols;

    /** @param  list<array{rings: list<list<array{float, float}>>, look: CoatLook}>  $coats from the lowest up */
    public function __construct(private readonly HeightMesh $mesh, private readonly float $cell, array $coats)
    {
        $this->cols = count($mesh->xs) - 1;
        $foam = Pigment::hex(CoatLook::FOAM);
        $this->cells = array_fill(0, $this->cols * (count($mesh->ys) - 1), [$foam->r, $foam->g, $foam->b]);
        foreach ($coats as $k => $coat) {
            $this->lay($coat['rings'], $coat['look'], $k);
        }
    }

    /** @return array{int, int, int} of the cell that a place lies in */
    public function at(float $x, float $y): array
    {
        $i = max(0, min($this->cols - 1, (int) floor($x / $this->cell + 0.5)));
        $j = max(0, min(count($this->mesh->ys) - 2, (int) floor($y / $this->cell + 0.5)));
        $uneven = 1.0 + self::UNEVEN * (2.0 * ValueNoise::node($i, $j, 97) - 1.0);

        return array_map(
            fn (float $v): int => (int) round(255.0 * max(0.0, min(1.0, $v * $uneven))),
            $this->cells[$j * $this->cols + $i],
        );
    }

    /** @param  list<list<array{float, float}>>  $rings */
    private function lay(array $rings, CoatLook $look, int $seed): void
    {
        $to = $look->colour;
        foreach (CellCoverage::of($rings, $this->mesh->xs, $this->mesh->ys) as $k => $share) {
            [$i, $j] = [$k % $this->cols, intdiv($k, $this->cols)];
            $patch = ValueNoise::at($i / self::PATCH_CELLS, $j / self::PATCH_CELLS, $seed);
            // Where it lies it lies wholly; near its limit it thins out. Noise keeps to the middle: few of its values are near 0 or 1.
            $over = 0.5 + self::MIDDLE * ($look->cover - 0.5) - $patch;
            $here = $share * ($look->cover >= 1.0 ? 1.0 : max(0.0, min(1.0, self::SHARP * $over + 0.5)));
            [$r, $g, $b] = $this->cells[$k];
            $this->cells[$k] = [$r + $here * ($to->r - $r), $g + $here * ($to->g - $g), $b + $here * ($to->b - $b)];
        }
    }
}
