<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Pages\Drawing\Labels;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\StructureKind;

/**
 * The long profile of the run that the cut line follows: formation and natural ground by station, what is cut and what is
 * filled, the grades along the top. Figures stand at the grade points and at the cut line.
 */
final class ProfileDrawing
{
    private const WIDTH = 762.0;

    private const HEIGHT = 166.0;

    private const LEFT = 38.0;

    private const RIGHT = 750.0;

    private const TOP = 34.0;

    private const BOTTOM = 144.0;

    private const STEP = 5.0;

    private Svg $svg;

    private Labels $labels;

    private float $from;

    private float $to;

    private float $along;

    private float $up;

    private float $low;

    private function __construct(private readonly LandPage $page, private readonly Run $run)
    {
        [$this->from, $this->to] = $page->span() ?? [0.0, $run->alignment->length];
        $this->labels = new Labels(self::RIGHT, self::HEIGHT, self::LEFT, 0.0);
    }

    /** @return array{drawing: Svg, stretch: float}|null with how many times heights are stretched; null without a run */
    public static function of(LandPage $page): ?array
    {
        if ($page->cut->run === null) {
            return null;
        }
        $self = new self($page, $page->cut->run);

        return ['drawing' => $self->draw(), 'stretch' => $self->up / $self->along];
    }

    private function draw(): Svg
    {
        $samples = $this->samples();
        $this->measure($samples);
        $this->svg = new Svg(self::WIDTH, self::HEIGHT, 'Long profile of '.$this->run->name, [
            'id' => 'profile',
            'role' => 'group',
            'class' => 'drawing profile',
            'data-left' => self::LEFT,
            'data-along' => $this->along,
            'data-from' => $this->from,
            'data-to' => $this->to,
            'data-up' => $this->up,
            'data-low' => $this->low,
            'data-bottom' => self::BOTTOM,
        ]);
        $this->svg->hatch('hatch-cut', 'hatch-cut', 5.0, 45.0)->hatch('hatch-fill', 'hatch-fill', 5.0, null);
        $this->datum();
        $this->earth($samples);
        $this->grades();
        $ground = array_map(fn (array $s): array => [$this->x($s[0]), $this->y($s[1])], $samples);
        $level = array_map(fn (array $s): array => [$this->x($s[0]), $this->y($s[2])], $samples);
        $this->structures();
        $this->svg->path('ground', Svg::d($ground))->path('level', Svg::d($level));
        $this->cut();
        $this->gradePoints();

        return $this->svg;
    }

    /** @return list<array{float, float, float}> station, ground, formation */
    private function samples(): array
    {
        $parts = max(2, (int) ceil(($this->to - $this->from) / self::STEP));
        $out = [];
        for ($k = 0; $k <= $parts; $k++) {
            $station = $this->from + (($this->to - $this->from) * $k) / $parts;
            $p = $this->run->alignment->pointAt($station);
            $out[] = [$station, $this->page->model->ground->at($p->x, $p->y), $this->run->grade->heightAt($station)];
        }

        return $out;
    }

    /** @param  list<array{float, float, float}>  $samples */
    private function measure(array $samples): void
    {
        $heights = [...array_column($samples, 1), ...array_column($samples, 2)];
        $this->along = (self::RIGHT - self::LEFT) / max(1.0, $this->to - $this->from);
        $mark = RoundSteps::axis(20.0);
        $this->low = $mark * floor((min($heights) - 4.0) / $mark);
        $range = max(2.0 * $mark, $mark * ceil((max($heights) + 4.0) / $mark) - $this->low);
        $this->up = min(6.0 * $this->along, (self::BOTTOM - self::TOP) / $range);
    }

    private function datum(): void
    {
        $range = (self::BOTTOM - self::TOP) / $this->up;
        $step = RoundSteps::axis(max(20.0, 15.0 / $this->up));
        for ($h = $step * ceil($this->low / $step); $h <= $this->low + $range + 0.01; $h += $step) {
            $this->svg
                ->line('datum', self::LEFT, $this->y($h), self::RIGHT, $this->y($h))
                ->text('m tick', self::LEFT - 6.0, $this->y($h) + 4.0, Format::cell($h), 'end');
        }
        $step = RoundSteps::axis(max(100.0, 46.0 / $this->along));
        for ($s = $step * ceil($this->from / $step); $s <= $this->to + 0.01; $s += $step) {
            $x = $this->x($s);
            $this->svg->line('ticks', $x, self::BOTTOM + 2.0, $x, self::BOTTOM + 6.0);
            if (abs($s - $this->page->cut->station) * $this->along > 42.0) {
                $this->svg->text('m tick', $x, self::BOTTOM + 18.0, Format::cell($s), $x > self::RIGHT - 14.0 ? 'end' : 'middle');
            }
        }
    }

    /** @param  list<array{float, float, float}>  $samples */
    private function earth(array $samples): void
    {
        foreach (['cut' => 1.0, 'fill' => -1.0] as $kind => $sign) {
            $upper = $lower = [];
            $flush = function () use (&$upper, &$lower, $kind): void {
                if (count($upper) > 1) {
                    $this->svg->path("earth-{$kind}", Svg::d([...$upper, ...array_reverse($lower)], true), [
                        'fill' => "url(#hatch-{$kind})",
                    ]);
                }
                $upper = $lower = [];
            };
            foreach ($samples as [$station, $ground, $level]) {
                if ($this->run->structureAt($station) === null && $sign * ($ground - $level) > 0.2) {
                    $upper[] = [$this->x($station), $this->y($ground)];
                    $lower[] = [$this->x($station), $this->y($level)];
                } else {
                    $flush();
                }
            }
            $flush();
        }
    }

    /** The bore of a tunnel, the deck of a bridge. */
    private function structures(): void
    {
        foreach ($this->run->structures as $structure) {
            $from = max($this->from, $structure->from);
            $to = min($this->to, $structure->to);
            if ($to <= $from || $structure->isWall()) {
                continue;
            }
            $upper = $lower = [];
            for ($k = 0; $k <= 20; $k++) {
                $station = $from + (($to - $from) * $k) / 20;
                $level = $this->run->grade->heightAt($station);
                $tunnel = $structure->kind === StructureKind::Tunnel;
                $upper[] = [$this->x($station), $this->y($tunnel ? $this->page->project->roof($this->run, $station) : $level)];
                $lower[] = [$this->x($station), $this->y($tunnel ? $level : $level - $structure->thick)];
            }
            $this->svg->path($tunnel ? 'bore' : 'deck', Svg::d([...$upper, ...array_reverse($lower)], true));
            foreach ($structure->pierStations() as $station) {
                if ($station >= $from && $station <= $to) {
                    $p = $this->run->alignment->pointAt($station);
                    $this->svg->line(
                        'pier',
                        $this->x($station),
                        $this->y($this->run->grade->heightAt($station) - $structure->thick),
                        $this->x($station),
                        $this->y($this->page->model->heightAt($p->x, $p->y)),
                    );
                }
            }
        }
    }

    private function grades(): void
    {
        foreach ($this->run->grade->stretches($this->run->alignment->length) as $stretch) {
            $a = $this->x(max($this->from, $stretch['from']));
            $b = $this->x(min($this->to, $stretch['to']));
            if ($b - $a < 2.0) {
                continue;
            }
            $thick = abs($stretch['grade']) < 0.05 ? 0.0 : min(8.0, 1.5 + 1.5 * abs($stretch['grade']));
            [$ya, $yb] = $stretch['grade'] > 0 ? [24.0, 24.0 - $thick] : [24.0 - $thick, 24.0];
            $this->svg->path('wedge', Svg::d([[$a, 25.0], [$a, $ya], [$b, $yb], [$b, 25.0]], true));
            $words = GradeWords::of($stretch['grade']);
            if (abs($stretch['rise']) >= 0.5) {
                $long = sprintf(
                    '%s over %s, %s %s',
                    $words,
                    Format::length($stretch['to'] - $stretch['from']),
                    $stretch['rise'] > 0 ? 'climbs' : 'falls',
                    Format::cell(abs($stretch['rise']), 1),
                );
                $words = mb_strlen($long) * 6.7 < $b - $a - 12.0 ? $long : $words;
            }
            if (mb_strlen($words) * 6.7 < $b - $a - 4.0) {
                $this->svg->text('grade-word m', $a + 5.0, 12.0, $words);
            }
        }
    }

    private function gradePoints(): void
    {
        foreach ($this->run->grade->stations as $k => $station) {
            if ($station < $this->from - 0.5 || $station > $this->to + 0.5) {
                continue;
            }
            $x = $this->x($station);
            $y = $this->y($this->run->grade->heights[$k]);
            $this->svg->line('drop', $x, 25.0, $x, $y - 6.0);
            $height = Format::cell($this->run->grade->heights[$k], 1);
            $full = Format::length($this->run->grade->heights[$k], 1);
            $this->svg
                ->open([
                    'class' => 'gradepoint grip',
                    'data-drag' => $k === 0 ? 'level' : 'grade',
                    'data-uid' => $this->run->uid,
                    'data-index' => max(0, $k - 1),
                    'tabindex' => 0,
                    'role' => 'button',
                    'aria-label' => $k === 0 ? "Start height {$full}" : 'Grade point at '.Format::cell($station).", {$full}",
                ])
                ->circle('target', $x, $y, 14.0)
                ->path('diamond', Svg::d([[$x - 5.0, $y], [$x, $y - 5.0], [$x + 5.0, $y], [$x, $y + 5.0]], true))
                ->close();
            $this->labels->block($x - 6.0, $y - 6.0, $x + 6.0, $y + 6.0);
            $width = mb_strlen($height) * 6.7;
            $middle = max(self::LEFT + 4.0, min(self::RIGHT - 4.0 - $width, $x - $width / 2.0));
            $place = $this->labels->place($height, 6.7, 11.0, [
                [$middle, $y - 10.0],
                [$middle, $y + 18.0],
                [$x + 10.0, $y - 10.0],
                [$x - 10.0 - $width, $y + 18.0],
            ]);
            if ($place !== null) {
                $this->svg->text('m halo', $place[0], $place[1], $height);
            }
        }
    }

    private function cut(): void
    {
        $station = $this->page->cut->station;
        if ($station < $this->from - 0.5 || $station > $this->to + 0.5) {
            return;
        }
        $x = $this->x($station);
        $p = $this->run->alignment->pointAt($station);
        $level = $this->run->grade->heightAt($station);
        $ground = $this->page->model->ground->at($p->x, $p->y);
        $this->svg->line('cutline', $x, 25.0, $x, self::BOTTOM + 6.0);
        $this->svg->circle('cutring grip', $x, $this->y($level), 5.0, ['data-drag' => 'station']);
        $this->labels->block($x - 7.0, $this->y($level) - 7.0, $x + 7.0, $this->y($level) + 7.0);
        $words = CutWords::at($this->page->cut);
        $half = mb_strlen($words) * 3.4 + 4.0;
        $middle = max(self::LEFT + $half, min(self::RIGHT - $half, $x));
        $this->svg
            ->rect('pennant', $middle - $half, self::BOTTOM + 6.0, 2.0 * $half, 16.0)
            ->text('pennant-word m', $middle, self::BOTTOM + 18.0, $words, 'middle');
        foreach (['level-figure' => [$level, -1.0], 'ground-figure' => [$ground, 1.0]] as $class => [$height, $way]) {
            $figure = Format::cell($height, 1);
            $width = mb_strlen($figure) * 6.7;
            $place = $this->labels->place($figure, 6.7, 11.0, [
                [$x + 10.0, $this->y($height) + 4.0 + 9.0 * $way],
                [$x - 10.0 - $width, $this->y($height) + 4.0 + 9.0 * $way],
                [$x + 10.0, $this->y($height) + 4.0 + 20.0 * $way],
                [$x - 10.0 - $width, $this->y($height) + 4.0 + 20.0 * $way],
            ]);
            if ($place !== null) {
                $this->svg->text("m halo {$class}", $place[0], $place[1], $figure);
            }
        }
    }

    private function x(float $station): float
    {
        return self::LEFT + ($station - $this->from) * $this->along;
    }

    private function y(float $height): float
    {
        return self::BOTTOM - ($height - $this->low) * $this->up;
    }
}
