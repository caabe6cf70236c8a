<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\Side;

/** Runs of one kind that lie on the same formation. */
final readonly class FormationGroup
{
    /** @param  non-empty-list<Run>  $runs */
    private function __construct(public RunKind $kind, public FormationProfile $profile, public array $runs)
    {
    }

    /**
     * @param  list<Run>  $runs
     * @return list<self> tracks before roads, otherwise as their first runs stand
     */
    public static function of(array $runs): array
    {
        $alike = [];
        foreach (RunKind::cases() as $kind) {
            foreach ($runs as $run) {
                if ($run->kind === $kind) {
                    $alike[$kind->value.json_encode($run->profile->toArray())][] = $run;
                }
            }
        }

        return array_values(array_map(fn (array $same): self => new self($same[0]->kind, $same[0]->profile, $same), $alike));
    }

    /** Whether a run lies on it. */
    public function has(string $uid): bool
    {
        return in_array($uid, array_map(fn (Run $run): string => $run->uid, $this->runs), true);
    }

    /** Width of the level strip, mm. */
    public function width(): float
    {
        return $this->profile->halfWidth(Side::Left) + $this->profile->halfWidth(Side::Right);
    }

    /** How wide a strip of the board it takes where it lies so high over the ground, both slopes with it, mm. */
    public function widthOnBank(float $high): float
    {
        return $this->width() + $high * ($this->profile->batterInFill(Side::Left) + $this->profile->batterInFill(Side::Right));
    }

    /** The same where it lies so deep under the ground, mm. */
    public function widthInCutting(float $deep): float
    {
        return $this->width() + $deep * ($this->profile->batterInCut(Side::Left) + $this->profile->batterInCut(Side::Right));
    }

    /**
     * The land across it, looking along rising stations: offset from the centreline (mm, right positive as one looks) and height
     * over the formation (mm), from left to right.
     *
     * @param  float  $high how far the land lies over the formation where the slopes end, mm; under it if negative
     * @return list<array{float, float}>
     */
    public function across(float $high): array
    {
        $left = array_map(fn (array $p): array => [-$p[0], $p[1]], $this->half(Side::Left, $high));

        return [...array_reverse($left), ...$this->half(Side::Right, $high)];
    }

    /** @return list<array{float, float}> outward from the centreline */
    private function half(Side $side, float $high): array
    {
        $half = $this->profile->halfWidth($side);
        if ($high <= 0.0) {
            return [[$half, 0.0], [$half - $high * $this->profile->batterInFill($side), $high]];
        }
        // A ditch is dug where the land beside it lies higher.
        $depth = $this->profile->ditchDepth();
        $edge = $half - $this->profile->ditchWidth();
        $ditch = $depth > 0.0 ? [[$edge, 0.0], [$edge, -$depth], [$half, -$depth]] : [];

        return [...$ditch, [$half, 0.0], [$half + $high * $this->profile->batterInCut($side), $high]];
    }
}
