<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use Closure;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\Crossing;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StartingValues;

/**
 * Lays the land and the track of a starting board: places go by the size of the board, heights by what they are outdoors in its scale,
 * as far as the board has room for their slopes. Section and layout coordinates are one here.
 */
final readonly class StartingLand
{
    /** Heights outdoors, m. */
    private const BANK_M = 3.5;

    private const CUTTING_M = 5.0;

    private const LOW_BANK_M = 1.8;

    private const WATER_M = 1.0;

    private const BELOW_BANK_M = 0.3;

    private const PLAIN_M = 0.9;

    /** A slope may take so much of the depth of a board, as a height: at 1.5 : 1 on both sides of a track it stays on it. */
    private const OF_DEPTH = 0.09;

    /** No land lies lower over the board's top than this, mm. */
    private const LEAST_MM = 6.0;

    private const CLIMB = 0.008;

    /** The greatest turn of the curve, and how far over the board it comes. */
    private const MAX_TURN_DEG = 35.0;

    private const AWAY_OF_DEPTH = 0.4;

    /** Vehicles lean out by no more than such a part of the strip's half width. */
    private const OVERHANG = 0.25;

    /** A board is at least so many half widths of the strip deep. */
    private const LEAST_DEPTH = 5.0;

    private Scale $scale;

    /** @param  Closure(): string  $uid of what is new */
    private function __construct(
        private LayoutSheet $sheet,
        private Section $board,
        private Closure $uid,
    ) {
        $this->scale = $sheet->scale;
    }

    /**
     * A layout with its first board.
     *
     * @param  Closure(): string  $uid of what is new
     *
     * @throws InvalidValue for a board that cannot be
     */
    public static function of(StartingBoard $kind, LayoutSheet $sheet, float $width, float $depth, Room $room, Closure $uid): Project
    {
        $name = $kind === StartingBoard::Bare ? 'First board' : $kind->title();
        $self = new self($sheet, new Section($uid(), $name, $width, $depth, room: $room->uid), $uid);
        $least = self::LEAST_DEPTH * StartingValues::track($sheet->scale)->halfWidth(Side::Left);
        if ($kind !== StartingBoard::Bare && $depth < $least) {
            throw new InvalidValue(
                sprintf('For a track in this scale the board has to be %s deep at least.', Format::length(ceil($least))),
                'depth_mm',
            );
        }
        [$runs, $features] = match ($kind) {
            StartingBoard::Bare => [[], []],
            StartingBoard::HaltOnBank => $self->halt(),
            StartingBoard::CurveThroughCutting => $self->cutting(),
            StartingBoard::PondAtFront => $self->pond(),
            StartingBoard::PlainWithRoad => $self->plain(),
        };
        $zones = $kind === StartingBoard::Bare ? [] : [new Zone($uid(), $self->board->uid, 'Open ground')];

        return Project::of($sheet, [$self->board], $runs, $features, works: new Works($zones, rooms: [$room]));
    }

    /** @return array{list<Run>, list<LandFeature>} */
    private function halt(): array
    {
        $low = $this->least();
        $bank = $low + $this->height(self::BANK_M);
        [$w, $d] = [$this->board->width, $this->board->depth];
        $track = $this->run(0.48 * $d, [['kind' => 'tangent', 'length_mm' => $w]], $bank);
        // Level along the platform, and then it climbs.
        $track = $track->but(gradePoints: [
            ['station_mm' => 0.7 * $w, 'height_mm' => $bank],
            ['station_mm' => $w, 'height_mm' => $bank + 0.3 * $w * self::CLIMB],
        ]);
        $near = $track->start->y + $track->profile->halfWidth(Side::Left) + 2.0 * RoundSteps::fine();
        $far = min($near + max($this->long(4.0), 0.05 * $d), 0.96 * $d);
        $from = 0.66 * $w - min($this->long(60.0), 0.4 * $w);
        $spots = $this->spots([
            [0.0, 0.0, $low], [1.0, 0.0, $low], [0.5, 0.06, $low], [0.0, 1.0, $bank], [1.0, 1.0, $bank], [0.45, 0.98, 1.1 * $bank],
        ]);
        $ring = [[$from, $near], [0.66 * $w, $near], [0.66 * $w, $far], [$from, $far]];

        return [[$track], [...$spots, $this->ring(FeatureKind::Pad, 'Platform', $ring, $bank)]];
    }

    /** @return array{list<Run>, list<LandFeature>} */
    private function cutting(): array
    {
        $low = $this->height(self::BELOW_BANK_M) + $this->least();
        $rise = $low + $this->height(self::CUTTING_M);
        [$w, $d] = [$this->board->width, $this->board->depth];
        $turn = $this->turn();
        $radius = (0.6 * $w) / sin($turn);
        $track = $this->run(0.3 * $d, [
            ['kind' => 'tangent', 'length_mm' => 0.2 * $w],
            ['kind' => 'arc', 'radius_mm' => $radius, 'angle_deg' => rad2deg($turn)],
            ['kind' => 'tangent', 'length_mm' => (0.2 * $w) / cos($turn)],
        ], $low, ceil(2.0 * $this->overhang($radius)) / 2.0);
        $middle = $track->alignment->pointAt(0.5 * $track->alignment->length);
        [$mx, $my] = [$middle->x / $w, $middle->y / $d];
        $part = fn (float $share): float => $low + $share * ($rise - $low);

        return [[$track], $this->spots([
            [0.0, 0.0, $low], [0.0, 1.0, $part(0.5)], [1.0, 0.0, $part(0.4)], [1.0, 1.0, $low],
            [$mx, max(0.02, $my - 0.26), $rise], [$mx - 0.1, min(0.98, $my + 0.28), $part(1.05)],
        ])];
    }

    /** @return array{list<Run>, list<LandFeature>} */
    private function pond(): array
    {
        $deep = $this->height(self::WATER_M);
        $ground = $this->least() + $deep + $this->height(self::BELOW_BANK_M);
        $level = $ground - $this->height(self::BELOW_BANK_M);
        [$w, $d] = [$this->board->width, $this->board->depth];
        $track = $this->run(0.74 * $d, [['kind' => 'tangent', 'length_mm' => $w]], $ground + $this->height(self::LOW_BANK_M));
        $bank = array_map(fn (int $k): array => [
            $w * (0.46 + 0.2 * cos($k * M_PI / 8.0)),
            $d * (0.27 + 0.13 * sin($k * M_PI / 8.0)),
        ], range(0, 15));
        $shore = max(2.5 * $deep, min($this->long(2.5), 0.05 * $d));

        return [[$track], [
            ...$this->spots([
                [0.0, 0.0, $ground], [1.0, 0.0, $ground], [0.46, 0.03, $ground], [0.0, 0.5, 1.1 * $ground], [1.0, 0.5, 1.15 * $ground],
                [0.0, 1.0, $ground + $this->height(self::BANK_M)], [1.0, 1.0, $ground + $this->height(self::LOW_BANK_M)],
            ]),
            $this->ring(FeatureKind::Water, 'Pond', $bank, $level, ['depth_mm' => $deep, 'shore_mm' => $shore]),
        ]];
    }

    /** @return array{list<Run>, list<LandFeature>} */
    private function plain(): array
    {
        $ground = $this->least() + $this->height(self::BELOW_BANK_M);
        [$w, $d] = [$this->board->width, $this->board->depth];
        $track = $this->run(0.58 * $d, [['kind' => 'tangent', 'length_mm' => $w]], $ground + $this->height(self::PLAIN_M));
        $road = Run::lay(
            ($this->uid)(),
            'Road',
            new Point($this->mm(0.64 * $w), 0.0),
            84.0,
            [['kind' => 'tangent', 'length_mm' => $d / sin(deg2rad(84.0))]],
            $ground,
            [],
            StartingValues::road($this->scale),
            [],
            RunKind::Road,
        );
        $end = ['station_mm' => $road->alignment->length, 'height_mm' => $ground];
        $road = $road->but(gradePoints: [...Crossing::levelsOf($road, [$track]), $end]);

        return [[$track, $road], [
            ...$this->spots([
                [0.0, 0.0, $ground], [1.0, 0.0, $ground], [0.0, 1.0, $ground + 2.0], [1.0, 1.0, $ground], [0.3, 0.92, $ground + 3.0],
            ]),
            $this->ring(
                FeatureKind::Rough,
                'Tussocks',
                [[0.06 * $w, 0.08 * $d], [0.5 * $w, 0.05 * $d], [0.48 * $w, 0.36 * $d], [0.1 * $w, 0.4 * $d]],
                0.0,
                ['height_mm' => min(3.0, max(0.5, $this->long(0.25)))],
            ),
        ]];
    }

    /**
     * @param  list<array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float}>  $pieces
     * @param  float  $wider what the strip is made wider to each side, where a curve needs it
     */
    private function run(float $y, array $pieces, float $height, float $wider = 0.0): Run
    {
        $profile = StartingValues::track($this->scale)->toArray();
        $profile['half_width_left_mm'] += $wider;
        $profile['half_width_right_mm'] += $wider;

        return Run::lay(
            ($this->uid)(),
            'Line',
            new Point(0.0, $this->mm($y)),
            0.0,
            $pieces,
            $height,
            [],
            FormationProfile::from($profile),
        );
    }

    /**
     * How far the track turns: as it comes so far over the board by the right-hand edge, but not so sharply that vehicles lean out of it.
     *
     * @return float radians
     */
    private function turn(): float
    {
        [$w, $away] = [$this->board->width, self::AWAY_OF_DEPTH * $this->board->depth];
        $room = self::OVERHANG * StartingValues::track($this->scale)->halfWidth(Side::Left);
        [$low, $high] = [0.0, deg2rad(self::MAX_TURN_DEG)];
        for ($k = 0; $k < 60; $k++) {
            $turn = ($low + $high) / 2.0;
            $over = 0.6 * $w * tan($turn / 2.0) + 0.2 * $w * tan($turn);
            [$low, $high] = $over < $away && $this->overhang((0.6 * $w) / sin($turn)) < $room ? [$turn, $high] : [$low, $turn];
        }

        return $low;
    }

    /** How far a coach leans out of a curve, at its ends or in its middle: the height of a chord over its arc, L² / 8R. */
    private function overhang(float $radius): float
    {
        $coach = StartingValues::coach($this->scale);
        $middle = $coach->bogieCentres ** 2;

        return max($middle, $coach->body ** 2 - $middle) / (8.0 * $radius);
    }

    /**
     * @param  list<array{float, float, float}>  $at shares of width and depth, height
     * @return list<LandFeature>
     */
    private function spots(array $at): array
    {
        return array_map(fn (array $p): LandFeature => new LandFeature(($this->uid)(), FeatureKind::Spot, [
            new Spot(
                $this->mm($p[0] * $this->board->width, $this->board->width),
                $this->mm($p[1] * $this->board->depth, $this->board->depth),
                $this->mm($p[2]),
            ),
        ]), $at);
    }

    /**
     * @param  list<array{float, float}>  $ring
     * @param  array<string, float>  $figures
     */
    private function ring(FeatureKind $kind, string $name, array $ring, float $level, array $figures = []): LandFeature
    {
        $points = array_map(fn (array $p): Spot => new Spot($this->mm($p[0]), $this->mm($p[1]), $this->mm($level)), $ring);

        return new LandFeature(($this->uid)(), $kind, $points, $name, figures: $figures);
    }

    /** Metres outdoors as a height on the board: no more than it has room for, and enough to be seen. */
    private function height(float $metres): float
    {
        return max(RoundSteps::fine(), RoundSteps::whole(min($this->long($metres), self::OF_DEPTH * $this->board->depth)));
    }

    private function least(): float
    {
        return RoundSteps::whole(self::LEAST_MM);
    }

    private function long(float $metres): float
    {
        return $this->scale->toModel(1000.0 * $metres);
    }

    /** To what one sets out by, but no further than the board goes. */
    private function mm(float $mm, float $most = INF): float
    {
        return $mm >= $most ? $most : min($most, RoundSteps::whole($mm));
    }
}
