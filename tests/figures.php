<?php

declare(strict_types=1);

// Figures of fixtures/figures/banks.ridge.json worked out by hand from what stands in the file: plain sums, nothing of the
// application. `php tests/figures.php` prints them; FiguresTest holds the command line and the screens to them.

$table = [];
$put = function (string $of, string $path, float $value, int $decimals = 1) use (&$table): void {
    $table[] = ['of' => $of, 'path' => $path, 'value' => $value, 'decimals' => $decimals];
};

[$width, $depth] = [1201.0, 600.0];
$board = $width * $depth;

// A level bank 50 mm wide on ground at 20, its formation at 48.8, sides 1.5 out for 1 up.
$rise = 48.8 - 20.0;
$out = 1.5 * $rise;
$fill = $width * ($rise * 50.0 + $rise * $out);
$sides = 2.0 * $width * sqrt($rise ** 2 + $out ** 2);
$land = 'ridge:land Embankment';
$put($land, 'fill_mm3', $fill);
$put($land, 'volume_mm3', $board * 20.0 + $fill);
$put($land, 'plan_mm2', $board);
$put($land, 'surface_mm2', $board - 2.0 * $width * $out + $sides);
$put($land, 'max_slope_deg', atan(1.0 / 1.5) * 180.0 / M_PI);
$put($land, 'z_max_mm', 48.8, 3);

// A cutting 50 mm wide in ground at 60, its formation rising from 38.8 by 1 in 100, sides 1 out for 1 up; on the left a wall
// stands from 200 to 600. Depth 21.2 − x/100 at x.
$deep = fn (float $x): float => 21.2 - $x / 100.0;
$squares = fn (float $from, float $to): float => ($deep($from) ** 3 - $deep($to) ** 3) / 3.0 * 100.0;
$middle = fn (float $from, float $to): float => ($to - $from) * ($deep($from) + $deep($to)) / 2.0;
$cut = 50.0 * $middle(0.0, $width) + $squares(0.0, $width) - $squares(200.0, 600.0) / 2.0;
$land = 'ridge:land Cutting';
$put($land, 'cut_mm3', $cut);
$put($land, 'volume_mm3', $board * 60.0 - $cut);
$put($land, 'walls.0.length_mm', 400.0);
$put($land, 'walls.0.height_max_mm', $deep(200.0), 2);
$put($land, 'walls.0.height_min_mm', $deep(600.0), 2);
$put($land, 'walls.0.face_mm2', $middle(200.0, 600.0));
$put($land, 'walls.0.profile.0.foot_mm', 60.0 - $deep(200.0), 2);

// A wall on the outer side of a curve of 600 mm, 25 mm from its centreline, over 400 mm of it.
$land = 'ridge:land Curve';
$put($land, 'walls.0.length_mm', 400.0 * 625.0 / 600.0);
$put($land, 'walls.0.face_mm2', 400.0 * 625.0 / 600.0 * (60.0 - 38.8));

// A cone 60 mm high, its sides at 40°.
$foot = 60.0 / tan(40.0 / 180.0 * M_PI);
$cone = M_PI * $foot ** 2 * 60.0 / 3.0;
$mantle = M_PI * $foot * sqrt($foot ** 2 + 60.0 ** 2);
$land = 'ridge:land Hill';
$put($land, 'volume_mm3', $cone);
$put($land, 'z_max_mm', 60.0, 3);

// Sheets of 20 mm without a skin. A layer is as wide as the bank at its bottom (carved) or its top (filled); what would be
// thinner than 0.3 mm over the level ground at its foot is not cut.
$wide = fn (float $z): float => $width * (50.0 + 3.0 * (48.8 - $z));
$foam = 20.0 * ($board + $wide(20.3) + $wide(40.0));
$cuts = 'ridge:cuts Embankment --school=carved';
$put($cuts, 'layers.0.area_mm2', $board);
$put($cuts, 'layers.1.area_mm2', $wide(20.3));
$put($cuts, 'layers.2.area_mm2', $wide(40.0));
$put($cuts, 'foam_mm3', $foam);
$put($cuts, 'carved_mm3', $foam - $board * 20.0 - $fill);
$put($cuts, 'sheets.0.count', ceil($foam / 20.0 / (1220.0 * 610.0)), 0);
$cuts = 'ridge:cuts Embankment --school=fill';
$put($cuts, 'foam_mm3', 20.0 * ($wide(20.3) + $wide(40.0)));
$put($cuts, 'filler_mm3', $board * 20.0 + $fill - 20.0 * ($wide(20.3) + $wide(40.0)));

// Meadow, 400 × 100 mm of level ground: plaster 3 mm thick, paint, fine turf 2 mm.
$meadow = 400.0 * 100.0;
$bed = $meadow * 3.0 / 1000.0;
$plaster = 1.1 * $bed / (0.55 + 1.0 / 2.65);
$off = 'ridge:takeoff';
$put($off, 'Meadow/slow base plaster', $plaster);
$put($off, 'Meadow/earth paint', 1.08 * 167.0 * $meadow / 1e6);
$turf = $meadow * 2.0 / 1000.0;
$put($off, 'Meadow/fine turf', 1.05 * 0.8 * $turf / (1.0 - 0.4));
$put($off, 'Meadow/wet water', 1.05 * 0.4 * 0.5 * $turf);
$put($off, 'Meadow/white glue', 1.05 * (0.5 * 0.5 * $turf + 100.0 * $meadow / 1e6) / 4.0);

// Batters: soil in two passes of 1.5 mm on both sides of the bank.
$soil = 2.0 * 1.5 * $sides / 1000.0;
$put($off, 'Batters/sifted soil', 1.08 * 0.9 * $soil / (1.0 - 0.3));
$put($off, 'Batters/wet water', 1.08 * 0.4 * 0.5 * $soil);
$put($off, 'Batters/white glue', 1.08 * (0.5 * 0.5 * $soil + 2.0 * 100.0 * $sides / 1e6) / 4.0);

// Ballast 3 mm over 1201 mm of track in 1:87.1: between sleepers 1.8 mm high, on two shoulders, down a roadbed 5 mm high.
$m = 1000.0 / 87.1;
$section = 2.6 * $m * 1.8 * (1.0 - 0.26 / 0.65) + 2.0 * (0.30 * $m * 1.8 + 1.5 * 1.8 ** 2 / 2.0) + 2.0 * 3.0 * 5.0 * sqrt(1.0 + 1.5 ** 2);
$stones = $width * $section / 1000.0;
$put($off, 'Bed/stone ballast', 1.08 * 1.5 * $stones);
$put($off, 'Bed/wet water', 1.08 * 0.4 * 0.42 * $stones);
$put($off, 'Bed/white glue', 1.08 * 0.5 * 0.42 * $stones / 4.0);

// Filler 2 mm thick over the cone, to the millilitre as it is shown.
$put($off, 'Slope/light filler', 1.1 * 2.0 * $mantle / 1000.0, 0);

// Air of 15 °C and 70 % against 20 °C and 50 %; a one-sided quantile at z of a spread √(0.35² + 0.25²).
$pressure = fn (float $t): float => 0.61094 * exp(17.625 * $t / ($t + 243.04));
$rate = $pressure(15.0) * 0.3 / ($pressure(20.0) * 0.5);
$range = fn (float $z): float => exp($z * sqrt(0.35 ** 2 + 0.25 ** 2));
[$p80, $p90] = [$range(0.841621), $range(1.281552)];
$cure = 'ridge:cure fine-turf --mm=2 --temp=15 --rh=70';
$put($cure, 'milestones.workable_until.p50_min', 15.0 / $rate);
$put($cure, 'milestones.touch_dry.p80_min', 240.0 / $rate * $p80);
$put($cure, 'milestones.next_coat.p80_min', 720.0 * 2.0 ** 1.5 / $rate * $p80);
$put($cure, 'milestones.dry_through.p90_min', 2160.0 * 2.0 ** 1.5 / $rate * $p90);
$set = 60.0 / (1.0 + 0.03 * (15.0 - 20.0));
$next = $set + (240.0 - 60.0) * (3.0 / 5.0) ** 1.3 / $rate;
$cure = 'ridge:cure slow-base-plaster --mm=3 --temp=15 --rh=70';
$put($cure, 'milestones.touch_dry.p50_min', $set);
$put($cure, 'milestones.next_coat.p80_min', $next * $p80);
$cure = 'ridge:cure spray-adhesive --temp=12 --rh=60 --airflow=2';
$put($cure, 'milestones.dry_through.p50_min', 120.0 / (2.0 * 2.0 ** ((12.0 - 20.0) / 15.0)));

// Minutes of hands, and the moment the plaster lets paint on: laid from 19:30, then its wait.
$lay = ceil(8.0 + 4.0 * $meadow / 1e4 * 3.0 / 5.0);
$plan = 'ridge:plan';
$put($plan, 'Base plaster.minutes', $lay, 0);
$put($plan, 'Fine turf.minutes', ceil(6.0 + (6.0 * 2.0 + 2.0 * ($meadow / 1e4 - 2.0)) * 2.0), 0);
$put($plan, 'Sifted soil.minutes', ceil(6.0 + (6.0 * 2.0 + 2.0 * ($sides / 1e4 - 2.0)) * 1.5), 0);
$put($plan, 'Ballast.minutes', ceil(6.0 + $width / 1000.0 / 2.5 * 60.0), 0);
$put($plan, 'Earth paint.after', ceil(19.0 * 60.0 + 30.0 + $lay + $next * $p80) - 24.0 * 60.0, 0);

if (realpath((string) ($_SERVER['SCRIPT_FILENAME'] ?? '')) === __FILE__) {
    foreach ($table as $row) {
        echo str_pad($row['of'], 54), str_pad($row['path'], 36), number_format($row['value'], $row['decimals'], '.', ' '), "\n";
    }
}

return $table;
