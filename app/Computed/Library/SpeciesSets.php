<?php

declare(strict_types=1);

namespace App\Computed\Library;

use IdleRidge\Core\Interchange\PlantingFile;
use IdleRidge\Core\Planting\SpeciesSet;

/** The sets of species that come with the program. */
final class SpeciesSets
{
    /** @var array<string, SpeciesSet>|null */
    private ?array $sets = null;

    /** @return array<string, SpeciesSet> id → set */
    public function all(): array
    {
        return $this->sets ??= PlantingFile::sets((string) file_get_contents(base_path('library/planting.json')));
    }
}
