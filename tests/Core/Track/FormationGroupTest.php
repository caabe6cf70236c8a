<?php

declare(strict_types=1);

namespace Tests\Core\Track;

use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Track\FormationGroup;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class FormationGroupTest extends TestCase
{
    /** @param  array<string, float>  $profile */
    private function laid(int $n, array $profile = [], RunKind $kind = RunKind::Track): Run
    {
        return Build::straight($n, 100.0 * $n, 60.0, 60.0)->but(profile: FormationProfile::from($profile), kind: $kind);
    }

    public function test_runs_of_one_kind_and_alike_to_the_last_figure_lie_on_one_formation(): void
    {
        $groups = FormationGroup::of([
            $this->laid(1, [], RunKind::Road),
            $this->laid(2),
            $this->laid(3, ['rail_mm' => 2.01]),
            $this->laid(4, ['rail_mm' => 2.0]),
        ]);
        $uids = array_map(fn (FormationGroup $g): array => array_map(fn (Run $r): string => $r->uid, $g->runs), $groups);

        $this->assertSame([[Build::uid(2), Build::uid(4)], [Build::uid(3)], [Build::uid(1)]], $uids);
        $this->assertSame([RunKind::Track, RunKind::Track, RunKind::Road], array_map(fn (FormationGroup $g) => $g->kind, $groups));
        $this->assertTrue($groups[0]->has(Build::uid(4)));
        $this->assertFalse($groups[0]->has(Build::uid(3)));
        $this->assertSame([], FormationGroup::of([]));
    }

    public function test_the_strip_with_its_slopes_takes_what_both_sides_ask(): void
    {
        [$group] = FormationGroup::of([$this->laid(1, [
            'half_width_left_mm' => 20.0, 'half_width_right_mm' => 30.0,
            'batter_fill_left' => 1.5, 'batter_fill_right' => 2.0, 'batter_cut_left' => 0.5, 'batter_cut_right' => 1.0,
        ])]);

        $this->assertSame(50.0, $group->width());
        $this->assertSame(50.0 + 40.0 * 3.5, $group->widthOnBank(40.0));
        $this->assertSame(50.0 + 40.0 * 1.5, $group->widthInCutting(40.0));
        $this->assertSame([[-80.0, -40.0], [-20.0, 0.0], [30.0, 0.0], [110.0, -40.0]], $group->across(-40.0));
        $this->assertSame([[-40.0, 40.0], [-20.0, 0.0], [30.0, 0.0], [70.0, 40.0]], $group->across(40.0));
        $this->assertSame([[-20.0, 0.0], [-20.0, 0.0], [30.0, 0.0], [30.0, 0.0]], $group->across(0.0));
    }

    /** What is drawn is what the land is made of: at a random profile, deep in a hill and high on a bank. */
    public function test_across_it_lies_where_the_grading_puts_the_land(): void
    {
        mt_srand(5);
        for ($n = 0; $n < 30; $n++) {
            $run = $this->laid(1, [
                'half_width_left_mm' => mt_rand(100, 400) / 10.0, 'half_width_right_mm' => mt_rand(100, 400) / 10.0,
                'ditch_width_mm' => mt_rand(20, 70) / 10.0, 'ditch_depth_mm' => mt_rand(0, 3) / 1.0,
                'batter_fill_left' => mt_rand(2, 30) / 10.0, 'batter_fill_right' => mt_rand(2, 30) / 10.0,
                'batter_cut_left' => mt_rand(2, 30) / 10.0, 'batter_cut_right' => mt_rand(2, 30) / 10.0,
            ]);
            [$group] = FormationGroup::of([$run]);
            $grading = new Grading([$run]);
            foreach ([50.0, -50.0] as $high) {
                $points = $group->across($high);
                for ($k = 1; $k < count($points); $k++) {
                    [[$x1, $z1], [$x2, $z2]] = [$points[$k - 1], $points[$k]];
                    if ($x2 - $x1 < 0.5) {
                        continue;
                    }
                    // Right of a run that goes along x lies lower in y.
                    [$x, $z] = [($x1 + $x2) / 2.0, ($z1 + $z2) / 2.0];
                    $at = $grading->at(300.0, $run->start->y - $x, 60.0 + $high);
                    $this->assertEqualsWithDelta(60.0 + $z, $at->height, 1e-6, "{$n}: {$x} across, {$high}");
                }
            }
        }
    }
}
