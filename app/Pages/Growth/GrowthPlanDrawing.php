<?php

declare(strict_types=1);

namespace App\Pages\Growth;

use App\Pages\Drawing\BoardBase;
use App\Pages\Drawing\GrowthMarks;
use App\Pages\Drawing\Labels;
use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Planting\GrassPatches;
use IdleRidge\Core\Planting\Stand;

/** The plan of a board with what grows and stands on it; trees of the picked stand can be taken hold of. */
final class GrowthPlanDrawing
{
    private const WIDTH = 762.0;

    private const ROOM = 720.0;

    private const ROOM_HEIGHT = 360.0;

    /** More grips than these are no use on a plan of this size. */
    private const MAX_GRIPS = 600;

    private Svg $svg;

    private PlanFrame $frame;

    private Labels $labels;

    /**
     * @param  list<Finding>  $findings
     * @param  list<GrassPatches|null>  $patches
     */
    private function __construct(private readonly GrowthPage $page, private readonly array $findings, private readonly array $patches)
    {
        $section = $page->section;
        $this->frame = new PlanFrame($section->width, $section->depth, self::ROOM, self::ROOM_HEIGHT);
        $f = $this->frame;
        $this->labels = new Labels($f->left + $f->width - 1.0, $f->top + $f->height - 1.0, $f->left + 1.0, $f->top + 1.0);
        $this->svg = new Svg(self::WIDTH, $f->top + $f->height + 38.0, "What grows on {$section->name}", [
            'id' => 'growth-plan',
            'role' => 'group',
            'class' => 'drawing plan growth-plan'.($page->picked === null ? '' : ' picking'),
            'data-scale' => $f->scale,
            'data-left' => $f->left,
            'data-top' => $f->top,
            'data-depth' => $section->depth,
            'data-width' => $section->width,
        ]);
    }

    /**
     * @param  list<Finding>  $findings
     * @param  list<GrassPatches|null>  $patches of grass, to be drawn in their places
     */
    public static function of(GrowthPage $page, array $findings, array $patches = []): Svg
    {
        return (new self($page, $findings, $patches))->draw();
    }

    private function draw(): Svg
    {
        $f = $this->frame;
        $base = new BoardBase($this->svg, $f, $this->page->project, $this->page->section, $this->page->sheet);
        $this->svg->clip('growth-board', $f->left, $f->top, $f->width, $f->height);
        $this->svg->open(['clip-path' => 'url(#growth-board)']);
        $this->svg->rect('hyp hyp-1', $f->left, $f->top, $f->width, $f->height);
        $base->bands();
        $base->relief();
        $this->water();
        $this->runs();
        foreach ($this->page->project->works->zonesOf($this->page->section->uid) as $zone) {
            $this->svg->path(
                $zone->uid === $this->page->stand()?->zone ? 'zone-edge of-stand' : 'zone-edge',
                $zone->along === null ? $f->d($zone->outlineOn($this->page->section->placement) ?? [], true) : '',
            );
        }
        foreach (array_values(array_filter($this->patches)) as $k => $one) {
            $d = implode('', array_map(fn (array $ring): string => $f->d($ring, true), $one->rings));
            $this->svg->path('grass-patch grass-patch-'.($k % 3), $d);
        }
        $marks = new GrowthMarks($this->svg, $f);
        foreach ($this->page->sets() as $set) {
            $marks->row(
                $set,
                $this->page->section->uid,
                $this->page->section->placement,
                $set->row->uid === $this->page->picked ? ' on' : '',
            );
        }
        foreach ($this->page->stands as $stand) {
            $marks->stand($stand, $stand->uid === $this->page->picked ? ' on' : '');
        }
        $this->svg->close();
        $base->ticks();
        $base->orientation();
        $this->grips();
        $this->tabs();
        $this->names();

        return $this->svg;
    }

    private function water(): void
    {
        foreach ($this->page->model->ground->basins as $basin) {
            $this->svg->path('open-water', $this->frame->d($basin->bank, true));
        }
        foreach ($this->page->model->ground->streams as $stream) {
            $d = $this->frame->d($stream->line);
            $wide = $stream->width * $this->frame->scale;
            $this->svg
                ->path('stream-bank', $d, ['stroke-width' => Svg::n(max(3.5, $wide + 1.6))])
                ->path('stream-water', $d, ['stroke-width' => Svg::n(max(2.0, $wide))]);
        }
    }

    private function runs(): void
    {
        foreach ($this->page->model->grading->runs as $run) {
            foreach ($run->parts() as [$from, $to, $kind]) {
                $left = $run->alignment->polyline($from, $to, $run->profile->halfWidth(Side::Left), 0.3);
                $right = $run->alignment->polyline($from, $to, -$run->profile->halfWidth(Side::Right), 0.3);
                $this->svg
                    ->path($kind->value ?? 'formation', $this->frame->d([...$left, ...array_reverse($right)], true))
                    ->path('centre', $this->frame->d($run->alignment->polyline($from, $to, 0.0, 0.3)));
            }
        }
    }

    private function grips(): void
    {
        $stand = $this->page->stand();
        if ($stand !== null) {
            $this->treeGrips($stand);
        }
        $row = $this->page->row();
        foreach ($row === null ? [] : $row->points as [$x, $y]) {
            $p = $this->page->section->placement->toSection(new Point($x, $y));
            $this->svg->circle('row-corner', $this->frame->x($p->x), $this->frame->y($p->y), 3.5);
        }
    }

    private function treeGrips(Stand $stand): void
    {
        foreach (count($stand->trees) > self::MAX_GRIPS ? [] : $stand->trees as $k => $tree) {
            [$x, $y, $wide] = [$this->frame->x($tree->x), $this->frame->y($tree->y), max(5.0, ($tree->crown / 2.0) * $this->frame->scale)];
            $this->svg->open([
                'class' => 'tree-grip'.($k === $this->page->tree ? ' on' : '').($tree->fixed ? ' fixed' : ''),
                'data-tree' => $k,
                'tabindex' => $k === ($this->page->tree ?? 0) ? 0 : -1,
                'role' => 'button',
                'aria-label' => sprintf('Tree %d, %s, %s high', $k + 1, $stand->species($tree)->name, Format::length($tree->height)),
            ])
                ->circle('reach', $x, $y, $wide)
                ->close();
        }
    }

    private function names(): void
    {
        foreach ($this->page->stands as $stand) {
            [$x, $y] = self::middle($stand);
            $name = $stand->name.' '.count($stand->trees);
            $place = $stand->trees === [] ? null : $this->labels->beside($name, 6.6, 13.0, $this->frame->x($x), $this->frame->y($y), 4.0);
            if ($place !== null) {
                $this->svg
                    ->link('?pick='.$stand->uid, $name)
                    ->text('m halo growth-word'.($stand->uid === $this->page->picked ? ' on' : ''), $place[0], $place[1], $name)
                    ->endLink();
            }
        }
        foreach ($this->page->sets() as $set) {
            $parts = array_values(array_filter($set->parts, fn ($p): bool => $p->section === $this->page->section->uid));
            foreach ([0.5, 0.3, 0.7, 0.15, 0.85] as $share) {
                [$lx, $ly] = $set->line->at($parts[0]->from + $share * $parts[0]->length());
                $p = $this->page->section->placement->toSection(new Point($lx, $ly));
                $place = $this->labels->beside($set->row->called(), 6.6, 13.0, $this->frame->x($p->x), $this->frame->y($p->y), 5.0);
                if ($place !== null) {
                    $class = 'm halo growth-word'.($set->row->uid === $this->page->picked ? ' on' : '');
                    $this->svg
                        ->link('?pick='.$set->row->uid, $set->row->called())
                        ->text($class, $place[0], $place[1], $set->row->called())
                        ->endLink();
                    break;
                }
            }
        }
    }

    private function tabs(): void
    {
        foreach ($this->findings as $k => $finding) {
            [$x, $y] = [$this->frame->x($finding->place->xMm), $this->frame->y($finding->place->yMm)];
            $number = (string) ($k + 1);
            $place = $this->labels->beside($number, 15.0 / strlen($number), 15.0, $x, $y, 6.0);
            if ($place !== null) {
                $this->svg
                    ->open(['class' => 'tab', 'data-finding' => $number])
                    ->title($finding->subject)
                    ->rect('tab-box', $place[0], $place[1] - 12.0, 15.0, 15.0)
                    ->text('tab-word m', $place[0] + 7.5, $place[1] - 0.5, $number, 'middle')
                    ->close();
            }
        }
    }

    /** @return array{float, float} */
    private static function middle(Stand $stand): array
    {
        $n = max(1, count($stand->trees));

        return [
            array_sum(array_map(fn ($t): float => $t->x, $stand->trees)) / $n,
            array_sum(array_map(fn ($t): float => $t->y, $stand->trees)) / $n,
        ];
    }
}
