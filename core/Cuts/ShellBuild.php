<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * How a shell is made: gap between ribs, gap between strips of the web and their width, size of a piece of cloth, how much of each lies on
 * its neighbour (0 … 1), how many layers; mm.
 */
final readonly class ShellBuild
{
    /** A web's weight is told at this gap between strips, mm. */
    private const MIN_WEB_GAP_MM = 25.0;

    /**
     * @throws InvalidValue naming the value that cannot be
     */
    public function __construct(
        public float $ribGap = 150.0,
        public float $stripGap = 40.0,
        public float $strip = 15.0,
        public float $clothWidth = 150.0,
        public float $clothLength = 250.0,
        public float $overlap = 0.4,
        public int $layers = 3,
    ) {
        InvalidValue::unlessBetween($ribGap, 30.0, 1000.0, 'The gap between ribs', 'mm', 'cuts/shell/rib_gap_mm');
        InvalidValue::unlessBetween($stripGap, 10.0, 300.0, 'The gap between strips', 'mm', 'cuts/shell/strip_gap_mm');
        InvalidValue::unlessBetween($strip, 3.0, $stripGap, 'The width of a strip', 'mm', 'cuts/shell/strip_mm');
        InvalidValue::unlessBetween($clothWidth, 20.0, 1000.0, 'The width of the cloth', 'mm', 'cuts/shell/cloth_width_mm');
        InvalidValue::unlessBetween($clothLength, 20.0, 2000.0, 'The length of the cloth', 'mm', 'cuts/shell/cloth_length_mm');
        InvalidValue::unlessBetween($overlap, 0.0, 0.8, 'The overlap', '', 'cuts/shell/overlap');
        InvalidValue::unlessBetween($layers, 1, 8, 'The layers', '', 'cuts/shell/layers');
    }

    /** Pieces of cloth that cover a surface once, each lying on its neighbour by the overlap; mm². */
    public function pieces(float $surface): int
    {
        return (int) ceil($surface / ($this->clothWidth * $this->clothLength * (1.0 - $this->overlap)) - 1e-9);
    }

    /** Area of the whole pieces that cover a surface once, mm². */
    public function cloth(float $surface): float
    {
        return $this->pieces($surface) * $this->clothWidth * $this->clothLength;
    }

    /** How much closer than usual the strips of the web lie: card and glue go with it. */
    public function density(): float
    {
        return self::MIN_WEB_GAP_MM / $this->stripGap;
    }

    /** @return array<string, float|int> */
    public function toArray(): array
    {
        return [
            'rib_gap_mm' => $this->ribGap,
            'strip_gap_mm' => $this->stripGap,
            'strip_mm' => $this->strip,
            'cloth_width_mm' => $this->clothWidth,
            'cloth_length_mm' => $this->clothLength,
            'overlap' => $this->overlap,
            'layers' => $this->layers,
        ];
    }
}
