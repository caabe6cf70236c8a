<?php

declare(strict_types=1);

namespace App\Console\Commands;

use DateTimeZone;
use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\CureClock;
use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Drying;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Interchange\AirFile;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;

final class CureCommand extends RidgeCommand
{
    private const QUANTILES = ['p20_min' => 0.2, 'p50_min' => 0.5, 'p80_min' => 0.8, 'p90_min' => 0.9];

    protected $signature = 'ridge:cure {recipe : its id in the library, or a file} {--mm= : thickness; without it the '
        .'recipe\'s own} {--temp=20 : °C} {--rh=50 : %} {--airflow=1 : a number, or closed, still, moving, fan} {--climate= '
        .': a CSV of readings; doses then run through them} {--start= : when it was laid, ISO 8601; without it the first reading} {--json}';

    protected $description = 'Says when a coat of a recipe reaches its milestones';

    protected function answer(): array
    {
        $recipe = RecipeFile::read($this->contents($this->recipe()))->cure;
        $flow = Climate::AIRFLOW_FACTORS[$this->word('airflow')] ?? $this->number('airflow', 0.1, 5.0);
        $air = new Climate($this->number('temp', -10.0, 50.0, '°C'), $this->number('rh', 0.0, 100.0, '%'), $flow);
        if ($this->word('climate') !== '') {
            return $this->through($recipe, $flow);
        }
        $milestones = [];
        foreach (
            CureClock::medians(
                $recipe,
                $air,
                $this->word('mm') === '' ? null : $this->number('mm', 0.01, 200.0, 'mm'),
            ) as $milestone => $median
        ) {
            foreach (self::QUANTILES as $key => $quantile) {
                $milestones[$milestone][$key] = round($median * CureClock::factor($quantile), 1);
            }
        }

        return ['recipe' => $recipe->id, 'spoiled' => CureClock::spoils($recipe, $air), 'milestones' => $milestones];
    }

    /** @return array<string, mixed> minutes from the start through what was read, and the usual air of the hour after it */
    private function through(CureFigures $recipe, float $flow): array
    {
        $zone = new DateTimeZone('UTC');
        try {
            $text = is_file($this->word('climate'))
                ? $this->contents($this->word('climate'))
                : throw new InvalidValue('cannot be read', $this->word('climate'));
            $log = AirFile::read($text, $zone);
        } catch (InvalidValues $refusals) {
            throw new InvalidValues(
                array_map(
                    fn (InvalidValue $r): InvalidValue => new InvalidValue($r->getMessage(), "{$this->word('climate')}: {$r->place}"),
                    $refusals->all,
                ),
            );
        }
        $air = [$this->number('temp', -10.0, 50.0, '°C'), $this->number('rh', 0.0, 100.0, '%')];
        $start = $this->word('start') === '' ? $log->readings[0][0] : $this->moment('start');
        $drying = new Drying(
            Room::of('room', 'Room', $air[0], $air[0], $air[1], $air[1], $flow),
            $zone,
            min($start, $log->readings[0][0]) - 1,
            $log,
        );
        $mm = $this->word('mm') === '' ? $recipe->referenceMm : $this->number('mm', 0.01, 200.0, 'mm');
        $milestones = [];
        foreach (array_keys($recipe->minutes) as $milestone) {
            foreach (self::QUANTILES as $key => $quantile) {
                $milestones[$milestone][$key] = round(
                    $drying->reached($recipe, Milestone::from((string) $milestone), $mm, (float) $start, $quantile) - $start,
                    1,
                );
            }
        }

        return [
            'recipe' => $recipe->id,
            'spoiled' => $drying->spoils($recipe, $mm, (float) $start, self::QUANTILES['p80_min']),
            'milestones' => $milestones,
        ];
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
            throw new InvalidValue('there is no such recipe; the library has '.implode(', ', $known));
        }

        return $word;
    }
}
