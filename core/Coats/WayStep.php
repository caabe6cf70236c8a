<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * A step of a way, before it is known of what. It takes (`fill`) the *loose* material, a share of it; the *wetting* or the *glue*
 * through the bed's pores, a share of those; the *film* of glue or the *neat* one on an area, ml/m²; what it names itself (*of*)
 * on an area or along the edge; or nothing.
 */
final readonly class WayStep
{
    public const FILLS = ['', 'loose', 'wetting', 'glue', 'film', 'neat', 'of', 'edge'];

    /**
     * @param  string  $action with {stuff}, {wetting} and {glue} for what they are
     * @param  list<array{material: string, parts: float}>  $of
     * @param  list<string>  $tools
     *
     * @throws InvalidValue
     */
    public function __construct(
        public StepKind $kind,
        public string $action,
        public StepRelation $after = StepRelation::AtOnce,
        public string $fill = '',
        public float $value = 1.0,
        public string $unit = 'ml',
        public array $of = [],
        public float $setUp = 0.0,
        public float $perDm2 = 0.0,
        public bool $patch = false,
        public array $tools = [],
    ) {
        if (! in_array($fill, self::FILLS, true)) {
            throw new InvalidValue('A step takes '.implode(', ', array_filter(self::FILLS)).' or nothing.', 'fill');
        }
        InvalidValue::unlessBetween($value, 0.0, 1000.0, 'What a step takes', '', 'value');
    }

    public function takesGlue(): bool
    {
        return in_array($this->fill, ['glue', 'film', 'neat'], true);
    }
}
