<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Layout;
use IdleRidge\Core\Coats\Library;
use Tests\Stress\Files;
use Tests\Stress\Race;
use Tests\Stress\Requests;
use Tests\Stress\Target;
use Tests\Stress\Whole;

/** Short runs of what `bin/stress` does at length. */
final class StressTest extends FeatureCase
{
    public function test_broken_files_are_read_or_refused(): void
    {
        $out = (new Files(app(Library::class), 14))->mutated(Whole::files($this->demo()), 400);
        $this->assertSame([400, 0, 0, ''], [$out['files'], $out['crashed'], $out['large'], $out['first']]);
        $this->assertGreaterThan(50, $out['refused']);
        $this->assertGreaterThan(20, $out['read'], 'some are harmless, so the whole ones are read');
    }

    public function test_odd_requests_are_answered(): void
    {
        $out = (new Requests(self::known($this->demo()), 14))->odd(400);
        $this->assertSame([400, 0, ''], [$out['requests'], $out['broken'], $out['first']]);
    }

    public function test_many_writers_and_a_pulled_plug(): void
    {
        $target = new Target(storage_path('framework/testing/stress-'.getmypid()));
        $out = Race::writers($target, 6, 3.0, 14);
        $this->assertSame(
            [0, 0, 0, 0, 0, 0],
            [$out['broken'], $out['lost'], $out['half'], $out['corrupt'], $out['overwritten'], $out['differ']],
        );
        $this->assertGreaterThan(0, $out['saved']);
        $out = Race::kills($target, 3, 14);
        $this->assertSame([0, 0, 0, 0], [$out['lost'], $out['half'], $out['corrupt'], $out['overwritten']]);
    }

    /** @return array<string, list<string>> */
    public static function known(Layout $layout): array
    {
        $uids = fn ($rows): array => $rows->limit(4)->pluck('uid')->all();

        return [
            'layout' => [$layout->uid],
            'section' => $uids($layout->sections()),
            'run' => $uids($layout->runs()),
            'feature' => $uids($layout->features()),
            'zone' => $uids($layout->zones()),
            'coat' => $uids($layout->coats()),
            'application' => $uids($layout->applications()),
            'room' => $uids($layout->rooms()),
            'session' => $uids($layout->benchSessions()),
            'colour' => $uids($layout->colours()),
            'recipe' => ['fine-turf', 'stone-ballast'],
            'form' => ['csv', 'dxf', 'svg', 'xml', 'asc', 'geojson', 'png', 'pdf', 'stl', 'walls'],
            'hash' => [str_repeat('a', 40)],
        ];
    }
}
