<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** How a coat looks from above once it is dry: a colour, and how much of what is under it still shows. Starting values, by eye. */
final readonly class CoatLook
{
    public const FOAM = '#cfc9b8';

    private const FAMILIES = [
        'foam' => '#cfc9b8',
        'plaster' => '#ece7da',
        'paint' => '#8a7256',
        'cover' => '#7b6449',
        'ballast' => '#a3a19a',
        'fibre' => '#8b9a4e',
        'growth' => '#6f8040',
        'gloss' => '#5b7f88',
        'resin' => '#4f7680',
    ];

    /** Loose material, and what it looks like. */
    private const MATERIALS = [
        'sifted soil' => '#7d654a',
        'leaf litter' => '#6d4c30',
        'pale unsanded grout' => '#c3b599',
        'fine turf' => '#75833f',
        'coarse turf' => '#667a38',
        'clump foliage' => '#5b7034',
        'cinders' => '#5d5955',
        'straw' => '#c2aa66',
    ];

    private const RECIPES = [
        'green-earth-paint' => '#76804c',
        'concrete-sponged' => '#a9a79f',
        'poured-road' => '#b7b1a2',
        'straw-mist' => '#c2aa66',
        'dark-mist' => '#4b4034',
    ];

    private const THIN = 0.35;

    private function __construct(public Pigment $colour, public float $cover)
    {
    }

    /**
     * Null for what is not seen: glue, tape, what is set on the land rather than laid over it.
     *
     * @param  Pigment|null  $mixed the colour of the palette that it has, dry
     */
    public static function of(Coat $coat, ?Pigment $mixed = null): ?self
    {
        $recipe = $coat->recipe;
        $unseen = [
            RecipeTrait::Mask, RecipeTrait::Unmask, RecipeTrait::Rails, RecipeTrait::Run, RecipeTrait::Trees, RecipeTrait::Posts,
            RecipeTrait::Wires, RecipeTrait::Backdrop,
        ];
        $hex = self::RECIPES[$recipe->base()] ?? self::byMaterial($recipe) ?? self::FAMILIES[$recipe->family->value] ?? null;
        if ($hex === null || $recipe->is(...$unseen)) {
            return null;
        }
        $thin = $recipe->is(RecipeTrait::Wash, RecipeTrait::Mist);

        return new self($mixed ?? Pigment::hex($hex), $coat->share * ($thin ? self::THIN : 1.0));
    }

    private static function byMaterial(Recipe $recipe): ?string
    {
        foreach ($recipe->materials() as $material) {
            if (isset(self::MATERIALS[$material])) {
                return self::MATERIALS[$material];
            }
        }

        return null;
    }
}
