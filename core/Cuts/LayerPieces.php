<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Cuts\Nesting\NestPiece;
use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\PolygonSplitter;

/**
 * The pieces of a stack, or the ribs of a shell, as they go onto sheets: what is too long for a sheet is parted with a butt joint, specks
 * are filler.
 */
final readonly class LayerPieces
{
    /** A piece smaller than this is made of filler, mm². */
    public const MAX_SPECK_MM2 = 400.0;

    /**
     * @param  array<array-key, list<NestPiece>>  $pieces thickness → pieces
     * @param  list<string>  $parted pieces that were parted
     * @param  list<string>  $filler pieces too small to cut
     */
    private function __construct(public array $pieces, public array $parted, public array $filler)
    {
    }

    public static function of(FoamStack|Shell $body, CutSettings $cuts): self
    {
        $pieces = $parted = $filler = [];
        $all =
            $body instanceof Shell
                ? array_map(fn (Rib $rib): array => [$cuts->first()->thickness, $rib->pieces()], $body->ribs)
                : array_map(fn (Layer $layer): array => [$layer->thickness, $layer->pieces], $body->layers);
        foreach ($all as [$thickness, $those]) {
            foreach ($those as $piece) {
                if ($piece->area < self::MAX_SPECK_MM2) {
                    $filler[] = $piece->id;

                    continue;
                }
                $parts = self::parts($piece, $cuts->ofThickness($thickness) ?: [$cuts->first()], $cuts->margin);
                if (count($parts) > 1) {
                    $parted[] = $piece->id;
                }
                foreach ($parts as $k => $rings) {
                    $pieces[(string) $thickness][] = new NestPiece(
                        count($parts) > 1 ? $piece->id.chr(97 + ($k % 26)) : $piece->id,
                        $rings,
                    );
                }
            }
        }

        return new self($pieces, $parted, $filler);
    }

    /**
     * Halved across its longer side until every part fits the largest sheet, as it lies or turned a quarter.
     *
     * @param  non-empty-list<StockSheet>  $sheets
     * @return list<list<list<array{float, float}>>>
     */
    private static function parts(Piece $piece, array $sheets, float $margin): array
    {
        $sheet = array_reduce($sheets, fn (StockSheet $a, StockSheet $b): StockSheet => $b->area() > $a->area() ? $b : $a, $sheets[0]);
        [$long, $short] = [max($sheet->width, $sheet->depth) - 2.0 * $margin, min($sheet->width, $sheet->depth) - 2.0 * $margin];
        $rest = [$piece->rings];
        $out = [];
        while ($rest !== [] && count($out) < 24) {
            $rings = array_shift($rest);
            if (($rings[0] ?? []) === []) {
                continue;
            }
            [$x1, $y1, $x2, $y2] = Box::around($rings[0]);
            [$w, $h] = [$x2 - $x1, $y2 - $y1];
            if (max($w, $h) <= $long + 1e-6 && min($w, $h) <= $short + 1e-6) {
                $out[] = $rings;

                continue;
            }
            // Into as few equal stretches as the longer, or else the shorter, side of a sheet asks for.
            $across = $h > $w;
            $turned = $across ? self::turned($rings) : $rings;
            $parts = max(2, (int) ceil(max($w, $h) / (min($w, $h) <= $short ? $long : $short) - 1e-9));
            $cut = ($across ? $y1 : $x1) + max($w, $h) / $parts;
            foreach (PolygonSplitter::of($turned, $cut) as $side) {
                foreach ($side as $half) {
                    $rest[] = $across ? self::turned($half) : $half;
                }
            }
        }

        return [...$out, ...$rest];
    }

    /**
     * x and y exchanged, and each ring run the other way so that outlines stay counter-clockwise.
     *
     * @param  list<list<array{float, float}>>  $rings
     * @return list<list<array{float, float}>>
     */
    private static function turned(array $rings): array
    {
        return array_map(fn (array $ring): array => array_reverse(array_map(fn (array $p): array => [$p[1], $p[0]], $ring)), $rings);
    }
}
