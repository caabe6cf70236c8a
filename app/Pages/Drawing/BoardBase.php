<?php

declare(strict_types=1);

namespace App\Pages\Drawing;

use App\Computed\Land\LandResult;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** What every plan of a board has: its land by height and light, contours, edge, figures along it, north and a bar of scale. */
final readonly class BoardBase
{
    public function __construct(
        private Svg $svg,
        private PlanFrame $frame,
        private Project $project,
        private Section $section,
        private LandResult $sheet,
    ) {
    }

    /** Tints, low to high. */
    public function bands(): void
    {
        $low = $this->sheet->figures['z_min']->value;
        $range = max(20.0, $this->sheet->figures['z_max']->value - $low);
        foreach ($this->sheet->bands as $band) {
            $tint = max(1, min(10, 1 + (int) round((9.0 * ($band['level'] - $low)) / $range)));
            $d = implode('', array_map(fn (array $ring): string => $this->frame->d($ring, true), $band['rings']));
            $this->svg->path("hyp hyp-{$tint}", $d);
        }
    }

    /** Light and shade, and contours over them. */
    public function relief(): void
    {
        $f = $this->frame;
        $href = route('land.relief', [$this->project->layout->uid, $this->section->uid, $this->sheet->hash], false);
        $this->svg->image($href, $f->left, $f->top, $f->width, $f->height, ['class' => 'relief']);
        foreach (['ct' => false, 'ct ix' => true] as $class => $index) {
            $d = '';
            foreach ($this->sheet->contours as $contour) {
                if (RoundSteps::isHeavy($contour['level']) === $index) {
                    foreach ($contour['lines'] as $line) {
                        $d .= $f->d($line['points'], $line['closed']);
                    }
                }
            }
            $this->svg->path($class, $d);
        }
    }

    /** North, and a scale bar of a round length with what it is on the prototype, in the margin below the board. */
    public function orientation(): void
    {
        $f = $this->frame;
        $layout = $this->project->layout;
        $real = fn (float $mm): float => Format::converted($layout->scale->toPrototype($mm) / 1000.0, 'm');
        $length = 10.0 ** floor(log10(max(10.0, $real(160.0 / $f->scale))));
        $length *= $real(160.0 / $f->scale) / $length >= 5.0 ? 5.0 : ($real(160.0 / $f->scale) / $length >= 2.0 ? 2.0 : 1.0);
        $wide = ($length / $real(1.0)) * $f->scale;
        $right = $f->left + $f->width;
        $y = $f->top + $f->height + 34.0;
        $words = Decimal::trimmed($length, 0).' '.Format::unit('m');
        $this->svg
            ->path('scale-bar', Svg::d([[$right - $wide, $y - 4.0], [$right - $wide, $y], [$right, $y], [$right, $y - 4.0]]))
            ->text('m tick halo', $right - $wide - 6.0, $y + 1.0, $words, 'end');
        // Heavy where it points, so that it needs no colour.
        [$x, $cy] = [$right - $wide - 24.0 - 7.0 * mb_strlen($words), $y - 7.0];
        $north = deg2rad($layout->northDeg - $this->section->placement->angleDeg);
        [$ux, $uy] = [cos($north), -sin($north)];
        $this->svg
            ->circle('north-disc', $x, $cy, 9.0)
            ->path(
                'north',
                Svg::d([[$x + 8.0 * $ux, $cy + 8.0 * $uy], [$x - 3.0 * $uy, $cy + 3.0 * $ux], [$x + 3.0 * $uy, $cy - 3.0 * $ux]], true),
            )
            ->line('north-tail', $x, $cy, $x - 7.0 * $ux, $cy - 7.0 * $uy);
    }

    /** The board’s edge, and how long it is. */
    public function ticks(): void
    {
        $f = $this->frame;
        $this->svg->rect('board', $f->left, $f->top, $f->width, $f->height);
        $step = RoundSteps::axis($f->scale * 200.0 < 40.0 ? 500.0 : 200.0);
        $d = '';
        $bottom = $f->top + $f->height;
        for ($mm = 0.0; $mm <= $f->boardWidth + 0.1; $mm += $step / 2.0) {
            $long = RoundSteps::isMultiple($mm, $step);
            $d .= Svg::d([[$f->x($mm), $bottom], [$f->x($mm), $bottom + ($long ? 6.0 : 4.0)]]);
            if ($long) {
                $this->svg->text('m tick', $f->x($mm), $bottom + 16.0, Format::cell($mm), 'middle');
            }
        }
        for ($mm = 0.0; $mm <= $f->boardDepth + 0.1; $mm += $step / 2.0) {
            $long = RoundSteps::isMultiple($mm, $step);
            $d .= Svg::d([[$f->left, $f->y($mm)], [$f->left - ($long ? 6.0 : 4.0), $f->y($mm)]]);
            if ($long) {
                $this->svg->text('m tick', $f->left - 8.0, $f->y($mm) + 4.0, Format::cell($mm), 'end');
            }
        }
        $this->svg->path('ticks', $d);
    }
}
