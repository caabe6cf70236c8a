<?php

declare(strict_types=1);

namespace App\Workshop\Land;

use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Workshop\Layouts\PlaceSection;
use App\Workshop\LoadProject;
use App\Workshop\Revising\Changes;
use App\Workshop\Revising\Ledger;
use IdleRidge\Core\Geometry\Simplify;
use IdleRidge\Core\Measure\Refusal;
use IdleRidge\Core\Project\Joints;
use IdleRidge\Core\Project\LayoutSheet;

/** Fixes an edge of a board as it lies or as it is typed, copies it across to the neighbour, sets it free again. */
final readonly class FixEdge
{
    /** The land is told so often along an edge, and may be missed by so much, mm. */
    private const STEP = 5.0;

    private const TOLERANCE = 0.2;

    public function __construct(private Ledger $ledger, private LoadProject $load, private LandDesk $desk)
    {
    }

    /**
     * @param string $how fix, free, copy
     *
     * @throws Refusal
     */
    public function on(Layout $layout, SectionRow $row, string $edge, string $how): void
    {
        if (! in_array($edge, LayoutSheet::EDGES, true)) {
            throw new Refusal('There is no such edge.', 'edge');
        }
        match ($how) {
            'fix' => $this->save($layout, $row, $edge, $this->standing($layout, $row, $edge), 'fixed'),
            'free' => $this->save($layout, $row, $edge, null, 'set free'),
            'copy' => $this->across($layout, $row, $edge),
            default => throw new Refusal('An edge is fixed, set free or copied.', 'how'),
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
        for ($k = 0, $n = max(1, (int) ceil($length / self::STEP)); $k <= $n; $k++) {
            $at = $length * $k / $n;
            $p = $section->placement->toSection($section->onEdge($edge, $at));
            $line[] = [$at, $ground->at($p->x, $p->y)];
        }

        return array_map(fn (array $p): array => [round($p[0], 2), round($p[1], 1)], Simplify::line($line, self::TOLERANCE));
    }

    private function across(Layout $layout, SectionRow $row, string $edge): void
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $other = Joints::of($section, $project->sections)[$edge] ?? throw new Refusal('No board lies against this edge.', 'edge');
        $against = Joints::against($section, $edge, $other) ?? throw new Refusal("{$other->name} lies aslant of this edge; an edge is copied to one that lies along it.", 'edge');
        if (! isset($section->edges[$edge])) {
            throw new Refusal('Fix the edge first: only then is there something to copy.', 'edge');
        }
        $there = $layout->sections()->where('uid', $other->uid)->firstOrFail();
        $this->save($layout, $there, $against[0], Joints::copied($section, $edge, $other, $against[0]), "copied from {$section->name}");
    }

    /** @param  list<array{float, float}>|null  $profile */
    private function save(Layout $layout, SectionRow $row, string $edge, ?array $profile, string $what): void
    {
        $section = LoadProject::section($row)->withEdge($edge, $profile);
        $row->fill(PlaceSection::columns($section));
        $this->ledger->record($layout, ucfirst($edge)." edge of {$row->name} {$what}", fn (Changes $changes) => $changes->save($row));
    }
}
