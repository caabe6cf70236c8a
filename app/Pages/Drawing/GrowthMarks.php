<?php

declare(strict_types=1);

namespace App\Pages\Drawing;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\RowRole;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Planting\TreeForm;

/** Trees and rows on a plan: a stand is a few paths, however many trees it has. */
final readonly class GrowthMarks
{
    public function __construct(private Svg $svg, private PlanFrame $frame)
    {
    }

    /** @param  Stand  $stand with its trees in the board's coordinates */
    public function stand(Stand $stand, string $more = ''): void
    {
        $crowns = $dead = $stems = '';
        foreach ($stand->trees as $tree) {
            $radius = ($tree->crown / 2.0) * $this->frame->scale;
            if ($tree->dead) {
                $dead .= $this->bare($tree, $radius);
            } else {
                $crowns .= $this->crown($tree, $stand->species($tree)->form, $radius);
            }
            $stems .= 'M'.self::n($this->frame->x($tree->x)).' '.self::n($this->frame->y($tree->y)).'h0';
        }
        $this->svg->path("crown{$more}", $crowns)->path("crown-dead{$more}", $dead)->path("stem{$more}", $stems);
    }

    public function row(RowLayout $set, string $section, Placement $placement, string $more = ''): void
    {
        $kind = $set->row->kind;
        $lines = '';
        foreach ($set->stretches() as [$from, $to]) {
            foreach ($set->parts as $part) {
                [$a, $b] = [max($from, $part->from), min($to, $part->to)];
                if ($part->section === $section && $b > $a) {
                    $lines .= $this->frame->d(array_map(
                        fn (array $p): Point => $placement->toSection(new Point($p[0], $p[1])),
                        $set->line->between($a, $b),
                    ));
                }
            }
        }
        $wide = $kind->isUnbroken() ? ['stroke-width' => Svg::n(max(2.0, $set->wide * $this->frame->scale))] : [];
        $this->svg->path("row row-{$kind->value}{$more}", $kind === RowKind::Poles || $lines === '' ? '' : $lines, $wide);
        if ($kind === RowKind::Poles) {
            $this->svg->path("row row-wire{$more}", $lines);
        }
        $plain = $strong = '';
        foreach ($set->on($section) as $thing) {
            $p = $placement->toSection(new Point($thing->x, $thing->y));
            [$x, $y] = [$this->frame->x($p->x), $this->frame->y($p->y)];
            $across = $thing->headingRad - deg2rad($placement->angleDeg) + M_PI / 2.0;
            if ($kind->stands()) {
                $strong .= $thing->role === RowRole::Plain ? '' : $this->circle($x, $y, $kind === RowKind::Poles ? 3.2 : 1.9);
                $plain .= $thing->role === RowRole::Plain ? $this->circle($x, $y, $kind === RowKind::Poles ? 2.4 : 1.1) : '';
            } else {
                $half = max(2.0, ($set->wide / 2.0) * $this->frame->scale);
                $plain .= Svg::d([
                    [$x - $half * cos($across), $y + $half * sin($across)],
                    [$x + $half * cos($across), $y - $half * sin($across)],
                ]);
            }
        }
        $this->svg->path(($kind->stands() ? 'post' : 'tie').$more, $plain)->path("post strong{$more}", $strong);
    }

    private function crown(Tree $tree, TreeForm $form, float $radius): string
    {
        [$x, $y] = [$this->frame->x($tree->x), $this->frame->y($tree->y)];
        if ($form !== TreeForm::Cone) {
            return $this->circle($x, $y, $radius);
        }
        // A conifer from above: a star of eight points.
        $points = [];
        for ($k = 0; $k < 16; $k++) {
            $far = $radius * ($k % 2 === 0 ? 1.0 : 0.68);
            $points[] = [$x + $far * cos(($k * M_PI) / 8.0), $y + $far * sin(($k * M_PI) / 8.0)];
        }

        return Svg::d($points, true);
    }

    private function bare(Tree $tree, float $radius): string
    {
        [$x, $y] = [$this->frame->x($tree->x), $this->frame->y($tree->y)];
        $d = '';
        for ($k = 0; $k < 3; $k++) {
            [$dx, $dy] = [$radius * cos(($k * M_PI) / 3.0), $radius * sin(($k * M_PI) / 3.0)];
            $d .= Svg::d([[$x - $dx, $y - $dy], [$x + $dx, $y + $dy]]);
        }

        return $d;
    }

    private function circle(float $x, float $y, float $r): string
    {
        [$n, $two] = [self::n($r), self::n(2.0 * $r)];

        return 'M'.self::n($x - $r).' '.self::n($y)."a{$n} {$n} 0 1 0 {$two} 0a{$n} {$n} 0 1 0 -{$two} 0z";
    }

    /** To a tenth: there are thousands of them. */
    private static function n(float $value): string
    {
        return Svg::n(round($value, 1));
    }
}
