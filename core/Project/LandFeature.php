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
    public const KINDS = ['spot', 'ridge', 'hollow', 'water', 'pad', 'stream', 'rough'];

    /** Those that are made of the ground once it goes through spots and lines, in this order. */
    public const SHAPES = ['rough', 'pad', 'stream', 'water'];

    private const FOOT_FIGURES = ['foot_mm' => [0.0, 0.0, 2000.0, 'The foot'], 'foot_deg' => [0.0, 0.0, 85.0, 'The slope of the foot']];

    /** kind → figure → starting value, least, most, what it is */
    public const FIGURES = [
        'spot' => self::FOOT_FIGURES,
        'ridge' => self::FOOT_FIGURES,
        'water' => ['depth_mm' => [12.0, 0.5, 500.0, 'The depth'], 'shore_mm' => [40.0, 1.0, 2000.0, 'The shore']],
        'pad' => ['batter' => [1.5, 0.02, 20.0, 'The slope around it']],
        'stream' => [
            'width_mm' => [18.0, 2.0, 500.0, 'The width'],
            'depth_mm' => [3.0, 0.2, 100.0, 'The depth'],
            'below_mm' => [2.0, 0.0, 100.0, 'The way down to the water'],
        ],
        'rough' => [
            'height_mm' => [3.0, 0.0, 50.0, 'The height'],
            'grain_mm' => [60.0, 5.0, 500.0, 'The grain'],
            'seed' => [1.0, 0.0, 999_999.0, 'The seed'],
        ],
    ];

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
        public string $kind,
        array $points,
        string $name = '',
        public array $extra = [],
        array $figures = [],
    ) {
        if (! in_array($kind, self::KINDS, true)) {
            throw new InvalidValue("“{$kind}” is none of ".implode(', ', self::KINDS).'.', 'kind');
        }
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
        if ($points === [] || ($kind === 'spot' && count($points) !== 1)) {
            throw new InvalidValue($kind === 'spot' ? 'A spot height is one point.' : 'It has no points.', 'points');
        }
        if ($kind === 'water' || $kind === 'pad' || $kind === 'rough') {
            $points = self::ring($kind, $points);
        } elseif ($kind !== 'spot') {
            HeightLine::through($points);
        }
        $taken = [];
        foreach (self::FIGURES[$kind] ?? [] as $key => [$start, $least, $most, $word]) {
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
            fn (float $value, string $key): bool => $value !== 0.0 || ! isset(self::FOOT_FIGURES[$key]),
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
        return in_array($this->kind, self::SHAPES, true) || $this->hasFoot();
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
    private static function ring(string $kind, array $points): array
    {
        $what = ['water' => 'The bank line', 'pad' => 'The outline', 'rough' => 'The outline'][$kind];
        if (count($points) < 3) {
            throw new InvalidValue("{$what} needs three corners or more.", 'points');
        }
        foreach ($kind === 'rough' ? [] : $points as $k => $p) {
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
