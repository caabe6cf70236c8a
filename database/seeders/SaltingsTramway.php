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
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Viewing;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
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
            9.25 * self::INCH,
            4,
            [
                ['kind' => 'tangent', 'length_mm' => 10.0 * self::INCH],
                ['kind' => 'arc', 'radius_mm' => 25.0 * self::INCH, 'angle_deg' => -24.0],
                ['kind' => 'tangent', 'length_mm' => 12.0 * self::INCH],
            ],
            2.0625 * self::INCH,
            [[12.0 * self::INCH, 2.0625 * self::INCH], [32.0 * self::INCH, 2.3125 * self::INCH]],
            [
                'half_width_left_mm' => 1.1875 * self::INCH,
                'half_width_right_mm' => 1.1875 * self::INCH,
                'batter_fill_left' => 1.4,
                'batter_fill_right' => 1.6,
            ],
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
                new Viewing(),
                'salt marsh',
                'late summer',
                new LayoutClearance(
                    [Vehicle::from(7.75 * self::INCH, 3.625 * self::INCH, 1.875 * self::INCH, 2.75 * self::INCH, 'tramcar')],
                ),
                cuts: CutSettings::of(
                    CutSchool::Web,
                    0.5 * self::INCH,
                    0.125 * self::INCH,
                    40.0 * self::INCH,
                    30.0 * self::INCH,
                    riserGap: 4.0 * self::INCH,
                    board: new BoardBuild(
                        0.375 * self::INCH,
                        0.75 * self::INCH,
                        1.75 * self::INCH,
                        16.0 * self::INCH,
                        72.0 * self::INCH,
                        packing: array_map(fn (float $n): float => $n * self::INCH, [0.0625, 0.125, 0.25]),
                    ),
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
                $this->spot(1.5, 17.25, 1.0),
                $this->spot(16.5, 17.5, 1.25, 'Far saltings'),
                $this->spot(30.75, 17.0, 1.5),
                $this->spot(2.5, 1.25, 0.5, 'Mud'),
                $this->spot(13.0, 2.25, 0.625),
                $this->spot(30.0, 1.25, 0.375),
                $this->spot(22.0, 5.0, 0.75, 'Samphire bank'),
                $this->land->line(FeatureKind::Ridge, 'Old bank', [
                    [...self::at(2.5, 15.5), 1.5 * self::INCH],
                    [...self::at(9.5, 15.75), 1.75 * self::INCH],
                    [...self::at(16.5, 15.0), 1.5 * self::INCH],
                ]),
                $this->land->area(FeatureKind::Stream, 'Creek', [
                    self::at(24.5, 18.0), self::at(24.0, 15.75), self::at(25.25, 13.75),
                ], 0.0, [
                    'width_mm' => 0.875 * self::INCH,
                    'depth_mm' => 0.1875 * self::INCH,
                    'below_mm' => 0.125 * self::INCH,
                ]),
                $this->land->area(
                    FeatureKind::Water,
                    'Salt pan',
                    self::pan(),
                    0.4375 * self::INCH,
                    ['depth_mm' => 0.1875 * self::INCH, 'shore_mm' => 1.0 * self::INCH],
                ),
            ],
            works: $this->works($board->uid),
        );
    }

    private function spot(float $x, float $y, float $z, string $name = ''): LandFeature
    {
        return $this->land->spot($x * self::INCH, $y * self::INCH, $z * self::INCH, $name);
    }

    /** @return array{float, float} mm */
    private static function at(float $x, float $y): array
    {
        return [$x * self::INCH, $y * self::INCH];
    }

    /** @return list<array{float, float}> its bank, to an eighth of an inch, mm */
    private static function pan(): array
    {
        $eighths = fn (float $inches): float => round(8.0 * $inches) / 8.0;

        return array_map(
            fn (int $k): array => self::at(
                $eighths(8.25 + 3.75 * cos(($k * M_PI) / 8)),
                $eighths(4.5 + 1.75 * sin(($k * M_PI) / 8)),
            ),
            range(0, 15),
        );
    }

    private function works(string $board): Works
    {
        $whole = new Zone($this->uids->next(), $board, 'The board');
        $pan = new Zone(
            $this->uids->next(),
            $board,
            'Salt pan',
            self::pan(),
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
                new BenchTime($this->uids->next(), BenchTimeKind::Weekly, 3, null, 1200, 1290),
                new BenchTime($this->uids->next(), BenchTimeKind::Weekly, 6, null, 600, 720),
            ],
        );
    }
}
