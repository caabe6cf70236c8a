<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

use IdleRidge\Core\Coats\MeasureRule;
use IdleRidge\Core\Coats\Recipe;

/** Figures of a recipe as they came out, beside those it has; and as its form takes them once they are taken over. */
final readonly class LearnedFigures
{
    public function __construct(private Learned $learned, private Recipe $recipe)
    {
    }

    /** @return array<string, array{has: float, unit: string, yours: Cases}> what it is of → its figure and yours */
    public function all(): array
    {
        $id = $this->recipe->id;
        $labour = $this->recipe->labour;
        $work = $this->learned->work($id);
        $out = [];
        if ($work->count() > 0) {
            $out['work'] = $labour->metresPerHour === null
                ? ['has' => $labour->perDm2, 'unit' => 'min/dm²', 'yours' => $work->times($labour->perDm2)]
                : ['has' => 60.0 / $labour->metresPerHour, 'unit' => 'min/m', 'yours' => $work->times(60.0 / $labour->metresPerHour)];
        }
        foreach ($this->learned->used($id) as $material => $cases) {
            $out["coverage of {$material}"] = ['has' => 100.0, 'unit' => '% of what it says', 'yours' => $cases->times(100.0)];
        }
        foreach (['waste' => $this->recipe->waste, 'recovered' => $this->recipe->recovered] as $kind => $has) {
            $cases = $kind === 'waste' ? $this->learned->waste($id) : $this->learned->recovered($id);
            if ($cases->count() > 0) {
                $out[$kind] = ['has' => 100.0 * $has, 'unit' => '%', 'yours' => $cases->times(100.0)];
            }
        }

        return $out;
    }

    /**
     * One figure as it is taken over.
     *
     * @return array<string, mixed> fields of the recipe's form; empty when it came out too seldom
     */
    public function taken(string $what): array
    {
        $one = $this->all()[$what] ?? null;
        if ($one === null || ! $one['yours']->areEnough()) {
            return [];
        }
        $yours = $one['yours']->median();
        if ($what === 'work') {
            $labour = $this->recipe->labour;
            $slower = $this->learned->work($this->recipe->id)->median();
            $fields = $labour->metresPerHour === null
                ? ['minutes_per_dm2' => (string) round($yours, 3)]
                : ['metres_per_hour' => (string) round(60.0 / max(1e-6, $yours), 3)];
            if ($labour->openPerDm2 !== null) {
                $fields['open_minutes_per_dm2'] = (string) round($labour->openPerDm2 * $slower, 3);
            }

            return ['labour' => $fields];
        }
        if ($what === 'waste' || $what === 'recovered') {
            return [$what => (string) round($yours, 2)];
        }
        $material = substr($what, strlen('coverage of '));
        $parts = [];
        foreach ($this->recipe->parts as $k => $part) {
            // How much of plaster is mixed follows from its bed.
            if ($part->rule !== MeasureRule::Plaster && in_array($material, array_column($part->of, 'material'), true)) {
                $parts[$k] = ['value' => (string) round($part->value * $yours / 100.0, 4)];
            }
        }

        return $parts === [] ? [] : ['parts' => $parts];
    }
}
