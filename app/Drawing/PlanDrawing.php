<?php

declare(strict_types=1);

namespace App\Drawing;

use App\Workshop\Land\LandPage;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\Length;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Track\Arc;
use IdleRidge\Core\Track\Run;

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
        $this->svg = new Svg(self::WIDTH, $f->top + $f->height + 22.0, "Plan of {$section->name}", [
            'id' => 'plan', 'role' => 'group', 'class' => 'drawing plan', 'data-scale' => $f->scale, 'data-left' => $f->left, 'data-top' => $f->top,
            'data-depth' => $section->depth, 'data-width' => $section->width,
        ]);
    }

    public static function of(LandPage $page): Svg
    {
        return (new self($page))->draw();
    }

    private function draw(): Svg
    {
        $f = $this->frame;
        $this->svg->clip('plan-board', $f->left, $f->top, $f->width, $f->height);
        $this->svg->open(['clip-path' => 'url(#plan-board)']);
        $this->land();
        foreach ($this->page->runs as $run) {
            $this->formation($run);
        }
        $this->svg->close();
        $this->frameAndTicks();
        $this->svg->open(['clip-path' => 'url(#plan-board)']);
        foreach ($this->page->runs as $run) {
            $this->runMarks($run);
        }
        $this->walls();
        $this->cutLine();
        $this->svg->close();
        $this->reserve();
        $this->findings();
        // Spots lie over lines: where a line ends at a spot, the spot is what one takes hold of.
        foreach ([false, true] as $spots) {
            foreach ($this->page->features as $feature) {
                if (($feature->kind === 'spot') === $spots) {
                    $spots ? $this->spot($feature) : $this->heightLine($feature);
                }
            }
        }
        $this->gradeWords();
        $this->contourFigures();

        return $this->svg;
    }

    private function land(): void
    {
        $f = $this->frame;
        $sheet = $this->page->sheet;
        $this->svg->rect('hyp hyp-1', $f->left, $f->top, $f->width, $f->height);
        $low = $sheet->figures['z_min']->value;
        $range = max(20.0, $sheet->figures['z_max']->value - $low);
        foreach ($sheet->bands as $band) {
            $tint = max(1, min(10, 1 + (int) round(9.0 * ($band['level'] - $low) / $range)));
            $d = implode('', array_map(fn (array $ring): string => $f->d($ring, true), $band['rings']));
            $this->svg->path("hyp hyp-{$tint}", $d);
        }
        $href = route('land.relief', [$this->page->project->layout->uid, $this->page->section->uid, $sheet->hash], false);
        $this->svg->image($href, $f->left, $f->top, $f->width, $f->height, ['class' => 'relief']);
        foreach (['ct' => false, 'ct ix' => true] as $class => $index) {
            $d = '';
            foreach ($sheet->contours as $contour) {
                if ((fmod($contour['level'], 50.0) === 0.0) === $index) {
                    foreach ($contour['lines'] as $line) {
                        $d .= $f->d($line['points'], $line['closed']);
                    }
                }
            }
            $this->svg->path($class, $d);
        }
    }

    private function formation(Run $run): void
    {
        [$from, $to] = [0.0, $run->alignment->length];
        $left = $run->alignment->polyline($from, $to, $run->profile->halfWidth(true), 0.3);
        $right = $run->alignment->polyline($from, $to, -$run->profile->halfWidth(false), 0.3);
        $picked = $run->uid === $this->page->picked ? ' on' : '';
        $this->svg->path("formation{$picked}", $this->frame->d([...$left, ...array_reverse($right)], true), ['data-pick' => $run->uid]);
        $this->svg->path("edge{$picked}", $this->frame->d($left).$this->frame->d($right));
        $this->svg->path("centre{$picked}", $this->frame->d($run->alignment->polyline($from, $to, 0.0, 0.3)));
    }

    private function runMarks(Run $run): void
    {
        $span = $this->page->spans[$run->uid] ?? null;
        if ($span === null) {
            return;
        }
        $beside = $run->profile->halfWidth(false) + 2.5;
        foreach ($run->grade->stretches($run->alignment->length) as $stretch) {
            $from = max($span[0], $stretch['from']);
            $to = min($span[1], $stretch['to']);
            if ($to - $from < 5.0 || abs($stretch['grade']) < 0.05) {
                continue;
            }
            $thick = min(9.0, 2.0 + 1.6 * abs($stretch['grade'])) / $this->frame->scale;
            $inner = $run->alignment->polyline($from, $to, -$beside, 0.3);
            $outer = [];
            $parts = 24;
            for ($k = $parts; $k >= 0; $k--) {
                $share = $stretch['grade'] > 0 ? $k / $parts : 1.0 - $k / $parts;
                $outer[] = $run->alignment->beside($from + ($to - $from) * $k / $parts, -$beside - $thick * $share);
            }
            $this->svg->path('wedge', $this->frame->d([...$inner, ...$outer], true));
        }
        foreach ($run->grade->stations as $k => $station) {
            if ($station >= $span[0] - 0.5 && $station <= $span[1] + 0.5) {
                $p = $run->alignment->pointAt($station);
                $this->diamond($this->frame->x($p->x), $this->frame->y($p->y), $run->uid === $this->page->picked && $k > 0
                    ? ['data-drag' => 'grade', 'data-uid' => $run->uid, 'data-index' => $k - 1] : []);
            }
        }
        if ($run->uid === $this->page->picked) {
            $start = $run->alignment->pointAt(0.0);
            $this->grip('start', $run->uid, 0, $start->x, $start->y, 'Start of '.$run->name);
        }
    }

    /** @param  array<string, string|int>  $data */
    private function diamond(float $x, float $y, array $data): void
    {
        $this->svg->path('diamond'.($data === [] ? '' : ' grip'), Svg::d([[$x - 4.5, $y], [$x, $y - 4.5], [$x + 4.5, $y], [$x, $y + 4.5]], true), $data);
    }

    private function walls(): void
    {
        foreach ($this->page->sheet->walls as $wall) {
            $run = $this->run($wall->run);
            if ($run !== null) {
                $half = $run->profile->halfWidth($wall->side === 'left') + 1.5;
                $offset = $wall->side === 'left' ? $half : -$half;
                $this->svg->path('wall', $this->frame->d($run->alignment->polyline($wall->from, $wall->to, $offset, 0.3)));
            }
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
            $at = $p->toward($cut->heading, $inward * 11.0 / $f->scale);
            [$x, $y] = [$f->x($at->x), $f->y($at->y)];
            $this->svg->rect('pennant', $x - 7.0, $y - 8.0, 14.0, 16.0)->text('pennant-word m', $x, $y + 4.0, $letter, 'middle');
            $this->labels->block($x - 8.0, $y - 9.0, $x + 8.0, $y + 9.0);
        }
        [$x, $y] = [$f->x($cut->origin->x), $f->y($cut->origin->y)];
        $this->svg->circle('cutring grip', $x, $y, 6.5, ['data-drag' => 'cut', 'tabindex' => 0, 'role' => 'slider', 'aria-label' => 'Cut line',
            'aria-valuemin' => round($this->page->span()[0] ?? 0.0), 'aria-valuemax' => round($this->page->span()[1] ?? $this->page->section->width),
            'aria-valuenow' => round($cut->station), 'aria-valuetext' => CutWords::at($cut)]);
        $this->labels->block($x - 8.0, $y - 8.0, $x + 8.0, $y + 8.0);
    }

    /** Nothing may be written over grips: spots, line points and the start of the picked run hold their places first. */
    private function reserve(): void
    {
        foreach ($this->page->features as $feature) {
            foreach ($feature->points as $p) {
                $this->labels->block($this->frame->x($p->x) - 6.0, $this->frame->y($p->y) - 6.0, $this->frame->x($p->x) + 6.0, $this->frame->y($p->y) + 6.0);
            }
        }
        $cut = $this->page->cut;
        $words = CutWords::at($cut);
        $x = $this->frame->x($cut->origin->x);
        $y = $this->frame->y($cut->origin->y);
        $place = $this->labels->beside($words, 6.9, 15.0, $x, $y, 13.0);
        if ($place !== null) {
            $this->svg->rect('pennant', $place[0] - 4.0, $place[1] - 11.5, mb_strlen($words) * 6.7 + 7.0, 16.0)
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
        $this->svg->open(['class' => 'tab', 'data-finding' => $number])->title($finding->subject)
            ->rect('tab-box', $left, $baseline - 12.0, 15.0, 15.0)
            ->text('tab-word m', $left + 7.5, $baseline - 0.5, $number, 'middle')->close();
    }

    /** @return list<array{float, float}> places for a tab of 15, spiralling out */
    private function around(float $x, float $y): array
    {
        $places = [];
        foreach ([14.0, 24.0, 36.0] as $away) {
            for ($k = 0; $k < 8; $k++) {
                $angle = $k * M_PI / 4.0 + M_PI / 8.0;
                $places[] = [$x - 7.5 + $away * cos($angle), $y + 5.0 - $away * sin($angle)];
            }
        }

        return $places;
    }

    private function spot(LandFeature $feature): void
    {
        $p = $feature->points[0];
        [$x, $y] = [$this->frame->x($p->x), $this->frame->y($p->y)];
        $on = $feature->uid === $this->page->picked;
        $height = Length::decimal($p->z, 1);
        $words = $feature->name === '' || $on ? $height : $feature->name.' '.$height;
        $this->svg->open(['class' => 'spot grip'.($on ? ' on' : ''), 'data-drag' => 'point', 'data-pick' => $feature->uid, 'data-uid' => $feature->uid,
            'data-index' => 0, 'tabindex' => 0, 'role' => 'button', 'aria-label' => trim("Spot {$feature->name} {$height} mm at ".round($p->x).', '.round($p->y))]);
        $this->svg->circle('target', $x, $y, 16.0)->circle('ring', $x, $y, 4.2)->circle('dot', $x, $y, 1.2);
        if ($on) {
            $this->svg->circle('halo-ring', $x, $y, 9.0);
        }
        $this->svg->close();
        if ($on) {
            $this->svg->open(['class' => 'lift grip', 'data-drag' => 'height', 'data-uid' => $feature->uid, 'data-index' => 0])->title('Drag up or down for the height')
                ->circle('target', $x, $y - 20.0, 9.0)->path('chevron', Svg::d([[$x - 5.0, $y - 15.0], [$x, $y - 20.0], [$x + 5.0, $y - 15.0]]))
                ->circle('target', $x, $y + 20.0, 9.0)->path('chevron', Svg::d([[$x - 5.0, $y + 15.0], [$x, $y + 20.0], [$x + 5.0, $y + 15.0]]))->close();
            $this->labels->block($x - 7.0, $y - 23.0, $x + 7.0, $y + 23.0);
        }
        $place = $this->labels->beside($words, 6.6, 11.0, $x, $y, $on ? 13.0 : 8.0);
        if ($place !== null) {
            if ($on) {
                $this->svg->rect('figure-box', $place[0] - 4.0, $place[1] - 12.0, mb_strlen($words) * 6.6 + 8.0, 16.5);
            }
            $this->svg->text('m halo', $place[0], $place[1], $words);
        }
    }

    private function heightLine(LandFeature $feature): void
    {
        $on = $feature->uid === $this->page->picked;
        $d = $this->frame->d(array_map(fn ($p): array => [$p->x, $p->y], $feature->points));
        $this->svg->open(['class' => "height-line {$feature->kind}".($on ? ' on' : ''), 'data-pick' => $feature->uid, 'tabindex' => 0, 'role' => 'button',
            'aria-label' => ucfirst($feature->kind).' line '.$feature->name])->path('reach', $d)->path('stroke', $d);
        $this->svg->close();
        foreach ($feature->points as $k => $p) {
            if ($on) {
                $this->grip('point', $feature->uid, $k, $p->x, $p->y, ucfirst($feature->kind).' point '.($k + 1).', '.Length::decimal($p->z, 1).' mm');
            } else {
                $this->svg->rect('knot', $this->frame->x($p->x) - 2.0, $this->frame->y($p->y) - 2.0, 4.0, 4.0);
            }
            if (($on || $k === 0 || $k === count($feature->points) - 1) && ! $this->hasSpot($p)) {
                $words = Length::decimal($p->z, 1);
                $place = $this->labels->beside($words, 6.6, 11.0, $this->frame->x($p->x), $this->frame->y($p->y), 9.0);
                if ($place !== null) {
                    $this->svg->text('m halo', $place[0], $place[1], $words);
                }
            }
        }
    }

    /** Whether a spot stands at a place and already says its height. */
    private function hasSpot(Spot $p): bool
    {
        foreach ($this->page->features as $feature) {
            if ($feature->kind === 'spot' && hypot($feature->points[0]->x - $p->x, $feature->points[0]->y - $p->y) < 5.0) {
                return true;
            }
        }

        return false;
    }

    private function grip(string $drag, string $uid, int $index, float $x, float $y, string $label): void
    {
        [$px, $py] = [$this->frame->x($x), $this->frame->y($y)];
        $this->svg->open(['class' => 'handle grip', 'data-drag' => $drag, 'data-uid' => $uid, 'data-index' => $index, 'tabindex' => 0, 'role' => 'button', 'aria-label' => $label])
            ->circle('target', $px, $py, 14.0)->rect('square', $px - 4.5, $py - 4.5, 9.0, 9.0)->close();
    }

    private function gradeWords(): void
    {
        foreach ($this->page->runs as $run) {
            $span = $this->page->spans[$run->uid] ?? null;
            if ($span === null) {
                continue;
            }
            foreach ($run->grade->stretches($run->alignment->length) as $stretch) {
                $from = max($span[0], $stretch['from']);
                $to = min($span[1], $stretch['to']);
                if ($to - $from > 60.0 / $this->frame->scale && abs($stretch['grade']) >= 0.05) {
                    $this->wordBeside($run, $from, $to, GradeWords::of($stretch['grade']), 'grade-word m halo', 6.8, -1.0);
                }
            }
            foreach ($run->alignment->elements as $k => $element) {
                if ($run->uid === $this->page->picked && $element instanceof Arc) {
                    $begin = $run->alignment->begins[$k];
                    $this->wordBeside($run, max($span[0], $begin), min($span[1], $begin + $element->length), 'R '.Length::decimal($element->radius, 0), 'm halo', 6.8, 1.0);
                }
            }
        }
    }

    private function wordBeside(Run $run, float $from, float $to, string $words, string $class, float $perCharacter, float $side): void
    {
        if ($to <= $from) {
            return;
        }
        $places = [];
        $width = mb_strlen($words) * $perCharacter;
        foreach ([$side, -$side] as $hand) {
            $half = $run->profile->halfWidth($hand > 0.0) + 21.0 / $this->frame->scale;
            foreach ([0.5, 0.35, 0.65, 0.2, 0.8] as $share) {
                $p = $run->alignment->beside($from + $share * ($to - $from), $hand * $half);
                $places[] = [$this->frame->x($p->x) - $width / 2.0, $this->frame->y($p->y) + 4.0];
            }
        }
        $place = $this->labels->place($words, $perCharacter, 11.0, $places);
        if ($place !== null) {
            $this->svg->text($class, $place[0], $place[1], $words);
        }
    }

    private function contourFigures(): void
    {
        foreach ($this->page->sheet->contours as $contour) {
            if (fmod($contour['level'], 50.0) !== 0.0) {
                continue;
            }
            $words = Length::decimal($contour['level'], 0);
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

    private function frameAndTicks(): void
    {
        $f = $this->frame;
        $this->svg->rect('board', $f->left, $f->top, $f->width, $f->height);
        $step = $f->scale * 200.0 < 40.0 ? 500.0 : 200.0;
        $d = '';
        $bottom = $f->top + $f->height;
        for ($mm = 0.0; $mm <= $f->boardWidth + 0.1; $mm += $step / 2.0) {
            $long = fmod($mm, $step) === 0.0;
            $d .= Svg::d([[$f->x($mm), $bottom], [$f->x($mm), $bottom + ($long ? 6.0 : 4.0)]]);
            if ($long && ($mm === 0.0 || $f->boardWidth - $mm > 0.0 || $mm === $f->boardWidth)) {
                $this->svg->text('m tick', $f->x($mm), $bottom + 16.0, (string) $mm, 'middle');
            }
        }
        for ($mm = 0.0; $mm <= $f->boardDepth + 0.1; $mm += $step / 2.0) {
            $long = fmod($mm, $step) === 0.0;
            $d .= Svg::d([[$f->left, $f->y($mm)], [$f->left - ($long ? 6.0 : 4.0), $f->y($mm)]]);
            if ($long) {
                $this->svg->text('m tick', $f->left - 8.0, $f->y($mm) + 4.0, (string) $mm, 'end');
            }
        }
        $this->svg->path('ticks', $d);
    }

    private function run(string $uid): ?Run
    {
        foreach ($this->page->runs as $run) {
            if ($run->uid === $uid) {
                return $run;
            }
        }

        return null;
    }
}
