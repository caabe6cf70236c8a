<?php

declare(strict_types=1);

namespace App\Pages\Growth;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Planting\TreeForm;

/** The board seen square from an edge, heights true to lengths: land in a few depths, and what stands on it, far to near. */
final class SkylineDrawing
{
    private const WIDTH = 762.0;

    private const LEFT = 30.0;

    private const ROOM = 720.0;

    private const HIGHEST = 150.0;

    /** Outlines of the land from the far side to the near. */
    private const DEPTHS = 9;

    private const STEPS = 120;

    private float $scale;

    private float $floor;

    private float $low;

    private float $bottom;

    private Svg $svg;

    private function __construct(private readonly GrowthPage $page, private readonly BoardEdge $edge)
    {
        $long = $this->long();
        $ground = $page->survey->ground;
        $top = $low = null;
        for ($d = 0; $d < self::DEPTHS; $d++) {
            for ($k = 0; $k <= self::STEPS; $k += 6) {
                $z = $ground->height(...$this->place($k / self::STEPS, $d / (self::DEPTHS - 1)));
                [$low, $top] = [min($low ?? $z, $z), max($top ?? $z, $z)];
            }
        }
        foreach ($page->stands as $stand) {
            foreach ($stand->trees as $tree) {
                $top = max($top ?? 0.0, $page->survey->top($tree));
            }
        }
        foreach ($page->sets() as $set) {
            foreach ($set->row->kind->stands() ? $set->on($page->section->uid) : [] as $thing) {
                $p = $page->section->placement->toSection(new Point($thing->x, $thing->y));
                $top = max($top ?? 0.0, $ground->height($p->x, $p->y) + $thing->height);
            }
        }
        $this->low = min($low ?? 0.0, $page->section->base);
        $this->scale = min(self::ROOM / $long, self::HIGHEST / max(40.0, ($top ?? 100.0) - $this->low));
        $this->bottom = 10.0 + (($top ?? 100.0) - $this->low) * $this->scale;
        $this->floor = $this->bottom + 6.0;
        $this->svg = new Svg(self::WIDTH, $this->floor + 8.0, "Skyline from the {$edge->value}", ['class' => 'drawing skyline']);
    }

    /** @param  BoardEdge  $edge from which it is looked at */
    public static function of(GrowthPage $page, BoardEdge $edge): Svg
    {
        return (new self($page, $edge))->draw();
    }

    private function draw(): Svg
    {
        $things = $this->things();
        for ($d = 0; $d < self::DEPTHS; $d++) {
            $deep = 1.0 - $d / (self::DEPTHS - 1);
            $line = [];
            for ($k = 0; $k <= self::STEPS; $k++) {
                $z = $this->page->survey->ground->height(...$this->place($k / self::STEPS, $deep));
                $line[] = [$this->x($k / self::STEPS), $this->y($z)];
            }
            $this->svg->path(
                "far far-{$d}",
                Svg::d([...$line, [$this->x(1.0), $this->floor], [$this->x(0.0), $this->floor]], true),
            );
            $nearer = $d === self::DEPTHS - 1 ? -1.0 : 1.0 - ($d + 1) / (self::DEPTHS - 1);
            $this->stand(array_filter($things, fn (array $t): bool => $t[0] <= $deep && $t[0] > $nearer));
        }
        $this->svg->line('sky-floor', $this->x(0.0), $this->floor, $this->x(1.0), $this->floor);

        return $this->svg;
    }

    /** @param  array<int, array{float, array<string, string>}>  $things of one depth, far to near */
    private function stand(array $things): void
    {
        $all = [];
        foreach ($things as [, $marks]) {
            foreach ($marks as $class => $d) {
                $all[$class] = ($all[$class] ?? '').$d;
            }
        }
        // What is picked lies over the rest, stems under crowns.
        ksort($all);
        foreach (array_reverse($all) as $class => $d) {
            $this->svg->path($class, $d);
        }
    }

    /** @return list<array{float, array<string, string>}> share of the depth, and marks by class; far to near */
    private function things(): array
    {
        $out = [];
        foreach ($this->page->stands as $stand) {
            foreach ($stand->trees as $k => $tree) {
                $on = $stand->uid === $this->page->picked && $k === $this->page->tree;
                $out[] = [$this->deep($tree->x, $tree->y), $this->tree($tree, $stand->species($tree)->form, $on ? ' on' : '')];
            }
        }
        foreach ($this->page->sets() as $set) {
            foreach ($set->row->kind->stands() ? $set->on($this->page->section->uid) : [] as $thing) {
                $p = $this->page->section->placement->toSection(new Point($thing->x, $thing->y));
                [$x, $foot] = $this->foot($p->x, $p->y);
                $out[] = [$this->deep($p->x, $p->y), ['sky-post' => Svg::d([[$x, $foot], [$x, $foot - $thing->height * $this->scale]])]];
            }
        }
        usort($out, fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $out;
    }

    /** @return array<string, string> marks by class */
    private function tree(Tree $tree, TreeForm $form, string $more): array
    {
        [$x, $foot] = $this->foot($tree->x, $tree->y);
        $tall = $tree->height * $this->scale;
        $half = ($tree->crown / 2.0) * $this->scale;
        [$from, $top] = [$foot - $tall * $form->crownFrom(), $foot - $tall];
        $middle = ($from + $top) / 2.0;
        if ($tree->dead) {
            $branches = [[$x - 0.6 * $half, $middle - 4.0], [$x, $middle + 3.0], [$x + 0.6 * $half, $middle - 5.0]];

            return ["sky-stem{$more}" => Svg::d([[$x, $foot], [$x, $top]]).Svg::d($branches)];
        }
        $n = fn (float $v): string => Svg::n(round($v, 1));
        [$wide, $high] = [$n($half), $n(($from - $top) / 2.0)];
        $crown = match ($form) {
            TreeForm::Cone => Svg::d([[$x - $half, $from], [$x, $top], [$x + $half, $from]], true),
            TreeForm::Bush => "M{$n($x - $half)} {$n($foot)}a{$wide} {$n($tall)} 0 0 1 {$n(2.0 * $half)} 0z",
            default => "M{$n($x - $half)} {$n($middle)}a{$wide} {$high} 0 1 1 {$n(2.0 * $half)} 0".
                "a{$wide} {$high} 0 1 1 {$n(-2.0 * $half)} 0z",
        };

        return ["sky-stem{$more}" => Svg::d([[$x, $foot], [$x, $middle]]), "sky-crown{$more}" => $crown];
    }

    private function long(): float
    {
        return $this->edge->length($this->page->section->width, $this->page->section->depth);
    }

    private function far(): float
    {
        return $this->page->section->width + $this->page->section->depth - $this->long();
    }

    /** Whether who looks has the beginning of the edge at the left hand. */
    private function beginsLeft(): bool
    {
        return $this->edge === BoardEdge::Front || $this->edge === BoardEdge::Right;
    }

    /** @return array{float, float} place on the board at a share of the edge from the viewer's left, and of the depth */
    private function place(float $along, float $deep): array
    {
        $at = $this->long() * ($this->beginsLeft() ? $along : 1.0 - $along);

        return $this->edge->place($at, $this->page->section->width, $this->page->section->depth, -$this->far() * $deep);
    }

    private function along(float $x, float $y): float
    {
        $at = $this->edge->along($x, $y) / $this->long();

        return $this->beginsLeft() ? $at : 1.0 - $at;
    }

    private function deep(float $x, float $y): float
    {
        return $this->edge->inside($x, $y, $this->page->section->width, $this->page->section->depth) / $this->far();
    }

    private function x(float $along): float
    {
        return self::LEFT + (self::ROOM - $this->long() * $this->scale) / 2.0 + $along * $this->long() * $this->scale;
    }

    private function y(float $z): float
    {
        return $this->bottom - ($z - $this->low) * $this->scale;
    }

    /** @return array{float, float} on the drawing, of what stands at a place of the board */
    private function foot(float $x, float $y): array
    {
        return [$this->x($this->along($x, $y)), $this->y($this->page->survey->ground->height($x, $y))];
    }
}
