<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Computed\Clock\UlidGenerator;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Water\Mirror;
use IdleRidge\Core\Water\WaterPlan;
use IdleRidge\Core\Water\Waters;

/** How the demo's waters are to be made, planned but not among the work yet: tarn and burn in thin coats, a mirror. */
final readonly class SkarnvikWater
{
    public function __construct(private UlidGenerator $uids)
    {
    }

    public function on(Project $land): Project
    {
        $weir = $land->section('Weir Bend');
        $end = $weir->placement->toLayout(new Point(506.0, 596.0));

        return $land->working($land->works->with(['waters' => new Waters(
            [
                new WaterPlan($this->uids->next(), $this->water($land, 'Peat tarn'), 'water-gloss', coats: 10, bands: 3),
                new WaterPlan($this->uids->next(), $this->water($land, 'Weir burn'), 'water-gloss', coats: 10, bands: 2),
            ],
            [new Mirror($this->uids->next(), $weir->uid, 'Mirror above the burn', $end->x, $end->y, 34.0, 26.0, -86.0)],
        )]));
    }

    private function water(Project $land, string $name): string
    {
        $is = fn (LandFeature $f): bool => $f->name === $name && $f->kind !== FeatureKind::Hollow;

        return array_values(array_filter($land->features, $is))[0]->uid;
    }
}
