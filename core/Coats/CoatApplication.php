<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Observation;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * An application that was begun: from then on its patch, area, recipe and amounts stand as they were, whatever becomes of
 * land, zone or library. Moments are minutes of Unix time; without an end it is being laid.
 */
final readonly class CoatApplication
{
    /** Passes of a coat, each in a few applications. */
    private const MAX_PASSES = 150;

    /**
     * @param  list<list<array{float, float}>>  $rings layout coordinates
     * @param  list<MaterialAmount>  $amounts
     * @param  list<array{at: int, what: string, of: string}>  $seen *still wet* or *dry*, when, and of which milestone
     * @param  array<string, mixed>  $extra
     * @param  array<int, int>  $ticks step of the recipe that is done → when
     * @param  int|null  $strippedAt when it was taken off again: then it lies there no longer
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $section,
        public string $zone,
        public string $coat,
        public int $pass,
        public string $title,
        public Recipe $recipe,
        public float $mm,
        public array $rings,
        public float $area,
        public float $track,
        public int $minutes,
        public array $amounts,
        public int $startedAt,
        public ?int $endedAt,
        public array $seen = [],
        public array $extra = [],
        public array $ticks = [],
        public ?int $strippedAt = null,
    ) {
        InvalidValue::unlessBetween($mm, 0.01, 200.0, 'The thickness', 'mm', 'mm');
        InvalidValue::unlessBetween($area, 0.0, 1e8, 'The area', 'mm²', 'area_mm2');
        InvalidValue::unlessBetween($minutes, 1, 10_080, 'The work', 'min', 'minutes');
        InvalidValue::unlessBetween($pass, 1, self::MAX_PASSES, 'The pass', '', 'pass');
        if ($endedAt !== null && $endedAt < $startedAt) {
            throw new InvalidValue('It ends before it begins.', 'ended_at');
        }
        if ($strippedAt !== null && ($endedAt === null || $strippedAt < $endedAt)) {
            throw new InvalidValue('It is taken off after it was laid.', 'stripped_at');
        }
        foreach ($ticks as $step => $at) {
            if (! isset($recipe->steps[$step]) || $at < $startedAt) {
                throw new InvalidValue('What is ticked is a step of it, once it was begun.', 'ticks');
            }
        }
        foreach ($seen as $k => $one) {
            if (! in_array($one['what'], ['still wet', 'dry'], true)) {
                throw new InvalidValue('What was seen is “still wet” or “dry”.', "seen/{$k}/what");
            }
            if (Milestone::tryFrom($one['of']) === null) {
                throw new InvalidValue('What was looked for is a milestone.', "seen/{$k}/of");
            }
        }
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }

    /**
     * Since when that has been wet which more is to go into; null where nothing is, or all of it went in. Who ticks no steps is taken
     * to have wetted it as it was begun.
     */
    public function wetSince(): ?int
    {
        if ($this->ticks === []) {
            return $this->startedAt;
        }
        $since = null;
        foreach ($this->recipe->steps as $k => $step) {
            if ($step->after === StepRelation::IntoTheWet && $since !== null && ! isset($this->ticks[$k])) {
                return $since;
            }
            $since = $step->wets() ? $since ?? $this->ticks[$k] ?? null : $since;
        }

        return null;
    }

    /** What was seen of it while it dried; null while it is being laid or when nobody looked. */
    public function watched(): ?Observation
    {
        return $this->endedAt === null || $this->seen === []
            ? null
            : new Observation(
                $this->uid,
                $this->recipe->cure,
                $this->mm,
                (float) $this->endedAt,
                array_map(
                    fn (array $one): array => [
                        'at' => (float) $one['at'],
                        'wet' => $one['what'] === 'still wet',
                        'of' => Milestone::from($one['of']),
                    ],
                    $this->seen,
                ),
            );
    }

    /** @return list<list<array{float, float}>> */
    public function ringsOn(Placement $placement): array
    {
        return self::moved($this->rings, fn (Point $p): Point => $placement->toSection($p));
    }

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @param  callable(Point): Point  $move
     * @return list<list<array{float, float}>>
     */
    public static function moved(array $rings, callable $move): array
    {
        return array_map(
            fn (array $ring): array => array_map(function (array $p) use ($move): array {
                $there = $move(new Point($p[0], $p[1]));

                return [$there->x, $there->y];
            }, $ring),
            $rings,
        );
    }
}
