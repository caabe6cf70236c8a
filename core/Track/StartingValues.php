<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Measure\UnitsInUse;

/**
 * What a layout begins with, as it is outdoors, in its scale: a long coach, the strip a track and a country road lie on, what stays
 * free beside vehicles, how far apart two tracks lie. Starting values of common practice on standard gauge, in metres.
 */
final class StartingValues
{
    /** Width and depth of a board that one person carries, by the units that timber and sheets are sold in, mm. */
    private const BOARD_MM = ['metric' => [1200.0, 600.0], 'imperial' => [1219.2, 609.6]];

    /** A side of the scrap that something is tried on, mm. */
    private const SCRAP_MM = ['metric' => 150.0, 'imperial' => 152.4];

    private const GAUGE_M = 1.435;

    /** Body, bogie centres, width, height over the rails. */
    private const COACH_M = [26.4, 18.46, 2.96, 4.01];

    /** Thicknesses of roadbed, sleepers and rails; half the width of the level strip; a ditch, where one is dug. */
    private const TRACK_M = ['roadbed_mm' => 0.4355, 'sleeper_mm' => 0.1568, 'rail_mm' => 0.1742];

    private const HALF_WIDTH_M = 2.265;

    private const DITCH_M = 0.5226;

    /** Two narrow lanes, and their surfacing. */
    private const ROAD_HALF_WIDTH_M = 2.787;

    private const SURFACING_M = 0.0871;

    private const APART_M = 4.355;

    /** What stays free beside a vehicle, and what a hand that builds it cannot do without, mm. */
    private const MARGIN_M = 0.6968;

    private const LEAST_MARGIN_MM = 3.0;

    private const MOST_MARGIN_MM = 20.0;

    /** What the values of vehicles and profiles are held between, mm. */
    private const BODY_MM = [20.0, 2000.0];

    private const WIDTH_MM = [5.0, 300.0];

    private const HEIGHT_MM = [5.0, 500.0];

    private const HALF_WIDTH_MM = [5.0, 500.0];

    private const THICK_MM = [0.1, 200.0];

    public static function scrap(): float
    {
        return self::SCRAP_MM[UnitsInUse::current()->value];
    }

    /** @return array{float, float} width and depth of a board in the units in use, mm */
    public static function board(): array
    {
        return self::BOARD_MM[UnitsInUse::current()->value];
    }

    /** Between the rails of standard gauge, mm. */
    public static function gauge(Scale $scale): float
    {
        return round($scale->toModel(1000.0 * self::GAUGE_M), 1);
    }

    public static function coach(Scale $scale): Vehicle
    {
        [$body, $centres, $width, $height] = self::COACH_M;

        return Vehicle::from(
            self::model($scale, $body, self::BODY_MM),
            self::model($scale, $centres, [5.0, self::model($scale, $body, self::BODY_MM)]),
            self::model($scale, $width, self::WIDTH_MM),
            self::model($scale, $height, self::HEIGHT_MM),
        );
    }

    public static function track(Scale $scale): FormationProfile
    {
        $half = self::model($scale, self::HALF_WIDTH_M, self::HALF_WIDTH_MM);

        return FormationProfile::from([
            'half_width_left_mm' => $half,
            'half_width_right_mm' => $half,
            'ditch_width_mm' => self::model($scale, self::DITCH_M, self::THICK_MM),
        ] + array_map(fn (float $metres): float => self::model($scale, $metres, self::THICK_MM), self::TRACK_M));
    }

    public static function road(Scale $scale): FormationProfile
    {
        $half = self::model($scale, self::ROAD_HALF_WIDTH_M, self::HALF_WIDTH_MM);

        return FormationProfile::from([
            'half_width_left_mm' => $half,
            'half_width_right_mm' => $half,
            'ditch_width_mm' => self::model($scale, self::DITCH_M, self::THICK_MM),
            'roadbed_mm' => self::model($scale, self::SURFACING_M, self::THICK_MM),
            'sleeper_mm' => 0.0,
            'rail_mm' => 0.0,
        ]);
    }

    /** mm to each side of vehicles and above them. */
    public static function margin(Scale $scale): float
    {
        return self::model($scale, self::MARGIN_M, [self::LEAST_MARGIN_MM, self::MOST_MARGIN_MM]);
    }

    /** mm from the middle of one track to that of a second beside it. */
    public static function apart(Scale $scale): float
    {
        return self::model($scale, self::APART_M, [12.0, 500.0]);
    }

    /**
     * Metres outdoors in a scale, rounded to what one sets out by: tenths up to 10 mm, halves up to 50, whole ones above.
     *
     * @param  array{float, float}  $within mm
     */
    private static function model(Scale $scale, float $metres, array $within): float
    {
        $mm = max($within[0], min($within[1], $scale->toModel(1000.0 * $metres)));
        $step = match (true) {
            $mm < 10.0 => 0.1,
            $mm < 50.0 => 0.5,
            default => 1.0,
        };

        return max($within[0], min($within[1], round(round($mm / $step) * $step, 1)));
    }
}
