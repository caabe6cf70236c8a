<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Cuts;

use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\CutStudy;
use IdleRidge\Core\Project\HiddenThing;

/** A cut of the foam, or the carving of its surface, that comes near something hidden. */
final class CutNearHidden implements CutRule
{
    /** Cuts keep so far from it, mm: a starting value. */
    public const MARGIN_MM = 10.0;

    /** The edge of the board is no cut through it, mm. */
    private const EDGE_MM = 1.0;

    public function ids(): array
    {
        return ['cut-near-hidden'];
    }

    public function check(CutStudy $study): array
    {
        $found = [];
        foreach ($study->hidden as $thing) {
            $nearest = null;
            foreach ($thing->places() as [$x, $y]) {
                if (! $study->section->holds($x, $y)) {
                    continue;
                }
                foreach ([...self::cuts($study, $thing, $x, $y), ...self::carving($study, $thing, $x, $y)] as [$gap, $what]) {
                    if ($gap < self::MARGIN_MM && ($nearest === null || $gap < $nearest[0])) {
                        $nearest = [$gap, $what, $x, $y];
                    }
                }
            }
            if ($nearest !== null) {
                $found[] = self::finding($study, $thing, ...$nearest);
            }
        }

        return $found;
    }

    /** @return list<array{float, string}> clear distance to the cuts of layers at its height, and of which */
    private static function cuts(CutStudy $study, HiddenThing $thing, float $x, float $y): array
    {
        $out = [];
        foreach ($study->stack->layers ?? [] as $layer) {
            if ($thing->top < $layer->bottom || $thing->bottom > $layer->bottom + $layer->thickness) {
                continue;
            }
            $gap = self::toCut($study, $layer, $x, $y) - $thing->wide / 2.0;
            $out[] = [max(0.0, $gap), "the cut of layer {$layer->index}"];
        }

        return $out;
    }

    /** @return list<array{float, string}> how far it lies under the surface that is carved */
    private static function carving(CutStudy $study, HiddenThing $thing, float $x, float $y): array
    {
        return $study->land === null || $thing->bottom < $study->section->base - 1e-9
            ? []
            : [[max(0.0, $study->land->at($x, $y) - $thing->top), 'the carved surface']];
    }

    private static function toCut(CutStudy $study, Layer $layer, float $x, float $y): float
    {
        $least = INF;
        [$w, $d] = [$study->section->width, $study->section->depth];
        foreach ($layer->pieces as $piece) {
            foreach ($piece->rings as $ring) {
                $n = count($ring);
                for ($i = 0; $i < $n; $i++) {
                    [$ax, $ay] = $ring[$i];
                    [$bx, $by] = $ring[($i + 1) % $n];
                    if (self::onEdge($ax, $bx, $w) || self::onEdge($ay, $by, $d)) {
                        continue;
                    }
                    $least = min($least, self::toSegment($x, $y, $ax, $ay, $bx, $by));
                }
            }
        }

        return $least;
    }

    private static function onEdge(float $a, float $b, float $far): bool
    {
        return max($a, $b) <= self::EDGE_MM || min($a, $b) >= $far - self::EDGE_MM;
    }

    private static function toSegment(float $x, float $y, float $ax, float $ay, float $bx, float $by): float
    {
        $long = ($bx - $ax) ** 2 + ($by - $ay) ** 2;
        $t = $long === 0.0 ? 0.0 : max(0.0, min(1.0, (($x - $ax) * ($bx - $ax) + ($y - $ay) * ($by - $ay)) / $long));

        return hypot($x - $ax - $t * ($bx - $ax), $y - $ay - $t * ($by - $ay));
    }

    private static function finding(CutStudy $study, HiddenThing $thing, float $gap, string $what, float $x, float $y): Finding
    {
        $said = $gap <= 0.0 ? "Meets the {$thing->called()}" : "Comes near the {$thing->called()}";

        return new Finding(
            'cut-near-hidden',
            $gap <= 0.0 ? Severity::Stop : Severity::Care,
            "{$said} on {$study->section->name}: {$what}",
            $study->section->uid,
            Place::at($x, $y),
            [
                'gap' => new Quantity(
                    $gap,
                    'mm',
                    'from it to the nearest cut, half its width taken off',
                    ['width' => Format::length($thing->wide, 1)],
                    decimals: 1,
                ),
                'least' => new Quantity(self::MARGIN_MM, 'mm', 'what a cut keeps from it', [], 'starting value', 0),
            ],
            'A hot wire melts a cable’s skin, a saw loses its teeth on a screw, and a cut feed is looked for through finished land.',
            'Lead it elsewhere, take it out while you cut, or cut there by hand and shallow.',
        );
    }
}
