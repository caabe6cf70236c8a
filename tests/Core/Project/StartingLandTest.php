<?php

declare(strict_types=1);

namespace Tests\Core\Project;

use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\StartingBoard;
use IdleRidge\Core\Project\StartingLand;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Track\Crossing;
use IdleRidge\Core\Track\StartingValues;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class StartingLandTest extends TestCase
{
    private const SIZES = [[1200.0, 600.0], [1201.3, 398.7], [610.0, 305.0], [900.0, 900.0], [2400.0, 600.0]];

    /** @return iterable<string, array{StartingBoard, float, Units}> */
    public static function boards(): iterable
    {
        foreach (StartingBoard::cases() as $kind) {
            foreach (Scale::PRESETS as $ratio) {
                foreach (Units::cases() as $units) {
                    yield "{$kind->value} 1:{$ratio} {$units->value}" => [$kind, $ratio, $units];
                }
            }
        }
    }

    #[DataProvider('boards')]
    public function test_every_board_stands_at_every_scale_and_size(StartingBoard $kind, float $ratio, Units $units): void
    {
        UnitsInUse::during($units, function () use ($kind, $ratio, $units): void {
            foreach (self::SIZES as [$width, $depth]) {
                if ($kind !== StartingBoard::Bare && $depth < 5.0 * StartingValues::track(Scale::oneTo($ratio))->halfWidth(Side::Left)) {
                    continue;
                }
                $project = $this->make($kind, $ratio, $width, $depth, $units);
                $study = Build::study($project, 10.0);
                $found = array_filter(Rulebook::check($study), fn (Finding $f): bool => $f->severity !== Severity::Hint);
                $said = array_map(fn (Finding $f): string => "{$width} × {$depth}: {$f->subject} ({$f->id})", array_values($found));
                $this->assertSame([], $said);
                $this->assertGreaterThanOrEqual(0.0, min($study->terrain->heights));
                foreach ($project->features as $feature) {
                    foreach ($feature->points as $p) {
                        $this->assertTrue($project->sections[0]->holds($p->x, $p->y), "{$feature->kind->value} at {$p->x}, {$p->y}");
                    }
                }
            }
        });
    }

    public function test_what_the_boards_promise_is_on_them(): void
    {
        $of = fn (StartingBoard $kind): Project => $this->make($kind, 87.1, 1200.0, 600.0);
        $bare = $of(StartingBoard::Bare);
        $this->assertSame([[], [], []], [$bare->runs, $bare->features, $bare->works->zones]);
        $halt = $of(StartingBoard::HaltOnBank);
        $line = $halt->runs[0];
        $this->assertGreaterThan(30.0, $line->grade->heightAt(600.0) - Build::study($halt)->model->ground->at(600.0, 40.0), 'a bank');
        $this->assertEqualsWithDelta(0.8, $line->grade->gradeAt(1000.0), 1e-6);
        $this->assertSame(1, $this->counted($halt, FeatureKind::Pad));
        $cutting = $of(StartingBoard::CurveThroughCutting);
        $line = $cutting->runs[0];
        $this->assertGreaterThan(20.0, rad2deg($line->alignment->headingAt($line->alignment->length)));
        $end = $line->alignment->pointAt($line->alignment->length);
        $this->assertEqualsWithDelta([1200.0, 0.7 * 600.0], [$end->x, $end->y], 0.5, 'it leaves at the right, so far over');
        $middle = $line->alignment->pointAt($line->alignment->length / 2.0);
        $this->assertGreaterThan($line->grade->heightAt(600.0) + 25.0, Build::study($cutting)->model->ground->at($middle->x, $middle->y));
        $pond = Build::study($of(StartingBoard::PondAtFront));
        $this->assertNotNull($pond->model->ground->basins[0]->waterAt(0.46 * 1200.0, 0.27 * 600.0));
        $plain = $of(StartingBoard::PlainWithRoad);
        $crossing = Crossing::between($plain->runs[0], $plain->runs[1])[0];
        $this->assertTrue($crossing->onTheLevel());
    }

    public function test_heights_are_as_outdoors_where_the_board_has_room_for_them(): void
    {
        $high = function (float $ratio, float $depth): float {
            $project = $this->make(StartingBoard::HaltOnBank, $ratio, 1200.0, $depth);

            return $project->runs[0]->startHeight - $project->features[0]->points[0]->z;
        };
        $this->assertEqualsWithDelta(3500.0 / 160.0, $high(160.0, 600.0), 0.5);
        $this->assertEqualsWithDelta(3500.0 / 87.1, $high(87.1, 600.0), 0.5);
        $this->assertEqualsWithDelta(0.09 * 400.0, $high(87.1, 400.0), 0.5, 'a shallow board has no room for its slopes');
        $this->assertEqualsWithDelta(0.09 * 600.0, $high(22.5, 600.0), 0.5);
    }

    private function counted(Project $project, FeatureKind $kind): int
    {
        return count(array_filter($project->features, fn ($f): bool => $f->kind === $kind));
    }

    private function make(StartingBoard $kind, float $ratio, float $width, float $depth, Units $units = Units::Metric): Project
    {
        $scale = Scale::oneTo($ratio);
        $n = 0;
        $clearance = new LayoutClearance([StartingValues::coach($scale)], StartingValues::margin($scale));
        $sheet = new LayoutSheet(Build::uid(900), 'Trial', $ratio, 1435.0 / $ratio, $units, clearance: $clearance);
        $uid = function () use (&$n): string {
            return Build::uid(++$n);
        };

        return StartingLand::of($kind, $sheet, $width, $depth, Room::standard(Build::uid(800)), $uid);
    }
}
