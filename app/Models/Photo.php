<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;

/**
 * A picture; its bytes lie apart, by their hash.
 *
 * @method static Builder<self> here()
 */
final class Photo extends JsonRecord
{
    /**
     * Those whose bytes are here: a layout's file without its pictures only tells of them.
     *
     * @param  Builder<self>  $query
     */
    public function scopeHere(Builder $query): void
    {
        $query->whereRaw(
            'exists (select 1 from pictures where pictures.layout_id = photos.layout_id '
                ."and pictures.hash = json_extract(photos.data, '$.hash') and pictures.size = 'large')",
        );
    }
}
