<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Land\Basin;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Stream;

/** Outlines of what lies deeper than some depths under the water of a board, to be drawn and to cut sheet by; section coordinates, mm. */
final readonly class BedOutlines
{
    /** Outlines are followed on cells so large, mm, and smoothed by so much. */
    private const CELL_MM = 4.0;

    private const SMOOTH_MM = 0.4;

    public function __construct(private LandModel $model)
    {
    }

    /**
     * @param  non-empty-list<float>  $depths rising, from 0 on
     * @return list<list<list<array{float, float}>>> for each depth the rings of what is deeper, outlines counter-clockwise
     */
    public function of(string $uid, array $depths): array
    {
        foreach ($this->model->ground->basins as $basin) {
            if ($basin->uid === $uid) {
                return $this->pond($basin, $depths);
            }
        }
        foreach ($this->model->ground->streams as $stream) {
            if ($stream->uid === $uid) {
                return array_map(fn (float $depth): array => $this->stream($stream, $depth), $depths);
            }
        }

        return array_map(fn (): array => [], $depths);
    }

    /**
     * @param  non-empty-list<float>  $depths
     * @return list<list<list<array{float, float}>>>
     */
    private function pond(Basin $basin, array $depths): array
    {
        [$x1, $y1, $x2, $y2] = Box::around($basin->bank, 1.0);
        [$x1, $y1] = [max(0.0, $x1), max(0.0, $y1)];
        [$x2, $y2] = [min($this->model->width, $x2), min($this->model->depth, $y2)];
        if ($x2 - $x1 < 1.0 || $y2 - $y1 < 1.0) {
            return array_map(fn (): array => [], $depths);
        }
        $line = function (float $from, float $to): array {
            $parts = max(2, (int) ceil(($to - $from) / self::CELL_MM));

            return array_map(fn (int $k): float => $from + (($to - $from) * $k) / $parts, range(0, $parts));
        };
        [$xs, $ys] = [$line($x1, $x2), $line($y1, $y2)];
        $under = [];
        foreach ($ys as $y) {
            foreach ($xs as $x) {
                $under[] = $basin->under($x, $y, $this->model->heightAt($x, $y));
            }
        }
        $contours = Contours::of(new HeightMesh($xs, $ys, $under), array_map(fn (float $d): float => max(1e-6, $d), $depths));

        return array_map(
            fn ($contour): array => array_map(
                fn (array $ring): array => LineSimplifier::line($ring, self::SMOOTH_MM, true),
                $contour->rings,
            ),
            $contours,
        );
    }

    /** @return list<list<array{float, float}>> one strip for each stretch on the board */
    private function stream(Stream $stream, float $depth): array
    {
        if ($depth >= $stream->depth) {
            return [];
        }
        $half = ($stream->width / 2.0) * sqrt(1.0 - $depth / $stream->depth);
        $out = $left = $right = [];
        $close = function () use (&$out, &$left, &$right): void {
            if (count($left) > 1) {
                $out[] = [...$right, ...array_reverse($left)];
            }
            $left = $right = [];
        };
        $last = count($stream->line) - 1;
        foreach ($stream->line as $k => [$x, $y]) {
            if ($x < 0.0 || $y < 0.0 || $x > $this->model->width || $y > $this->model->depth) {
                $close();

                continue;
            }
            [[$px, $py], [$qx, $qy]] = [$stream->line[max(0, $k - 1)], $stream->line[min($last, $k + 1)]];
            $long = max(1e-9, hypot($qx - $px, $qy - $py));
            [$nx, $ny] = [-($qy - $py) / $long, ($qx - $px) / $long];
            $left[] = [$x + $half * $nx, $y + $half * $ny];
            $right[] = [$x - $half * $nx, $y - $half * $ny];
        }
        $close();

        return $out;
    }
}
