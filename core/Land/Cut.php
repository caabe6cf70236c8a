<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Track\Run;

/**
 * Where the land is cut open: a straight line over the board, square to a run at a station, or across the board at an x.
 * Offsets count along the line from `origin`, positive to the left of rising stations.
 */
final readonly class Cut
{
    private function __construct(
        public Point $origin,
        public float $heading,
        public float $least,
        public float $greatest,
        public ?Run $run,
        public float $station,
    ) {
    }

    public static function acrossRun(Run $run, float $station, float $width, float $depth): self
    {
        $station = max(0.0, min($run->alignment->length, $station));

        return self::over(
            $run->alignment->pointAt($station),
            $run->alignment->headingAt($station) + M_PI / 2.0,
            $width,
            $depth,
            $run,
            $station,
        );
    }

    public static function acrossBoard(float $x, float $width, float $depth): self
    {
        $x = max(0.0, min($width, $x));

        return self::over(new Point($x, $depth / 2.0), M_PI / 2.0, $width, $depth, null, $x);
    }

    public function pointAt(float $offset): Point
    {
        return $this->origin->toward($this->heading, $offset);
    }

    /**
     * Offset, terrain and natural ground along the cut, mm: every millimetre beside the track, where faces stand, and
     * every third beyond.
     *
     * @return list<array{float, float, float}>
     */
    public function samples(LandModel $land, float $near = 110.0): array
    {
        $offsets = [];
        for (
            $offset = $this->least;
            $offset < $this->greatest;
            $offset += abs($offset) <= $near ? 1.0 : min(3.0, max(1.0, abs($offset) - $near))
        ) {
            $offsets[] = $offset;
        }
        $offsets[] = $this->greatest;
        $out = [];
        foreach ($offsets as $offset) {
            $p = $this->pointAt($offset);
            $ground = $land->ground->at($p->x, $p->y);
            $out[] = [$offset, $land->grading->at($p->x, $p->y, $ground)->height ?? $ground, $ground];
        }

        return $out;
    }

    private static function over(Point $origin, float $heading, float $width, float $depth, ?Run $run, float $station): self
    {
        $least = -INF;
        $greatest = INF;
        foreach ([[$origin->x, cos($heading), $width], [$origin->y, sin($heading), $depth]] as [$at, $step, $extent]) {
            if (abs($step) > 1e-12) {
                $ends = [-$at / $step, ($extent - $at) / $step];
                $least = max($least, min($ends));
                $greatest = min($greatest, max($ends));
            }
        }
        if ($least > $greatest) {
            [$least, $greatest] = [0.0, 0.0];
        }

        return new self($origin, $heading, $least, $greatest, $run, $station);
    }
}
