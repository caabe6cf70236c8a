<?php

declare(strict_types=1);

namespace App\Console\Commands;

use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\CureClock;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Measure\Refusal;

final class CureCommand extends RidgeCommand
{
    private const QUANTILES = ['p20_min' => 0.2, 'p50_min' => 0.5, 'p80_min' => 0.8, 'p90_min' => 0.9];

    protected $signature = 'ridge:cure {recipe : its id in the library, or a file} {--mm= : thickness; without it the recipe\'s own} {--temp=20 : °C} {--rh=50 : %} {--airflow=1 : a number, or closed, still, moving, fan} {--json}';

    protected $description = 'Says when a coat of a recipe reaches its milestones';

    protected function answer(): array
    {
        $recipe = RecipeFile::read($this->contents($this->recipe()))->cure;
        $flow = Climate::AIRFLOWS[$this->word('airflow')] ?? $this->number('airflow', 0.1, 5.0);
        $air = Climate::of($this->number('temp', -10.0, 50.0, '°C'), $this->number('rh', 0.0, 100.0, '%'), $flow);
        $milestones = [];
        foreach (CureClock::medians($recipe, $air, $this->word('mm') === '' ? null : $this->number('mm', 0.01, 200.0, 'mm')) as $milestone => $median) {
            foreach (self::QUANTILES as $key => $quantile) {
                $milestones[$milestone][$key] = round($median * CureClock::factor($quantile), 1);
            }
        }

        return ['recipe' => $recipe->id, 'spoiled' => CureClock::spoils($recipe, $air), 'milestones' => $milestones];
    }

    private function recipe(): string
    {
        $word = $this->file();
        $file = base_path("library/recipes/{$word}.json");
        if (preg_match('/^[a-z0-9-]+$/', $word) === 1 && is_file($file)) {
            return $file;
        }
        if (! is_file($word)) {
            $known = array_map(fn (string $f): string => basename($f, '.json'), glob(base_path('library/recipes/*.json')) ?: []);
            throw new Refusal('there is no such recipe; the library has '.implode(', ', $known));
        }

        return $word;
    }
}
