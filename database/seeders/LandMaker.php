<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Computed\Clock\UlidGenerator;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;

/** Short ways to write a demo's runs and land down. */
final readonly class LandMaker
{
    public function __construct(private UlidGenerator $uids)
    {
    }

    /**
     * @param  list<array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float}>  $pieces
     * @param  list<array{int|float, int|float, 2?: int|float}>  $grades station, height, length of a vertical curve
     * @param  array<string, float>  $profile
     * @param  list<array{kind: string, from_mm: float, to_mm: float, deck_mm?: float, piers?: int, lining_mm?: float}>  $structures
     */
    public function run(
        string $name,
        float $x,
        float $y,
        float $heading,
        array $pieces,
        float $level,
        array $grades,
        array $profile,
        array $structures = [],
        RunKind $kind = RunKind::Track,
    ): Run {
        $points = array_map(
            fn (array $g): array => ['station_mm' => (float) $g[0], 'height_mm' => (float) $g[1]] +
                (isset($g[2]) ? ['curve_mm' => (float) $g[2]] : []),
            $grades,
        );

        return Run::lay(
            $this->uids->next(),
            $name,
            new Point($x, $y),
            $heading,
            $pieces,
            $level,
            $points,
            FormationProfile::from($profile),
            $structures,
            $kind,
        );
    }

    public function spot(float $x, float $y, float $z, string $name = ''): LandFeature
    {
        return new LandFeature($this->uids->next(), FeatureKind::Spot, [new Spot($x, $y, $z)], $name);
    }

    /** @param  list<array{float|int, float|int, float|int}>  $points */
    public function line(FeatureKind $kind, string $name, array $points): LandFeature
    {
        return new LandFeature(
            $this->uids->next(),
            $kind,
            array_map(fn (array $p): Spot => new Spot((float) $p[0], (float) $p[1], (float) $p[2]), $points),
            $name,
        );
    }

    /**
     * A feature with a shape in plan, and a level where its kind has one.
     *
     * @param  list<array{float|int, float|int}>  $points
     * @param  array<string, float>  $figures
     */
    public function area(FeatureKind $kind, string $name, array $points, float $level, array $figures): LandFeature
    {
        return new LandFeature(
            $this->uids->next(),
            $kind,
            array_map(fn (array $p): Spot => new Spot((float) $p[0], (float) $p[1], $level), $points),
            $name,
            figures: $figures,
        );
    }
}
