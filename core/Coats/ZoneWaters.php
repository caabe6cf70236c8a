<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Land\Basin;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Stream;

/** The waters of a section as zones go by them: how deep they stand, and how far beyond their banks a place lies. mm. */
final readonly class ZoneWaters
{
    /** Where a water is not, it is so far away. */
    private const NOWHERE_MM = 1e6;

    /** @var array<string, Basin|Stream> by uid */
    private array $waters;

    public function __construct(private ?LandModel $model)
    {
        $waters = [];
        foreach ($model === null ? [] : [...$model->ground->basins, ...$model->ground->streams] as $water) {
            $waters[$water->uid] = $water;
        }
        $this->waters = $waters;
    }

    /** How deep a water stands over a place, less than nothing where it does not; `$height` of the land there where it is known. */
    public function under(string $water, float $x, float $y, ?float $height = null): float
    {
        $of = $this->waters[$water] ?? null;
        if ($of === null || $this->model === null) {
            return -self::NOWHERE_MM;
        }
        $under = $of->under($x, $y, $height ?? $this->model->heightAt($x, $y));

        // Where a stream has run into a pond, the pond is what lies there.
        return $of instanceof Stream && $under > 0.0 ? min($under, $this->model->ground->beyondPonds($x, $y)) : $under;
    }

    public function beyond(string $water, float $x, float $y): float
    {
        return isset($this->waters[$water]) ? $this->waters[$water]->beyond($x, $y) : self::NOWHERE_MM;
    }

    /** Of a stream; null for what is as wide as it was drawn. */
    public function width(string $water): ?float
    {
        $of = $this->waters[$water] ?? null;

        return $of instanceof Stream ? $of->width : null;
    }
}
