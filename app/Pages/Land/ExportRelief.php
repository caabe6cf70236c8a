<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section;
use IdleRidge\Core\Interchange\ReliefPng;

/** The picture of a land under its hash; where that land is no longer kept, of what it became. */
final readonly class ExportRelief
{
    public function __construct(private ComputedLand $lands, private ProjectLoader $load)
    {
    }

    /** @return array{picture: string, lasts: bool} whether that is for ever what the hash names */
    public function of(Layout $layout, Section $section, string $hash): array
    {
        $land = $this->lands->kept($hash);
        if ($land === null) {
            $project = $this->load->of($layout);
            $land = $this->lands->sheet($project, $project->section($section->uid));
        }

        return ['picture' => ReliefPng::png($land->grid()), 'lasts' => $land->hash === $hash];
    }
}
