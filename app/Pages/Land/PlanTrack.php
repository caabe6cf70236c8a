<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Pages\Drawing\Labels;
use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\Arc;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StructureKind;

/** The runs on a plan: formation, centreline, grade wedges and their words, walls beside them. */
final readonly class PlanTrack
{
    public function __construct(private LandPage $page, private Svg $svg, private PlanFrame $frame, private Labels $labels)
    {
    }

    public function formation(Run $run): void
    {
        $picked = $run->uid === $this->page->picked ? ' on' : '';
        foreach ($run->parts() as [$from, $to, $kind]) {
            $left = $run->alignment->polyline($from, $to, $run->profile->halfWidth(Side::Left), 0.3);
            $right = $run->alignment->polyline($from, $to, -$run->profile->halfWidth(Side::Right), 0.3);
            $word = $kind->value ?? ($run->kind === RunKind::Road ? 'road' : 'formation');
            $this->svg->path("{$word}{$picked}", $this->frame->d([...$left, ...array_reverse($right)], true), ['data-pick' => $run->uid]);
            if ($kind === StructureKind::Tunnel) {
                // Portals: a stroke across the track where it goes in and comes out.
                foreach ([[$left[0], $right[0]], [$left[count($left) - 1], $right[count($right) - 1]]] as $portal) {
                    $this->svg->path('portal', $this->frame->d($portal));
                }
            } else {
                $this->svg->path(
                    ($kind === StructureKind::Bridge ? 'parapet' : 'edge').$picked,
                    $this->frame->d($left).$this->frame->d($right),
                );
            }
            $this->svg->path(
                ($run->kind === RunKind::Road ? 'centre of-road' : 'centre').($kind === StructureKind::Tunnel ? ' below' : '').$picked,
                $this->frame->d($run->alignment->polyline($from, $to, 0.0, 0.3)),
            );
        }
    }

    public function marks(Run $run): void
    {
        $span = $this->page->spans[$run->uid] ?? null;
        if ($span === null) {
            return;
        }
        $beside = $run->profile->halfWidth(Side::Right) + 2.5;
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
                $outer[] = $run->alignment->beside($from + (($to - $from) * $k) / $parts, -$beside - $thick * $share);
            }
            $this->svg->path('wedge', $this->frame->d([...$inner, ...$outer], true));
        }
        foreach ($run->grade->stations as $k => $station) {
            if ($station >= $span[0] - 0.5 && $station <= $span[1] + 0.5) {
                $p = $run->alignment->pointAt($station);
                $this->diamond(
                    $this->frame->x($p->x),
                    $this->frame->y($p->y),
                    $run->uid === $this->page->picked && $k > 0
                        ? ['data-drag' => 'grade', 'data-uid' => $run->uid, 'data-index' => $k - 1]
                        : [],
                );
            }
        }
        if ($run->uid === $this->page->picked) {
            $start = $run->alignment->pointAt(0.0);
            $end = $run->alignment->pointAt($run->alignment->length);
            $this->frame->grip($this->svg, 'start', $run->uid, 0, $start->x, $start->y, 'Start of '.$run->name);
            $this->frame->grip($this->svg, 'end', $run->uid, 0, $end->x, $end->y, 'End of '.$run->name);
        }
    }

    public function walls(): void
    {
        foreach ($this->page->sheet->walls as $wall) {
            $run = $this->run($wall->run);
            if ($run !== null) {
                $half = $run->profile->halfWidth($wall->side) + 1.5;
                $offset = $wall->side->offset($half);
                $this->svg->path(
                    $wall->cause === 'placed' ? 'wall placed' : 'wall',
                    $this->frame->d($run->alignment->polyline($wall->from, $wall->to, $offset, 0.3)),
                );
            }
        }
    }

    /** The toe of each turnout, and how far its keep-clear stretch goes: a bar across both tracks where it ends. */
    public function turnouts(): void
    {
        foreach ($this->page->turnouts as $turnout) {
            $onMain = $turnout->toe - $turnout->from < $turnout->to - $turnout->toe ? $turnout->to : $turnout->from;
            foreach ([[$turnout->main, $onMain], [$turnout->branch, $turnout->clear]] as [$run, $far]) {
                $span = $this->page->spans[$run->uid] ?? null;
                if ($span !== null && $far >= $span[0] && $far <= $span[1]) {
                    $half = 7.0 / $this->frame->scale;
                    $this->svg->path(
                        'fouling',
                        $this->frame->d([$run->alignment->beside($far, $half), $run->alignment->beside($far, -$half)]),
                    );
                }
            }
            $toe = $turnout->main->alignment->pointAt($turnout->toe);
            if ($this->onBoard($toe->x, $toe->y)) {
                $this->svg->circle('toe', $this->frame->x($toe->x), $this->frame->y($toe->y), 3.6);
            }
        }
    }

    private function onBoard(float $x, float $y): bool
    {
        return $x >= 0.0 && $y >= 0.0 && $x <= $this->page->section->width && $y <= $this->page->section->depth;
    }

    /** How high each wall is, beside it, so that it needs no legend. */
    private function wallWords(): void
    {
        foreach ($this->page->sheet->walls as $wall) {
            $run = $this->run($wall->run);
            if ($run !== null) {
                $this->wordBeside(
                    $run,
                    $wall->from,
                    $wall->to,
                    'wall '.Format::cell($wall->highest),
                    $wall->cause === 'placed' ? 'm halo' : 'm halo wall-word',
                    6.8,
                    $wall->side->offset(1.0),
                );
            }
        }
    }

    public function words(): void
    {
        $this->wallWords();
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
                    $this->wordBeside(
                        $run,
                        max($span[0], $begin),
                        min($span[1], $begin + $element->length),
                        'R '.Format::cell($element->radius),
                        'm halo',
                        6.8,
                        1.0,
                    );
                }
            }
        }
    }

    /** @param  array<string, string|int>  $data */
    private function diamond(float $x, float $y, array $data): void
    {
        $this->svg->path(
            'diamond'.($data === [] ? '' : ' grip'),
            Svg::d([[$x - 4.5, $y], [$x, $y - 4.5], [$x + 4.5, $y], [$x, $y + 4.5]], true),
            $data,
        );
    }

    private function wordBeside(Run $run, float $from, float $to, string $words, string $class, float $perCharacter, float $side): void
    {
        if ($to <= $from) {
            return;
        }
        $places = [];
        $width = mb_strlen($words) * $perCharacter;
        foreach ([$side, -$side] as $hand) {
            $half = $run->profile->halfWidth(Side::at($hand)) + 21.0 / $this->frame->scale;
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
