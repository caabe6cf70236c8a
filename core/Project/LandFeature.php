<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Land\HeightLine;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\Refusal;

/** A spot height, a ridge line or a hollow; points in layout coordinates with heights, mm. */
final readonly class LandFeature
{
    public const KINDS = ['spot', 'ridge', 'hollow'];

    /**
     * @param list<Spot> $points at least one
     * @param array<string, mixed> $extra
     */
    private function __construct(
        public string $uid,
        public string $kind,
        public string $name,
        public array $points,
        public array $extra,
    ) {
    }

    /**
     * @param list<Spot> $points
     * @param array<string, mixed> $extra
     *
     * @throws Refusal
     */
    public static function of(string $uid, string $kind, array $points, string $name = '', array $extra = []): self
    {
        if (! in_array($kind, self::KINDS, true)) {
            throw new Refusal("“{$kind}” is neither spot, ridge nor hollow.", 'kind');
        }
        if (mb_strlen($name) > 80) {
            throw new Refusal('At most 80 characters.', 'name');
        }
        foreach ($points as $k => $p) {
            Refusal::unlessBetween($p->z, -1000.0, 3000.0, 'The height', 'mm', "points/{$k}/z_mm");
            Refusal::unlessBetween($p->x, -100_000.0, 100_000.0, 'x', 'mm', "points/{$k}/x_mm");
            Refusal::unlessBetween($p->y, -100_000.0, 100_000.0, 'y', 'mm', "points/{$k}/y_mm");
        }
        if ($kind === 'spot') {
            if (count($points) !== 1) {
                throw new Refusal('A spot height is one point.', 'points');
            }
        } else {
            HeightLine::through($points);
        }
        if (count($points) > 500) {
            throw new Refusal('A line may have at most 500 points.', 'points');
        }

        return new self($uid, $kind, trim($name), $points, $extra);
    }
}
