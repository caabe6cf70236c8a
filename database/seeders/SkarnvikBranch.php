<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Computed\Clock\UlidGenerator;
use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Viewing;
use IdleRidge\Core\Track\Crossing;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Vehicle;

/** The demo world: an upland branch in a cold country, four boards from the tarn to the halt. All names are made up. */
final readonly class SkarnvikBranch
{
    /** Heights that Weir Bend and Fell Halt have agreed on for the edge between them. */
    private const JOINT = [[0.0, 62.0], [130.0, 79.0], [220.0, 80.0], [420.0, 106.0]];

    public function __construct(
        private UlidGenerator $uids,
        private LandMaker $land,
        private SkarnvikWorks $works,
        private SkarnvikGrowth $growth,
        private SkarnvikWater $water,
    ) {
    }

    public function project(): Project
    {
        return $this->water->on($this->growth->on($this->works->on($this->land())));
    }

    /** The boards and their land, before anything goes onto them. */
    public function land(): Project
    {
        return Project::of(
            new LayoutSheet(
                $this->uids->next(),
                'Skarnvik Branch',
                87.1,
                16.5,
                Units::Metric,
                'Europe/Oslo',
                'EUR',
                new Viewing(),
                'upland, cold',
                'early autumn',
                new LayoutClearance([Vehicle::coach(), Vehicle::from(196.0, 92.0, 36.0, 52.0, 'crane')]),
                bankReach: 70.0,
                cuts: CutSettings::of(price: 1490, plate: 4.0, board: new BoardBuild(opening: [760.0, 1980.0])),
            ),
            [
                Section::of($this->uids->next(), 'Tarnhead', 1200, 600, 0, 0),
                Section::of($this->uids->next(), 'Birch Cutting', 1000, 500, 1200, 0),
                Section::of($this->uids->next(), 'Weir Bend', 900, 600, 2200, 0, edges: ['right' => self::JOINT]),
                Section::of(
                    $this->uids->next(),
                    'Fell Halt',
                    960,
                    420,
                    3100,
                    0,
                    edges: ['left' => self::JOINT, 'right' => [[0.0, 66.0], [170.0, 78.0], [420.0, 112.0]]],
                ),
            ],
            [...$this->tarnheadRuns(), ...$this->otherRuns()],
            [...$this->tarnheadLand(), ...$this->otherLand()],
        );
    }

    /** @return list<Run> */
    private function tarnheadRuns(): array
    {
        return [
            $this->land->run(
                'Running line',
                0,
                222,
                10,
                [
                    ['kind' => 'tangent', 'length_mm' => 420.0],
                    ['kind' => 'arc', 'radius_mm' => 720.0, 'angle_deg' => -28.0],
                    ['kind' => 'tangent', 'length_mm' => 461.6],
                ],
                62,
                [[420, 62], [1060, 76.1, 120], [1233, 77.5]],
                ['batter_cut_left' => 0.2, 'batter_fill_right' => 1.4, 'ditch_depth_mm' => 1.5],
            ),
            $this->land->run('Yard siding', 60, 174, 10, [['kind' => 'tangent', 'length_mm' => 310.0]], 50, [], []),
        ];
    }

    /** @return list<Run> */
    private function otherRuns(): array
    {
        $birch = $this->land->run(
            'Birch line',
            1200,
            128,
            -18,
            [['kind' => 'arc', 'radius_mm' => 900.0, 'angle_deg' => 33.0], ['kind' => 'tangent', 'length_mm' => 506.2]],
            77.5,
            [[1024, 92]],
            ['batter_cut_left' => 0.8, 'batter_cut_right' => 0.8],
            [['kind' => 'tunnel', 'from_mm' => 520.0, 'to_mm' => 700.0, 'lining_mm' => 1.0]],
        );
        $weir = $this->onward(
            $birch,
            'Weir line',
            [
                ['kind' => 'tangent', 'length_mm' => 180.0],
                ['kind' => 'arc', 'radius_mm' => 650.0, 'angle_deg' => -30.0],
                ['kind' => 'tangent', 'length_mm' => 403.4],
            ],
            [[500, 84], [923, 80]],
            [],
            [['kind' => 'bridge', 'from_mm' => 430.0, 'to_mm' => 570.0, 'deck_mm' => 7.0, 'piers' => 2]],
        );
        $halt = $this->onward(
            $weir,
            'Halt line',
            [
                ['kind' => 'transition', 'length_mm' => 60.0, 'from_radius_mm' => 0.0, 'to_radius_mm' => 700.0],
                ['kind' => 'arc', 'radius_mm' => 700.0, 'angle_deg' => 12.544],
                ['kind' => 'tangent', 'length_mm' => 749.7],
            ],
            [],
            ['half_width_left_mm' => 32.0, 'ditch_depth_mm' => 1.5],
        );
        // The loop leaves to the left and comes back: twice two arcs that shift it by 58 mm, which long coaches need there.
        $curve = fn (float $angle): array => ['kind' => 'arc', 'radius_mm' => 500.0, 'angle_deg' => $angle];
        $leaves = 216.0;
        $place = $halt->alignment->pointAt($leaves);
        $loop = $this->land->run(
            'Loop',
            $place->x,
            $place->y,
            rad2deg($halt->alignment->headingAt($leaves)),
            [$curve(19.604), $curve(-19.604), ['kind' => 'tangent', 'length_mm' => 60.0], $curve(-19.604), $curve(19.604)],
            80,
            [],
            ['half_width_left_mm' => 44.0, 'half_width_right_mm' => 32.0, 'ditch_depth_mm' => 1.5],
            [['kind' => 'wall left', 'from_mm' => 170.0, 'to_mm' => 560.0]],
        );

        return [
            $birch,
            $weir,
            $halt,
            $loop,
            $this->road('Drove road', 2985, 0, 86, 421.0, 68, 112, 26.0, [$weir]),
            $this->road('Yard lane', 3362, 60, 84, 180.0, 71, 89, 18.0, [$halt, $loop]),
        ];
    }

    /**
     * A straight road, level with the rails where it crosses them.
     *
     * @param  list<Run>  $tracks
     */
    private function road(
        string $name,
        float $x,
        float $y,
        float $heading,
        float $length,
        float $from,
        float $to,
        float $half,
        array $tracks,
    ): Run {
        $profile = [
            'half_width_left_mm' => $half,
            'half_width_right_mm' => $half,
            'roadbed_mm' => 1.0,
            'sleeper_mm' => 0.0,
            'rail_mm' => 0.0,
        ];
        $road = $this->land->run(
            $name,
            $x,
            $y,
            $heading,
            [['kind' => 'tangent', 'length_mm' => $length]],
            $from,
            [],
            $profile,
            kind: RunKind::Road,
        );

        return $road->but(gradePoints: [...Crossing::levelsOf($road, $tracks), ['station_mm' => $length, 'height_mm' => $to]]);
    }

    /**
     * A run that goes on where another ends, with its heading and height.
     *
     * @param list<array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float, from_radius_mm?: float,
     *     to_radius_mm?: float}> $pieces
     * @param  list<array{int, int|float}>  $grades
     * @param  array<string, float>  $profile
     * @param  list<array{kind: string, from_mm: float, to_mm: float, deck_mm?: float, piers?: int}>  $structures
     */
    private function onward(Run $before, string $name, array $pieces, array $grades, array $profile, array $structures = []): Run
    {
        $end = $before->alignment->length;
        $p = $before->alignment->pointAt($end);

        return $this->land->run(
            $name,
            $p->x,
            $p->y,
            rad2deg($before->alignment->headingAt($end)),
            $pieces,
            $before->grade->heightAt($end),
            $grades,
            $profile,
            $structures,
        );
    }

    /** @return list<LandFeature> */
    private function tarnheadLand(): array
    {
        return [
            $this->land->spot(195, 535, 165, 'Birch bank'),
            $this->land->spot(20, 585, 150),
            $this->land->spot(885, 520, 208, 'Crag'),
            $this->land->spot(900, 595, 192),
            $this->land->spot(1180, 590, 160),
            $this->land->spot(1126, 452, 138),
            $this->land->spot(712, 428, 107),
            $this->land->spot(97, 52, 57),
            $this->land->spot(351, 80, 56),
            $this->land->spot(40, 380, 92),
            $this->land->spot(640, 28, 44, 'Meadow'),
            $this->land->spot(600, 140, 39, 'Tarn'),
            $this->land->spot(800, 120, 41),
            $this->land->spot(1090, 40, 78),
            $this->land->spot(1180, 250, 116),
            new LandFeature(
                $this->uids->next(),
                FeatureKind::Water,
                array_map(
                    fn (int $k): Spot => new Spot(
                        round(640.0 + 175.0 * cos(($k * M_PI) / 8)),
                        round(92.0 + 62.0 * sin(($k * M_PI) / 8)),
                        33.5,
                    ),
                    range(0, 15),
                ),
                'Peat tarn',
                figures: ['depth_mm' => 9.0, 'shore_mm' => 30.0],
            ),
            $this->land->line(FeatureKind::Hollow, 'Beck', [[470, 598, 104], [492, 470, 76], [520, 395, 58]]),
            new LandFeature(
                $this->uids->next(),
                FeatureKind::Rough,
                array_map(fn (array $p): Spot => new Spot($p[0], $p[1], 0.0), [
                    [800.0, 440.0],
                    [960.0, 430.0],
                    [1040.0, 500.0],
                    [1010.0, 590.0],
                    [760.0, 590.0],
                ]),
                'Scree',
                figures: ['height_mm' => 4.0, 'grain_mm' => 40.0, 'seed' => 7.0],
            ),
            $this->land->line(FeatureKind::Ridge, 'Fell', [[690, 585, 176], [780, 540, 192], [885, 520, 208]]),
        ];
    }

    /** @return list<LandFeature> */
    private function otherLand(): array
    {
        return [
            $this->land->spot(1420, 420, 170),
            $this->land->spot(1700, 380, 182, 'Birchwood'),
            $this->land->spot(1980, 430, 150),
            $this->land->spot(1600, 40, 96),
            $this->land->spot(2050, 60, 74),
            $this->land->line(FeatureKind::Ridge, 'Bield spur', [[1800, 320, 181], [1795, 200, 178], [1790, 60, 166]]),
            $this->land->line(FeatureKind::Hollow, 'Weir burn', [[2700, 480, 84], [2692, 290, 62], [2650, 130, 52]]),
            new LandFeature(
                $this->uids->next(),
                FeatureKind::Stream,
                array_map(fn (array $p): Spot => new Spot($p[0], $p[1], 0.0), [
                    [2706.0, 598.0],
                    [2700.0, 480.0],
                    [2692.0, 290.0],
                    [2650.0, 130.0],
                    [2610.0, 0.0],
                ]),
                'Weir burn',
                figures: ['width_mm' => 20.0, 'depth_mm' => 3.0, 'below_mm' => 2.0],
            ),
            new LandFeature(
                $this->uids->next(),
                FeatureKind::Pad,
                array_map(fn (array $p): Spot => new Spot($p[0], $p[1], 72.0), [
                    [3490.0, 20.0],
                    [3730.0, 20.0],
                    [3730.0, 106.0],
                    [3490.0, 106.0],
                ]),
                'Stone yard',
                figures: ['batter' => 0.6],
            ),
            $this->land->spot(2380, 480, 128),
            $this->land->spot(2650, 540, 96),
            $this->land->spot(2500, 90, 52, 'Weir'),
            $this->land->spot(2950, 420, 112),
            $this->land->spot(2860, 60, 62),
            $this->land->spot(3300, 360, 110),
            $this->land->spot(3700, 380, 124, 'Pasture'),
            $this->land->spot(3400, 50, 66),
            $this->land->spot(3950, 60, 72),
        ];
    }
}
