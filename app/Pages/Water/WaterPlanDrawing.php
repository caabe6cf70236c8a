<?php

declare(strict_types=1);

namespace App\Pages\Water;

use App\Pages\Drawing\BoardBase;
use App\Pages\Drawing\Labels;
use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Water\WaterBody;

/** The plan of a board with its waters: beds by depth, dams, the way it would run over, mirrors, places of findings. */
final class WaterPlanDrawing
{
    private const WIDTH = 762.0;

    private const ROOM = 720.0;

    private const ROOM_HEIGHT = 360.0;

    private const DAM_MM = 5.0;

    private Svg $svg;

    private PlanFrame $frame;

    private Labels $labels;

    /** @param  list<Finding>  $findings */
    private function __construct(private readonly WaterPage $page, private readonly array $findings)
    {
        $section = $page->section;
        $this->frame = new PlanFrame($section->width, $section->depth, self::ROOM, self::ROOM_HEIGHT);
        $f = $this->frame;
        $this->labels = new Labels($f->left + $f->width - 1.0, $f->top + $f->height - 1.0, $f->left + 1.0, $f->top + 1.0);
        $this->svg = new Svg(self::WIDTH, $f->top + $f->height + 38.0, "Water on {$section->name}", [
            'id' => 'water-plan',
            'role' => 'group',
            'class' => 'drawing plan water-plan',
        ]);
    }

    /** @param  list<Finding>  $findings */
    public static function of(WaterPage $page, array $findings): Svg
    {
        return (new self($page, $findings))->draw();
    }

    private function draw(): Svg
    {
        $f = $this->frame;
        $base = new BoardBase($this->svg, $f, $this->page->project, $this->page->section, $this->page->sheet);
        $this->svg->clip('water-board', $f->left, $f->top, $f->width, $f->height);
        $this->svg->open(['clip-path' => 'url(#water-board)']);
        $this->svg->rect('hyp hyp-1', $f->left, $f->top, $f->width, $f->height);
        $base->bands();
        $base->relief();
        foreach ($this->page->survey->bodies as $body) {
            $this->bed($body);
        }
        $this->runs();
        foreach ($this->page->survey->bodies as $body) {
            $this->way($body);
        }
        $this->sight();
        $this->svg->close();
        $base->ticks();
        $base->orientation();
        foreach ($this->page->survey->bodies as $body) {
            $this->dams($body);
        }
        $this->mirrors();
        $this->tabs();
        $this->names();

        return $this->svg;
    }

    /** Bands by depth, each in the colour that is mixed for it, the shallow first. */
    private function bed(WaterBody $body): void
    {
        $count = $this->page->bands();
        foreach ($this->page->beds[$body->uid] ?? [] as $k => $rings) {
            $d = implode('', array_map(fn (array $ring): string => $this->frame->d($ring, true), $rings));
            $share = $this->page->colours->darkShare($k, $count, $this->page->darkRim());
            $this->svg->path('bed', $d, ['fill' => $this->page->colours->hex($share)]);
        }
        foreach (array_slice($this->page->beds[$body->uid] ?? [], 0, 1) as $rings) {
            $d = implode('', array_map(fn (array $ring): string => $this->frame->d($ring, true), $rings));
            $this->svg->path($body->uid === $this->page->body?->uid ? 'waterline on' : 'waterline', $d);
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

    /** Where it would run: of the water that is picked, and of those that do run out. */
    private function way(WaterBody $body): void
    {
        if ($body->spill === null || ($body->uid !== $this->page->body?->uid && ! $body->runsOut())) {
            return;
        }
        [$x, $y] = $body->spill->at();
        $this->svg
            ->path($body->runsOut() ? 'spill-way runs' : 'spill-way', $this->frame->d($body->spill->path))
            ->circle($body->runsOut() ? 'spill-place runs' : 'spill-place', $this->frame->x($x), $this->frame->y($y), 4.0);
    }

    private function dams(WaterBody $body): void
    {
        [$w, $d] = [$this->page->section->width, $this->page->section->depth];
        foreach ($body->dams as $dam) {
            [$a, $b] = [$dam->edge->place($dam->from, $w, $d), $dam->edge->place($dam->to, $w, $d)];
            $this->svg
                ->open(['class' => 'dam-mark'])
                ->title(sprintf('Dam, %s edge, %s', $dam->edge->value, Format::length($dam->length())))
                ->line(
                    $dam->joint === null ? 'dam' : 'dam at-joint',
                    $this->frame->x($a[0]),
                    $this->frame->y($a[1]),
                    $this->frame->x($b[0]),
                    $this->frame->y($b[1]),
                    ['stroke-width' => self::DAM_MM],
                )
                ->close();
        }
    }

    /** What the picked mirror shows: lines from its face to what they meet. */
    private function sight(): void
    {
        $d = ['scene' => '', 'viewer' => '', 'beyond' => ''];
        foreach ($this->page->mirror->view->lines ?? [] as [$x1, $y1, $x2, $y2, $what]) {
            $d[$what] .= $this->frame->d([[$x1, $y1], [$x2, $y2]]);
        }
        foreach ($d as $what => $lines) {
            $this->svg->path("mirror-line {$what}", $lines);
        }
    }

    private function mirrors(): void
    {
        foreach ($this->page->survey->mirrors as $fit) {
            [[$ax, $ay], [$bx, $by]] = $fit->mirror->ends();
            [$cx, $cy] = [$this->frame->x($fit->mirror->x), $this->frame->y($fit->mirror->y)];
            $angle = deg2rad($fit->mirror->facingDeg);
            $on = $fit->mirror->uid === $this->page->mirror?->mirror->uid ? ' on' : '';
            $this->svg
                ->link("?mirror={$fit->mirror->uid}", $fit->mirror->name)
                ->title($fit->mirror->name)
                ->line('mirror-reach', $this->frame->x($ax), $this->frame->y($ay), $this->frame->x($bx), $this->frame->y($by))
                ->line("mirror{$on}", $this->frame->x($ax), $this->frame->y($ay), $this->frame->x($bx), $this->frame->y($by))
                ->line("mirror-faces{$on}", $cx, $cy, $cx + 14.0 * cos($angle), $cy - 14.0 * sin($angle))
                ->endLink();
            $this->labels->block($cx - 8.0, $cy - 8.0, $cx + 8.0, $cy + 8.0);
        }
    }

    private function names(): void
    {
        foreach ($this->page->survey->bodies as $body) {
            $name = $body->called().' '.Format::text($body->curve->volume() / 1000.0, 'ml');
            foreach ($this->besideBank($body) as [$x, $y]) {
                $place = $this->labels->beside($name, 6.9, 13.0, $this->frame->x($x), $this->frame->y($y), 8.0);
                if ($place !== null) {
                    $class = 'm halo water-name'.($body->uid === $this->page->body?->uid ? ' on' : '');
                    $this->svg->link("?pick={$body->uid}", $name)->text($class, $place[0], $place[1], $name)->endLink();
                    break;
                }
            }
        }
    }

    /** @return list<array{float, float}> places on its bank, those to the back first, where land is light and a name is read */
    private function besideBank(WaterBody $body): array
    {
        $bank = array_merge(...$this->page->beds[$body->uid][0] ?? []);
        usort($bank, fn (array $a, array $b): int => $b[1] <=> $a[1]);
        $most = count($bank) - 1;

        return $most < 0
            ? [$body->deepest]
            : array_map(fn (float $share): array => $bank[(int) ($share * $most)], [0.0, 0.2, 0.4, 0.6, 0.9]);
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
}
