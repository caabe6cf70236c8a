<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** The plaster that a section's coats put on its foam: how thick it is where it lies, over what, and what it weighs dry; mm, mm², kg. */
final readonly class PlasterLayer
{
    private function __construct(public float $mm, public float $area, public float $dry)
    {
    }

    /**
     * @param  list<Coat>  $coats of the section
     * @return self|null null where there is none
     */
    public static function of(SectionSurvey $survey, array $coats): ?self
    {
        $volume = $dry = 0.0;
        $areas = [];
        foreach ($coats as $coat) {
            if ($coat->recipe->family !== Family::Plaster || $coat->recipe->stage !== Stage::Land || ! isset($survey->zones[$coat->zone])) {
                continue;
            }
            $area = $survey->zones[$coat->zone]->surface * $coat->share;
            $bed = $area * $coat->mm * $coat->passes;
            $areas[$coat->zone] = max($areas[$coat->zone] ?? 0.0, $area);
            $volume += $bed;
            $dry += $bed * self::density($coat->recipe) / 1e6;
        }
        $covered = array_sum($areas);

        return $covered <= 0.0 ? null : new self($volume / $covered, $covered, $dry);
    }

    /** g/ml of it once it is dry. */
    private static function density(Recipe $recipe): float
    {
        $sum = 0.0;
        foreach ($recipe->parts as $part) {
            $powder = $part->unit === 'g' && $part->isLayer() ? $part->amounts(0.0, 1000.0)[0]['amount'] : 0.0;
            $sum += $powder * (1.0 + Consistency::BOUND_WATER_SHARE);
        }

        return $sum;
    }
}
