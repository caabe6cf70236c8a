<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use Closure;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\UnitsInUse;

/**
 * The land as layers of foam from the board up. A carved layer covers all land above its bottom and is cut away to shape;
 * a filled one covers the land above its top and is built out to shape. Volumes in mm³.
 *
 * A layer into which a tunnel's bore reaches is cut open there; a lining closes what is left over the bore's roof.
 *
 * For a carved stack `carved` is what is cut away and nothing is filled; for a filled one `filler` is what is added; a balanced
 * one, whose layers cover the land above their middles, has both. `hollowed` is left out inside.
 *
 * Foam that stands on the board already counts in all of these; only the layers' pieces and areas, what is still to cut, leave it
 * out (`stood`). A layer in which some stands is not hollowed.
 */
final readonly class FoamStack
{
    /** Most layers a stack may have. */
    private const MAX_LAYERS = 400;

    /** Land that only touches a level needs no foam; contours count it in, so they are taken this much above, mm. */
    private const SAME_HEIGHT_MM = 0.01;

    /** Where hills run out on a flat board, a raster smears their foot by half a cell: there the line is taken higher, mm. */
    private const MIN_FOOT_MM = 0.3;

    /** Outlines are thinned to this, mm. */
    private const OUTLINE_TOLERANCE_MM = 0.3;

    /**
     * @param  list<Layer>  $layers of which something is still to cut
     * @param  array<int, Layer>  $stands layer from 1 → what of it stands already
     */
    private function __construct(
        public CutSchool $school,
        public array $layers,
        public float $foam,
        public float $carved,
        public float $filler,
        public float $hollowed = 0.0,
        public float $stood = 0.0,
        public array $stands = [],
    ) {
    }

    /**
     * @param  HeightMesh  $shape the land less its skin
     * @param  float  $base the board's top, mm over the datum
     * @param  float|list<float>  $thickness of every layer, or of each from the board up; the last goes on
     * @param  list<TunnelBore>  $bores
     * @param  float|null  $wall what stays between hollows and any surface, mm; null for none left out
     * @param  (Closure(float, float): float)|null  $exact height of the shape at any place: outlines follow its sharp breaks
     * @param  list<StandingFoam>  $standing
     */
    public static function of(
        HeightMesh $shape,
        float $base,
        float|array $thickness,
        CutSchool $school,
        array $bores = [],
        ?float $wall = null,
        ?Closure $exact = null,
        array $standing = [],
    ): self {
        $bored = array_map(fn (TunnelBore $bore): array => $bore->over($shape), $bores);
        $atBores = array_replace([], ...$bored);
        $hollow = $wall === null ? null : FoamHollow::under($shape, $bored, $wall);
        $top = max($shape->z);
        $lowest = min($shape->z);
        $layers = $stands = [];
        $foam = $hollowed = $filler = $stood = 0.0;
        $sequence = is_array($thickness) && $thickness !== [] ? $thickness : [is_array($thickness) ? 20.0 : $thickness];
        $bottom = $base;
        $thickness = 0.0;
        for ($k = 0; $k < self::MAX_LAYERS; $k++) {
            $bottom += $thickness;
            $thickness = $sequence[min($k, count($sequence) - 1)];
            if ($bottom >= $top - 1e-6) {
                break;
            }
            $level = $bottom + $school->share() * $thickness;
            $line = $level + ($level < $lowest + self::SAME_HEIGHT_MM ? self::MIN_FOOT_MM : self::SAME_HEIGHT_MM);
            [$outline] = Contours::of(self::opened($shape, $bored, $bottom, $line), [$line], $exact, $atBores);
            // What of the land lies in the layer's slab but under its level is filled.
            $filler += $shape->volumeAbove($bottom) - $shape->volumeAbove($level) - ($level - $bottom) * $outline->areaAbove;
            if ($outline->areaAbove <= 0.0) {
                continue;
            }
            $filling = array_filter($standing, fn (StandingFoam $f): bool => $f->fills($bottom - $base, $bottom + $thickness - $base));
            $left = $filling === [] ? $hollow?->below($bottom + $thickness) ?? [] : [];
            $area = $whole = $outline->areaAbove + array_sum(array_map(Polygon::area(...), $left));
            if ($filling !== []) {
                $around = array_map(fn (StandingFoam $f): array => $f->over($shape), array_values($filling));
                $beside = self::beside(self::opened($shape, $bored, $bottom, $line), $around, $line);
                [$outline] = Contours::of($beside, [$line], $exact, $atBores + array_replace([], ...$around));
                $area = $outline->areaAbove;
                $blocks = array_values(array_map(fn (StandingFoam $f): Piece => $f->piece(), $filling));
                $stands[$k + 1] = new Layer($k + 1, $bottom, $thickness, $whole - $area, $blocks);
            }
            $foam += $thickness * $whole;
            $stood += $thickness * ($whole - $area);
            $hollowed += $filling === [] ? $thickness * ($outline->areaAbove - $area) : 0.0;
            if ($area > 0.0) {
                $layers[] = new Layer($k + 1, $bottom, $thickness, $area, self::pieces($k + 1, [...$outline->rings, ...$left]));
            }
        }
        $land = $shape->volumeAbove($base) - $hollowed;
        foreach ($bores as $bore) {
            $land -= $bore->volume($shape->xs[count($shape->xs) - 1], $shape->ys[count($shape->ys) - 1]);
        }

        return new self(
            $school,
            $layers,
            $foam,
            match ($school) {
                CutSchool::Fill => 0.0,
                CutSchool::Balanced => max(0.0, $foam - $land + $filler),
                default => max(0.0, $foam - $land),
            },
            match ($school) {
                CutSchool::Fill => max(0.0, $land - $foam),
                CutSchool::Balanced => $filler,
                default => 0.0,
            },
            $hollowed,
            $stood,
            $stands,
        );
    }

    /**
     * How thick a skin measured square to the surface is straight down: `t·√(1 + |∇z|²)`, at most three times t. The slope is the
     * gentler of those to either side, so that the foot of a wall is not dug away.
     *
     * @return list<float> at every value of the grid
     */
    public static function skin(HeightGrid $land, float $skin): array
    {
        $n = $land->cols;
        $thick = [];
        foreach ($land->values as $p => $z) {
            $i = $p % $n;
            $gx = self::gentler($i > 0 ? $z - $land->values[$p - 1] : null, $i < $n - 1 ? $land->values[$p + 1] - $z : null) / $land->cell;
            $gy =
                self::gentler(
                    $p >= $n ? $z - $land->values[$p - $n] : null,
                    $p < $n * ($land->rows - 1) ? $land->values[$p + $n] - $z : null,
                ) / $land->cell;
            $thick[] = $skin * min(3.0, sqrt(1.0 + $gx * $gx + $gy * $gy));
        }

        return $thick;
    }

    private static function gentler(?float $before, ?float $after): float
    {
        $before ??= $after ?? 0.0;
        $after ??= $before;

        return abs($before) < abs($after) ? $before : $after;
    }

    /**
     * The shape as one layer sees it: where a bore goes through the layer it falls away from the line at the bore's sides,
     * by their distance, so that the outline follows them.
     *
     * @param  list<array<int, array{float, float, float}>>  $bored
     */
    private static function opened(HeightMesh $shape, array $bored, float $bottom, float $line): HeightMesh
    {
        if ($bored === []) {
            return $shape;
        }
        $z = $shape->z;
        foreach ($bored as $nodes) {
            foreach ($nodes as $p => [$away, $floor, $roof]) {
                if ($line > $floor + self::MIN_FOOT_MM && $bottom < $roof) {
                    $z[$p] = min($z[$p], $line + $away);
                }
            }
        }

        return new HeightMesh($shape->xs, $shape->ys, array_values($z));
    }

    /**
     * The shape as a layer sees it of which some stands: it falls away from the line at the sides of what stands.
     *
     * @param  list<array<int, float>>  $around
     */
    private static function beside(HeightMesh $shape, array $around, float $line): HeightMesh
    {
        $z = $shape->z;
        foreach ($around as $nodes) {
            foreach ($nodes as $p => $away) {
                $z[$p] = min($z[$p], $line + $away);
            }
        }

        return new HeightMesh($shape->xs, $shape->ys, array_values($z));
    }

    /**
     * The layers that a block fills, from the board up.
     *
     * @return list<Layer>
     */
    public function filledBy(StandingFoam $block, float $base): array
    {
        return array_values(array_filter(
            $this->stands,
            fn (Layer $l): bool => $block->fills($l->bottom - $base, $l->bottom + $l->thickness - $base),
        ));
    }

    /** Null for a layer of which nothing is to cut. */
    public function layer(int $index): ?Layer
    {
        foreach ($this->layers as $layer) {
            if ($layer->index === $index) {
                return $layer;
            }
        }

        return null;
    }

    /**
     * Whole sheets by area alone: never fewer than these, seldom enough.
     *
     * @return list<array{thickness: float, count: int}> the thickest first
     */
    public function sheets(CutSettings $cuts): array
    {
        $areas = [];
        foreach ($this->layers as $layer) {
            $areas[(string) $layer->thickness] = ($areas[(string) $layer->thickness] ?? 0.0) + $layer->area;
        }
        krsort($areas, SORT_NUMERIC);
        $out = [];
        foreach ($areas as $thickness => $area) {
            $sheet = $cuts->ofThickness((float) $thickness)[0] ?? $cuts->first();
            $out[] = ['thickness' => (float) $thickness, 'count' => (int) ceil($area / $sheet->area() - 1e-9)];
        }

        return $out;
    }

    /** How many layers of each thickness, from the board up: “2 × 50, 3 × 20 mm”. */
    public function words(): string
    {
        $words = [];
        $count = 0;
        foreach ($this->layers as $k => $layer) {
            $count++;
            if (($this->layers[$k + 1]->thickness ?? null) !== $layer->thickness) {
                $words[] = $count.' × '.Format::nominal($layer->thickness, '"');
                $count = 0;
            }
        }

        return $words === [] ? '' : trim(implode(', ', $words).' '.(UnitsInUse::areMetric() ? 'mm' : ''));
    }

    /**
     * @param  list<list<array{float, float}>>  $rings outlines counter-clockwise, holes clockwise
     * @return list<Piece> the largest first
     */
    private static function pieces(int $layer, array $rings): array
    {
        $outlines = $holes = [];
        foreach ($rings as $ring) {
            $area = Polygon::area($ring);
            $thin = LineSimplifier::line($ring, self::OUTLINE_TOLERANCE_MM, true);
            if (count($thin) < 3) {
                continue;
            }
            if ($area > 0.0) {
                $outlines[] = [$area, [$thin]];
            } else {
                $holes[] = [$area, $thin];
            }
        }
        usort($outlines, fn (array $a, array $b): int => $b[0] <=> $a[0]);
        foreach ($holes as [$area, $hole]) {
            // The smallest outline around a hole is the piece it is in.
            for ($k = count($outlines) - 1; $k >= 0; $k--) {
                if (Polygon::holds($outlines[$k][1][0], $hole[0][0], $hole[0][1])) {
                    $outlines[$k][0] += $area;
                    $outlines[$k][1][] = $hole;
                    break;
                }
            }
        }
        $pieces = [];
        foreach ($outlines as $k => [$area, $all]) {
            $pieces[] = new Piece($layer.'.'.($k + 1), $all, $area);
        }

        return $pieces;
    }
}
