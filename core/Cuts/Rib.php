<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use Closure;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\Format;

/**
 * A profile board across the board at x: its face from the front to the back and up from the board's top, holes where bores go through; mm.
 */
final readonly class Rib
{
    /** Lower than this there is nothing to cut, mm. */
    private const MIN_PIECE_MM = 1.0;

    private const STEP_MM = 1.0;

    /** @param  list<list<array{float, float}>>  $rings along the depth and up, outlines counter-clockwise, bores clockwise */
    private function __construct(public string $name, public float $x, public array $rings, public float $highest)
    {
    }

    /**
     * @param  list<TunnelBore>  $bores
     * @param  (Closure(float, float): float)|null  $exact height of the shape at any place
     */
    public static function at(string $name, float $x, HeightMesh $shape, float $base, array $bores = [], ?Closure $exact = null): self
    {
        $exact ??= $shape->at(...);
        $depth = $shape->ys[count($shape->ys) - 1];
        $n = max(1, (int) ceil($depth / self::STEP_MM));
        $ys = array_map(fn (int $k): float => ($depth * $k) / $n, range(0, $n));
        $line = array_map(fn (float $y): array => [$y, $exact($x, $y) - $base], $ys);
        $rings = [];
        $on = [];
        foreach ([...$line, [$depth, 0.0]] as $k => $p) {
            if ($k <= $n && $p[1] >= self::MIN_PIECE_MM) {
                $on[] = $p;

                continue;
            }
            if (count($on) > 1) {
                $rings[] = [[$on[0][0], 0.0], [$on[count($on) - 1][0], 0.0], ...array_reverse(LineSimplifier::line($on, 0.15))];
            }
            $on = [];
        }
        $across = new HeightMesh([$x], $ys, array_column($line, 1));
        foreach ($bores as $bore) {
            array_push($rings, ...self::holes($bore->over($across), $ys, $base));
        }

        return new self($name, $x, $rings, max([0.0, ...array_column($line, 1)]));
    }

    /** @return list<Piece> what is cut for it, one where it is whole */
    public function pieces(): array
    {
        $outlines = array_values(array_filter($this->rings, fn (array $ring): bool => Polygon::area($ring) > 0.0));
        $holes = array_filter($this->rings, fn (array $ring): bool => Polygon::area($ring) < 0.0);
        $out = [];
        foreach ($outlines as $k => $outline) {
            $rings = [$outline, ...array_values(array_filter($holes, fn (array $hole): bool => Polygon::holds($outline, ...$hole[1])))];
            $out[] = new Piece(
                $this->name.(count($outlines) > 1 ? chr(97 + ($k % 26)) : ''),
                $rings,
                array_sum(array_map(Polygon::area(...), $rings)),
            );
        }

        return $out;
    }

    public function area(): float
    {
        return max(0.0, array_sum(array_map(Polygon::area(...), $this->rings)));
    }

    public function outline(): float
    {
        return array_sum(array_map(Polygon::perimeter(...), $this->rings));
    }

    public function template(): Template
    {
        $middle = $this->rings[0][0] ?? [0.0, 0.0];

        return new Template(
            $this->name,
            sprintf('%s, %s from the left end, seen from the left', $this->name, Format::length($this->x)),
            $this->rings,
            [],
            [],
            [],
            [[$middle[0] + 10.0, 3.0, $this->name.', front']],
        );
    }

    /**
     * @param  array<int, array{float, float, float}>  $nodes
     * @param  list<float>  $ys
     * @return list<list<array{float, float}>>
     */
    private static function holes(array $nodes, array $ys, float $base): array
    {
        $out = [];
        $open = null;
        foreach ($ys as $k => $y) {
            $inside = isset($nodes[$k]) && $nodes[$k][0] < 0.0;
            if ($inside) {
                $open ??= [$y, $nodes[$k][1] - $base, $nodes[$k][2] - $base];
            }
            if ($open !== null && (! $inside || $k === count($ys) - 1)) {
                [$from, $floor, $roof] = $open;
                $to = $inside ? $y : $ys[$k - 1];
                $out[] = [[$from, $floor], [$from, $roof], [$to, $roof], [$to, $floor]];
                $open = null;
            }
        }

        return $out;
    }
}
