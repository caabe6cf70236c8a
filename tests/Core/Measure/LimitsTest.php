<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Closure;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Ingredient;
use IdleRidge\Core\Coats\Labour;
use IdleRidge\Core\Coats\Material;
use IdleRidge\Core\Coats\MeasureRule;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestSheet;
use IdleRidge\Core\Cuts\ShellBuild;
use IdleRidge\Core\Cuts\StockSheet;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowFigures;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Viewing;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use IdleRidge\Core\Schedule\Job;
use IdleRidge\Core\Schedule\Precedence;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\Pot;
use IdleRidge\Core\Track\Alignment;
use IdleRidge\Core\Track\GradeProfile;
use IdleRidge\Core\Track\Vehicle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** What a value may be at the least and at the most: both are taken, what lies just beyond is refused at its place. */
final class LimitsTest extends TestCase
{
    /** @param  Closure(float|int): mixed  $make */
    #[DataProvider('limits')]
    public function test_a_value_is_taken_up_to_its_limits(Closure $make, float|int $least, float|int $most, string $place): void
    {
        $beyond = is_int($most) ? 1 : max(1e-6, 1e-4 * abs($most - $least));
        foreach ([$least, $most] as $taken) {
            $make($taken);
        }
        foreach ([$least - $beyond, $most + $beyond] as $refused) {
            try {
                $make($refused);
                $this->fail("{$refused} was taken for {$place}");
            } catch (InvalidValue $invalid) {
                $this->assertStringEndsWith($place, $invalid->place);
            }
        }
    }

    /** @return iterable<string, array{Closure, float|int, float|int, string}> */
    public static function limits(): iterable
    {
        foreach ([...self::track(), ...self::land(), ...self::cuts(), ...self::coats(), ...self::cures(), ...self::work()] as $k => $row) {
            yield "{$row[3]}, {$k}" => $row;
        }
    }

    /** @return list<array{Closure, float|int, float|int, string}> */
    private static function track(): array
    {
        $vehicle = ['body' => 200.0, 'bogieCentres' => 120.0, 'width' => 34.0, 'height' => 46.0];
        $line = fn (array $piece): Alignment => Alignment::from(new Point(0.0, 0.0), 0.0, [$piece]);

        return [
            [fn ($v) => Vehicle::from(...['body' => $v, 'bogieCentres' => 5.0] + $vehicle), 20.0, 2000.0, 'body_mm'],
            [fn ($v) => Vehicle::from(...['bogieCentres' => $v] + $vehicle), 5.0, 200.0, 'bogie_centres_mm'],
            [fn ($v) => Vehicle::from(...['width' => $v] + $vehicle), 5.0, 300.0, 'width_mm'],
            [fn ($v) => Vehicle::from(...['height' => $v] + $vehicle), 5.0, 500.0, 'height_mm'],
            [fn ($v) => $line(['kind' => 'arc', 'radius_mm' => $v, 'angle_deg' => 10.0]), 100.0, 100_000.0, 'radius_mm'],
            [fn ($v) => GradeProfile::from($v, [], 1000.0), -1000.0, 3000.0, 'start_height_mm'],
            [fn ($v) => GradeProfile::from(0.0, [['station_mm' => 500.0, 'height_mm' => $v]], 1000.0), -1000.0, 3000.0, 'height_mm'],
            [
                fn ($v) => Alignment::from(new Point(0.0, 0.0), $v, [['kind' => 'tangent', 'length_mm' => 100.0]]),
                -3600.0,
                3600.0,
                'heading_deg',
            ],
            [fn ($v) => new LayoutClearance(null, $v), 0.0, LayoutClearance::MAX_MARGIN_MM, 'clearance_margin_mm'],
            [fn ($v) => Scale::oneTo($v), 1.0, 1000.0, 'ratio'],
        ];
    }

    /** @return list<array{Closure, float|int, float|int, string}> */
    private static function land(): array
    {
        $sheet = fn (array $with): LayoutSheet => new LayoutSheet(
            ...$with + ['uid' => 'a', 'name' => 'A', 'ratio' => 87.0, 'gauge' => 16.5],
        );
        $board = fn (array $with): Section => new Section(...$with + ['uid' => 'a', 'name' => 'A', 'width' => 1200.0, 'depth' => 600.0]);
        $ground = fn (array $with): GroundProblem => GroundProblem::over(
            ...$with + ['x0' => 0.0, 'y0' => 0.0, 'width' => 900.0, 'depth' => 500.0, 'spots' => []],
        );
        $spot = fn (float $x, float $y, float $z): LandFeature => Build::spot(1, $x, $y, $z);

        return [
            [fn ($v) => $sheet(['northDeg' => $v]), -360.0, 360.0, 'north_deg'],
            [fn ($v) => new Viewing(distance: $v), 50.0, 5000.0, 'eye_distance_mm'],
            [fn ($v) => new Viewing(height: $v), 0.0, 2000.0, 'eye_height_mm'],
            [fn ($v) => $sheet(['gauge' => $v]), 2.0, 200.0, 'gauge_mm'],
            [fn ($v) => $sheet(['faceLimitDeg' => $v]), 20.0, 89.0, 'face_limit_deg'],
            [fn ($v) => $sheet(['bankReach' => $v]), 5.0, 5000.0, 'bank_reach_mm'],
            [fn ($v) => $sheet(['tension' => $v]), 0.0, 1.0, 'tension'],
            [fn ($v) => $sheet(['stiffness' => $v]), 5.0, 1000.0, 'stiffness_mm'],
            [fn ($v) => $board(['width' => $v]), Section::MIN_SIZE_MM, Section::MAX_SIZE_MM, 'width_mm'],
            [fn ($v) => $board(['depth' => $v]), Section::MIN_SIZE_MM, Section::MAX_SIZE_MM, 'depth_mm'],
            [fn ($v) => $board(['base' => $v]), -1000.0, 3000.0, 'base_mm'],
            [fn ($v) => $board(['placement' => new Placement($v, 0.0, 0.0)]), -50_000.0, 50_000.0, 'x_mm'],
            [fn ($v) => $board(['placement' => new Placement(0.0, $v, 0.0)]), -50_000.0, 50_000.0, 'y_mm'],
            [fn ($v) => $board(['placement' => new Placement(0.0, 0.0, $v)]), -360.0, 360.0, 'angle_deg'],
            [fn ($v) => $board(['edges' => ['front' => [[$v, 10.0]]]]), 0.0, 1200.0, 'at_mm'],
            [fn ($v) => $board(['edges' => ['left' => [[10.0, $v]]]]), -1000.0, 3000.0, 'z_mm'],
            [fn ($v) => $ground(['width' => $v]), 10.0, 50_000.0, 'width'],
            [fn ($v) => $ground(['depth' => $v]), 10.0, 50_000.0, 'depth'],
            [fn ($v) => $ground(['tension' => $v]), 0.0, 1.0, 'tension'],
            [fn ($v) => $ground(['stiffness' => $v]), 1.0, 5000.0, 'stiffness'],
            [fn ($v) => $spot($v, 0.0, 0.0), -100_000.0, 100_000.0, 'x_mm'],
            [fn ($v) => $spot(0.0, $v, 0.0), -100_000.0, 100_000.0, 'y_mm'],
            [fn ($v) => $spot(0.0, 0.0, $v), -1000.0, 3000.0, 'z_mm'],
        ];
    }

    /** @return list<array{Closure, float|int, float|int, string}> */
    private static function cuts(): array
    {
        $rows = [
            [fn ($v) => new StockSheet($v, 1000.0, 600.0), 3.0, 200.0, 'sheet_mm'],
            [fn ($v) => new StockSheet(20.0, $v, 600.0), 50.0, 5000.0, 'sheet_width_mm'],
            [fn ($v) => new StockSheet(20.0, 1000.0, $v), 50.0, 5000.0, 'sheet_depth_mm'],
            [fn ($v) => CutSettings::of(margin: $v), 0.0, 240.0, 'margin_mm'],
            [fn ($v) => new ShellBuild(strip: $v, stripGap: 40.0), 3.0, 40.0, 'strip_mm'],
            [fn ($v) => new ShellBuild(layers: $v), 1, 8, 'layers'],
            [fn ($v) => new BoardBuild(packing: [$v]), 0.2, 50.0, 'packing_mm'],
            [fn ($v) => new NestSheet('s', $v, 600.0, 1), 1.0, 10_000.0, 'w'],
            [fn ($v) => new NestSheet('s', 600.0, $v, 1), 1.0, 10_000.0, 'h'],
            [fn ($v) => new NestProblem([new NestSheet('s', 900.0, 600.0, 1)], [], $v, 0.0), 0.0, 50.0, 'kerf'],
            [fn ($v) => new NestProblem([new NestSheet('s', 900.0, 600.0, 1)], [], 0.0, $v), 0.0, 200.0, 'margin'],
        ];
        $settings = ['skin' => [0.0, 30.0], 'kerf' => [0.0, 20.0], 'hollow' => [20.0, 500.0], 'plate' => [0.0, 50.0]];
        foreach ($settings as $name => [$least, $most]) {
            $rows[] = [fn ($v) => CutSettings::of(...[$name => $v]), $least, $most, "{$name}_mm"];
        }
        $board = [
            'top' => [0.0, 60.0, 'top_mm'], 'timber' => [3.0, 100.0, 'timber_mm'], 'timberHigh' => [5.0, 300.0, 'timber_high_mm'],
            'gap' => [50.0, 3000.0, 'gap_mm'], 'stock' => [300.0, 10_000.0, 'stock_mm'], 'lift' => [1.0, 100.0, 'lift_kg'],
        ];
        foreach ($board as $name => [$least, $most, $place]) {
            $rows[] = [fn ($v) => new BoardBuild(...[$name => $v]), $least, $most, $place];
        }
        $shell = [
            'ribGap' => [30.0, 1000.0, 'rib_gap_mm'], 'clothWidth' => [
                20.0,
                1000.0,
                'cloth_width_mm',
            ],
            'clothLength' => [20.0, 2000.0, 'cloth_length_mm'], 'overlap' => [0.0, 0.8, 'overlap'],
        ];
        foreach ($shell as $name => [$least, $most, $place]) {
            $rows[] = [fn ($v) => new ShellBuild(...[$name => $v]), $least, $most, $place];
        }

        return $rows;
    }

    /** @return list<array{Closure, float|int, float|int, string}> */
    private static function coats(): array
    {
        $coat = fn (array $with): Coat => new Coat(...$with + ['uid' => 'a', 'zone' => 'b', 'recipe' => Build::recipe('sifted-soil')]);
        $zone = fn (array $with): Zone => Build::zone(1, $with);
        $part = fn (array $with): Ingredient => new Ingredient(
            ...$with + ['rule' => MeasureRule::Area, 'value' => 1.0, 'unit' => 'g', 'of' => [['material' => 'm', 'parts' => 1.0]]],
        );

        return [
            [fn ($v) => $coat(['mm' => $v]), 0.01, 200.0, 'mm'],
            [fn ($v) => $coat(['share' => $v]), 0.01, 1.0, 'share'],
            [fn ($v) => $coat(['passes' => $v]), 1, 30, 'passes'],
            [fn ($v) => $coat(['blend' => $v]), 0.0, 200.0, 'blend_mm'],
            [fn ($v) => $coat(['minutes' => $v]), 1.0, 10_080.0, 'minutes'],
            [fn ($v) => $zone(['slope' => [0.0, $v]]), 1e-3, 90.0, 'slope/to'],
            [fn ($v) => $zone(['near' => ['run' => null, 'from' => 0.0, 'to' => $v]]), 1e-3, 5000.0, 'near/to'],
            [fn ($v) => $zone(['height' => [-1000.0, $v]]), -999.9, 3000.0, 'height/to'],
            [fn ($v) => $zone(['damp' => $v]), 0.01, 0.9, 'damp'],
            [fn ($v) => $part(['value' => $v]), 0.0, 100_000.0, 'value'],
            [fn ($v) => $part(['of' => [['material' => 'm', 'parts' => $v], ['material' => 'n', 'parts' => 1.0]]]), 0.0, 1000.0, 'parts'],
            [fn ($v) => new Material('m', 'g', $v, 1.0), 0.005, 12.0, 'density_g_ml'],
            [fn ($v) => new Material('m', 'g', 1.0, $v), 0.0, 1.0, 'solids'],
            [fn ($v) => new Labour($v, 1.0), 0.0, 240.0, 'setup_min'],
            [fn ($v) => new Labour(0.0, $v), 0.0, 120.0, 'minutes_per_dm2'],
            [fn ($v) => Build::recipe('sifted-soil')->but(recovered: $v), 0.0, 0.9, 'recovered'],
            [fn ($v) => Build::recipe('sifted-soil')->but(waste: $v), 0.0, 2.0, 'waste'],
            [fn ($v) => new StockSheet(20.0, 500.0, 400.0, (int) floor($v)), 0, 500, 'count'],
            [fn ($v) => new PackPrice('a', 'm', $v, 100), 0.001, 1e7, 'amount'],
            [fn ($v) => new PackPrice('a', 'm', 1.0, $v), 0, 100_000_000, 'price'],
        ];
    }

    /** @return list<array{Closure, float|int, float|int, string}> */
    private static function cures(): array
    {
        $air = new Climate(20.0, 50.0);
        $cure = fn (float $mm, float $exponent, float $time): CureFigures => new CureFigures(
            'a', 'A', Mechanism::Evaporation, ['dry_through' => $time], $mm, $exponent,
        );

        return [
            [fn ($v) => new Climate($v, 50.0), Climate::MIN_C, Climate::MAX_C, 'temp'],
            [fn ($v) => new Climate(20.0, $v), 0.0, 100.0, 'rh'],
            [fn ($v) => new Climate(20.0, 50.0, $v), 0.1, 5.0, 'airflow'],
            [fn ($v) => new Room('a', 'A', $air, $air, $v, 1440), 0, 1439, 'day_from'],
            [fn ($v) => new Room('a', 'A', $air, $air, 420, $v), 421, 1440, 'day_to'],
            [fn ($v) => new Room('a', 'A', $air, $air, volume: $v), 3.0, 5000.0, 'volume_m3'],
            [fn ($v) => new Room('a', 'A', $air, $air, airChanges: $v), 0.1, 30.0, 'air_changes'],
            [fn ($v) => $cure($v, 1.0, 60.0), 0.01, 200.0, 'reference_mm'],
            [fn ($v) => $cure(1.0, $v, 60.0), 0.0, 3.0, 'exponent'],
            [fn ($v) => $cure(1.0, 1.0, $v), 0.1, 200_000.0, 'minutes/dry_through'],
        ];
    }

    /** @return list<array{Closure, float|int, float|int, string}> */
    private static function work(): array
    {
        $time = ['uid' => 'a', 'kind' => BenchTimeKind::Weekly, 'weekday' => 1, 'date' => null, 'from' => 600, 'to' => 1440];

        $in = [['material' => 'm', 'amount' => 1.0, 'unit' => 'ml', 'lot' => null]];
        $pot = fn (string $title): Pot => new Pot('a', $title, 'm', 'ml', $in, [], 0);
        $posts = new RowFigures(3.0, 1.0, 0.1);
        $fence = fn (float $x, float $y): Row => new Row('a', RowKind::cases()[0], $posts, points: [[0.0, 0.0], [$x, $y]]);

        return [
            [fn (int $n) => $pot(str_repeat('x', $n)), 1, 160, 'title'],
            [fn (float $v) => $fence($v, 0.0), -100_000.0, 100_000.0, 'points/1'],
            [fn (float $v) => $fence(0.0, $v), -100_000.0, 100_000.0, 'points/1'],
            [fn ($v) => new Job('a', $v), 1, 10_080, 'minutes'],
            [fn ($v) => new Job('a', 10, $v), 1, 50, 'hands'],
            [fn ($v) => new Job('a', 10, group: $v), 0, 1000, 'group'],
            [fn ($v) => Precedence::of('a', 'b', $v), 0, 10_000_000, 'min'],
            [fn ($v) => new BenchTime(...['from' => $v] + $time), 0, 1439, 'from'],
            [fn ($v) => new BenchTime(...['to' => $v] + $time), 601, 1440, 'to'],
            [fn ($v) => new BenchTime(...['hands' => $v] + $time), 1, 20, 'hands'],
            [fn ($v) => new BenchRules(tools: ['vacuum' => $v]), 0, 50, 'tools/vacuum'],
        ];
    }

    public function test_a_layout_has_so_many_boards_and_no_more(): void
    {
        $sheet = new LayoutSheet('a', 'A', 87.0, 16.5);
        $boards = fn (int $n): array => array_map(
            fn (int $k): Section => Section::of("s{$k}", "Board {$k}", 600.0, 300.0, 600.0 * $k),
            range(1, $n),
        );
        $this->assertCount(36, Project::of($sheet, $boards(36))->sections);
        $this->expectExceptionMessage('at most 36 boards');
        Project::of($sheet, $boards(37));
    }
}
