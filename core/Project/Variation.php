<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;

/** The same layout with one thing of its land changed, to be held beside what stands. */
final class Variation
{
    /** kind → what of it may be varied, with a first step, mm (a batter's is run over rise) */
    public const VARIABLES = [
        'spot' => ['height' => 20.0],
        'ridge' => ['height' => 20.0, 'place' => 40.0],
        'hollow' => ['height' => 10.0, 'place' => 40.0],
        'water' => ['height' => 3.0],
        'pad' => ['height' => 5.0],
        'track' => ['batter' => 0.5, 'height' => 5.0],
        'road' => ['batter' => 0.5, 'height' => 5.0],
    ];

    /** @throws InvalidValue when there is no such thing, or it cannot be varied so */
    public static function of(Project $project, string $uid, string $what, float $by): Project
    {
        $thing = self::find($project, $uid);
        $kind = self::kindOf($thing);
        if (! isset(self::VARIABLES[$kind][$what])) {
            throw new InvalidValue("“{$what}” of a {$kind} cannot be varied.", 'what');
        }
        if (! is_finite($by) || abs($by) > 500.0) {
            throw new InvalidValue('A step is at most '.Format::length(500.0).'.', 'by');
        }

        return self::with($project, $thing instanceof Run ? self::run($thing, $what, $by) : self::feature($thing, $what, $by));
    }

    /** Without it: what it hides, and how much room it takes, shows against this. */
    public static function without(Project $project, string $uid): Project
    {
        self::find($project, $uid);
        $keep = fn (LandFeature|Run $one): bool => $one->uid !== $uid;

        return Project::of(
            $project->layout,
            $project->sections,
            array_values(array_filter($project->runs, $keep)),
            array_values(array_filter($project->features, $keep)),
            $project->runExtras,
            $project->extra,
            $project->works,
        );
    }

    /** @throws InvalidValue */
    public static function find(Project $project, string $uid): LandFeature|Run
    {
        foreach ([...$project->features, ...$project->runs] as $one) {
            if ($one->uid === $uid) {
                return $one;
            }
        }
        throw new InvalidValue('There is nothing of that kind any more.', 'pick');
    }

    /** The word that it is known by among `VARIABLES`. */
    public static function kindOf(LandFeature|Run $thing): string
    {
        return $thing instanceof Run ? $thing->kind->value : $thing->kind->value;
    }

    private static function with(Project $project, LandFeature|Run $changed): Project
    {
        return Project::of(
            $project->layout,
            $project->sections,
            array_map(fn (Run $one): Run => $changed instanceof Run && $one->uid === $changed->uid ? $changed : $one, $project->runs),
            array_map(
                fn (LandFeature $one): LandFeature => $changed instanceof LandFeature && $one->uid === $changed->uid ? $changed : $one,
                $project->features,
            ),
            $project->runExtras,
            $project->extra,
            $project->works,
        );
    }

    private static function feature(LandFeature $feature, string $what, float $by): LandFeature
    {
        $points = $feature->points;
        if ($what === 'height') {
            return $feature->at(array_map(fn (Spot $p): Spot => new Spot($p->x, $p->y, $p->z + $by), $points));
        }
        // Aside of the way from its first point to its last, to the left.
        [$a, $b] = [$points[0], $points[count($points) - 1]];
        $length = max(1e-9, hypot($b->x - $a->x, $b->y - $a->y));
        [$dx, $dy] = [(-$by * ($b->y - $a->y)) / $length, ($by * ($b->x - $a->x)) / $length];

        return $feature->at(array_map(fn (Spot $p): Spot => new Spot($p->x + $dx, $p->y + $dy, $p->z), $points));
    }

    private static function run(Run $run, string $what, float $by): Run
    {
        $profile = $run->profile->toArray();
        $lift = $what === 'height' ? $by : 0.0;
        foreach ($what === 'batter' ? array_keys($profile) : [] as $key) {
            if (str_starts_with($key, 'batter')) {
                $profile[$key] = max(FormationProfile::MIN_BATTER, $profile[$key] + $by);
            }
        }

        return $run->but(
            startHeight: $run->startHeight + $lift,
            gradePoints: array_map(fn (array $p): array => ['height_mm' => $p['height_mm'] + $lift] + $p, $run->gradePoints),
            profile: FormationProfile::from($profile),
        );
    }
}
