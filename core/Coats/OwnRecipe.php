<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** A recipe of a layout's own: a new one, or one that stands in the place of the library's with the same id. */
final readonly class OwnRecipe
{
    /** @param  array<string, mixed>  $extra */
    public function __construct(public string $uid, public Recipe $recipe, public array $extra = [])
    {
    }

    /**
     * @param  list<self>  $own
     * @return list<Recipe>
     */
    public static function recipes(array $own): array
    {
        return array_map(fn (self $one): Recipe => $one->recipe, $own);
    }
}
