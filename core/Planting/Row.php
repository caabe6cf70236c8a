<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * A row of things along a run, a feature of the land or a line that was drawn, so far to its left (to its right where less than
 * nothing); along a run also counted from the edge of its formation. Layout coordinates, mm of the model.
 */
final readonly class Row
{
    public const MAX_THINGS = 5000;

    public const MAX_POINTS = 200;

    private const MAX_GATES = 40;

    public string $name;

    /**
     * @param  string|null  $run uid, $feature uid; of these and points one is given
     * @param  list<array{float, float}>  $points
     * @param  float|null  $from station at which it begins; null from the beginning on
     * @param  float|null  $to station at which it ends
     * @param  bool  $fromEdge whether the offset counts from the edge of the formation, away from it
     * @param  list<Gate>  $gates
     * @param  float  $pack length of what one buys of it, mm; 0 where it is counted by pieces
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public RowKind $kind,
        public RowFigures $figures,
        string $name = '',
        public ?string $run = null,
        public ?string $feature = null,
        public array $points = [],
        public float $offset = 0.0,
        public bool $fromEdge = false,
        public ?float $from = null,
        public ?float $to = null,
        public array $gates = [],
        public float $pack = 0.0,
        public array $extra = [],
    ) {
        if (mb_strlen(trim($name)) > 60) {
            throw new InvalidValue('At most 60 characters.', 'name');
        }
        if (count(array_filter([$run !== null, $feature !== null, $points !== []])) !== 1) {
            throw new InvalidValue('A row goes along a run, a feature of the land, or a line that is drawn.', 'along');
        }
        if ($points !== [] && (count($points) < 2 || count($points) > self::MAX_POINTS)) {
            throw new InvalidValue('A line has 2 to '.self::MAX_POINTS.' points.', 'points');
        }
        foreach ($points as $k => [$x, $y]) {
            InvalidValue::unlessBetween($x, -100_000.0, 100_000.0, 'x', 'mm', "points/{$k}");
            InvalidValue::unlessBetween($y, -100_000.0, 100_000.0, 'y', 'mm', "points/{$k}");
        }
        if ($run === null && $fromEdge) {
            throw new InvalidValue('Only a run has a formation with edges.', 'from_edge');
        }
        if ($kind === RowKind::GradePosts && $run === null) {
            throw new InvalidValue('Grade posts stand along a run, where its grade changes.', 'along');
        }
        InvalidValue::unlessBetween($offset, -2000.0, 2000.0, 'The offset', 'mm', 'offset_mm');
        foreach (['from_mm' => $from, 'to_mm' => $to] as $at => $station) {
            if ($station !== null) {
                InvalidValue::unlessBetween($station, 0.0, 200_000.0, 'The station', 'mm', $at);
            }
        }
        if ($from !== null && $to !== null && $to <= $from) {
            throw new InvalidValue('It ends after it begins.', 'to_mm');
        }
        if (count($gates) > self::MAX_GATES) {
            throw new InvalidValue('At most '.self::MAX_GATES.' gates.', 'gates');
        }
        InvalidValue::unlessBetween($pack, 0.0, 5000.0, 'The length of a pack', 'mm', 'pack_mm');
        $this->name = trim($name);
    }

    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }

    public function called(): string
    {
        return $this->name === '' ? $this->kind->title() : $this->name;
    }
}
