<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Computed\Clock\UlidGenerator;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\ShellBuild;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Track\Vehicle;

/** A small test piece in another scale, in inches, made as a shell: a tramway on a sea wall through a marsh. All names are made up. */
final readonly class SaltingsTramway
{
    private const INCH = 25.4;

    public function __construct(private UlidGenerator $uids, private LandMaker $land, private Library $library)
    {
    }

    public function project(): Project
    {
        $board = Section::of($this->uids->next(), 'Sluice End', 32.0 * self::INCH, 18.0 * self::INCH);
        $wall = $this->land->run(
            'Tramway',
            0,
            236,
            4,
            [
                ['kind' => 'tangent', 'length_mm' => 250.0],
                ['kind' => 'arc', 'radius_mm' => 640.0, 'angle_deg' => -24.0],
                ['kind' => 'tangent', 'length_mm' => 310.0],
            ],
            52,
            [[300, 52], [820, 58]],
            ['half_width_left_mm' => 30.0, 'half_width_right_mm' => 30.0, 'batter_fill_left' => 1.4, 'batter_fill_right' => 1.6],
        );

        return Project::of(
            new LayoutSheet(
                $this->uids->next(),
                'Saltings Tramway',
                48.0,
                16.5,
                Units::Imperial,
                'UTC',
                'EUR',
                ['front'],
                'salt marsh',
                'late summer',
                new LayoutClearance([Vehicle::from(196.0, 92.0, 48.0, 68.0, 'tramcar')]),
                cuts: CutSettings::of(
                    CutSchool::Web,
                    5.0,
                    3.0,
                    1000.0,
                    700.0,
                    board: new BoardBuild(timberHigh: 44.0, stock: 1830.0),
                    shell: new ShellBuild(
                        ribGap: 4.0 * self::INCH,
                        stripGap: 1.5 * self::INCH,
                        strip: 0.5 * self::INCH,
                        clothWidth: 6.0 * self::INCH,
                        clothLength: 8.0 * self::INCH,
                    ),
                ),
            ),
            [$board],
            [$wall],
            [
                $this->land->spot(40, 440, 26),
                $this->land->spot(420, 446, 30, 'Far saltings'),
                $this->land->spot(780, 430, 40),
                $this->land->spot(60, 30, 12, 'Mud'),
                $this->land->spot(330, 60, 14),
                $this->land->spot(760, 30, 10),
                $this->land->spot(560, 130, 18, 'Samphire bank'),
                $this->land->line('ridge', 'Old bank', [[60, 390, 40], [240, 402, 46], [420, 380, 40]]),
                $this->land->area('stream', 'Creek', [[620, 457], [606, 400], [640, 350]], 0.0, [
                    'width_mm' => 22.0,
                    'depth_mm' => 4.0,
                    'below_mm' => 3.0,
                ]),
                $this->land->area(
                    'water',
                    'Salt pan',
                    array_map(
                        fn (int $k): array => [round(210.0 + 95.0 * cos(($k * M_PI) / 8)), round(112.0 + 46.0 * sin(($k * M_PI) / 8))],
                        range(0, 15),
                    ),
                    11.0,
                    ['depth_mm' => 5.0, 'shore_mm' => 24.0],
                ),
            ],
            works: $this->works($board->uid),
        );
    }

    private function works(string $board): Works
    {
        $whole = new Zone($this->uids->next(), $board, 'The board');
        $pan = new Zone(
            $this->uids->next(),
            $board,
            'Salt pan',
            array_map(
                fn (int $k): array => [round(210.0 + 95.0 * cos(($k * M_PI) / 8)), round(112.0 + 46.0 * sin(($k * M_PI) / 8))],
                range(0, 15),
            ),
        );
        $coat = fn (
            Zone $zone,
            string $recipe,
            int $passes = 1,
            ?float $minutes = null,
            float $share = 1.0,
            ?float $mm = null,
        ): Coat => new Coat($this->uids->next(), $zone->uid, $this->library->recipe($recipe), $mm, $share, $passes, '', [], $minutes);

        return new Works(
            [$whole, $pan],
            [
                $coat($whole, 'shell-web', 2, 85.0, mm: 0.5),
                $coat($whole, 'plaster-cloth', 3),
                $coat($whole, 'earth-paint'),
                $coat($whole, 'sifted-soil', share: 0.8),
                $coat($whole, 'fibre-2mm', share: 0.5),
                $coat($pan, 'gloss-medium', 6),
            ],
            [],
            [Room::of($this->uids->next(), 'Box room', 19.0, 15.0, 58.0, 64.0)],
            [
                new BenchTime($this->uids->next(), 'weekly', 3, null, 1200, 1290),
                new BenchTime($this->uids->next(), 'weekly', 6, null, 600, 720),
            ],
        );
    }
}
