<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/** A recipe of a layout's own: a new one, or one that stands in the place of the library's with the same id. */
final readonly class OwnRecipe
{
    /**
     * @param  array<string, mixed>  $extra
     * @param  string  $note what one wants to remember of it
     *
     * @throws InvalidValue
     */
    public function __construct(public string $uid, public Recipe $recipe, public array $extra = [], public string $note = '')
    {
        if (mb_strlen($note) > 500) {
            throw new InvalidValue('At most 500 characters.', 'note');
        }
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
