<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Layout;
use Illuminate\Support\Facades\Artisan;

/** Figures that were worked out by hand, against what the command line says and the screens show. */
final class FiguresTest extends FeatureCase
{
    private const FILE = 'tests/fixtures/figures/banks.ridge.json';

    private const NOW = '2026-10-14T18:30Z';

    public function test_the_command_line_says_what_plain_sums_give(): void
    {
        $table = require base_path('tests/figures.php');
        $this->assertGreaterThanOrEqual(40, count($table));
        foreach ($table as ['of' => $of, 'path' => $path, 'value' => $value, 'decimals' => $decimals]) {
            $near = max(0.005 * abs($value), 0.5 * 10.0 ** -$decimals);
            $this->assertEqualsWithDelta($value, $this->said($of, $path), $near, "{$of} {$path}");
        }
    }

    public function test_the_screens_show_the_same_figures(): void
    {
        Artisan::call('ridge:import', ['file' => base_path(self::FILE)]);
        $this->setClock('2026-10-14T18:30:00Z');
        $layout = Layout::query()->firstOrFail();
        $table = require base_path('tests/figures.php');
        $figure = fn (string $of, string $path): float => array_values(
            array_filter($table, fn (array $row): bool => $row['of'] === $of && $row['path'] === $path),
        )[0]['value'];
        $shown = fn (float $value, int $decimals): string => (string) round($value, $decimals);
        $sees = function (string $path, array $words) use ($layout): void {
            $html = (string) $this->get("/layouts/{$layout->uid}/{$path}")->assertOk()->getContent();
            $text = preg_replace('/\s+/', ' ', html_entity_decode(strip_tags($html)));
            foreach ($words as $word) {
                $this->assertTrue(str_contains((string) $text, $word), "{$path}: {$word}");
            }
        };
        foreach (['Embankment', 'Hill'] as $name) {
            $board = $layout->sections()->where('name', $name)->firstOrFail();
            $land = "ridge:land {$name}";
            $sees("sections/{$board->uid}/land", [
                "Highest point{$shown($figure($land, 'z_max_mm'), 1)} mm",
                "Land over the board{$shown($figure($land, 'volume_mm3') / 1e6, 1)} l",
            ]);
        }
        $board = $layout->sections()->where('name', 'Embankment')->firstOrFail();
        $sees("sections/{$board->uid}/land", [
            "true{$shown($figure('ridge:land Embankment', 'surface_mm2') / 1e6, 2)} m²",
            "Steepest{$shown($figure('ridge:land Embankment', 'max_slope_deg'), 0)} °",
        ]);
        $cuts = 'ridge:cuts Embankment --school=carved';
        $sees("sections/{$board->uid}/cuts", [
            "at least{$shown($figure($cuts, 'sheets.0.count'), 0)} of 1220 × 610",
            "Foam{$shown($figure($cuts, 'foam_mm3') / 1e6, 1)} l",
            "Carved away{$shown($figure($cuts, 'carved_mm3') / 1e6, 1)} l",
            ...array_map(function (int $k) use ($figure, $cuts, $shown): string {
                $area = $figure($cuts, "layers.{$k}.area_mm2") / 1e6;

                return 'Layer '.($k + 1).$shown($area, $area < 1.0 ? 3 : 2).' m²';
            }, [0, 1]),
        ]);
        $off = fn (string $path, float $share = 1.0): string => $shown(
            $share * $figure('ridge:takeoff', $path),
            $share * $figure('ridge:takeoff', $path) < 10.0 ? 1 : 0,
        );
        $sees('tonight', [
            "{$off('Meadow/slow base plaster')} g slow base plaster",
            "{$off('Batters/sifted soil', 0.5)} ml sifted soil",
            "{$off('Batters/white glue', 0.5)} ml white glue",
            "{$off('Bed/stone ballast')} g stone ballast",
            "{$off('Bed/white glue')} ml white glue",
            "{$off('Slope/light filler')} ml light filler",
            "02:34{$shown($figure('ridge:plan', 'Base plaster.minutes'), 0)}min",
            "{$shown($figure('ridge:plan', 'Ballast.minutes'), 0)}min",
        ]);
        $sees(
            'take-off',
            array_map(fn (string $path): string => "{$shown($figure('ridge:takeoff', $path), 1)},", [
                'Meadow/fine turf',
                'Meadow/earth paint',
                'Bed/wet water',
            ]),
        );
    }

    private function said(string $of, string $path): float
    {
        static $answers = [];
        [$command, $rest] = [...explode(' ', $of, 2), ''];
        $answers[$of] ??= $this->answer(
            match ($command) {
                'ridge:land', 'ridge:cuts' => $command.' '.self::FILE.' --section='.$rest,
                'ridge:cure' => $of,
                default => $command.' '.self::FILE.' --now='.self::NOW,
            },
        );
        $answer = $answers[$of];
        if ($command === 'ridge:takeoff') {
            return array_sum(
                array_column(array_filter($answer['items'], fn (array $i): bool => "{$i['zone']}/{$i['material']}" === $path), 'at_hand'),
            );
        }
        if ($command === 'ridge:plan') {
            [$coat, $what] = explode('.', $path);
            $move = array_values(array_filter($answer['moves'], fn (array $m): bool => $m['coat'] === $coat))[0];

            return $what === 'minutes' ? (float) $move['minutes'] : $this->minuteSaid($move['reason']['text']);
        }

        return (float) data_get($answer, $path);
    }

    /** @return array<string, mixed> */
    private function answer(string $line): array
    {
        $this->assertSame(0, Artisan::call("{$line} --json"), $line);

        return json_decode(Artisan::output(), true, 512, JSON_THROW_ON_ERROR);
    }

    /** The minute of its day at which a reason says something is ready. */
    private function minuteSaid(string $reason): float
    {
        $this->assertSame(1, preg_match('/at \w+ (\d\d):(\d\d)/', $reason, $m), $reason);

        return 60.0 * (float) $m[1] + (float) $m[2];
    }
}
