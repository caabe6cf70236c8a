<?php

declare(strict_types=1);

namespace App\Pages\Land;

use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Land\Cut;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StructureKind;
use IdleRidge\Core\Track\VehicleSweeps;

/**
 * The land cut open, never stretched: the whole cut above, and below it a window on the track with the longest vehicle
 * and the room it takes. L is on the left, as one looks along rising stations.
 */
final class SectionDrawing
{
    private const WIDTH = 364.0;

    private const LEFT = 34.0;

    private const RIGHT = 352.0;

    private const WHOLE_TOP = 16.0;

    private const WHOLE_HEIGHT = 84.0;

    private const WINDOW_TOP = 130.0;

    private const WINDOW_HEIGHT = 168.0;

    private const WINDOW_SPAN = 190.0;

    private Svg $svg;

    /** @var list<array{float, float, float}> */
    private array $samples;

    private function __construct(private readonly LandPage $page)
    {
        $this->samples = $page->cut->samples($page->model);
    }

    public static function of(LandPage $page): Svg
    {
        return (new self($page))->draw();
    }

    private function draw(): Svg
    {
        $cut = $this->page->cut;
        $hasRun = $cut->run !== null;
        $height = $hasRun ? self::WINDOW_TOP + self::WINDOW_HEIGHT + 4.0 : self::WINDOW_TOP - 6.0;
        $this->svg = new Svg(self::WIDTH, $height, 'Cross-section at '.CutWords::at($cut), ['id' => 'cross', 'class' => 'drawing cross']);
        $window = $this->whole($cut);
        if ($cut->run !== null && $window !== null) {
            $this->window($cut->run, $window);
        }

        return $this->svg;
    }

    /** @return array{float, float, float, float}|null the window's box in the whole cut: left, top, right, bottom */
    private function whole(Cut $cut): ?array
    {
        $base = $this->page->section->base;
        $heights = array_column($this->samples, 1);
        $low = min($base, min($heights));
        $high = max(max($heights), $low + 30.0);
        $length = max(1.0, $cut->greatest - $cut->least);
        $scale = min((self::RIGHT - self::LEFT) / $length, self::WHOLE_HEIGHT / ($high - $low));
        $width = $length * $scale;
        $left = self::LEFT + (self::RIGHT - self::LEFT - $width) / 2.0;
        $bottom = self::WHOLE_TOP + self::WHOLE_HEIGHT;
        // Offsets grow to the left of the track, and L stands on the left of the drawing.
        $x = fn (float $offset): float => $left + ($cut->greatest - $offset) * $scale;
        $y = fn (float $z): float => $bottom - ($z - $low) * $scale;
        $terrain = array_map(fn (array $s): array => [$x($s[0]), $y($s[1])], $this->samples);
        $this->svg->hatch('hatch-body', 'hatch-body', 6.0, 45.0);
        $body = [...$terrain, [$x($cut->greatest), $y($low)], [$x($cut->least), $y($low)]];
        $this->svg
            ->path('body', Svg::d($body, true))
            ->path('body-hatch', Svg::d($body, true), ['fill' => 'url(#hatch-body)'])
            ->path('terrain', Svg::d($terrain))
            ->line('boardtop', $x($cut->greatest), $y($base), $x($cut->least), $y($base));
        $this->water($x, $y);
        $top = RoundSteps::axis($high <= 40.0 ? 20.0 : ($high - $low > 160.0 ? 100.0 : 50.0));
        foreach ($top * $scale > 14.0 ? [$low, $low + $top] : [$low] as $mark) {
            $this->svg->text('m tick', $left - 5.0, $y($mark) + 4.0, Format::cell($mark), 'end');
        }
        $this->svg->text('note', $x($cut->greatest), $bottom + 15.0, 'L')->text('note', $x($cut->least), $bottom + 15.0, 'R', 'end');
        $peak = array_search(max($heights), $heights, true) ?: 0;
        [$px, $py] = $terrain[$peak];
        $this->svg->text(
            'm',
            max(self::LEFT + 12.0, min(self::RIGHT - 12.0, $px)),
            max(11.0, $py - 5.0),
            Format::cell($heights[$peak]),
            'middle',
        );
        if ($cut->run === null) {
            return null;
        }
        $half = self::WINDOW_SPAN / 2.0;
        $tall = (self::WINDOW_SPAN * self::WINDOW_HEIGHT) / (self::RIGHT - self::LEFT);
        $foot = $this->windowFoot($cut->run);
        $box = [
            max($x($cut->greatest), $x($half)),
            max($y($high), $y($foot + $tall)),
            min($x($cut->least), $x(-$half)),
            min($bottom, $y($foot)),
        ];
        $this->svg->rect('window-mark', $box[0], $box[1], $box[2] - $box[0], $box[3] - $box[1]);

        return $box;
    }

    /** Water along the cut: between the bed and its level. */
    private function water(callable $x, callable $y): void
    {
        $cut = $this->page->cut;
        $ground = $this->page->model->ground;
        foreach ([...$ground->basins, ...$ground->streams] as $water) {
            $bed = $top = [];
            $flush = function () use (&$bed, &$top): void {
                if (count($bed) > 1) {
                    $this->svg->path('open-water', Svg::d([...$bed, ...array_reverse($top)], true));
                }
                $bed = $top = [];
            };
            foreach ($this->samples as [$offset, $height]) {
                $p = $cut->pointAt($offset);
                $level = $water->waterAt($p->x, $p->y);
                if ($level !== null && $height < $level) {
                    $bed[] = [$x($offset), $y($height)];
                    $top[] = [$x($offset), $y($level)];
                } else {
                    $flush();
                }
            }
            $flush();
        }
    }

    /** The height at which the window begins: the track stands a quarter up. */
    private function windowFoot(Run $run): float
    {
        return $run->grade->heightAt($this->page->cut->station) - 24.0;
    }

    /** @param  array{float, float, float, float}  $box */
    private function window(Run $run, array $box): void
    {
        $scale = (self::RIGHT - self::LEFT) / self::WINDOW_SPAN;
        $middle = (self::LEFT + self::RIGHT) / 2.0;
        $bottom = self::WINDOW_TOP + self::WINDOW_HEIGHT;
        $foot = $this->windowFoot($run);
        $x = fn (float $offset): float => $middle - $offset * $scale;
        $y = fn (float $z): float => $bottom - ($z - $foot) * $scale;
        $this->svg
            ->line('leader', $box[0], $box[3], self::LEFT, self::WINDOW_TOP)
            ->line('leader', $box[2], $box[3], self::RIGHT, self::WINDOW_TOP);
        $this->svg->clip('cross-window', self::LEFT, self::WINDOW_TOP, self::RIGHT - self::LEFT, self::WINDOW_HEIGHT);
        $this->svg->open(['clip-path' => 'url(#cross-window)']);
        $half = self::WINDOW_SPAN / 2.0 + 2.0;
        $near = array_values(array_filter($this->samples, fn (array $s): bool => abs($s[0]) <= $half));
        if (count($near) > 1) {
            $terrain = array_map(fn (array $s): array => [$x($s[0]), $y($s[1])], $near);
            $body = [...$terrain, [$terrain[count($terrain) - 1][0], $bottom], [$terrain[0][0], $bottom]];
            $this->svg
                ->path('body', Svg::d($body, true))
                ->path('body-hatch', Svg::d($body, true), ['fill' => 'url(#hatch-body)'])
                ->path('terrain', Svg::d($terrain))
                ->path('natural', Svg::d(array_map(fn (array $s): array => [$x($s[0]), $y($s[2])], $near)));
        }
        $level = $run->grade->heightAt($this->page->cut->station);
        if ($run->kind === RunKind::Track) {
            $this->track($run, $level, $x, $y);
        } else {
            $this->svg->path(
                'roadbed',
                Svg::d(
                    [
                        [$x($run->profile->halfWidth(Side::Left) - 4.0), $y($level)],
                        [$x($run->profile->halfWidth(Side::Left) - 4.0), $y($level + $run->profile->railTop())],
                        [$x(4.0 - $run->profile->halfWidth(Side::Right)), $y($level + $run->profile->railTop())],
                        [$x(4.0 - $run->profile->halfWidth(Side::Right)), $y($level)],
                    ],
                    true,
                ),
            );
        }
        $this->svg->close();
        if ($run->kind === RunKind::Track) {
            $this->vehicle($run, $level, $x, $y);
        }
        $step = RoundSteps::axis(20.0);
        for ($z = $step * ceil(($foot + 2.0) / $step); $y($z) > self::WINDOW_TOP + 6.0; $z += $step) {
            $this->svg
                ->line('ticks', self::LEFT - 4.0, $y($z), self::LEFT, $y($z))
                ->text('m tick', self::LEFT - 6.0, $y($z) + 4.0, Format::cell($z), 'end');
        }
        $this->svg->rect('window', self::LEFT, self::WINDOW_TOP, self::RIGHT - self::LEFT, self::WINDOW_HEIGHT);
    }

    private function track(Run $run, float $level, callable $x, callable $y): void
    {
        $profile = $run->profile->toArray();
        $z = $level;
        foreach (
            [
                'roadbed' => [$profile['roadbed_mm'], 18.0, 13.0],
                'sleeper' => [$profile['sleeper_mm'], 15.0, 15.0],
            ] as $class => [$thick, $foot, $head]
        ) {
            $this->svg->path(
                $class,
                Svg::d([[$x($foot), $y($z)], [$x($head), $y($z + $thick)], [$x(-$head), $y($z + $thick)], [$x(-$foot), $y($z)]], true),
            );
            $z += $thick;
        }
        $gauge = $this->page->project->layout->gauge / 2.0;
        foreach ([$gauge, -$gauge - 1.0] as $rail) {
            $this->svg->rect(
                'railhead',
                $x($rail + 1.0),
                $y($z + $profile['rail_mm']),
                $x($rail) - $x($rail + 1.0),
                $y($z) - $y($z + $profile['rail_mm']),
            );
        }
    }

    private function vehicle(Run $run, float $level, callable $x, callable $y): void
    {
        $layout = $this->page->project->layout;
        $railTop = $level + $run->profile->railTop();
        $station = $this->page->cut->station;
        $widest = $layout->clearance->vehicles[0];
        try {
            foreach ($layout->clearance->vehicles as $vehicle) {
                $sharpest = $run->alignment->sharpest($station - $vehicle->body / 2.0, $station + $vehicle->body / 2.0);
                if ($sharpest > 0.0) {
                    $vehicle->throwOn(1.0 / $sharpest);
                }
            }
            $throw = (new VehicleSweeps($run->alignment, $layout->clearance->vehicles))->at($station);
            $widest = $throw['left'] >= $throw['right'] ? $throw['left_by'] : $throw['right_by'];
        } catch (InvalidValue) {
            $this->svg->text(
                'note bad',
                (self::LEFT + self::RIGHT) / 2.0,
                self::WINDOW_TOP + 16.0,
                "the curve is too tight for the {$vehicle->name}",
                'middle',
            );

            return;
        }
        $margin = $layout->clearance->margin;
        $head = max(self::WINDOW_TOP + 18.0, $y($railTop + $layout->clearance->tallest() + $margin));
        [$l, $r] = [$x($throw['left'] + $margin), $x(-$throw['right'] - $margin)];
        $built = $run->structureAt($station);
        if ($built?->kind === StructureKind::Tunnel) {
            [$bl, $br] = $built->inside === null ? [$l, $r] : [$x($built->inside / 2.0), $x(-$built->inside / 2.0)];
            $this->svg->rect('bore', $bl, $head, $br - $bl, $y($level) - $head);
        } elseif ($built?->kind === StructureKind::Bridge) {
            $this->svg->rect(
                'deck',
                $x($run->profile->halfWidth(Side::Left)),
                $y($level),
                $x(-$run->profile->halfWidth(Side::Right)) - $x($run->profile->halfWidth(Side::Left)),
                $y($level - $built->thick) - $y($level),
            );
        }
        $this->svg->path('envelope', Svg::d([[$l, $y($railTop)], [$l, $head], [$r, $head], [$r, $y($railTop)]], true));
        $w = $widest->width / 2.0;
        $roof = max(self::WINDOW_TOP + 26.0, $y($railTop + $widest->height));
        $this->svg->path(
            'coach',
            Svg::d(
                [
                    [$x($w), $y($railTop + 3.0)],
                    [$x($w), $roof + 8.0],
                    [$x($w - 4.0), $roof],
                    [$x(4.0 - $w), $roof],
                    [$x(-$w), $roof + 8.0],
                    [$x(-$w), $y($railTop + 3.0)],
                ],
                true,
            ),
        );
        $middle = (self::LEFT + self::RIGHT) / 2.0;
        $this->svg
            ->text('note', $middle, $roof + 20.0, $widest->name, 'middle')
            ->text('m', $middle, $roof + 33.0, Format::cell($widest->body), 'middle');
        foreach ([[$l, $x(0.0), $throw['left']], [$x(0.0), $r, $throw['right']]] as [$a, $b, $room]) {
            $this->svg
                ->line('dim', $a, $head - 4.0, $b, $head - 4.0)
                ->line('dim', $a, $head - 7.0, $a, $head - 1.0)
                ->line('dim', $b, $head - 7.0, $b, $head - 1.0)
                ->text('m halo', ($a + $b) / 2.0, $head - 8.0, Format::cell($room + $margin, 1), 'middle');
        }
    }
}
