<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\MeasureRule;
use IdleRidge\Core\Coats\Recipe;

/** What a trial says of its recipe's figures. */
final readonly class TrialFigures
{
    /** Closer than this share to what the recipe says, a figure stays. */
    public const SAME = 0.02;

    public function __construct(private Trial $trial, private Recipe $recipe)
    {
    }

    /**
     * What a recipe takes for a square of scrap.
     *
     * @param  float  $area mm²
     * @return list<MaterialAmount>
     */
    public static function amounts(Recipe $recipe, float $area, float $mm): array
    {
        return $recipe->amounts($area, $area * $mm, 4.0 * sqrt($area), sqrt($area));
    }

    /**
     * Figures that are otherwise than the recipe has them, as its form takes them: parts by their number, labour, drying.
     *
     * @param  array<string, mixed>  $written the recipe as a file holds it
     * @return array<string, mixed> empty when nothing is
     */
    public function figures(array $written): array
    {
        $out = [];
        $parts = $this->parts();
        if ($parts !== []) {
            $out['parts'] = $parts;
        }
        $labour = $this->perDm2();
        if ($labour !== null && self::differs($labour, $this->recipe->labour->perDm2)) {
            $out['labour'] = ['minutes_per_dm2' => (string) round($labour, 2)];
        }
        $dry = $written['minutes']['touch_dry'] ?? null;
        if ($dry !== null && $this->trial->dry !== null && ($this->trial->saidDry ?? 0.0) > 0.0) {
            $seen = $dry * $this->trial->dry / $this->trial->saidDry;
            if (self::differs($seen, (float) $dry)) {
                $out['minutes'] = ['touch_dry' => (string) round($seen)];
            }
        }

        return $out;
    }

    /** Minutes a dm² without setting up; null where it goes by the metre, or nobody kept the time. */
    public function perDm2(): ?float
    {
        $labour = $this->recipe->labour;
        if ($this->trial->minutes === null || $labour->metresPerHour !== null) {
            return null;
        }
        $layers = $this->recipe->layers($this->trial->mm);

        return max(0.0, $this->trial->minutes - $labour->setUp) / ($layers * $this->trial->area / 1e4);
    }

    /** @return array<int, array{value: string}> number of the part → its figure */
    private function parts(): array
    {
        $out = [];
        $k = 0;
        foreach ($this->recipe->parts as $n => $part) {
            $own = array_slice($this->trial->amounts, $k, count($part->of));
            $k += count($part->of);
            $said = array_sum(array_column($own, 'said'));
            $used = array_sum(array_column($own, 'used'));
            if ($said <= 0.0 || $used <= 0.0) {
                continue;
            }
            // Of plaster the figure is water to powder; how much is mixed follows from the bed.
            $value = $part->rule === MeasureRule::Plaster
                ? ($own[0]['used'] > 0.0 ? $own[1]['used'] / $own[0]['used'] : $part->value)
                : $part->value * $used / $said;
            if (self::differs($value, $part->value)) {
                $out[$n] = ['value' => (string) round($value, 4)];
            }
        }

        return $out;
    }

    private static function differs(float $seen, float $said): bool
    {
        return abs($seen - $said) > self::SAME * max(1e-9, abs($said));
    }
}
