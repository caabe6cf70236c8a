<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\Cut;
use IdleRidge\Core\Land\LandBeside;
use IdleRidge\Core\Land\LandClasses;
use IdleRidge\Core\Land\Snap;
use IdleRidge\Core\Land\Steepness;
use IdleRidge\Core\Land\TapeMeasure;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\SightStudy;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Track\Crossing;
use IdleRidge\Core\Track\GradeProfile;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunEnds;
use IdleRidge\Core\Track\Turnout;
use IdleRidge\Core\Track\VehicleSweeps;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Whole;

/** The land of whole layouts, to the last digit as it was when it was looked at with care. */
final class WholeLandTest extends TestCase
{
    #[DataProvider('sections')]
    public function test_land_and_track_are_as_they_were(string $layout, string $section): void
    {
        $study = Whole::study($layout, $section);
        $this->assertNull(Whole::difference("{$layout}-land-".self::slug($section), $this->land($study)));
    }

    #[DataProvider('sections')]
    public function test_what_is_read_from_it_is_as_it_was(string $layout, string $section): void
    {
        $study = Whole::study($layout, $section);
        $this->assertNull(Whole::difference("{$layout}-read-".self::slug($section), $this->read($study)));
    }

    /** @return array<string, array{string, string}> */
    public static function sections(): array
    {
        return Whole::sections();
    }

    /** @return array<string, mixed> */
    private function land(LandStudy $study): array
    {
        $mesh = $study->terrain->mesh();
        $project = $study->project;
        $vehicles = $project->layout->clearance->vehicles;

        return [
            'figures' => $study->figures(),
            'findings' => Rulebook::check($study),
            'walls' => $study->walls,
            'turnouts' => array_map(
                fn (Turnout $t): array => [$t->toe, $t->atEnd, $t->left, $t->from, $t->to, $t->clear, $t->step, $t->kinkDeg],
                $study->turnouts,
            ),
            'heights' => $study->terrain->heights,
            'ground' => $study->terrain->ground,
            'rim' => $study->terrain->rim,
            'earthworks' => $study->terrain->earthworks(),
            'contours' => array_map(
                fn ($c): array => [$c->level, $c->areaAbove, array_column($c->lines, 'points'), $c->rings],
                Contours::of($mesh, Contours::levels($mesh, 10.0)),
            ),
            'boards' => [
                array_map(fn ($s): string => $s->name, $project->joinedWith($study->section)),
                $project->joinedEdges($study->section),
            ],
            'runs' => array_map(fn (Run $r): array => $this->track($r, $study, $vehicles), $study->model->grading->runs),
            'sight' => SightStudy::of($project->layout->viewing, $study->section, $study->model),
        ];
    }

    /**
     * @param  list<\IdleRidge\Core\Track\Vehicle>  $vehicles
     * @return array<string, mixed>
     */
    private function track(Run $run, LandStudy $study, array $vehicles): array
    {
        $length = $run->alignment->length;
        $sweeps = new VehicleSweeps($run->alignment, $vehicles);
        $at = [];
        for ($station = 0.0; $station <= $length; $station += $length / 24.0 - 1e-9) {
            $p = $run->alignment->pointAt($station);
            $at[] = [
                $p->x, $p->y, $run->alignment->headingAt($station), $run->alignment->curvatureAt($station), $run->grade->heightAt($station),
                $run->grade->gradeAt($station), $sweeps->at($station),
                GradeProfile::curveResistance($run->alignment->curvatureAt($station), $study->project->layout->gauge),
                LandBeside::firstOverRails($study->model, $run, $station, Side::Left, 10.0, 60.0),
                LandBeside::firstOverRails($study->model, $run, $station, Side::Right, 10.0, 60.0),
            ];
        }

        return [
            'at' => $at,
            'within' => $run->within($study->section->width, $study->section->depth),
            'stretches' => $run->grade->stretches($length),
            'range' => $run->grade->range(),
            'sharpest' => $run->alignment->sharpest(0.0, $length),
            'line' => $run->alignment->polyline(0.0, $length, 12.0),
            'beside' => $run->alignment->lengthBeside(0.0, $length, -20.0),
            'nearest' => $run->alignment->nearest(new Point(400.0, 210.0)),
            'before' => RunEnds::along($run, $study->model->grading->runs)[0],
            'crossings' => array_map(
                fn (Run $other): array => $other === $run ? [] : array_map(self::crossing(...), Crossing::between($run, $other)),
                $study->model->grading->runs,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function read(LandStudy $study): array
    {
        [$model, $section, $grid] = [$study->model, $study->section, $study->terrain->grid()];
        $north = $study->project->layout->northDeg - $section->placement->angleDeg;
        $runs = $model->grading->runs;
        $cuts = array_map(fn (float $x): array => Cut::acrossBoard($x, $section->width, $section->depth)->samples($model), [137.0, 611.0]);
        foreach ($runs as $run) {
            $here = $run->within($section->width, $section->depth);
            foreach ($here === null ? [] : [0.2, 0.7] as $share) {
                $cut = Cut::acrossRun($run, $here[0] + $share * ($here[1] - $here[0]), $section->width, $section->depth);
                $cuts[] = $cut->samples($model);
            }
        }
        $steep = new Steepness($model);
        $places = [[57.0, 43.0], [311.0, 207.0], [463.0, 123.0], [599.0, 351.0], [733.0, 289.0]];

        return [
            'cuts' => $cuts,
            'slopes' => LandClasses::slopes($grid, $section->width, $section->depth),
            'damp' => LandClasses::damp($grid, $section->width, $section->depth),
            'sun' => LandClasses::sun($grid, $section->width, $section->depth, $north),
            'steep' => array_map(fn (array $p): float => $steep->at(...$p), $places),
            'raster' => $steep->raster($study->terrain),
            'tape' => TapeMeasure::along($model, array_map(fn (array $p): Point => new Point(...$p), $places)),
            'snap' => array_map(fn (array $p): Snap => Snap::near(new Point($p[0], $p[1]), $section->width, $section->depth, $runs), [
                ...$places, [3.0, 200.0], [500.0, 303.0], [640.0, 250.0],
            ]),
        ];
    }

    /** @return list<float|bool> */
    private static function crossing(Crossing $crossing): array
    {
        return [...array_values(array_filter(get_object_vars($crossing), is_float(...))), $crossing->over(), $crossing->onTheLevel()];
    }

    private static function slug(string $name): string
    {
        return strtolower(str_replace(' ', '-', $name));
    }
}
