<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\ComputedCache;
use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use Illuminate\Support\Facades\Cache;

/** What is computed is kept under its inputs: never twice for the same, never an old answer for another. */
final class ComputedLandTest extends FeatureCase
{
    public function test_the_same_land_is_computed_once(): void
    {
        $layout = $this->demo();
        $first = $this->sheet($layout);
        $kept = app(ComputedCache::class)->get('land', $first->hash);
        $this->assertEquals($first, $kept);
        // A mark in what is kept comes back: nothing was computed again.
        $marked = new ($first::class)(...[...get_object_vars($first), 'cols' => 7]);
        app(ComputedCache::class)->put('land', $first->hash, $marked);
        $this->assertSame(7, $this->sheet($layout)->cols);
        app(ComputedCache::class)->forget('land', $first->hash);
    }

    public function test_whatever_the_land_depends_on_changes_its_address(): void
    {
        $layout = $this->demo();
        $before = $this->sheet($layout)->hash;
        foreach (
            [
                fn () => $layout->update(['face_limit_deg' => 55.0]),
                fn () => $layout->update(['clearance_margin_mm' => 5.0]),
                fn () => $layout->update(['bank_reach_mm' => null]),
                fn () => $layout->update(['stiffness_mm' => 80.0]),
                fn () => $layout
                    ->runs()
                    ->firstOrFail()
                    ->update(['start_height_mm' => 63.0]),
                fn () => $layout
                    ->features()
                    ->firstOrFail()
                    ->update(['points' => [['x_mm' => 196, 'y_mm' => 535, 'z_mm' => 165]]]),
                fn () => $layout
                    ->sections()
                    ->firstOrFail()
                    ->update(['base_mm' => 5.0]),
            ] as $k => $change
        ) {
            $change();
            $after = $this->sheet($layout)->hash;
            $this->assertNotSame($before, $after, "change {$k}");
            $before = $after;
        }
        $layout->update(['name' => 'Another name', 'region' => 'lowland', 'currency' => 'SEK']);
        $this->assertSame($before, $this->sheet($layout)->hash, 'names have no part in the land');
    }

    public function test_a_ground_begun_from_the_last_agrees_with_a_fresh_one(): void
    {
        $layout = $this->demo();
        $this->sheet($layout);
        $spot = $layout->features()->where('name', 'Birch bank')->firstOrFail();
        $spot->update(['points' => [['x_mm' => 200, 'y_mm' => 530, 'z_mm' => 171]]]);
        $warm = $this->heights($this->sheet($layout)->heights);
        Cache::store('computed')->flush();
        $fresh = $this->heights($this->sheet($layout)->heights);
        foreach ($fresh as $p => $z) {
            $this->assertEqualsWithDelta($z, $warm[$p], 0.2);
        }
    }

    public function test_a_preview_is_coarse_and_close_to_what_is_saved(): void
    {
        $layout = $this->demo();
        $saved = $this->sheet($layout);
        $preview = $this->sheet($layout, ComputedLand::PREVIEW_CELL_MM);
        $this->assertSame([240, 120], [$saved->cols, $saved->rows]);
        $this->assertSame([120, 60], [$preview->cols, $preview->rows]);
        $this->assertEqualsWithDelta($saved->figures['z_max']->value, $preview->figures['z_max']->value, 3.0);
        $this->assertEqualsWithDelta(
            $saved->figures['surface']->value,
            $preview->figures['surface']->value,
            0.01 * $saved->figures['surface']->value,
        );
    }

    public function test_contours_and_bands_that_are_kept_rise_and_stay_on_the_board(): void
    {
        $sheet = $this->sheet($this->demo());
        foreach ([$sheet->contours, $sheet->bands] as $list) {
            $levels = array_column($list, 'level');
            $sorted = $levels;
            sort($sorted);
            $this->assertSame($sorted, $levels);
        }
        foreach ($sheet->contours as $contour) {
            foreach ($contour['lines'] as $line) {
                foreach ($line['points'] as [$x, $y]) {
                    $this->assertTrue($x >= 0.0 && $x <= 1200.0 && $y >= 0.0 && $y <= 600.0);
                }
            }
        }
    }

    private function sheet(Layout $layout, float $cell = ComputedLand::CELL_MM): \App\Computed\Land\LandResult
    {
        $project = app(ProjectLoader::class)->of($layout->refresh());

        return app(ComputedLand::class)->sheet($project, $project->sections[0], $cell);
    }

    /** @return list<float> */
    private function heights(string $packed): array
    {
        return array_values(unpack('g*', $packed) ?: []);
    }
}
