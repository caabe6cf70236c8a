<?php

declare(strict_types=1);

namespace App\Pages\Growth;

use App\Computed\Plan\ComputedPlan;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Coats\ZoneArea;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Interchange\GrassFile;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Planting\GrassMix;
use IdleRidge\Core\Planting\GrassPatches;

/** Grass of a board as it grows: how high it stands outdoors, its colours by weight, the patches it lies in, its tufts, its edges. */
final readonly class ShowGrass
{
    /** Patches are about so wide outdoors, m. */
    private const PATCH_M = 4.0;

    /** Edges of two zones that lie so near are one, mm; they are followed in such steps. */
    private const BESIDE_MM = 6.0;

    private const STEP_MM = 3.0;

    public function __construct(private ComputedPlan $plan)
    {
    }

    /**
     * @return array{season: string, coats: list<array{zone: string, coat: string, length: float|null, outdoors: string,
     *     grams: Quantity|null, mix: list<array{colour: string, hex: string, grams: float}>, patches: GrassPatches|null,
     *     pieces: int}>, edges: list<array{words: string, long: Quantity, area: Quantity}>}
     */
    public function of(GrowthPage $page): array
    {
        $file = GrassFile::read((string) file_get_contents(base_path('library/grass.json')));
        $season = $file->season($page->project->layout->season);
        $areas = $page->project->works->zonesOf($page->section->uid) === []
            ? []
            : $this->plan->survey($page->project, $page->section)->zones;
        $coats = [];
        $tallest = [];
        foreach ($page->project->works->zonesOf($page->section->uid) as $zone) {
            foreach ($page->project->works->coatsOf($zone->uid) as $coat) {
                if ($coat->recipe->family === Family::Fibre || str_starts_with($coat->recipe->base(), 'tufts')) {
                    $coats[] = $this->coat($page, $zone, $coat, $areas[$zone->uid], $file, $season);
                    $tallest[$zone->uid] = max($tallest[$zone->uid] ?? 0.0, $coat->recipe->length ?? 0.0);
                }
            }
        }

        return ['season' => $season, 'coats' => $coats, 'edges' => $this->edges($page, array_filter($tallest), $areas)];
    }

    /**
     * @return array{zone: string, coat: string, length: float|null, outdoors: string, grams: Quantity|null,
     *     mix: list<array{colour: string, hex: string, grams: float}>, patches: GrassPatches|null, pieces: int}
     */
    private function coat(GrowthPage $page, Zone $zone, Coat $coat, ZoneArea $area, GrassFile $file, string $season): array
    {
        $scale = $page->project->layout->scale;
        $grams = $pieces = 0.0;
        foreach ($coat->recipe->amounts($coat->share * $area->surface, 0.0) as $amount) {
            $grams += str_starts_with($amount->material, 'fibre') ? $coat->passes * $amount->amount : 0.0;
            $pieces += str_contains($amount->material, 'tuft') && $amount->unit === 'pcs' ? $coat->passes * $amount->amount : 0.0;
        }
        $place = match (true) {
            $zone->under !== [] || $zone->crowns !== null => 'shade',
            $zone->made === 'bank' || $zone->damp !== null => 'bank',
            default => 'open',
        };
        $mix = [];
        foreach ($grams > 0.0 ? $file->mixes[$season][$place]->weighed($grams) : [] as $colour => $g) {
            $mix[] = ['colour' => $colour, 'hex' => $file->colours[$colour], 'grams' => $g];
        }
        $length = $coat->recipe->length;
        $metres = $length === null ? 0.0 : GrassMix::outdoors($length, $scale);

        return [
            'zone' => $zone->name,
            'coat' => $coat->title(),
            'length' => $length,
            'outdoors' => $length === null ? '' : Format::text(100.0 * $metres, 'cm').' outdoors, '.GrassMix::word($metres),
            'grams' => $grams > 0.0 ? new Quantity($grams, 'g', 'fibre of all its passes, by its true surface', decimals: 1) : null,
            'mix' => $mix,
            'patches' => $coat->share < 1.0
                ? GrassPatches::of($area->rings, $coat->share, $scale->toModel(1000.0 * self::PATCH_M), (int) crc32($coat->uid))
                : null,
            'pieces' => (int) round($pieces),
        ];
    }

    /**
     * Where grass of two lengths meets: short goes into the wild and the wild into the short, over a width.
     *
     * @param  array<string, float>  $tallest uid of a zone → its longest fibre, mm
     * @param  array<string, ZoneArea>  $areas
     * @return list<array{words: string, long: Quantity, area: Quantity}>
     */
    private function edges(GrowthPage $page, array $tallest, array $areas): array
    {
        $out = [];
        $zones = $page->project->works->zonesOf($page->section->uid);
        foreach ($tallest as $one => $length) {
            foreach ($tallest as $other => $longer) {
                $long = $longer > $length ? $this->shared($areas[$one], $areas[$other]) : 0.0;
                if ($long >= 2.0 * self::BESIDE_MM) {
                    // As wide as the longer grass is high, six times: it thins out rather than stops.
                    $wide = 6.0 * $longer;
                    $out[] = [
                        'words' => "{$zones[$one]->name} meets {$zones[$other]->name}, "
                            .Format::several([$length, $longer], 'mm', 1, ' and '),
                        'long' => new Quantity(
                            $long,
                            'mm',
                            'of outline no further apart than '.Format::length(self::BESIDE_MM),
                            decimals: 0,
                        ),
                        'area' => new Quantity($long * $wide / 100.0, 'cm²', 'over six times the longer fibre to either side', decimals: 0),
                    ];
                }
            }
        }

        return $out;
    }

    private function shared(ZoneArea $a, ZoneArea $b): float
    {
        $sum = 0.0;
        foreach (array_filter($a->rings) as $ring) {
            foreach ($ring as $k => $p) {
                $q = $ring[($k + 1) % count($ring)];
                $long = hypot($q[0] - $p[0], $q[1] - $p[1]);
                $parts = max(1, (int) ceil($long / self::STEP_MM));
                for ($i = 0; $i < $parts; $i++) {
                    $t = ($i + 0.5) / $parts;
                    [$x, $y] = [$p[0] + $t * ($q[0] - $p[0]), $p[1] + $t * ($q[1] - $p[1])];
                    foreach (array_filter($b->rings) as $other) {
                        if (abs(Polygon::depth($other, $x, $y)) < self::BESIDE_MM) {
                            $sum += $long / $parts;
                            break;
                        }
                    }
                }
            }
        }

        return $sum;
    }
}
