<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Computed\Cuts\ComputedCuts;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Cuts\Piece;
use IdleRidge\Core\Cuts\Rib;

/** What a section is cut from, for a view that turns: layers with their pieces, or ribs, mm. */
final readonly class ShowStackMesh
{
    public function __construct(private ProjectLoader $load, private ComputedCuts $desk)
    {
    }

    /**
     * @return array{width: float, depth: float, base: float, layers: list<array{bottom: float, thickness: float,
     *     pieces: list<list<list<array{float, float}>>>}>, ribs: list<array{x: float, thickness: float, pieces: list<list<list<array{float,
     *     float}>>>}>}
     */
    public function solids(Layout $layout, SectionRow $row): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $page = $this->desk->page($project, $section);
        $rings = fn (Piece $piece): array => array_map(
            fn (array $ring): array => array_map(fn (array $p): array => [round($p[0], 1), round($p[1], 1)], $ring),
            $piece->rings,
        );

        return [
            'width' => $section->width,
            'depth' => $section->depth,
            'base' => $section->base,
            'layers' => array_map(
                fn (Layer $l): array => ['bottom' => $l->bottom, 'thickness' => $l->thickness, 'pieces' => array_map($rings, $l->pieces)],
                $page->stack()->layers ?? [],
            ),
            'ribs' => array_map(
                fn (Rib $r): array => [
                    'x' => $r->x,
                    'thickness' => min(6.0, $page->cuts->first()->thickness),
                    'pieces' => array_map($rings, $r->pieces()),
                ],
                $page->shell()->ribs ?? [],
            ),
        ];
    }
}
