<?php

declare(strict_types=1);

namespace App\Workshop\Land;

use App\Drawing\PlanDrawing;
use App\Drawing\ProfileDrawing;
use App\Drawing\SectionDrawing;
use App\Models\Layout;
use App\Workshop\Revising\Ledger;

/** Everything that the Land views show, drawn and put into words. */
final readonly class ShowLand
{
    public function __construct(private Readings $readings, private Ledger $ledger)
    {
    }

    /** @return array<string, mixed> for the view land.views */
    public function of(LandPage $page, Layout $layout): array
    {
        return [
            'page' => $page,
            'layout' => $layout,
            'section' => $page->section,
            'units' => $page->project->layout->units,
            'plan' => PlanDrawing::of($page),
            'profile' => ProfileDrawing::of($page),
            'cross' => SectionDrawing::of($page),
            'facts' => $this->readings->facts($page),
            'readings' => $this->readings->atCut($page),
            'findings' => $this->readings->findings($page),
            'water' => $this->readings->water($page),
            'next' => $this->ledger->next($layout),
        ];
    }
}
