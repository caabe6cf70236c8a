<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Project\CutStudy;
use IdleRidge\Core\Project\GrowthSurvey;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\WaterSurvey;
use IdleRidge\Core\Rulebook\Cuts\CutNearHidden;
use IdleRidge\Core\Rulebook\Cuts\CutRule;
use IdleRidge\Core\Rulebook\Cuts\GlueConfined;
use IdleRidge\Core\Rulebook\Cuts\WeightOverLimit;
use IdleRidge\Core\Rulebook\Growth\FitsStore;
use IdleRidge\Core\Rulebook\Growth\GrowthRule;
use IdleRidge\Core\Rulebook\Growth\InPerspective;
use IdleRidge\Core\Rulebook\Growth\OddGroups;
use IdleRidge\Core\Rulebook\Growth\RowsStandFree;
use IdleRidge\Core\Rulebook\Growth\SocketsHold;
use IdleRidge\Core\Rulebook\Growth\TallBehind;
use IdleRidge\Core\Rulebook\Growth\TreeLineParts;
use IdleRidge\Core\Rulebook\Growth\TreesStandFree;
use IdleRidge\Core\Rulebook\Land\BasinHolds;
use IdleRidge\Core\Rulebook\Land\BelowBoardTop;
use IdleRidge\Core\Rulebook\Land\ClearanceOnCurve;
use IdleRidge\Core\Rulebook\Land\CrossingsMeet;
use IdleRidge\Core\Rulebook\Land\FaceTooSteep;
use IdleRidge\Core\Rulebook\Land\FormationsAtOdds;
use IdleRidge\Core\Rulebook\Land\Headroom;
use IdleRidge\Core\Rulebook\Land\JointsAgree;
use IdleRidge\Core\Rulebook\Land\LandRule;
use IdleRidge\Core\Rulebook\Land\PadsHold;
use IdleRidge\Core\Rulebook\Land\RunsMeet;
use IdleRidge\Core\Rulebook\Land\SpanAcrossJoint;
use IdleRidge\Core\Rulebook\Land\StreamsFall;
use IdleRidge\Core\Rulebook\Land\StructuresClear;
use IdleRidge\Core\Rulebook\Land\TracksApart;
use IdleRidge\Core\Rulebook\Land\TunnelHolds;
use IdleRidge\Core\Rulebook\Land\TurnoutsKeepClear;
use IdleRidge\Core\Rulebook\Land\WallNeeded;
use IdleRidge\Core\Rulebook\Water\EndsHidden;
use IdleRidge\Core\Rulebook\Water\JointsLevel;
use IdleRidge\Core\Rulebook\Water\MirrorsShowScene;
use IdleRidge\Core\Rulebook\Water\StaysOnSlope;
use IdleRidge\Core\Rulebook\Water\WaterHolds;
use IdleRidge\Core\Rulebook\Water\WaterOverTunnel;
use IdleRidge\Core\Rulebook\Water\WaterRule;
use IdleRidge\Core\Rulebook\Work\AreaTooLarge;
use IdleRidge\Core\Rulebook\Work\BackdropAtEdge;
use IdleRidge\Core\Rulebook\Work\BallastBeforeWires;
use IdleRidge\Core\Rulebook\Work\BallastBelowSleeperTop;
use IdleRidge\Core\Rulebook\Work\BaseBeforeCover;
use IdleRidge\Core\Rulebook\Work\CardSwells;
use IdleRidge\Core\Rulebook\Work\CastingsWetted;
use IdleRidge\Core\Rulebook\Work\ClothOnCard;
use IdleRidge\Core\Rulebook\Work\DryBeforeFibreOverFibre;
use IdleRidge\Core\Rulebook\Work\DryBeforeSanding;
use IdleRidge\Core\Rulebook\Work\DryThroughBeforeSeal;
use IdleRidge\Core\Rulebook\Work\FilmOnFoam;
use IdleRidge\Core\Rulebook\Work\FlangewaysProven;
use IdleRidge\Core\Rulebook\Work\FoamUnderWater;
use IdleRidge\Core\Rulebook\Work\HotMeltTooLarge;
use IdleRidge\Core\Rulebook\Work\HumidityLowStatic;
use IdleRidge\Core\Rulebook\Work\InsideBeforeLid;
use IdleRidge\Core\Rulebook\Work\LotDiffers;
use IdleRidge\Core\Rulebook\Work\MessyPlasterBeforeTrack;
use IdleRidge\Core\Rulebook\Work\NotEnoughInStore;
use IdleRidge\Core\Rulebook\Work\OneLengthPerPass;
use IdleRidge\Core\Rulebook\Work\PackSurplus;
use IdleRidge\Core\Rulebook\Work\PastShelfLife;
use IdleRidge\Core\Rulebook\Work\PointsClear;
use IdleRidge\Core\Rulebook\Work\PotTooLarge;
use IdleRidge\Core\Rulebook\Work\PourTooDeep;
use IdleRidge\Core\Rulebook\Work\ProtectFinished;
use IdleRidge\Core\Rulebook\Work\RailsCleaned;
use IdleRidge\Core\Rulebook\Work\RoadBeforeCover;
use IdleRidge\Core\Rulebook\Work\SceneryBeforeFinalGloss;
use IdleRidge\Core\Rulebook\Work\SealBedBeforeBank;
use IdleRidge\Core\Rulebook\Work\ShortFibreBeforeLong;
use IdleRidge\Core\Rulebook\Work\SkinBeforePaint;
use IdleRidge\Core\Rulebook\Work\SlopeOverRestingAngle;
use IdleRidge\Core\Rulebook\Work\SolventOnFoam;
use IdleRidge\Core\Rulebook\Work\TestRun;
use IdleRidge\Core\Rulebook\Work\ThinUnderCrowns;
use IdleRidge\Core\Rulebook\Work\TooColdToFilm;
use IdleRidge\Core\Rulebook\Work\TooDampToDry;
use IdleRidge\Core\Rulebook\Work\TreesAfterBackdrop;
use IdleRidge\Core\Rulebook\Work\Uncovered;
use IdleRidge\Core\Rulebook\Work\VapourInRoom;
use IdleRidge\Core\Rulebook\Work\WashOverRewettable;
use IdleRidge\Core\Rulebook\Work\WhiteShowing;
use IdleRidge\Core\Rulebook\Work\WindowsMet;
use IdleRidge\Core\Rulebook\Work\WiresLast;
use IdleRidge\Core\Rulebook\Work\WorkRule;

/** All rules there are. */
final class Rulebook
{
    /** @return list<LandRule> */
    public static function rules(): array
    {
        return [
            new ClearanceOnCurve(),
            new WallNeeded(),
            new FaceTooSteep(),
            new FormationsAtOdds(),
            new BasinHolds(),
            new TunnelHolds(),
            new Headroom(),
            new StructuresClear(),
            new RunsMeet(),
            new TurnoutsKeepClear(),
            new CrossingsMeet(),
            new TracksApart(),
            new StreamsFall(),
            new PadsHold(),
            new JointsAgree(),
            new BelowBoardTop(),
            new SpanAcrossJoint(),
        ];
    }

    /** @return list<WorkRule> */
    public static function workRules(): array
    {
        return [
            new TooColdToFilm(),
            new SolventOnFoam(),
            new FoamUnderWater(),
            new VapourInRoom(),
            new DryBeforeFibreOverFibre(),
            new DryThroughBeforeSeal(),
            new DryBeforeSanding(),
            new WhiteShowing(),
            new SlopeOverRestingAngle(),
            new Uncovered(),
            new SkinBeforePaint(),
            new BaseBeforeCover(),
            new MessyPlasterBeforeTrack(),
            new RoadBeforeCover(),
            new SealBedBeforeBank(),
            new SceneryBeforeFinalGloss(),
            new ShortFibreBeforeLong(),
            new OneLengthPerPass(),
            new AreaTooLarge(),
            new PotTooLarge(),
            new PourTooDeep(),
            new BallastBelowSleeperTop(),
            new TooDampToDry(),
            new CardSwells(),
            new PointsClear(),
            new WashOverRewettable(),
            new ClothOnCard(),
            new FilmOnFoam(),
            new HumidityLowStatic(),
            new ProtectFinished(),
            new WindowsMet(),
            new NotEnoughInStore(),
            new PastShelfLife(),
            new LotDiffers(),
            new PackSurplus(),
            new CastingsWetted(),
            new BallastBeforeWires(),
            new TreesAfterBackdrop(),
            new WiresLast(),
            new RailsCleaned(),
            new TestRun(),
            new FlangewaysProven(),
            new ThinUnderCrowns(),
            new InsideBeforeLid(),
            new BackdropAtEdge(),
            new HotMeltTooLarge(),
        ];
    }

    /** @return list<CutRule> */
    public static function cutRules(): array
    {
        return [new GlueConfined(), new WeightOverLimit(), new CutNearHidden()];
    }

    /** @return list<GrowthRule> */
    public static function growthRules(): array
    {
        return [
            new TreesStandFree(),
            new RowsStandFree(),
            new FitsStore(),
            new SocketsHold(),
            new TallBehind(),
            new OddGroups(),
            new InPerspective(),
            new TreeLineParts(),
        ];
    }

    /** @return list<Finding> on what grows and stands on a board, those that stop first */
    public static function checkGrowth(GrowthSurvey $survey): array
    {
        return self::byWeight(array_merge(...array_map(fn (GrowthRule $rule): array => $rule->check($survey), self::growthRules())));
    }

    /** @return list<WaterRule> */
    public static function waterRules(): array
    {
        return [
            new WaterHolds(),
            new WaterOverTunnel(),
            new JointsLevel(),
            new StaysOnSlope(),
            new EndsHidden(),
            new MirrorsShowScene(),
        ];
    }

    /** @return list<Finding> on the water of a board, those that stop first */
    public static function checkWater(Project $project, WaterSurvey $survey): array
    {
        return self::byWeight(
            array_merge(...array_map(fn (WaterRule $rule): array => $rule->check($project, $survey), self::waterRules())),
        );
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
     * @param  list<Finding>  $found
     * @return list<Finding>
     */
    private static function byWeight(array $found): array
    {
        $weight = fn (Finding $f): int => array_search($f->severity, Severity::cases(), true) ?: 0;
        usort($found, fn (Finding $a, Finding $b): int => $weight($a) <=> $weight($b));

        return $found;
    }
}
