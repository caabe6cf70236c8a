<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\HeightLine;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * Something that makes the land, points in layout coordinates with heights, mm. A spot height is one point; ridge and
 * hollow are lines of heights. With a foot, of a width or a slope to each side, a spot is a heap and a ridge one drawn out, which
 * stand on what lies there instead of shaping it. Water and pads are rings, counter-clockwise and all at one level; a stream is a line from
 * source to mouth and roughness a ring, whose heights count for nothing: they follow the ground.
 */
final readonly class LandFeature
{
    public string $name;

    /** @var non-empty-list<Spot> */
    public array $points;

    /** @var array<string, float> of its kind */
    public array $figures;

    /**
     * @param  list<Spot>  $points
     * @param  array<string, mixed>  $extra
     * @param  array<string, float>  $figures what is not given takes a starting value
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public FeatureKind $kind,
        array $points,
        string $name = '',
        public array $extra = [],
        array $figures = [],
    ) {
        if (mb_strlen($name) > 80) {
            throw new InvalidValue('At most 80 characters.', 'name');
        }
        foreach ($points as $k => $p) {
            InvalidValue::unlessBetween($p->z, -1000.0, 3000.0, 'The height', 'mm', "points/{$k}/z_mm");
            InvalidValue::unlessBetween($p->x, -100_000.0, 100_000.0, 'x', 'mm', "points/{$k}/x_mm");
            InvalidValue::unlessBetween($p->y, -100_000.0, 100_000.0, 'y', 'mm', "points/{$k}/y_mm");
        }
        if (count($points) > 500) {
            throw new InvalidValue('A line may have at most 500 points.', 'points');
        }
        if ($points === [] || ($kind->isSpot() && count($points) !== 1)) {
            throw new InvalidValue($kind->isSpot() ? 'A spot height is one point.' : 'It has no points.', 'points');
        }
        if ($kind->isArea()) {
            $points = self::ring($kind, $points);
        } elseif (! $kind->isSpot()) {
            HeightLine::through($points);
        }
        $taken = [];
        foreach ($kind->figures() as $key => [$start, $least, $most, $word]) {
            $taken[$key] = InvalidValue::unlessBetween(
                $figures[$key] ?? $start,
                $least,
                $most,
                $word,
                str_ends_with($key, '_mm') ? 'mm' : '',
                $key,
            );
        }

        if (($taken['foot_deg'] ?? 0.0) > 0.0) {
            InvalidValue::unlessBetween($taken['foot_deg'], 5.0, 85.0, 'The slope of the foot', '°', 'foot_deg');
        }
        $taken = array_filter(
            $taken,
            fn (float $value, string $key): bool => $value !== 0.0 || ! str_starts_with($key, 'foot_'),
            ARRAY_FILTER_USE_BOTH,
        );
        $this->name = trim($name);
        $this->points = $points;
        $this->figures = $taken;
    }

    /**
     * The same with its points elsewhere.
     *
     * @param  list<Spot>  $points
     */
    public function at(array $points): self
    {
        return new self($this->uid, $this->kind, $points, $this->name, $this->extra, $this->figures);
    }

    /** Whether it stands on the ground as a heap does. */
    public function hasFoot(): bool
    {
        return isset($this->figures['foot_mm']) || isset($this->figures['foot_deg']);
    }

    /** Whether it is made of the ground once that is there, rather than making it. */
    public function isShape(): bool
    {
        return $this->kind->isShape() || $this->hasFoot();
    }

    /** @return non-empty-list<array{float, float}> its points in plan */
    public function plan(): array
    {
        return array_map(fn (Spot $p): array => [$p->x, $p->y], $this->points);
    }

    /**
     * @param  list<Spot>  $points
     * @return non-empty-list<Spot> counter-clockwise
     *
     * @throws InvalidValue
     */
    private static function ring(FeatureKind $kind, array $points): array
    {
        $what = $kind === FeatureKind::Water ? 'The bank line' : 'The outline';
        if (count($points) < 3) {
            throw new InvalidValue("{$what} needs three corners or more.", 'points');
        }
        foreach ($kind->isLevel() ? $points : [] as $k => $p) {
            if (abs($p->z - $points[0]->z) > 1e-6) {
                throw new InvalidValue('It lies level: all corners have one height.', "points/{$k}/z_mm");
            }
        }
        $ring = array_map(fn (Spot $p): array => [$p->x, $p->y], $points);
        if (Polygon::crossesItself($ring)) {
            throw new InvalidValue("{$what} crosses itself.", 'points');
        }

        return Polygon::area($ring) < 0.0 ? array_reverse($points) : $points;
    }
}
