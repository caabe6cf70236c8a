<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\CureClock;
use IdleRidge\Core\Geometry\Polygon;

/**
 * In which order a stack is glued, from the board up, and with what: hot melt for pieces that are placed before it gels, building
 * adhesive where it can dry out between closed cells, contact glue for the rest. Figures are starting values of general trade
 * practice; what is confined dries as the cure clock says, in the reference air.
 */
final readonly class Gluing
{
    /**
     * @param  list<GlueJoint>  $joints in the order in which they are glued
     */
    private function __construct(public array $joints)
    {
    }

    public static function of(FoamStack $stack): self
    {
        $joints = [];
        foreach ($stack->layers as $layer) {
            $under = $stack->layer($layer->index - 1);
            $below = [...$under->pieces ?? [], ...$stack->stands[$layer->index - 1]->pieces ?? []];
            foreach (array_filter($layer->pieces, fn (Piece $p): bool => $p->area >= LayerPieces::MAX_SPECK_MM2) as $piece) {
                $on = array_unique(array_map(
                    fn (Piece $p): string => $p->id,
                    array_filter($below, fn (Piece $p): bool => Template::lieOn($piece, $p)),
                ));
                // What stands is as thick as what lies on it, at least.
                $joints[] = self::joint(
                    $piece,
                    $on === [] ? 'board' : implode(', ', $on),
                    $layer->thickness,
                    $below === [] ? null : $under->thickness ?? $layer->thickness,
                );
            }
        }

        return new self($joints);
    }

    private static function joint(Piece $piece, string $on, float $thickness, ?float $under): GlueJoint
    {
        $half = self::halfWidth($piece);
        // Wood under the first layer takes up water: glue between it and foam is not confined.
        $days = $under === null ? 1.0 : CureClock::confined($half, min($thickness, $under), false, Climate::reference()) / 1440.0;
        $melt = self::meltsFor();
        [$glue, $why] = match (true) {
            $piece->area <= $melt => ['hot melt', 'small enough to place within 30 s'],
            $days <= GlueFigures::MAX_ADHESIVE_DAYS => [
                'adhesive',
                $under === null ? 'the board lets it dry' : 'dry between the faces in '.self::dayWords($days),
            ],
            default => ['contact', 'adhesive would take '.self::dayWords($days).' between closed cells, hot melt gel first'],
        };

        return new GlueJoint(
            $piece->id,
            $on,
            $piece->area,
            $half,
            $days,
            $glue,
            $why,
            (GlueFigures::COVERAGE_ML_PER_M2[$glue] * $piece->area) / 1e6,
        );
    }

    /** The largest piece that is placed before hot melt gels, mm². */
    public static function meltsFor(): float
    {
        return GlueFigures::HOT_MELT_MM2_PER_SECOND * GlueFigures::HOT_MELT_OPEN_SECONDS;
    }

    /** @return array<string, float> glue → ml */
    public function amounts(): array
    {
        $out = [];
        foreach ($this->joints as $joint) {
            $out[$joint->glue] = ($out[$joint->glue] ?? 0.0) + $joint->ml;
        }

        return $out;
    }

    /** Area of the joints, of one glue or of all, mm². */
    public function areaOf(?string $glue = null): float
    {
        return array_sum(array_map(fn (GlueJoint $j): float => $glue === null || $j->glue === $glue ? $j->area : 0.0, $this->joints));
    }

    /** The widest circle's radius that lies in a piece: from the deepest place of a raster uphill in ever shorter steps, mm. */
    private static function halfWidth(Piece $piece): float
    {
        $ring = $piece->rings[0];
        [[$x, $y]] = Dowels::deepest([$piece], $ring, 1) + [$ring[0]];
        $best = Polygon::depth($ring, $x, $y);
        for ($step = 8.0; $step > 0.4; $step /= 2.0) {
            do {
                $better = false;
                foreach ([[1, 0], [-1, 0], [0, 1], [0, -1], [1, 1], [1, -1], [-1, 1], [-1, -1]] as [$i, $j]) {
                    [$px, $py] = [$x + $i * $step, $y + $j * $step];
                    $depth = Polygon::depth($ring, $px, $py);
                    if ($depth > $best + 1e-9) {
                        [$x, $y, $best, $better] = [$px, $py, $depth, true];
                    }
                }
            } while ($better);
        }

        return max(1.0, $best);
    }

    private static function dayWords(float $days): string
    {
        return $days < 1.0 ? round(24.0 * $days).' h' : round($days, 1).' days';
    }
}
