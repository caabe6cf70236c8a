<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\ComputedCache;
use App\Computed\LayoutRows;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\Run;
use App\Models\Section;
use App\Models\Stall;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Project\Project;
use Illuminate\Support\Facades\File;
use LogicException;
use WeakReference;

/** What is kept of what was computed: under all it depends on, no longer than its days, no more than its bytes. */
final class ComputedCacheTest extends FeatureCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/computed-'.bin2hex(random_bytes(6));
        File::makeDirectory("{$this->folder}/core", recursive: true);
        File::put("{$this->folder}/core/Formula.php", 'one');
    }

    protected function tearDown(): void
    {
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    public function test_a_fingerprint_is_of_all_fields_and_of_the_program(): void
    {
        $cache = new ComputedCache("{$this->folder}/core", $this->folder);
        $print = $cache->fingerprint(new Placement(1.0, 2.0, 3.0), 'a');
        $this->assertSame($print, $cache->fingerprint(new Placement(1.0, 2.0, 3.0), 'a'));
        foreach ([new Placement(1.0, 2.0, 3.000001), new Placement(1.0, 2.1, 3.0)] as $other) {
            $this->assertNotSame($print, $cache->fingerprint($other, 'a'));
        }
        $this->assertNotSame($print, $cache->fingerprint(new Placement(1.0, 2.0, 3.0), 'b'));
        File::put("{$this->folder}/core/Formula.php", 'another');
        $anew = new ComputedCache("{$this->folder}/core", $this->folder);
        $this->assertNotSame($print, $anew->fingerprint(new Placement(1.0, 2.0, 3.0), 'a'), 'the program has changed');
    }

    public function test_what_is_old_goes_and_then_the_oldest_until_it_is_no_more_than_it_may_be(): void
    {
        $cache = new ComputedCache("{$this->folder}/core", "{$this->folder}/kept");
        File::makeDirectory("{$this->folder}/kept/aa", recursive: true);
        $now = 1_790_000_000;
        $limit = 86_400 * ComputedCache::MAX_AGE_DAYS;
        foreach (['old' => $limit + 1, 'last' => $limit, 'middle' => 500, 'new' => 1] as $name => $age) {
            File::put("{$this->folder}/kept/aa/{$name}", str_repeat('x', 1000));
            touch("{$this->folder}/kept/aa/{$name}", $now - $age);
        }
        $there = fn (): array => array_values(array_filter(
            ['old', 'last', 'middle', 'new'], fn (string $name): bool => is_file("{$this->folder}/kept/aa/{$name}"),
        ));
        $this->assertSame(1, $cache->prune($now));
        $this->assertSame(['last', 'middle', 'new'], $there());
        $this->assertSame(0, $cache->prune($now, 3000));
        $this->assertSame(1, $cache->prune($now, 2999));
        $this->assertSame(['middle', 'new'], $there(), 'the oldest first');
    }

    public function test_fingerprints_of_parts_are_kept_beside_their_whole(): void
    {
        $asked = 0;
        $ask = function (ComputedCache $cache, string $fingerprint) use (&$asked): string {
            $whole = $cache->remember('whole', $fingerprint, fn (): Placement => new Placement(1.0, 2.0, 3.0));

            return $cache->fingerprintOf($whole, 'its part', function () use (&$asked): array {
                $asked++;

                return ['of', 'this'];
            });
        };
        $of = fn (): ComputedCache => new ComputedCache("{$this->folder}/core", $this->folder);
        $name = bin2hex(random_bytes(8));
        $first = $of();
        $print = $ask($first, $name);
        $this->assertSame([$print, 1], [$ask($first, $name), $asked]);
        $this->assertSame([$print, 2], [$ask($of(), $name), $asked], 'nothing was kept yet');
        $first->saveParts();
        $this->assertSame([$print, 2], [$ask($of(), $name), $asked]);
        $this->assertSame([$print, 3], [$ask($of(), "{$name}b"), $asked], 'another whole');
        UnitsInUse::become(Units::Imperial);
        $this->assertNotSame($print, $ask($of(), $name), 'in other units it says other things');
        UnitsInUse::become(Units::Metric);
        $this->assertSame($print, $of()->fingerprint('of', 'this'));
    }

    public function test_what_is_in_use_is_not_read_again_and_stands_for_itself(): void
    {
        $cache = new ComputedCache("{$this->folder}/core", $this->folder);
        $name = bin2hex(random_bytes(8));
        $make = fn (): Placement => $cache->remember('place', $name, fn (): Placement => new Placement(1.0, 2.0, 3.0));
        $one = $make();
        $this->assertSame($one, $make());
        $before = $cache->fingerprint($one);
        $cache->put('place', $name, new Placement(9.0, 2.0, 3.0));
        $this->assertSame(9.0, $make()->x, 'what was put in its place');
        $this->assertSame($before, $cache->fingerprint($one));
        $this->assertNotSame($before, $cache->fingerprint($cache->remember('place', "{$name}b", fn (): Placement => clone $one)));
        $cache->forget('place', $name);
        $this->assertSame(1.0, $make()->x);
    }

    public function test_a_plan_leaves_nothing_in_memory(): void
    {
        $layout = $this->demo();
        $plans = $this->app->make(ComputedPlan::class);
        gc_collect_cycles();
        gc_disable();
        $plan = $plans->plan($layout);
        $plan->work->short();
        $held = [WeakReference::create($plan->work), WeakReference::create($plan->work->project)];
        unset($plan);
        gc_enable();
        $this->assertSame([null, null], array_map(fn (WeakReference $one): ?object => $one->get(), $held));
    }

    public function test_a_layout_is_what_its_rows_say_now_however_they_came_to_say_it(): void
    {
        $layout = $this->demo();
        $load = $this->app->make(ProjectLoader::class);
        $first = $load->of($layout);
        $this->assertEquals($first, $load->of($layout));
        $this->assertSame(serialize($load->with($layout, null)), serialize($load->of($layout)));
        foreach ([
            [LandFeature::class, ['name' => 'Called otherwise'], fn (Project $p): string => $p->features[0]->name],
            [Run::class, ['name' => 'Renamed line'], fn (Project $p): string => $p->runs[0]->name],
            [Section::class, ['name' => 'Renamed board'], fn (Project $p): string => $p->sections[0]->name],
        ] as [$class, $changed, $read]) {
            // Past the ledger, as another program would.
            $class::query()->where('layout_id', $layout->id)->orderBy('position')->orderBy('id')->limit(1)->update($changed);
            $this->assertSame($changed['name'], $read($load->of($layout)));
        }
        $this->readsNothingElse($layout);
        $layout->forceFill(['tension' => 0.5])->save();
        $this->assertSame(0.5, $load->of($layout)->layout->tension);
    }

    private function readsNothingElse(Layout $layout): void
    {
        $rows = LayoutRows::of($layout);
        $this->assertSame([], $rows->values('photos'));
        $this->assertNotSame([], LayoutRows::of($layout, true)->values('photos'));
        try {
            $rows->records('revisions', Stall::class);
            $this->fail('Rows that are not read were asked for, and nobody said so.');
        } catch (LogicException $unread) {
            $this->assertStringContainsString('revisions', $unread->getMessage());
        }
    }
}
