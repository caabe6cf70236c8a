<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Refusal;

/**
 * A board: width × depth (mm), where it lies in the layout, how high its top stands over the datum, and the room it stands
 * in (null for the layout's first).
 */
final readonly class Section
{
    public const LEAST = 50.0;

    public const MOST = 5000.0;

    /**
     * @param array<string, string> $typed
     * @param array<string, mixed> $extra
     */
    private function __construct(
        public string $uid,
        public string $name,
        public float $width,
        public float $depth,
        public Placement $placement,
        public float $base,
        public array $typed,
        public array $extra,
        public ?string $room,
    ) {
    }

    /**
     * @param array<string, string> $typed
     * @param array<string, mixed> $extra
     *
     * @throws Refusal naming the field
     */
    public static function of(
        string $uid,
        string $name,
        float $width,
        float $depth,
        float $x = 0.0,
        float $y = 0.0,
        float $angleDeg = 0.0,
        float $base = 0.0,
        array $typed = [],
        array $extra = [],
        ?string $room = null,
    ): self {
        if (trim($name) === '' || mb_strlen($name) > 80) {
            throw new Refusal('A section needs a name of 1 to 80 characters.', 'name');
        }
        Refusal::unlessBetween($width, self::LEAST, self::MOST, 'The width', 'mm', 'width_mm');
        Refusal::unlessBetween($depth, self::LEAST, self::MOST, 'The depth', 'mm', 'depth_mm');
        Refusal::unlessBetween($x, -50_000.0, 50_000.0, 'x', 'mm', 'x_mm');
        Refusal::unlessBetween($y, -50_000.0, 50_000.0, 'y', 'mm', 'y_mm');
        Refusal::unlessBetween($angleDeg, -360.0, 360.0, 'The turn', '°', 'angle_deg');
        Refusal::unlessBetween($base, -1000.0, 3000.0, 'The base level', 'mm', 'base_mm');

        return new self($uid, trim($name), $width, $depth, new Placement($x, $y, $angleDeg), $base, $typed, $extra, $room);
    }

    /** The same board in a room. */
    public function in(string $room): self
    {
        return new self($this->uid, $this->name, $this->width, $this->depth, $this->placement, $this->base, $this->typed, $this->extra, $room);
    }

    /** Whether a place in layout coordinates lies on the board, or within `$slack` mm of it. */
    public function holds(float $x, float $y, float $slack = 0.0): bool
    {
        $p = $this->placement->toSection(new Point($x, $y));

        return $p->x >= -$slack && $p->x <= $this->width + $slack && $p->y >= -$slack && $p->y <= $this->depth + $slack;
    }

    /** @return array{Point, Point, Point, Point} in layout coordinates, counter-clockwise from the lower left */
    public function corners(): array
    {
        return [
            $this->placement->toLayout(new Point(0.0, 0.0)),
            $this->placement->toLayout(new Point($this->width, 0.0)),
            $this->placement->toLayout(new Point($this->width, $this->depth)),
            $this->placement->toLayout(new Point(0.0, $this->depth)),
        ];
    }

    /** Whether two boards meet or overlap, to a millimetre: no direction of either separates them. */
    public function touches(self $other): bool
    {
        foreach ([$this, $other] as $of) {
            foreach ([0.0, 90.0] as $turn) {
                $angle = deg2rad($of->placement->angleDeg + $turn);
                [$a1, $a2] = $this->shadow($angle);
                [$b1, $b2] = $other->shadow($angle);
                if ($a1 > $b2 + 1.0 || $b1 > $a2 + 1.0) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @return array{float, float} */
    private function shadow(float $angle): array
    {
        $along = array_map(fn (Point $p): float => $p->x * cos($angle) + $p->y * sin($angle), $this->corners());

        return [min($along), max($along)];
    }
}
