<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** Cover or fibre on land that has no earth base under it: white or foam shows through. */
final class WhiteShowing implements WorkRule
{
    private const COVER_FAMILIES = [Family::Cover, Family::Fibre, Family::Ballast];

    /** What is done there and leaves nothing that white could show through. */
    private const NO_COVER_TRAITS = [RecipeTrait::Mask, RecipeTrait::Unmask, RecipeTrait::Rails, RecipeTrait::Run];

    /** So much of a zone may be without a base: its edge. */
    private const EDGE_SHARE = 0.02;

    public function ids(): array
    {
        return ['white-showing'];
    }

    public function check(BenchPlan $plan): array
    {
        $works = $plan->work->project->works;
        $found = [];
        foreach ($works->zones as $zone) {
            $coats = $works->coatsOf($zone->uid);
            $cover = array_values(
                array_filter(
                    $coats,
                    fn (Coat $c): bool => in_array($c->recipe->family, self::COVER_FAMILIES, true) &&
                        ! $c->recipe->is(...self::NO_COVER_TRAITS),
                ),
            );
            if ($cover === [] || ! isset($plan->work->surveys[$zone->section])) {
                continue;
            }
            $survey = $plan->work->surveys[$zone->section];
            $area = $survey->zones[$zone->uid];
            $based = $this->hasBase($coats) ? $area->surface : 0.0;
            foreach ($works->zonesOf($zone->section) as $other) {
                if ($other->uid !== $zone->uid && $this->hasBase($works->coatsOf($other->uid))) {
                    $based += $survey->overlap($zone->uid, $other->uid)->area ?? 0.0;
                }
            }
            $white = $area->surface - $based;
            if ($area->surface > 0.0 && $white > self::EDGE_SHARE * $area->surface) {
                $found[] = $this->finding($zone, $cover[0], $white, $area->middle());
            }
        }

        return $found;
    }

    /** @param  list<Coat>  $coats */
    private function hasBase(array $coats): bool
    {
        return array_filter($coats, fn (Coat $c): bool => $c->recipe->coversWhite && $c->share > 1.0 - self::EDGE_SHARE) !== [];
    }

    /** @param  array{float, float}  $at */
    private function finding(Zone $zone, Coat $cover, float $white, array $at): Finding
    {
        return new Finding(
            'white-showing',
            Severity::Care,
            "No earth base under {$cover->title()}",
            $zone->section,
            Place::inZone($zone->uid, $at[0], $at[1]),
            ['without_base' => new Quantity($white / 100.0, 'cm²', 'true surface of the zone less what an earth base covers')],
            "{$zone->name} has {$cover->title()} on bare plaster or foam: white shows through wherever it thins.",
            'Put earth paint under it.',
        );
    }
}
