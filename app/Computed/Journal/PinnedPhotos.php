<?php

declare(strict_types=1);

namespace App\Computed\Journal;

use App\Models\Layout;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Journal\PhotoPin;
use Illuminate\Support\Facades\DB;

/** Pictures that are pinned as references beside a page. */
final readonly class PinnedPhotos
{
    private const MAX = 4;

    /** @return list<Photo> of a section, newest first */
    public function beside(Layout $layout, string $section, PhotoPin $page): array
    {
        $rows = $layout
            ->photos()
            ->here()
            ->where(DB::raw("json_extract(data, '$.pin')"), $page->value)
            ->where(DB::raw("json_extract(data, '$.section')"), $section)
            ->get()
            ->reverse()
            ->take(self::MAX);

        return array_values(array_map(JournalRows::photo(...), $rows->all()));
    }
}
