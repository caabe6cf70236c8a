<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Actions\Ledger\Ledger;
use App\Models\Layout;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Project\Joints;

/** Everything that the Land views show, drawn and put into words. */
final readonly class ShowLand
{
    public function __construct(private LandReadings $readings, private Ledger $ledger)
    {
    }

    /** @return array<string, mixed> for the view land.views */
    public function of(LandPage $page, Layout $layout): array
    {
        return [
            'page' => $page,
            'layout' => $layout,
            'section' => $page->section,
            'plan' => PlanDrawing::of($page),
            'profile' => ProfileDrawing::of($page),
            'cross' => SectionDrawing::of($page),
            'facts' => $this->readings->facts($page),
            'readings' => $this->readings->atCut($page),
            'findings' => $this->readings->findings($page),
            'shape' => $this->readings->shape($page),
            'built' => $page->tab === 'structures' ? $this->readings->structures($page) : [],
            'next' => $this->ledger->next($layout),
            'edges' => $this->edges($page),
        ];
    }

    /**
     * @return list<array{edge: string, fixed: bool, points: int, other: string|null, mayCopy: bool}> the board's edges, what lies against
     *     each
     */
    private function edges(LandPage $page): array
    {
        $joined = $page->project->joined($page->section);
        $out = [];
        foreach (array_column(BoardEdge::cases(), 'value') as $edge) {
            $other = $joined[$edge] ?? null;
            $fixed = isset($page->section->edges[$edge]);
            $out[] = [
                'edge' => $edge,
                'fixed' => $fixed,
                'points' => count($page->section->edges[$edge] ?? []),
                'other' => $other?->name,
                'mayCopy' => $fixed && $other !== null && Joints::against($page->section, $edge, $other) !== null,
            ];
        }

        return $out;
    }
}
