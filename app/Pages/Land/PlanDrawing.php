<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Pages\Drawing\BoardBase;
use App\Pages\Drawing\GrowthMarks;
use App\Pages\Drawing\Labels;
use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;

/**
 * The plan: tints, relief, contours, runs with their grade wedges, spots and lines, findings at their place, the cut
 * line. Grips carry what they move in data attributes; the script only reports where they were dragged.
 */
final class PlanDrawing
{
    private const WIDTH = 762.0;

    private const ROOM = 720.0;

    private const ROOM_HEIGHT = 360.0;

    private Svg $svg;

    private PlanFrame $frame;

    private Labels $labels;

    private function __construct(private readonly LandPage $page)
    {
        $section = $page->section;
        $this->frame = new PlanFrame($section->width, $section->depth, self::ROOM, self::ROOM_HEIGHT);
        $f = $this->frame;
        $this->labels = new Labels($f->left + $f->width - 1.0, $f->top + $f->height - 1.0, $f->left + 1.0, $f->top + 1.0);
        $this->svg = new Svg(self::WIDTH, $f->top + $f->height + 38.0, "Plan of {$section->name}", [
            'id' => 'plan',
            'role' => 'group',
            'class' => 'drawing plan'.($page->picked === null ? '' : ' picking'),
            'data-scale' => $f->scale,
            'data-left' => $f->left,
            'data-top' => $f->top,
            'data-depth' => $section->depth,
            'data-width' => $section->width,
        ]);
    }

    public static function of(LandPage $page): Svg
    {
        return (new self($page))->draw();
    }

    private function draw(): Svg
    {
        $f = $this->frame;
        $base = new BoardBase($this->svg, $f, $this->page->project, $this->page->section, $this->page->sheet);
        $track = new PlanTrack($this->page, $this->svg, $f, $this->labels);
        $this->svg->clip('plan-board', $f->left, $f->top, $f->width, $f->height);
        $this->svg->open(['clip-path' => 'url(#plan-board)']);
        $this->land($base);
        $features = new PlanFeatures($this->page, $this->svg, $f, $this->labels);
        $features->areas();
        foreach ($this->tracksLast() as $run) {
            $track->formation($run);
        }
        $this->svg->close();
        foreach ($this->page->project->works->zonesOf($this->page->section->uid) as $zone) {
            $this->svg->path('zone-edge', $f->d($zone->outlineOn($this->page->section->placement) ?? [], true));
        }
        $base->ticks();
        $this->svg->open(['clip-path' => 'url(#plan-board)']);
        $this->growth();
        foreach ($this->page->runs as $run) {
            $track->marks($run);
        }
        $track->walls();
        $track->turnouts();
        $this->fixedEdges();
        $this->cutLine();
        $this->svg->close();
        $base->orientation();
        $features->hold();
        $this->cutWords();
        $this->findings();
        $features->draw();
        $track->words();
        $this->contourFigures();

        return $this->svg;
    }

    /** Trees and rows, faint: they are set on their own screen. */
    private function growth(): void
    {
        [$marks, $section] = [new GrowthMarks($this->svg, $this->frame), $this->page->section];
        $this->svg->open(['class' => 'growth-under']);
        foreach ($this->page->rows as $set) {
            $marks->row($set, $section->uid, $section->placement);
        }
        foreach ($this->page->project->works->growth->standsOn($section->uid) as $stand) {
            $marks->stand($stand->but(trees: $stand->treesOn($section->placement)));
        }
        $this->svg->close();
    }

    /** @return list<Run> roads first: a track lies over the road it crosses, but for a bridge, which is drawn over both */
    private function tracksLast(): array
    {
        $runs = $this->page->runs;
        usort($runs, fn (Run $a, Run $b): int => [$a->kind !== RunKind::Road, $a->uid] <=> [$b->kind !== RunKind::Road, $b->uid]);

        return $runs;
    }

    private function land(BoardBase $base): void
    {
        $f = $this->frame;
        $this->svg->rect('hyp hyp-1', $f->left, $f->top, $f->width, $f->height);
        $this->tints();
        if ($this->page->classes === []) {
            $base->bands();
        }
        $base->relief();
    }

    /** Edges whose heights are fixed: a line of points along them, inside the board. */
    private function fixedEdges(): void
    {
        foreach ($this->page->section->edges as $edge => $profile) {
            $length = $this->page->section->edgeLength($edge);
            $points = [];
            foreach ([0.0, $length] as $at) {
                $p = $this->page->section->placement->toSection($this->page->section->onEdge($edge, $at));
                $points[] = [$p->x, $p->y];
            }
            $this->svg->path('fixed-edge', $this->frame->d($points));
            foreach ($profile as [$at]) {
                $p = $this->page->section->placement->toSection($this->page->section->onEdge($edge, $at));
                $this->svg->circle('fixed-point', $this->frame->x($p->x), $this->frame->y($p->y), 3.0);
            }
        }
    }

    private function tints(): void
    {
        foreach ($this->page->classes as $k => $class) {
            $d = implode('', array_map(fn (array $ring): string => $this->frame->d($ring, true), $class->rings));
            $this->svg->path("hyp tint-{$this->page->tint}-{$k}", $d);
        }
    }

    private function cutLine(): void
    {
        $cut = $this->page->cut;
        $a = $cut->pointAt($cut->least);
        $b = $cut->pointAt($cut->greatest);
        $f = $this->frame;
        $this->svg->line('cutline', $f->x($a->x), $f->y($a->y), $f->x($b->x), $f->y($b->y));
        foreach (['R' => [$a, 1.0], 'L' => [$b, -1.0]] as $letter => [$p, $inward]) {
            $at = $p->toward($cut->heading, ($inward * 11.0) / $f->scale);
            [$x, $y] = [$f->x($at->x), $f->y($at->y)];
            $this->svg->rect('pennant', $x - 7.0, $y - 8.0, 14.0, 16.0)->text('pennant-word m', $x, $y + 4.0, $letter, 'middle');
            $this->labels->block($x - 8.0, $y - 9.0, $x + 8.0, $y + 9.0);
        }
        [$x, $y] = [$f->x($cut->origin->x), $f->y($cut->origin->y)];
        $this->svg->circle('cutring grip', $x, $y, 6.5, [
            'data-drag' => 'cut',
            'tabindex' => 0,
            'role' => 'slider',
            'aria-label' => 'Cut line',
            'aria-valuemin' => round($this->page->span()[0] ?? 0.0),
            'aria-valuemax' => round($this->page->span()[1] ?? $this->page->section->width),
            'aria-valuenow' => round($cut->station),
            'aria-valuetext' => CutWords::at($cut),
        ]);
        $this->labels->block($x - 8.0, $y - 8.0, $x + 8.0, $y + 8.0);
    }

    private function cutWords(): void
    {
        $cut = $this->page->cut;
        $words = CutWords::at($cut);
        $x = $this->frame->x($cut->origin->x);
        $y = $this->frame->y($cut->origin->y);
        $place = $this->labels->beside($words, 6.9, 15.0, $x, $y, 13.0);
        if ($place !== null) {
            $this->svg
                ->rect('pennant', $place[0] - 4.0, $place[1] - 11.5, mb_strlen($words) * 6.7 + 7.0, 16.0)
                ->text('pennant-word m', $place[0], $place[1], $words);
        }
    }

    private function findings(): void
    {
        foreach ($this->page->sheet->findings as $k => $finding) {
            $x = $this->frame->x($finding->place->xMm);
            $y = $this->frame->y($finding->place->yMm);
            $number = (string) ($k + 1);
            $place = $this->labels->place($number, 15.0 / max(1, strlen($number)), 15.0, $this->around($x, $y));
            if ($place !== null) {
                $this->tab($finding, $number, $place[0], $place[1]);
            }
        }
    }

    private function tab(Finding $finding, string $number, float $left, float $baseline): void
    {
        $this->svg
            ->open(['class' => 'tab', 'data-finding' => $number])
            ->title($finding->subject)
            ->rect('tab-box', $left, $baseline - 12.0, 15.0, 15.0)
            ->text('tab-word m', $left + 7.5, $baseline - 0.5, $number, 'middle')
            ->close();
    }

    /** @return list<array{float, float}> places for a tab of 15, spiralling out */
    private function around(float $x, float $y): array
    {
        $places = [];
        foreach ([14.0, 24.0, 36.0] as $away) {
            for ($k = 0; $k < 8; $k++) {
                $angle = ($k * M_PI) / 4.0 + M_PI / 8.0;
                $places[] = [$x - 7.5 + $away * cos($angle), $y + 5.0 - $away * sin($angle)];
            }
        }

        return $places;
    }

    private function contourFigures(): void
    {
        foreach ($this->page->sheet->contours as $contour) {
            if (! RoundSteps::isHeavy($contour['level'])) {
                continue;
            }
            $words = Format::cell($contour['level']);
            foreach ($contour['lines'] as $line) {
                $points = $line['points'];
                $places = [];
                foreach ([0.5, 0.25, 0.75, 0.1, 0.9] as $share) {
                    $p = $points[(int) ($share * (count($points) - 1))];
                    $places[] = [$this->frame->x($p[0]) - mb_strlen($words) * 3.3, $this->frame->y($p[1]) + 4.0];
                }
                $place = count($points) > 8 ? $this->labels->place($words, 6.6, 11.0, $places) : null;
                if ($place !== null) {
                    $this->svg->text('m halo contour-figure', $place[0], $place[1], $words);
                }
            }
        }
    }
}
