<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Cuts\StandingFoam;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * A board: width × depth (mm), where it lies in the layout, how high its top stands over the datum, and the room it stands
 * in (null for the layout's first).
 */
final readonly class Section
{
    public const MIN_SIZE_MM = 50.0;

    public const MAX_SIZE_MM = 5000.0;

    /** So many of the rooms it stood in are known. */
    private const MAX_ROOM_MOVES = 40;

    public string $name;

    /**
     * @var array<string, list<array{float, float}>> left, right, front, back → heights fixed along it: mm from its left or front end, mm
     *     over the datum
     */
    public array $edges;

    /**
     * @param  array<string, string>  $typed
     * @param  array<string, mixed>  $extra
     * @param  array<string, list<array{float, float}>>  $edges
     * @param  bool  $runsOn whether the land of its neighbours runs on over it though it has no heights of its own
     * @param  list<array{int, string}>  $stood until when (minutes of Unix time) it stood in which other room, in order
     * @param  list<StandingFoam>  $standing foam that is glued to it already
     *
     * @throws InvalidValue naming the field
     */
    public function __construct(
        public string $uid,
        string $name,
        public float $width,
        public float $depth,
        public Placement $placement = new Placement(0.0, 0.0, 0.0),
        public float $base = 0.0,
        public array $typed = [],
        public array $extra = [],
        public ?string $room = null,
        array $edges = [],
        public bool $runsOn = false,
        public array $stood = [],
        public array $standing = [],
    ) {
        if (trim($name) === '' || mb_strlen($name) > 80) {
            throw new InvalidValue('A section needs a name of 1 to 80 characters.', 'name');
        }
        InvalidValue::unlessBetween($width, self::MIN_SIZE_MM, self::MAX_SIZE_MM, 'The width', 'mm', 'width_mm');
        InvalidValue::unlessBetween($depth, self::MIN_SIZE_MM, self::MAX_SIZE_MM, 'The depth', 'mm', 'depth_mm');
        InvalidValue::unlessBetween($placement->x, -50_000.0, 50_000.0, 'x', 'mm', 'x_mm');
        InvalidValue::unlessBetween($placement->y, -50_000.0, 50_000.0, 'y', 'mm', 'y_mm');
        InvalidValue::unlessBetween($placement->angleDeg, -360.0, 360.0, 'The turn', '°', 'angle_deg');
        InvalidValue::unlessBetween($base, -1000.0, 3000.0, 'The base level', 'mm', 'base_mm');
        $this->name = trim($name);
        $this->edges = self::profiles($edges, $width, $depth);
    }

    /**
     * @param  array<string, string>  $typed
     * @param  array<string, mixed>  $extra
     * @param  array<string, list<array{float, float}>>  $edges
     * @param  list<array{int, string}>  $stood
     * @param  list<StandingFoam>  $standing
     *
     * @throws InvalidValue naming the field
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
        array $edges = [],
        bool $runsOn = false,
        array $stood = [],
        array $standing = [],
    ): self {
        return new self(
            $uid,
            $name,
            $width,
            $depth,
            new Placement($x, $y, $angleDeg),
            $base,
            $typed,
            $extra,
            $room,
            $edges,
            $runsOn,
            $stood,
            $standing,
        );
    }

    /** The same board in a room. */
    public function in(string $room): self
    {
        return $this->but(['room' => $room]);
    }

    /** The same board carried into another room at a moment, from the one it stood in. */
    public function carried(?string $to, string $from, int $at): self
    {
        return $this->but(['room' => $to, 'stood' => [...array_slice($this->stood, 1 - self::MAX_ROOM_MOVES), [$at, $from]]]);
    }

    /** @param  array<string, mixed>  $changed by the names of its properties */
    private function but(array $changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }

    /**
     * The same board with foam on it that is glued there.
     *
     * @param  list<StandingFoam>  $standing
     */
    public function standing(array $standing): self
    {
        return $this->but(['standing' => $standing]);
    }

    /** The same board elsewhere. */
    public function placed(Placement $placement): self
    {
        return $this->but(['placement' => $placement]);
    }

    /**
     * The same board with an edge's heights fixed, or free again.
     *
     * @param  list<array{float, float}>|null  $profile
     *
     * @throws InvalidValue
     */
    public function withEdge(string $edge, ?array $profile): self
    {
        $edges = array_diff_key($this->edges, [$edge => true]) + ($profile === null ? [] : [$edge => $profile]);

        return $this->but(['edges' => self::profiles($edges, $this->width, $this->depth)]);
    }

    public function edgeLength(string $edge): float
    {
        return BoardEdge::from($edge)->length($this->width, $this->depth);
    }

    /** A place on an edge, mm from its left or front end; layout coordinates. */
    public function onEdge(string $edge, float $at): Point
    {
        return $this->placement->toLayout(new Point(...BoardEdge::from($edge)->place($at, $this->width, $this->depth)));
    }

    /** The height that an edge is fixed at; beyond its first and last point as there. */
    public function edgeHeight(string $edge, float $at): ?float
    {
        $profile = $this->edges[$edge] ?? null;
        if ($profile === null) {
            return null;
        }
        foreach ($profile as $k => [$x, $z]) {
            if ($at <= $x) {
                [$px, $pz] = $profile[max(0, $k - 1)];

                return $k === 0 ? $z : $pz + (($z - $pz) * ($at - $px)) / ($x - $px);
            }
        }

        return $profile[count($profile) - 1][1];
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

    /** In layout coordinates. */
    public function middle(): Point
    {
        return $this->placement->toLayout(new Point($this->width / 2.0, $this->depth / 2.0));
    }

    /** Whether two boards meet or overlap, to a millimetre: no direction of either separates them. */
    public function touches(self $other): bool
    {
        // Circles around boards that stay so far apart leave a gap along one of their directions.
        $reach = (hypot($this->width, $this->depth) + hypot($other->width, $other->depth)) / 2.0 + 1.0;
        if ($this->middle()->distanceTo($other->middle()) > M_SQRT2 * $reach) {
            return false;
        }
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

    /**
     * @param  array<string, list<array{float, float}>>  $edges
     * @return array<string, non-empty-list<array{float, float}>>
     */
    private static function profiles(array $edges, float $width, float $depth): array
    {
        ksort($edges);
        foreach ($edges as $edge => $profile) {
            $length = BoardEdge::tryFrom($edge)?->length($width, $depth) ??
                throw new InvalidValue("“{$edge}” is no edge: there are front, back, left and right.", 'edges');
            if ($profile === [] || count($profile) > 500) {
                throw new InvalidValue('An edge is fixed at 1 to 500 points.', "edges/{$edge}");
            }
            foreach ($profile as $k => [$at, $z]) {
                InvalidValue::unlessBetween($at, 0.0, $length, 'The place', 'mm', "edges/{$edge}/{$k}/at_mm");
                InvalidValue::unlessBetween($z, -1000.0, 3000.0, 'The height', 'mm', "edges/{$edge}/{$k}/z_mm");
                if ($k > 0 && $at - $profile[$k - 1][0] < 0.5) {
                    throw new InvalidValue(
                        'The points of an edge lie one after the other, half a millimetre apart at least.',
                        "edges/{$edge}/{$k}/at_mm",
                    );
                }
            }
        }

        return $edges;
    }

    /** @return array{float, float} */
    private function shadow(float $angle): array
    {
        $along = array_map(fn (Point $p): float => $p->x * cos($angle) + $p->y * sin($angle), $this->corners());

        return [min($along), max($along)];
    }

    /** What of it land can depend on. */
    public function forLand(): self
    {
        return $this->but(['typed' => [], 'extra' => [], 'room' => null, 'stood' => [], 'standing' => []]);
    }
}
