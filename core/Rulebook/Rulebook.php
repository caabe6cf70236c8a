<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Project\CutStudy;
use IdleRidge\Core\Project\LandStudy;

/** All rules there are. */
final class Rulebook
{
    /** Raise when a finding changes: caches are keyed by it. */
    public const VERSION = 10;

    /** @return list<Rule> */
    public static function rules(): array
    {
        return [new ClearanceOnCurve, new WallNeeded, new FaceTooSteep, new FormationsAtOdds, new BasinHolds, new TunnelHolds, new Headroom, new StructuresClear, new RunsMeet, new TurnoutsKeepClear, new CrossingsMeet, new TracksApart, new StreamsFall, new PadsHold, new JointsAgree, new BelowBoardTop, new SpanAcrossJoint];
    }

    /** @return list<WorkRule> */
    public static function workRules(): array
    {
        return [
            new TooColdToFilm, new SolventOnFoam, new FoamUnderWater, new VapourInRoom, new DryBeforeFibreOverFibre, new DryThroughBeforeSeal, new DryBeforeSanding, new WhiteShowing, new SlopeOverRestingAngle, new Uncovered,
            new SkinBeforePaint, new BaseBeforeCover, new MessyPlasterBeforeTrack, new RoadBeforeCover, new SealBedBeforeBank, new SceneryBeforeFinalGloss, new ShortFibreBeforeLong, new OneLengthPerPass,
            new AreaTooLarge, new PotTooLarge, new BallastBelowSleeperTop, new TooDampToDry, new CardSwells, new PointsClear, new WashOverRewettable, new ClothOnCard, new FilmOnFoam, new HumidityLowStatic, new Protect,
            new WindowsMet, new CastingsWetted, new BallastBeforeWires, new TreesAfterBackdrop, new WiresLast, new RailsCleaned, new TestRun, new FlangewaysProven, new ThinUnderCrowns, new HotMeltTooLarge,
        ];
    }

    /** @return list<CutRule> */
    public static function cutRules(): array
    {
        return [new GlueConfined, new WeightOverLimit];
    }

    /** @return list<Finding> on a board as it is cut and carried, those that stop first */
    public static function checkCuts(CutStudy $study): array
    {
        return self::byWeight(array_merge(...array_map(fn (CutRule $rule): array => $rule->check($study), self::cutRules())));
    }

    /** @return list<Finding> on what goes onto the land, those that stop first */
    public static function checkWork(BenchPlan $plan): array
    {
        $found = [];
        foreach (self::workRules() as $rule) {
            array_push($found, ...$rule->check($plan));
        }

        return self::byWeight($found);
    }

    /** @return list<Finding> those that stop first, then as the rules stand */
    public static function check(LandStudy $study): array
    {
        $found = [];
        foreach (self::rules() as $rule) {
            array_push($found, ...$rule->check($study));
        }

        return self::byWeight($found);
    }

    /**
     * @param list<Finding> $found
     * @return list<Finding>
     */
    private static function byWeight(array $found): array
    {
        $weight = fn (Finding $f): int => array_search($f->severity, Severity::cases(), true) ?: 0;
        usort($found, fn (Finding $a, Finding $b): int => $weight($a) <=> $weight($b));

        return $found;
    }
}
