<?php

declare(strict_types=1);

namespace Tests\Core\Planting;

use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Interchange\GrassFile;
use IdleRidge\Core\Interchange\PlantingFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Planting\GrassMix;
use IdleRidge\Core\Planting\GrassPatches;
use IdleRidge\Core\Planting\PlantingGround;
use IdleRidge\Core\Planting\Species;
use IdleRidge\Core\Planting\TreeForm;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class GrassTest extends TestCase
{
    private const SQUARE = [[20.0, 10.0], [420.0, 10.0], [420.0, 210.0], [20.0, 210.0]];

    #[TestWith([4.0, 87.1, 'knee-high'])]
    #[TestWith([2.0, 87.1, 'ankle-high'])]
    #[TestWith([1.0, 87.1, 'mown'])]
    #[TestWith([12.0, 87.1, 'waist-high'])]
    #[TestWith([6.0, 160.0, 'waist-high'])]
    #[TestWith([12.0, 160.0, 'over one’s head'])]
    public function test_fibre_stands_as_high_as_the_scale_has_it(float $mm, float $ratio, string $word): void
    {
        $metres = GrassMix::outdoors($mm, Scale::oneTo($ratio));
        $this->assertEqualsWithDelta($mm * $ratio / 1000.0, $metres, 1e-9);
        $this->assertSame($word, GrassMix::word($metres));
    }

    public function test_a_mix_is_by_weight(): void
    {
        $this->assertSame(['olive' => 3.0, 'straw' => 1.0], (new GrassMix(['olive' => 6.0, 'straw' => 2.0]))->weighed(4.0));
    }

    #[TestWith([0.2])]
    #[TestWith([0.5])]
    #[TestWith([0.85])]
    public function test_patches_cover_the_share_that_was_asked_for_and_stay_within(float $share): void
    {
        foreach ([1, 2, 77] as $seed) {
            $patches = GrassPatches::of([self::SQUARE], $share, 45.0, $seed);
            $this->assertEqualsWithDelta($share * 80_000.0, $patches->area, 0.06 * 80_000.0, "seed {$seed}");
            $this->assertGreaterThan(0, $patches->count());
            foreach ($patches->rings as $ring) {
                foreach ($ring as $p) {
                    $this->assertGreaterThan(-1.0, Polygon::depth(self::SQUARE, ...$p));
                }
            }
        }
        $this->assertEquals(GrassPatches::of([self::SQUARE], $share, 45.0, 5), GrassPatches::of([self::SQUARE], $share, 45.0, 5));
        $this->assertNotEquals(GrassPatches::of([self::SQUARE], $share, 45.0, 5), GrassPatches::of([self::SQUARE], $share, 45.0, 6));
    }

    public function test_nothing_lies_in_a_hole_of_the_zone(): void
    {
        $hole = array_reverse([[120.0, 60.0], [320.0, 60.0], [320.0, 160.0], [120.0, 160.0]]);
        $patches = GrassPatches::of([self::SQUARE, $hole], 0.9, 45.0, 3);
        $this->assertFalse(PlantingGround::within($patches->rings, 220.0, 110.0));
        $this->assertEqualsWithDelta(0.9 * 60_000.0, $patches->area, 0.08 * 60_000.0);
        $this->assertSame([0.0, []], [GrassPatches::of([], 0.5, 45.0, 3)->area, GrassPatches::of([[]], 0.5, 45.0, 3)->rings]);
    }

    public function test_the_library_of_grass_and_of_species_can_be_read(): void
    {
        $grass = GrassFile::read((string) file_get_contents(__DIR__.'/../../../library/grass.json'));
        $this->assertSame('early autumn', $grass->season('upland, early autumn'));
        $this->assertSame('late autumn', $grass->season('Late autumn'));
        $this->assertSame('summer', $grass->season('midsummer'));
        $this->assertSame('summer', $grass->season(''));
        $this->assertSame('drought', $grass->season('a dry year'));
        $sets = PlantingFile::sets((string) file_get_contents(__DIR__.'/../../../library/planting.json'));
        $species = [];
        foreach ($sets as $set) {
            foreach ($set->mix as $one) {
                $species[$one->name] = true;
            }
        }
        $this->assertGreaterThanOrEqual(12, count($species));
        $this->assertEquals(['cold-upland', 'wet-valley', 'marsh', 'dry-scrub', 'mixed-wood', 'orchard'], array_values(array_intersect(
            array_keys($sets),
            ['cold-upland', 'wet-valley', 'marsh', 'dry-scrub', 'mixed-wood', 'orchard'],
        )));
        $this->expectExceptionMessage('There is no species “palm”.');
        PlantingFile::sets('{"species": {}, "sets": {"x": {"name": "X", "pattern": "wood", "species": {"palm": 1}}}}');
    }

    #[TestWith(['height_m/0', [0.0, 5.0, 1.0, 2.0]])]
    #[TestWith(['height_m/1', [6.0, 5.0, 1.0, 2.0]])]
    #[TestWith(['height_m/1', [6.0, 61.0, 1.0, 2.0]])]
    #[TestWith(['crown_m/1', [4.0, 5.0, 3.0, 2.0]])]
    #[TestWith(['crown_m/0', [4.0, 5.0, 0.0, 2.0]])]
    public function test_a_species_without_its_sizes_is_refused_at_its_field(string $place, array $sizes): void
    {
        try {
            new Species('Birch', TreeForm::Round, ...$sizes);
            $this->fail('refused');
        } catch (InvalidValue $refusal) {
            $this->assertSame($place, $refusal->place);
        }
    }
}
