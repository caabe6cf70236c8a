<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use IdleRidge\Core\Interchange\OldCoats;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Layouts of before: coats by stage wherever they stood, glue a coat of its own. */
final class OldCoatsTest extends TestCase
{
    /** @return iterable<string, array{list<string>, list<string>}> recipes of a zone, and what they are brought to */
    public static function zones(): iterable
    {
        yield 'neat bed' => [['white-glue-neat', 'fine-turf'], ['fine-turf bed-first+water+white-1-3']];
        yield 'into paint' => [['earth-paint', 'scatter-in-paint'], ['earth-paint', 'fine-turf paint']];
        yield 'lacquer' => [['coarse-turf', 'lacquer-spray'], ['coarse-turf lacquer']];
        yield 'glued twice' => [['sifted-soil', 'white-glue-1-1'], ['sifted-soil flooded+water+white-1-1']];
        yield 'mist and glue' => [['sifted-soil', 'alcohol-mist', 'scenery-adhesive'], ['sifted-soil flooded+alcohol-33+ready-1-0']];
        yield 'mist alone' => [['sifted-soil', 'alcohol-mist', 'tufts'], ['sifted-soil flooded+alcohol-33+white-1-3', 'tufts']];
        yield 'sprayed' => [['fibre-2mm', 'layering-spray', 'fibre-4mm'], ['fibre-2mm', 'fibre-4mm sprayed']];
        yield 'by stage' => [['fibre-2mm', 'sifted-soil', 'earth-paint'], ['earth-paint', 'sifted-soil', 'fibre-2mm']];
        yield 'glue on nothing' => [['white-glue-neat', 'tufts', 'alcohol-mist'], ['white-glue-neat', 'alcohol-mist', 'tufts']];
        yield 'nothing to do' => [['earth-paint', 'sifted-soil', 'fibre-2mm'], ['earth-paint', 'sifted-soil', 'fibre-2mm']];
    }

    /**
     * @param  list<string>  $recipes
     * @param  list<string>  $wanted
     */
    #[DataProvider('zones')]
    public function test_coats_come_into_their_order_and_glue_into_its_coat(array $recipes, array $wanted): void
    {
        $this->assertSame($wanted, array_values(array_map(self::said(...), $this->brought($recipes))));
    }

    public function test_what_was_begun_stays_as_it_is(): void
    {
        foreach ([0, 1] as $begun) {
            $said = array_map(self::said(...), $this->brought(['white-glue-neat', 'fine-turf'], $begun));
            $this->assertSame(['white-glue-neat', 'fine-turf'], array_values($said));
        }
        foreach ([1, 2] as $begun) {
            $said = array_map(self::said(...), $this->brought(['sifted-soil', 'alcohol-mist', 'white-glue-1-4'], $begun));
            $this->assertSame($begun === 1 ? 3 : 2, count($said));
        }
    }

    public function test_every_zone_keeps_its_own_places(): void
    {
        $coats = [
            ['uid' => 'a', 'zone' => 'x', 'recipe' => 'fibre-2mm', 'mm' => 1],
            ['uid' => 'b', 'zone' => 'y', 'recipe' => 'white-glue-neat', 'mm' => 1],
            ['uid' => 'c', 'zone' => 'x', 'recipe' => 'earth-paint', 'mm' => 1],
            ['uid' => 'd', 'zone' => 'y', 'recipe' => 'fine-turf', 'mm' => 2, 'passes' => 3],
        ];
        $brought = OldCoats::brought($coats, [], fn (string $id): int => (int) Build::library()->stageOf($id));
        $this->assertSame([0 => 'c', 1 => 'd', 2 => 'a'], array_map(fn (array $c): string => $c['uid'], $brought));
        $this->assertSame([2, 3], [$brought[1]['mm'], $brought[1]['passes']]);
    }

    /**
     * @param  list<string>  $recipes
     * @return array<int, array<string, mixed>>
     */
    private function brought(array $recipes, ?int $begun = null): array
    {
        $coats = array_map(
            fn (int $k): array => ['uid' => "c{$k}", 'zone' => 'z', 'recipe' => $recipes[$k], 'mm' => 0.5],
            array_keys($recipes),
        );

        $stage = fn (string $id): int => (int) Build::library()->stageOf($id);

        return OldCoats::brought($coats, $begun === null ? [] : ["c{$begun}"], $stage);
    }

    /** @param  array<string, mixed>  $coat */
    private static function said(array $coat): string
    {
        return trim($coat['recipe'].' '.($coat['way'] ?? ''));
    }
}
