<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Side;

/**
 * A stretch of track, or a road: where it lies, how it climbs, what its formation looks like. Heights are those of the
 * formation; a road lies level across.
 */
final readonly class Run
{
    /** Over a board by less than this a run ends at its edge, mm. */
    private const MIN_OVERLAP_MM = 2.0;

    /**
     * @param list<array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float, from_radius_mm?: float,
     *     to_radius_mm?: float}> $pieces
     * @param  list<array{station_mm: float, height_mm: float, curve_mm?: float}>  $gradePoints
     * @param  list<Structure>  $structures by station
     */
    private function __construct(
        public string $uid,
        public string $name,
        public Point $start,
        public float $headingDeg,
        public array $pieces,
        public float $startHeight,
        public array $gradePoints,
        public FormationProfile $profile,
        public Alignment $alignment,
        public GradeProfile $grade,
        public array $structures,
        public RunKind $kind,
    ) {
    }

    /**
     * @param array<array-key, array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float, from_radius_mm?: float,
     *     to_radius_mm?: float}> $pieces
     * @param  array<array-key, array{station_mm: float, height_mm: float, curve_mm?: float}>  $gradePoints
     * @param array<array-key, array{kind: string, from_mm: float, to_mm: float, deck_mm?: float, piers?: int|float, lining_mm?: float,
     *     inside_mm?: float}> $structures bridges, tunnels and walls
     *
     * Keys of the three lists are only for refusals to name their place by.
     *
     * @throws InvalidValue
     */
    public static function lay(
        string $uid,
        string $name,
        Point $start,
        float $headingDeg,
        array $pieces,
        float $startHeight,
        array $gradePoints,
        FormationProfile $profile,
        array $structures = [],
        RunKind $kind = RunKind::Track,
    ): self {
        if (trim($name) === '' || mb_strlen($name) > 80) {
            throw new InvalidValue('A run needs a name of 1 to 80 characters.', 'name');
        }
        InvalidValue::unlessBetween($start->x, -100_000.0, 100_000.0, 'The start’s x', 'mm', 'x_mm');
        InvalidValue::unlessBetween($start->y, -100_000.0, 100_000.0, 'The start’s y', 'mm', 'y_mm');
        $alignment = Alignment::from($start, $headingDeg, $pieces);
        $grade = GradeProfile::from($startHeight, $gradePoints, $alignment->length);

        return new self(
            $uid,
            $name,
            $start,
            $headingDeg,
            array_values($pieces),
            $startHeight,
            array_values($gradePoints),
            $profile,
            $alignment,
            $grade,
            Structure::along($structures, $alignment->length),
            $kind,
        );
    }

    /**
     * The same run with some of what it was laid with changed, by the names of `lay`.
     *
     * @throws InvalidValue
     */
    public function but(mixed ...$changed): self
    {
        return self::lay(
            ...[
                'uid' => $this->uid,
                'name' => $this->name,
                'start' => $this->start,
                'headingDeg' => $this->headingDeg,
                'pieces' => $this->pieces,
                'startHeight' => $this->startHeight,
                'gradePoints' => $this->gradePoints,
                'profile' => $this->profile,
                'structures' => array_map(fn (Structure $s): array => $s->toArray(), $this->structures),
                'kind' => $this->kind,
                ...$changed,
            ],
        );
    }

    /** The same run in a section's own coordinates. */
    public function seenFrom(Placement $placement): self
    {
        return $this->but(start: $placement->toSection($this->start), headingDeg: $this->headingDeg - $placement->angleDeg);
    }

    /** The same run, which was told in a section's coordinates, in those of the layout. */
    public function placed(Placement $placement): self
    {
        return $this->but(start: $placement->toLayout($this->start), headingDeg: $this->headingDeg + $placement->angleDeg);
    }

    /** The bridge or tunnel at a station, if any. */
    public function structureAt(float $station): ?Structure
    {
        foreach ($this->structures as $structure) {
            if (! $structure->isWall() && $station >= $structure->from && $station <= $structure->to) {
                return $structure;
            }
        }

        return null;
    }

    /** Whether a wall is placed at a station on one side. */
    public function wallAt(float $station, Side $side): bool
    {
        foreach ($this->structures as $structure) {
            if ($structure->kind->side() === $side && $station >= $structure->from && $station <= $structure->to) {
                return true;
            }
        }

        return false;
    }

    /**
     * The run cut up where bridges and tunnels begin and end.
     *
     * @return list<array{float, float, StructureKind|null}> from, to, kind
     */
    public function parts(): array
    {
        $parts = [];
        $at = 0.0;
        foreach ($this->structures as $structure) {
            if ($structure->isWall()) {
                continue;
            }
            if ($structure->from > $at) {
                $parts[] = [$at, $structure->from, null];
            }
            $parts[] = [$structure->from, $structure->to, $structure->kind];
            $at = $structure->to;
        }
        if ($at < $this->alignment->length) {
            $parts[] = [$at, $this->alignment->length, null];
        }

        return $parts;
    }

    /**
     * The stations between which the run lies over the rectangle 0 … width, 0 … depth, to about a millimetre; null when
     * it never does. A run that leaves and comes back gives the whole stretch.
     *
     * @return array{float, float}|null
     */
    public function within(float $width, float $depth): ?array
    {
        $first = $this->firstWithin($width, $depth, false);
        $last = $first === null ? null : $this->firstWithin($width, $depth, true);

        return $first === null || $last === null ? null : [$first, $last];
    }

    /** The first of the places a millimetre apart, from its beginning or from its end, that lies over the rectangle: its station. */
    private function firstWithin(float $width, float $depth, bool $fromEnd): ?float
    {
        $parts = max(1, (int) ceil($this->alignment->length));
        $step = max(1e-9, $this->alignment->length / $parts);
        for ($k = 0; $k <= $parts;) {
            $station = ($this->alignment->length * ($fromEnd ? $parts - $k : $k)) / $parts;
            $p = $this->alignment->pointAt($station);
            $off = max(-$p->x, $p->x - $width, -$p->y, $p->y - $depth) - 0.5;
            if ($off <= 0.0) {
                return $station;
            }
            // It is at least as long a way as that before it comes there.
            $k += max(1, (int) floor($off / $step - 1e-6));
        }

        return null;
    }

    /** Whether it lies over the rectangle, and does not only pass or touch it. */
    public function liesOver(float $width, float $depth): bool
    {
        $here = $this->within($width, $depth);

        return $here !== null && $here[1] - $here[0] > self::MIN_OVERLAP_MM;
    }
}
