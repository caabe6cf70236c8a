<?php

declare(strict_types=1);

namespace App\Computed;

use App\Models\JsonRecord;
use App\Models\Layout;
use App\Models\Record;
use Illuminate\Database\Eloquent\Relations\HasMany;
use LogicException;
use stdClass;

/** The rows of a layout as they were at one moment: what is made of them depends on nothing else of the database. */
final readonly class LayoutRows
{
    /** What something is computed from. */
    private const COMPUTED = [
        'sections', 'runs', 'features', 'zones', 'coats', 'applications', 'rooms', 'benchSessions', 'checks', 'lots', 'movements',
        'recipes', 'colours', 'prices', 'hiddenThings', 'stands', 'linesideRows', 'waters', 'mirrors',
    ];

    /** What only remembers. */
    private const REMEMBERED = ['journalEntries', 'photos', 'stalls', 'trials'];

    /** @param  array<string, list<stdClass>>  $rows by the relation of the layout */
    private function __construct(private Layout $layout, public array $rows)
    {
    }

    /** @param  bool  $whole with what only remembers */
    public static function of(Layout $layout, bool $whole = false): self
    {
        $rows = [];
        foreach ([...self::COMPUTED, ...$whole ? self::REMEMBERED : []] as $relation) {
            $rows[$relation] = array_values(self::relation($layout, $relation)->toBase()->get()->all());
        }

        return new self($layout, $rows);
    }

    /**
     * @template T of Record
     *
     * @param  class-string<T>  $class
     * @return list<T> none of what only remembers, where that was not read
     *
     * @throws LogicException for a relation that is not read: what is made of it would not be known by its rows
     */
    public function records(string $relation, string $class): array
    {
        if (! isset($this->rows[$relation]) && ! in_array($relation, self::REMEMBERED, true)) {
            throw new LogicException("The rows of {$relation} are not read with a layout.");
        }
        $model = new $class();
        $made = [];
        foreach ($this->rows[$relation] ?? [] as $row) {
            /** @var T $record */
            $record = $model->newFromBuilder((array) $row);
            $made[] = $record;
        }

        return $made;
    }

    /** @return list<JsonRecord> of a relation whose values stand in one column */
    public function values(string $relation): array
    {
        $class = self::relation($this->layout, $relation)->getRelated()::class;

        return $this->records($relation, $class);
    }

    /** @return HasMany<JsonRecord, Layout> */
    private static function relation(Layout $layout, string $relation): HasMany
    {
        return $layout->{$relation}();
    }
}
