<?php

declare(strict_types=1);

namespace App\Pages\Growth;

use App\Computed\Land\LandResult;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Project\GrowthSurvey;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** One look at what grows on a board: what is picked, and which tree of it. */
final readonly class GrowthPage
{
    /** @param  list<Stand>  $stands with their trees in the board's coordinates */
    public function __construct(
        public Project $project,
        public Section $section,
        public GrowthSurvey $survey,
        public LandResult $sheet,
        public LandModel $model,
        public array $stands,
        public ?string $picked,
        public ?int $tree,
    ) {
    }

    public function stand(): ?Stand
    {
        return array_values(array_filter($this->stands, fn (Stand $s): bool => $s->uid === $this->picked))[0] ?? null;
    }

    public function tree(): ?Tree
    {
        return $this->tree === null ? null : ($this->stand()->trees[$this->tree] ?? null);
    }

    public function row(): ?Row
    {
        $rows = $this->project->works->growth->rows;

        return array_values(array_filter($rows, fn (Row $r): bool => $r->uid === $this->picked))[0] ?? null;
    }

    /** @return list<RowLayout> rows that come onto the board */
    public function sets(): array
    {
        return array_values(array_filter(
            $this->survey->sets,
            fn (RowLayout $set): bool => in_array($this->section->uid, array_column($set->parts, 'section'), true),
        ));
    }

    public function set(string $uid): ?RowLayout
    {
        return array_values(array_filter($this->survey->sets, fn (RowLayout $s): bool => $s->row->uid === $uid))[0] ?? null;
    }
}
