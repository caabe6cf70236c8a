<?php

declare(strict_types=1);

namespace App\Actions\Land;

use App\Actions\Layouts\SaveSection;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\Joints;

/** Fixes an edge of a board as it lies or as it is typed, copies it across to the neighbour, sets it free again. */
final readonly class SaveEdge
{
    /** The land is told so often along an edge, and may be missed by so much, mm. */
    private const STEP_MM = 5.0;

    private const TOLERANCE_MM = 0.2;

    public function __construct(private Ledger $ledger, private ProjectLoader $load, private ComputedLand $desk)
    {
    }

    /**
     * @param  string  $how fix, free, copy
     *
     * @throws InvalidValue
     */
    public function on(Layout $layout, SectionRow $row, string $edge, string $how): void
    {
        if (BoardEdge::tryFrom($edge) === null) {
            throw new InvalidValue('There is no such edge.', 'edge');
        }
        match ($how) {
            'fix' => $this->save($layout, $row, $edge, $this->standing($layout, $row, $edge), 'fixed'),
            'free' => $this->save($layout, $row, $edge, null, 'set free'),
            'copy' => $this->across($layout, $row, $edge),
            default => throw new InvalidValue('An edge is fixed, set free or copied.', 'how'),
        };
    }

    /** @return list<array{float, float}> the natural ground along an edge as it lies */
    private function standing(Layout $layout, SectionRow $row, string $edge): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $ground = $this->desk->model($project, $section)->ground;
        $length = $section->edgeLength($edge);
        $line = [];
        for ($k = 0, $n = max(1, (int) ceil($length / self::STEP_MM)); $k <= $n; $k++) {
            $at = ($length * $k) / $n;
            $p = $section->placement->toSection($section->onEdge($edge, $at));
            $line[] = [$at, $ground->at($p->x, $p->y)];
        }

        return array_map(fn (array $p): array => [round($p[0], 2), round($p[1], 1)], LineSimplifier::line($line, self::TOLERANCE_MM));
    }

    private function across(Layout $layout, SectionRow $row, string $edge): void
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $other = $project->joined($section)[$edge] ?? throw new InvalidValue('No board lies against this edge.', 'edge');
        $against =
            Joints::against($section, $edge, $other) ??
            throw new InvalidValue("{$other->name} lies aslant of this edge; an edge is copied to one that lies along it.", 'edge');
        if (! isset($section->edges[$edge])) {
            throw new InvalidValue('Fix the edge first: only then is there something to copy.', 'edge');
        }
        $there = $layout->sections()->where('uid', $other->uid)->firstOrFail();
        $this->save($layout, $there, $against[0], Joints::copied($section, $edge, $other, $against[0]), "copied from {$section->name}");
    }

    /** @param  list<array{float, float}>|null  $profile */
    private function save(Layout $layout, SectionRow $row, string $edge, ?array $profile, string $what): void
    {
        $section = ProjectLoader::section($row)->withEdge($edge, $profile);
        $row->fill(SaveSection::columns($section));
        $this->ledger->record($layout, ucfirst($edge)." edge of {$row->name} {$what}", fn (ChangeSet $changes) => $changes->save($row));
    }
}
