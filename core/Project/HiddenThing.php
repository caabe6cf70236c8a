<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Measure\InvalidValue;

/** Something under the land that a saw, a hot wire or a drill must not meet: where it lies and between which heights. */
final readonly class HiddenThing
{
    public const MAX_POINTS = 50;

    public string $name;

    /**
     * @param  list<array{float, float}>  $points section coordinates, mm; one place, or the corners of a line
     * @param  float  $bottom height over the datum, mm; $top too
     * @param  float  $wide mm across
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $section,
        public HiddenKind $kind,
        public array $points,
        public float $bottom,
        public float $top,
        public float $wide = 5.0,
        string $name = '',
        public array $extra = [],
    ) {
        if ($points === [] || count($points) > self::MAX_POINTS) {
            throw new InvalidValue('It lies at one place, or along up to '.self::MAX_POINTS.'.', 'points');
        }
        if (! $kind->isLine() && count($points) !== 1) {
            throw new InvalidValue("A {$kind->value} is at one place.", 'points');
        }
        if ($kind->isLine() && count($points) < 2) {
            throw new InvalidValue("A {$kind->value} goes from one place to another.", 'points');
        }
        foreach ($points as $k => [$x, $y]) {
            InvalidValue::unlessBetween($x, -500.0, 20_000.0, 'x', 'mm', "points/{$k}/x_mm");
            InvalidValue::unlessBetween($y, -500.0, 20_000.0, 'y', 'mm', "points/{$k}/y_mm");
        }
        InvalidValue::unlessBetween($bottom, -1000.0, 3000.0, 'Its lower end', 'mm', 'bottom');
        InvalidValue::unlessBetween($top, -1000.0, 3000.0, 'Its upper end', 'mm', 'top');
        if ($top < $bottom) {
            throw new InvalidValue('Its upper end lies under its lower one.', 'top');
        }
        InvalidValue::unlessBetween($wide, 0.5, 300.0, 'Its width', 'mm', 'wide');
        if (mb_strlen(trim($name)) > 60) {
            throw new InvalidValue('At most 60 characters.', 'name');
        }
        $this->name = trim($name);
    }

    /** @return list<self> of a section */
    public static function on(Project $project, Section $section): array
    {
        return array_values(array_filter($project->works->hidden, fn (self $one): bool => $one->section === $section->uid));
    }

    public function called(): string
    {
        return $this->name === '' ? $this->kind->value : $this->name;
    }

    /** @return list<array{float, float}> places along it, no further apart than a step, mm */
    public function places(float $step = 5.0): array
    {
        $out = [$this->points[0]];
        foreach (array_slice($this->points, 1) as $k => [$x, $y]) {
            [$fromX, $fromY] = $this->points[$k];
            $n = max(1, (int) ceil(hypot($x - $fromX, $y - $fromY) / $step));
            for ($i = 1; $i <= $n; $i++) {
                $out[] = [$fromX + ($x - $fromX) * $i / $n, $fromY + ($y - $fromY) * $i / $n];
            }
        }

        return $out;
    }
}
