<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Coats\PlasterLayer;
use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\Densities;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Frame;
use IdleRidge\Core\Cuts\Shell;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;

/**
 * What a board weighs by part, dry and with its plaster wet, and where its centre of gravity lies: section coordinates, height
 * over the board's top; kg, mm. Densities are starting values.
 */
final readonly class BoardWeight
{
    /**
     * @param  list<array{part: string, dry: float, wet: float}>  $parts
     * @param  array{float, float, float}  $centre of it dry
     * @param  array{float, float, float}  $box width, depth and height that it takes when carried
     */
    private function __construct(public array $parts, public array $centre, public array $box)
    {
    }

    /**
     * @param  HeightMesh  $land with its skin
     * @param  HeightMesh  $shape less its skin
     * @param  list<Run>  $runs seen from the section
     * @param  PlasterLayer|null  $plaster what coats lay on the foam; where there is none a skin as thick as the cuts leave room for
     */
    public static function of(
        Section $section,
        HeightMesh $land,
        HeightMesh $shape,
        float $skin,
        FoamStack|Shell $body,
        BoardBuild $build,
        array $runs,
        float $gauge,
        ?PlasterLayer $plaster = null,
    ): self {
        [$w, $d] = [$section->width, $section->depth];
        $middle = [$w / 2.0, $d / 2.0];
        $frame = Frame::under($w, $d, $build);
        [$solid, $surface] = [self::solid($shape, $section->base), self::surfaceMiddle($land, $section->base)];
        $parts = [
            self::part('frame', $frame->weight($build), 1.0, [...$middle, -$build->top - $build->timberHigh / 2.0]),
            self::part('board’s top', $build->topWeight($w, $d), 1.0, [...$middle, -$build->top / 2.0]),
        ];
        if ($body instanceof FoamStack) {
            $parts[] = self::part('foam', (($body->foam - $body->carved) * Densities::FOAM_KG_PER_M3) / 1e9, 1.0, $solid);
            $parts[] = self::part('filler', ($body->filler * Densities::PLASTER_KG_PER_M3) / 1e9, Densities::WET_OVER_DRY, $solid);
            $parts[] = self::part(
                $plaster === null ? 'skin' : 'plaster as laid',
                $plaster->dry ?? ($skin * $land->surface() * Densities::PLASTER_KG_PER_M3) / 1e9,
                Densities::WET_OVER_DRY,
                $surface,
            );
        } else {
            $parts[] = self::part('ribs', ($body->ribArea() * Densities::RIB_BOARD_KG_PER_M2) / 1e6, 1.0, $solid);
            $parts[] = self::part('shell', $body->weight(), $body->weight(true) / max(1e-9, $body->weight()), $surface);
        }
        foreach ($runs as $run) {
            $here = $run->kind === RunKind::Track ? $run->within($w, $d) : null;
            if ($here !== null && $here[1] > $here[0]) {
                $middle = ($here[0] + $here[1]) / 2.0;
                $p = $run->alignment->pointAt($middle);
                $weight = (Densities::TRACK_KG_PER_M * ($gauge / 16.5) ** 2 * ($here[1] - $here[0])) / 1000.0;
                $parts[] = self::part($run->name, $weight, 1.0, [$p->x, $p->y, $run->grade->heightAt($middle) - $section->base]);
            }
        }
        $parts = array_values(array_filter($parts, fn (array $p): bool => $p['dry'] > 0.0));
        $sum = max(1e-9, array_sum(array_column($parts, 'dry')));
        $centre = array_map(fn (int $k): float => array_sum(array_map(fn (array $p): float => $p['dry'] * $p['at'][$k], $parts)) / $sum, [
            0,
            1,
            2,
        ]);

        return new self(
            array_map(fn (array $p): array => ['part' => $p['part'], 'dry' => $p['dry'], 'wet' => $p['wet']], $parts),
            [$centre[0], $centre[1], $centre[2]],
            [$w, $d, max(0.0, max($land->z) - $section->base) + $build->top + $build->timberHigh],
        );
    }

    /** kg of some parts, dry. */
    public function ofParts(string ...$names): float
    {
        return array_sum(array_map(fn (array $p): float => in_array($p['part'], $names, true) ? $p['dry'] : 0.0, $this->parts));
    }

    public function dry(): float
    {
        return array_sum(array_column($this->parts, 'dry'));
    }

    public function wet(): float
    {
        return array_sum(array_column($this->parts, 'wet'));
    }

    /** How many have to lift it, wet as it may be. */
    public function people(BoardBuild $build): int
    {
        return max(1, (int) ceil($this->wet() / $build->lift - 1e-9));
    }

    /** @return array{fits: bool, short: float}|null whether it goes through the opening; null where none is set */
    public function passes(BoardBuild $build): ?array
    {
        return $build->passes($this->box);
    }

    /**
     * @param  array{float, float, float}  $at
     * @return array{part: string, dry: float, wet: float, at: array{float, float, float}}
     */
    private static function part(string $name, float $dry, float $wet, array $at): array
    {
        return ['part' => $name, 'dry' => $dry, 'wet' => $dry * $wet, 'at' => $at];
    }

    /** @return array{float, float, float} middle of what stands between the board and the land */
    private static function solid(HeightMesh $shape, float $base): array
    {
        return self::middle($shape, $base, fn (float $h): array => [max(0.0, $h), max(0.0, $h) / 2.0]);
    }

    /** @return array{float, float, float} middle of the surface, by plan area */
    private static function surfaceMiddle(HeightMesh $land, float $base): array
    {
        return self::middle($land, $base, fn (float $h): array => [1.0, $h]);
    }

    /**
     * @param  callable(float): array{float, float}  $weigh height of a cell over the board → its weight and the height of that
     * @return array{float, float, float}
     */
    private static function middle(HeightMesh $mesh, float $base, callable $weigh): array
    {
        $n = count($mesh->xs);
        $sum = $x = $y = $z = 0.0;
        for ($j = 0; $j < count($mesh->ys) - 1; $j++) {
            for ($i = 0; $i < $n - 1; $i++) {
                $p = $j * $n + $i;
                [$weight, $high] = $weigh(($mesh->z[$p] + $mesh->z[$p + 1] + $mesh->z[$p + $n] + $mesh->z[$p + $n + 1]) / 4.0 - $base);
                $weight *= ($mesh->xs[$i + 1] - $mesh->xs[$i]) * ($mesh->ys[$j + 1] - $mesh->ys[$j]);
                $sum += $weight;
                $x += ($weight * ($mesh->xs[$i] + $mesh->xs[$i + 1])) / 2.0;
                $y += ($weight * ($mesh->ys[$j] + $mesh->ys[$j + 1])) / 2.0;
                $z += $weight * $high;
            }
        }

        return $sum > 0.0 ? [$x / $sum, $y / $sum, $z / $sum] : [0.0, 0.0, 0.0];
    }
}
