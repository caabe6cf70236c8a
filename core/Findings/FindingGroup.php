<?php

declare(strict_types=1);

namespace IdleRidge\Core\Findings;

/** The same finding at several places or of several coats of a board: what it means is told once, with all that it is of. */
final readonly class FindingGroup
{
    /** @param  non-empty-array<int, Finding>  $findings by their places in the list that they came from */
    private function __construct(public string $why, public string $do, public array $findings)
    {
    }

    /**
     * In the order in which the first of each came.
     *
     * @param  list<Finding>  $findings
     * @return list<self>
     */
    public static function of(array $findings): array
    {
        $groups = [];
        foreach ($findings as $k => $finding) {
            $groups[implode("\n", [$finding->id, $finding->section, $finding->why, $finding->do])][$k] = $finding;
        }

        return array_values(array_map(fn (array $of): self => new self(reset($of)->why, reset($of)->do, $of), $groups));
    }

    public function first(): Finding
    {
        return $this->findings[array_key_first($this->findings)];
    }

    /** Of the gravest of them. */
    public function severity(): Severity
    {
        return Severity::cases()[min(array_map(fn (Finding $f): int => $f->severity->rank(), $this->findings))];
    }
}
