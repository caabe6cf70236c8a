<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Workshop\Time\Uids;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;

/** The demo world: an upland branch in a cold country, four boards from the tarn to the halt. All names are made up. */
final readonly class SkarnvikBranch
{
    public function __construct(private Uids $uids, private SkarnvikWorks $works)
    {
    }

    public function project(): Project
    {
        return $this->works->on($this->land());
    }

    /** The boards and their land, before anything goes onto them. */
    public function land(): Project
    {
        return Project::of(
            LayoutSheet::of($this->uids->next(), 'Skarnvik Branch', 87.1, 16.5, Units::Metric, 'Europe/Oslo', 'EUR', ['front'], 'upland, cold', 'early autumn', bankReach: 70.0),
            [
                Section::of($this->uids->next(), 'Tarnhead', 1200, 600, 0, 0),
                Section::of($this->uids->next(), 'Birch Cutting', 1000, 500, 1200, 0),
                Section::of($this->uids->next(), 'Weir Bend', 900, 600, 2200, 0),
                Section::of($this->uids->next(), 'Fell Halt', 960, 420, 3100, 0),
            ],
            [...$this->tarnheadRuns(), ...$this->otherRuns()],
            [...$this->tarnheadLand(), ...$this->otherLand()],
        );
    }

    /** @return list<Run> */
    private function tarnheadRuns(): array
    {
        return [
            $this->run('Running line', 0, 222, 10, [['kind' => 'tangent', 'length_mm' => 420.0], ['kind' => 'arc', 'radius_mm' => 720.0, 'angle_deg' => -28.0], ['kind' => 'tangent', 'length_mm' => 461.6]],
                62, [[420, 62], [1060, 76.1], [1233, 77.5]], ['batter_cut_left' => 0.2, 'batter_fill_right' => 1.4, 'ditch_depth_mm' => 1.5]),
            $this->run('Yard siding', 60, 174, 10, [['kind' => 'tangent', 'length_mm' => 310.0]], 50, [], []),
        ];
    }

    /** @return list<Run> */
    private function otherRuns(): array
    {
        return [
            $this->run('Birch line', 1200, 128, -18, [['kind' => 'arc', 'radius_mm' => 900.0, 'angle_deg' => 33.0], ['kind' => 'tangent', 'length_mm' => 512.0]], 77.5, [[1030, 92]], ['batter_cut_left' => 0.8, 'batter_cut_right' => 0.8], [['kind' => 'tunnel', 'from_mm' => 520.0, 'to_mm' => 700.0]]),
            $this->run('Weir line', 2200, 230.5, 15, [['kind' => 'tangent', 'length_mm' => 180.0], ['kind' => 'arc', 'radius_mm' => 650.0, 'angle_deg' => -30.0], ['kind' => 'tangent', 'length_mm' => 403.0]], 92, [[500, 84], [923, 80]], [], [['kind' => 'bridge', 'from_mm' => 430.0, 'to_mm' => 570.0]]),
            $this->run('Halt line', 3100, 216, -15, [['kind' => 'arc', 'radius_mm' => 800.0, 'angle_deg' => 15.0], ['kind' => 'tangent', 'length_mm' => 752.0]], 80, [], []),
        ];
    }

    /** @return list<LandFeature> */
    private function tarnheadLand(): array
    {
        return [
            $this->spot(195, 535, 165, 'Birch bank'), $this->spot(20, 585, 150), $this->spot(885, 520, 208, 'Crag'), $this->spot(900, 595, 192), $this->spot(1180, 590, 160), $this->spot(1126, 452, 138), $this->spot(712, 428, 107),
            $this->spot(97, 52, 57), $this->spot(351, 80, 56), $this->spot(40, 380, 92), $this->spot(640, 28, 44, 'Meadow'), $this->spot(600, 140, 39, 'Tarn'), $this->spot(800, 120, 41),
            $this->spot(1090, 40, 78), $this->spot(1180, 250, 116),
            LandFeature::of($this->uids->next(), 'water', array_map(fn (int $k): Spot => new Spot(round(640.0 + 175.0 * cos($k * M_PI / 8)), round(92.0 + 62.0 * sin($k * M_PI / 8)), 33.5), range(0, 15)), 'Peat tarn', figures: ['depth_mm' => 9.0, 'shore_mm' => 30.0]),
            $this->line('hollow', 'Beck', [[470, 598, 104], [492, 470, 76], [520, 395, 58]]),
            $this->line('ridge', 'Fell', [[690, 585, 176], [780, 540, 192], [885, 520, 208]]),
        ];
    }

    /** @return list<LandFeature> */
    private function otherLand(): array
    {
        return [
            $this->spot(1420, 420, 170), $this->spot(1700, 380, 182, 'Birchwood'), $this->spot(1980, 430, 150), $this->spot(1600, 40, 96), $this->spot(2050, 60, 74),
            $this->line('ridge', 'Bield spur', [[1800, 320, 181], [1795, 200, 178], [1790, 60, 166]]),
            $this->line('hollow', 'Weir burn', [[2700, 480, 84], [2692, 290, 62], [2650, 130, 52]]),
            $this->spot(2380, 480, 128), $this->spot(2650, 540, 96), $this->spot(2500, 90, 52, 'Weir'), $this->spot(2950, 420, 112), $this->spot(2900, 60, 58),
            $this->spot(3300, 360, 110), $this->spot(3700, 380, 124, 'Pasture'), $this->spot(3400, 50, 66), $this->spot(3950, 60, 72),
        ];
    }

    /**
     * @param list<array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float}> $pieces
     * @param list<array{int, int|float}> $grades
     * @param array<string, float> $profile
     * @param list<array{kind: string, from_mm: float, to_mm: float}> $structures
     */
    private function run(string $name, float $x, float $y, float $heading, array $pieces, float $level, array $grades, array $profile, array $structures = []): Run
    {
        $points = array_map(fn (array $g): array => ['station_mm' => (float) $g[0], 'height_mm' => (float) $g[1]], $grades);

        return Run::lay($this->uids->next(), $name, new Point($x, $y), $heading, $pieces, $level, $points, FormationProfile::from($profile), $structures);
    }

    private function spot(float $x, float $y, float $z, string $name = ''): LandFeature
    {
        return LandFeature::of($this->uids->next(), 'spot', [new Spot($x, $y, $z)], $name);
    }

    /** @param  list<array{float|int, float|int, float|int}>  $points */
    private function line(string $kind, string $name, array $points): LandFeature
    {
        return LandFeature::of($this->uids->next(), $kind, array_map(fn (array $p): Spot => new Spot((float) $p[0], (float) $p[1], (float) $p[2]), $points), $name);
    }
}
