<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\Run;

/** The whole layout's plan at a scale, to be printed: boards with their names, runs over the joints, waters and pads. */
final class LayoutPlan
{
    /** One to so much, unless it is asked otherwise. */
    public const USUAL = 10.0;

    /** Words stand so far inside their board on paper, mm. */
    private const INSET_MM = 3.0;

    /** Lines keep so close to their curves on paper, mm. */
    private const SAGITTA_MM = 0.1;

    /**
     * @param  float  $ratio 1 for full size, 10 for a tenth of it
     *
     * @throws InvalidValue for a scale that is no reduction, or too small to be read
     */
    public static function of(Project $project, float $ratio): Template
    {
        InvalidValue::unlessBetween($ratio, 1.0, 200.0, 'The scale of the plan, one to', '', 'scale');
        $small = fn (Point $p): array => [$p->x / $ratio, $p->y / $ratio];
        $cut = $marked = $words = [];
        foreach ($project->sections as $section) {
            $cut[] = array_map($small, $section->corners());
            [$x, $y] = $small($section->placement->toLayout(new Point(0.0, $section->depth)));
            $words[] = [$x + self::INSET_MM, $y - 2.0 * self::INSET_MM, $section->name];
        }
        foreach ($project->features as $feature) {
            if (in_array($feature->kind, [FeatureKind::Water, FeatureKind::Pad], true)) {
                $marked[] = array_map(fn (array $p): array => $small(new Point($p[0], $p[1])), $feature->plan());
            }
        }
        $lines = array_map(
            fn (Run $run): array => array_map(
                $small,
                $run->alignment->polyline(0.0, $run->alignment->length, 0.0, self::SAGITTA_MM * $ratio),
            ),
            $project->runs,
        );

        return new Template(
            'layout-plan',
            "{$project->layout->name}, plan at 1:".Decimal::trimmed($ratio, 2),
            $cut,
            $marked,
            $lines,
            [],
            $words,
        );
    }
}
