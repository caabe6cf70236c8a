<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\MaterialAmount;

/** What has to lie ready for some moves: materials, tools, what one wears, cloths and covers. */
final readonly class PackingList
{
    /** What a hazard or a trait of a recipe asks for. */
    private const WORN_FOR_HAZARD = [
        'dust' => 'dust mask for fine dust, goggles',
        'skin' => 'gloves',
        'vapour' => 'open window, fan blowing out',
        'sparks' => 'dry hands, earth pin',
    ];

    private const BESIDE_FOR_TRAIT = [
        'wet' => 'damp cloth, water',
        'messy' => 'covers over track and fascia',
        'loose' => 'fine brush, dropper, vacuum with a stocking',
        'alcohol' => 'spray bottle, no flame near',
        'mask' => 'fresh blade',
        'unmask' => 'fresh blade',
        'joint' => 'fine saw or knife',
        'sand' => 'sanding block, vacuum',
        'pour' => 'cups, level, dust cover',
        'rails' => 'track rubber or lint-free cloth',
        'run' => 'slowest engine, lightest vehicle',
    ];

    /**
     * @param  list<MaterialAmount>  $materials
     * @param  array<string, list<string>>  $tools tool → moves
     * @param  list<string>  $wear
     * @param  list<string>  $beside
     */
    private function __construct(public array $materials, public array $tools, public array $wear, public array $beside)
    {
    }

    /** @param  list<PlacedMove>  $moves */
    public static function of(array $moves): self
    {
        $materials = $tools = $wear = $beside = [];
        foreach ($moves as $placed) {
            $recipe = $placed->move->recipe;
            array_push($materials, ...$placed->move->amounts);
            foreach ($recipe->tools as $tool) {
                $tools[$tool][] = $placed->move->title();
            }
            foreach (array_intersect_key(self::WORN_FOR_HAZARD, array_flip(array_column($recipe->hazards, 'value'))) as $words) {
                $wear[$words] = true;
            }
            foreach (array_intersect_key(self::BESIDE_FOR_TRAIT, array_flip(array_column($recipe->traits, 'value'))) as $words) {
                $beside[$words] = true;
            }
        }
        $sums = MaterialAmount::sum($materials);
        usort($sums, fn (MaterialAmount $a, MaterialAmount $b): int => $a->material <=> $b->material);

        return new self($sums, $tools, array_map('strval', array_keys($wear)), array_map('strval', array_keys($beside)));
    }

    public function isEmpty(): bool
    {
        return $this->materials === [] && $this->tools === [];
    }
}
