<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Cuts\Nesting\Nester;
use IdleRidge\Core\Cuts\Nesting\NestPiece;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestSheet;
use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\InvalidValue;

/** Ready-made water in sheets of one size, mm; a piece is cut so much larger than its water all round and tucked under the bank. */
final readonly class WaterSheet
{
    private const KERF_MM = 1.0;

    private const MAX_SHEETS = 40;

    /** A piece so small is not cut: gloss fills it, mm². */
    private const CRUMB_MM2 = 60.0;

    /** @throws InvalidValue */
    public function __construct(public float $width, public float $height, public float $tuck)
    {
        InvalidValue::unlessBetween($width, 50.0, 5000.0, 'The width of a sheet', 'mm', 'sheet/width_mm');
        InvalidValue::unlessBetween($height, 50.0, 5000.0, 'The height of a sheet', 'mm', 'sheet/height_mm');
        InvalidValue::unlessBetween($tuck, 0.0, 20.0, 'What is tucked under', 'mm', 'sheet/tuck_mm');
    }

    /**
     * The pieces that a water takes, nested on sheets; what is larger than a sheet is cut with seams.
     *
     * @param  list<list<array{float, float}>>  $rings of the water, outlines counter-clockwise
     */
    public function cut(array $rings): SheetCut
    {
        $pieces = [];
        $seams = 0;
        foreach ($rings as $ring) {
            if (Polygon::area($ring) <= 0.0) {
                continue;
            }
            $parts = $this->parts($this->grown($ring));
            $seams += count($parts) - 1;
            foreach ($parts as $part) {
                $pieces[] = new NestPiece('W'.(count($pieces) + 1), [$part]);
            }
        }
        $problem = new NestProblem(
            [new NestSheet('sheet', $this->width, $this->height, self::MAX_SHEETS)],
            array_slice($pieces, 0, NestProblem::MAX_PIECES),
            self::KERF_MM,
            0.0,
        );

        return new SheetCut($this, $problem->pieces, Nester::lay($problem), $seams);
    }

    /**
     * @param  list<array{float, float}>  $ring
     * @return list<array{float, float}> moved outwards at every corner; as it was where that would make it cross itself
     */
    private function grown(array $ring): array
    {
        $n = count($ring);
        $out = [];
        foreach ($ring as $k => [$x, $y]) {
            [[$px, $py], [$qx, $qy]] = [$ring[($k + $n - 1) % $n], $ring[($k + 1) % $n]];
            [$in, $on] = [max(1e-9, hypot($x - $px, $y - $py)), max(1e-9, hypot($qx - $x, $qy - $y))];
            // Out along both edges' normals together; at a sharp corner no further than twice the tuck.
            [$nx, $ny] = [($y - $py) / $in + ($qy - $y) / $on, -($x - $px) / $in - ($qx - $x) / $on];
            $by = $this->tuck * min(2.0 / max(1e-9, $nx * $nx + $ny * $ny), 2.0 / max(1e-9, hypot($nx, $ny)));
            $out[] = [$x + $by * $nx, $y + $by * $ny];
        }

        return Polygon::crossesItself($out) ? $ring : $out;
    }

    /**
     * @param  list<array{float, float}>  $ring
     * @return list<list<array{float, float}>> by a grid of whole sheets, where it is larger than one either way up
     */
    private function parts(array $ring): array
    {
        [$x1, $y1, $x2, $y2] = Box::around($ring ?: [[0.0, 0.0]]);
        [$w, $h] = [$x2 - $x1, $y2 - $y1];
        if (($w <= $this->width && $h <= $this->height) || ($w <= $this->height && $h <= $this->width)) {
            return [$ring];
        }
        $count = fn (float $sw, float $sh): int => (int) ceil($w / $sw) * (int) ceil($h / $sh);
        [$sw, $sh] = $count($this->width, $this->height) <= $count($this->height, $this->width)
            ? [$this->width, $this->height]
            : [$this->height, $this->width];
        $out = [];
        for ($y = $y1; $y < $y2; $y += $sh) {
            for ($x = $x1; $x < $x2; $x += $sw) {
                $part = Polygon::within($ring, $x, $y, min($x2, $x + $sw), min($y2, $y + $sh));
                if (count($part) > 2 && abs(Polygon::area($part)) > self::CRUMB_MM2) {
                    $out[] = $part;
                }
            }
        }

        return $out;
    }
}
