<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use IdleRidge\Core\Interchange\RidgeVersions;
use PHPUnit\Framework\TestCase;

final class RidgeVersionsTest extends TestCase
{
    /** Passes of ballast shared one bed in the second version; whatever is no such coat stays as it was written. */
    public function test_only_ballast_in_several_passes_gets_thinner(): void
    {
        $coats = [
            [['recipe' => 'stone-ballast', 'passes' => 2, 'mm' => 6.0], 3.0],
            [['recipe' => 'stone-ballast', 'passes' => 1, 'mm' => 6.0], 6.0],
            [['recipe' => 'stone-ballast', 'passes' => '3', 'mm' => '6'], 2.0],
            [['recipe' => 'stone-ballast', 'passes' => 'two', 'mm' => 6.0], 6.0],
            [['recipe' => 'stone-ballast', 'passes' => 2, 'mm' => 'thick'], 'thick'],
            [['recipe' => 'earth-paint', 'passes' => 2, 'mm' => 6.0], 6.0],
            [['recipe' => 7, 'passes' => 2, 'mm' => 6.0], 6.0],
            [['passes' => 2, 'mm' => 6.0], 6.0],
            [['recipe' => 'stone-ballast', 'mm' => 6.0], 6.0],
        ];
        foreach ($coats as $k => [$coat, $mm]) {
            $file = RidgeVersions::brought(
                (object) ['version' => 2, 'coats' => [(object) $coat], 'sections' => [(object) [], 'no board']],
                fn (): int => 0,
            );
            $this->assertEquals($mm, $file->coats[0]->mm, "coat {$k}");
            $this->assertTrue($file->sections[0]->runs_on);
            $this->assertSame(['no board', 7], [$file->sections[1], $file->version]);
        }
    }

    public function test_one_vehicle_becomes_a_set_and_what_is_no_layout_stays(): void
    {
        $layout = (object) ['vehicle' => (object) ['width_mm' => 30]];
        $file = RidgeVersions::brought((object) ['version' => 1, 'layout' => $layout], fn (): int => 0);
        $this->assertEquals([(object) ['width_mm' => 30, 'name' => 'coach']], $file->layout->vehicles);
        $this->assertFalse(isset($file->layout->vehicle));
        foreach ([(object) ['version' => 8], (object) [], [1, 2], 'text', null] as $other) {
            $this->assertEquals($other, RidgeVersions::brought($other, fn (): int => 0));
        }
    }
}
