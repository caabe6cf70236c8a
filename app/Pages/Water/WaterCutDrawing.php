<?php

declare(strict_types=1);

namespace App\Pages\Water;

use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Land\Basin;
use IdleRidge\Core\Land\Stream;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Water\WaterBody;

/** A cut through the picked water: of a pond across its deepest place with each layer that is poured, of a stream along it. */
final class WaterCutDrawing
{
    private const WIDTH = 762.0;

    private const LEFT = 58.0;

    private const ROOM = 608.0;

    private const HIGH = 96.0;

    private const TOP = 16.0;

    /** Land beside the water that is drawn with it, mm. */
    private const BESIDE_MM = 25.0;

    private const STEPS = 240;

    /** Words of layers stand no closer than this. */
    private const LINE_HEIGHT = 14.0;

    private Svg $svg;

    private float $low = INF;

    private float $high = -INF;

    private float $long = 1.0;

    /** How many times higher than long it is drawn. */
    private float $times = 1.0;

    private function __construct(private readonly WaterPage $page, private readonly WaterBody $body)
    {
    }

    public static function of(WaterPage $page): ?Svg
    {
        return $page->body === null ? null : (new self($page, $page->body))->draw();
    }

    private function draw(): ?Svg
    {
        foreach ($this->page->model->ground->basins as $basin) {
            if ($basin->uid === $this->body->uid) {
                return $this->pond($basin);
            }
        }
        foreach ($this->page->model->ground->streams as $stream) {
            if ($stream->uid === $this->body->uid) {
                return $this->stream($stream);
            }
        }

        return null;
    }

    private function pond(Basin $basin): Svg
    {
        [$dx, $dy] = $this->body->deepest;
        $xs = array_column($basin->bank, 0);
        $ys = array_column($basin->bank, 1);
        $alongX = max($xs) - min($xs) >= max($ys) - min($ys);
        [$from, $to, $edge] = $alongX
            ? [min($xs), max($xs), $this->page->section->width]
            : [min($ys), max($ys), $this->page->section->depth];
        [$from, $to] = [max(0.0, $from - self::BESIDE_MM), min($edge, $to + self::BESIDE_MM)];
        $land = [];
        for ($k = 0; $k <= self::STEPS; $k++) {
            $at = $from + (($to - $from) * $k) / self::STEPS;
            [$x, $y] = $alongX ? [$at, $dy] : [$dx, $at];
            $land[] = [$at - $from, $this->page->model->heightAt($x, $y), $basin->beyond($x, $y) < 0.0];
        }
        $this->frame($land, $basin->level);
        $layers = $this->layers();
        foreach ($layers as $k => [$lower, $upper]) {
            $this->svg->path('pour pour-'.($k % 2), $this->between($land, $basin->level - $lower, $basin->level - $upper));
        }
        if ($layers === []) {
            $this->svg->path('pour pour-0', $this->between($land, -INF, $basin->level));
        }
        $this->land($land);
        $wet = array_values(array_filter($land, fn (array $p): bool => $p[2] && $p[1] < $basin->level));
        if ($wet !== []) {
            $y = $this->y($basin->level);
            $this->svg->line('cut-water', $this->x($wet[0][0]), $y, $this->x($wet[count($wet) - 1][0]), $y);
        }
        $this->words($basin->level, $layers);
        foreach ([[$from, 0.0, 0.0], [$to, $edge, $to - $from]] as [$end, $side, $at]) {
            if (abs($end - $side) < 1e-6 && $this->isDammed($alongX, $side > 0.0)) {
                $this->svg->line('cut-dam', $this->x($at), $this->y($basin->level + 3.0), $this->x($at), $this->y($this->low));
            }
        }

        return $this->svg;
    }

    private function isDammed(bool $alongX, bool $far): bool
    {
        $edge = $alongX ? ($far ? BoardEdge::Right : BoardEdge::Left) : ($far ? BoardEdge::Back : BoardEdge::Front);

        return array_filter($this->body->dams, fn ($dam): bool => $dam->edge === $edge) !== [];
    }

    private function stream(Stream $stream): Svg
    {
        $land = $water = [];
        $at = 0.0;
        foreach ($stream->line as $k => [$x, $y]) {
            $at += $k === 0 ? 0.0 : hypot($x - $stream->line[$k - 1][0], $y - $stream->line[$k - 1][1]);
            if ($x >= 0.0 && $y >= 0.0 && $x <= $this->page->section->width && $y <= $this->page->section->depth) {
                $land[] = [$at, $this->page->model->heightAt($x, $y), true];
                $water[] = [$at, $stream->levels[$k]];
            }
        }
        $begin = $land[0][0] ?? 0.0;
        $land = array_map(fn (array $p): array => [$p[0] - $begin, $p[1], $p[2]], $land);
        $this->frame($land, max(array_column($water, 1)));
        $points = array_map(fn (array $p): array => [$this->x($p[0] - $begin), $this->y($p[1])], $water);
        $bed = array_map(fn (array $p): array => [$this->x($p[0]), $this->y($p[1])], $land);
        $this->svg->path('pour pour-0', Svg::d([...$points, ...array_reverse($bed)], true));
        $this->land($land);
        $this->svg->path('cut-water', Svg::d($points));
        foreach ($this->body->falls as $fall) {
            $middle = ($fall->from + $fall->to) / 2.0 - $begin;
            $words = 'fall '.Format::cell($fall->drop);
            $this->svg->text('m tick halo', $this->x($middle) + 8.0, $this->y($this->high) + 10.0, $words);
        }

        return $this->svg;
    }

    /** @param  list<array{float, float, bool}>  $land place along, height, whether within the bank */
    private function frame(array $land, float $level): void
    {
        $this->low = min(array_column($land, 1)) - 4.0;
        $this->high = max($level + 4.0, ...array_column($land, 1));
        $this->high = min($this->high, max($level + 4.0, $level + 1.2 * ($level - $this->low)));
        $this->long = max(1.0, $land[count($land) - 1][0]);
        $flat = self::ROOM / $this->long;
        $this->times = max(1.0, min(10.0, floor(self::HIGH / (($this->high - $this->low) * $flat))));
        $tall = ($this->high - $this->low) * $flat * $this->times;
        $this->svg = new Svg(self::WIDTH, self::TOP + $tall + 26.0, "Cut through {$this->body->called()}", [
            'class' => 'drawing water-cut',
        ]);
        $words = $this->times > 1.0 ? "heights {$this->times} times lengths" : 'heights true to lengths';
        $this->svg->text('m tick', self::LEFT + self::ROOM / 2.0, self::TOP + $tall + 20.0, $words, 'middle');
        foreach ([0.0, $this->long] as $at) {
            $this->svg->text('m tick', $this->x($at), self::TOP + $tall + 20.0, Format::cell($at), $at > 0.0 ? 'start' : 'middle');
        }
    }

    /** @param  list<array{float, float, bool}>  $land */
    private function land(array $land): void
    {
        $line = array_map(fn (array $p): array => [$this->x($p[0]), $this->y(min($p[1], $this->high))], $land);
        $foot = self::TOP + ($this->high - $this->low) * $this->scale();
        $this->svg
            ->path('cut-land', Svg::d([...$line, [$this->x($this->long), $foot], [$this->x(0.0), $foot]], true))
            ->path('cut-line', Svg::d($line));
    }

    /**
     * What lies between the land and two levels within the bank.
     *
     * @param  list<array{float, float, bool}>  $land
     */
    private function between(array $land, float $lower, float $upper): string
    {
        $d = '';
        $top = $foot = [];
        foreach ([...$land, [0.0, INF, false]] as [$at, $height, $inside]) {
            if ($inside && $height < $upper) {
                $top[] = [$this->x($at), $this->y($upper)];
                $foot[] = [$this->x($at), $this->y(max($height, $lower))];
            } elseif ($top !== []) {
                $d .= count($top) > 1 ? Svg::d([...$top, ...array_reverse($foot)], true) : '';
                $top = $foot = [];
            }
        }

        return $d;
    }

    /** @return list<array{float, float, string}> depths of foot and top of each layer, from the deepest up, and what it takes */
    private function layers(): array
    {
        $out = [];
        $foot = $this->body->curve->most;
        foreach ($this->page->trial->steps ?? [] as $step) {
            if ($step->coat->recipeOf($step->application)->is(RecipeTrait::Pour)) {
                $out[] = [$foot, $foot - $step->coat->mm, Format::text($step->total('ml'), 'ml')];
                $foot -= $step->coat->mm;
            }
        }

        return $out;
    }

    /** @param  list<array{float, float, string}>  $layers */
    private function words(float $level, array $layers): void
    {
        $this->svg->text('m tick', self::LEFT - 6.0, $this->y($level) + 4.0, Format::cell($level, 1), 'end');
        $last = INF;
        foreach ($layers as $k => [$lower, $upper, $ml]) {
            $middle = $this->y($level - ($lower + $upper) / 2.0) + 4.0;
            $last = min($middle, $last - self::LINE_HEIGHT);
            $this->svg->text('m tick', self::LEFT + self::ROOM + 8.0, $last, ($k + 1).": {$ml}");
        }
    }

    private function scale(): float
    {
        return (self::ROOM / $this->long) * $this->times;
    }

    private function x(float $at): float
    {
        return self::LEFT + ($at / $this->long) * self::ROOM;
    }

    private function y(float $height): float
    {
        return self::TOP + ($this->high - max($this->low, $height)) * $this->scale();
    }
}
