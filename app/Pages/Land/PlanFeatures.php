<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Pages\Drawing\Labels;
use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;

/** What makes the land, on a plan: spots and lines with their heights, waters, streams, pads, rough ground. */
final readonly class PlanFeatures
{
    public function __construct(private LandPage $page, private Svg $svg, private PlanFrame $frame, private Labels $labels)
    {
    }

    /** What covers ground lies under the tracks. */
    public function areas(): void
    {
        foreach ($this->page->features as $feature) {
            if (! $feature->kind->isShape()) {
                continue;
            }
            $stream = $feature->kind === FeatureKind::Stream;
            $d = $this->frame->d($feature->plan(), ! $stream);
            $class = match ($feature->kind) {
                FeatureKind::Water => 'open-water',
                FeatureKind::Pad => 'pad-ground',
                FeatureKind::Stream => 'stream-water',
                default => 'rough-ground',
            };
            $this->svg->open([
                'class' => 'area '.$feature->kind->value.($this->isPicked($feature) ? ' on' : ''),
                'data-pick' => $feature->uid,
                'tabindex' => 0,
                'role' => 'button',
                'aria-label' => trim($feature->kind->title().' '.$feature->name),
            ]);
            if ($stream) {
                $this->svg
                    ->path('reach', $d)
                    ->path('stream-bank', $d, [
                        'stroke-width' => Svg::n(max(3.5, $feature->figures['width_mm'] * $this->frame->scale + 1.6)),
                    ])
                    ->path($class, $d, ['stroke-width' => Svg::n(max(2.0, $feature->figures['width_mm'] * $this->frame->scale))]);
            } else {
                $this->svg->path($class, $d);
            }
            $this->svg->close();
        }
    }

    /** Nothing may be written over grips: points hold their places first. */
    public function hold(): void
    {
        foreach ($this->page->features as $feature) {
            foreach ($feature->kind->isShape() && ! $this->isPicked($feature) ? [] : $feature->points as $p) {
                $this->labels->block(
                    $this->frame->x($p->x) - 6.0,
                    $this->frame->y($p->y) - 6.0,
                    $this->frame->x($p->x) + 6.0,
                    $this->frame->y($p->y) + 6.0,
                );
            }
        }
    }

    /** Spots lie over lines: where a line ends at a spot, the spot is what one takes hold of. */
    public function draw(): void
    {
        foreach ([false, true] as $spots) {
            foreach ($this->page->features as $feature) {
                if ($feature->kind->isSpot() === $spots) {
                    match ($feature->kind) {
                        FeatureKind::Spot => $this->spot($feature),
                        FeatureKind::Ridge, FeatureKind::Hollow => $this->heightLine($feature),
                        default => $this->outline($feature),
                    };
                }
            }
        }
    }

    private function isPicked(LandFeature $feature): bool
    {
        return $feature->uid === $this->page->picked;
    }

    private function spot(LandFeature $feature): void
    {
        $p = $feature->points[0];
        [$x, $y] = [$this->frame->x($p->x), $this->frame->y($p->y)];
        $on = $this->isPicked($feature);
        $height = Format::cell($p->z, 1);
        $words = $feature->name === '' || $on ? $height : $feature->name.' '.$height;
        $this->svg->open([
            'class' => 'spot grip'.($on ? ' on' : ''),
            'data-drag' => 'point',
            'data-pick' => $feature->uid,
            'data-uid' => $feature->uid,
            'data-index' => 0,
            'tabindex' => 0,
            'role' => 'button',
            'aria-label' => trim("Spot {$feature->name} ".Format::length($p->z, 1).' at '.Format::cell($p->x).', '.Format::cell($p->y)),
        ]);
        $this->svg->circle('target', $x, $y, 16.0)->circle('ring', $x, $y, 4.2)->circle('dot', $x, $y, 1.2);
        if ($on) {
            $this->svg->circle('halo-ring', $x, $y, 9.0);
        }
        $this->svg->close();
        if ($on) {
            $this->svg
                ->open(['class' => 'lift grip', 'data-drag' => 'height', 'data-uid' => $feature->uid, 'data-index' => 0])
                ->title('Drag up or down for the height')
                ->circle('target', $x, $y - 20.0, 9.0)
                ->path('chevron', Svg::d([[$x - 5.0, $y - 15.0], [$x, $y - 20.0], [$x + 5.0, $y - 15.0]]))
                ->circle('target', $x, $y + 20.0, 9.0)
                ->path('chevron', Svg::d([[$x - 5.0, $y + 15.0], [$x, $y + 20.0], [$x + 5.0, $y + 15.0]]))
                ->close();
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
        $on = $this->isPicked($feature);
        $d = $this->frame->d($feature->plan());
        $this->svg
            ->open([
                'class' => "height-line {$feature->kind->value}".($on ? ' on' : ''),
                'data-pick' => $feature->uid,
                'tabindex' => 0,
                'role' => 'button',
                'aria-label' => trim($feature->kind->title().' '.$feature->name),
            ])
            ->path('reach', $d)
            ->path('stroke', $d);
        $this->svg->close();
        if ($on) {
            $this->grips($feature, false);
        }
        foreach ($feature->points as $k => $p) {
            if (! $on) {
                $this->svg->rect('knot', $this->frame->x($p->x) - 2.0, $this->frame->y($p->y) - 2.0, 4.0, 4.0);
            }
            if (($on || $k === 0 || $k === count($feature->points) - 1) && ! $this->hasSpot($p)) {
                $words = Format::cell($p->z, 1);
                $place = $this->labels->beside($words, 6.6, 11.0, $this->frame->x($p->x), $this->frame->y($p->y), 9.0);
                if ($place !== null) {
                    $this->svg->text('m halo', $place[0], $place[1], $words);
                }
            }
        }
    }

    /** Grips at the points of a picked line or outline, and smaller ones between, which become points when dragged. */
    private function grips(LandFeature $feature, bool $closed): void
    {
        $count = count($feature->points);
        foreach ($feature->points as $k => $p) {
            $next = $feature->points[($k + 1) % $count];
            [$x, $y] = [($p->x + $next->x) / 2.0, ($p->y + $next->y) / 2.0];
            if (($closed || $k < $count - 1) && $count < 60 && hypot($next->x - $p->x, $next->y - $p->y) * $this->frame->scale > 30.0) {
                $this->svg
                    ->open([
                        'class' => 'between grip',
                        'data-drag' => 'insert',
                        'data-uid' => $feature->uid,
                        'data-index' => $k,
                        'tabindex' => 0,
                        'role' => 'button',
                        'aria-label' => 'Between '.($k + 1).' and '.((($k + 1) % $count) + 1),
                    ])
                    ->circle('target', $this->frame->x($x), $this->frame->y($y), 9.0)
                    ->circle('ring', $this->frame->x($x), $this->frame->y($y), 3.0)
                    ->close();
            }
        }
        foreach ($feature->points as $k => $p) {
            $this->frame->grip(
                $this->svg,
                'point',
                $feature->uid,
                $k,
                $p->x,
                $p->y,
                $feature->kind->title().
                    ', point '.
                    ($k + 1).
                    ($feature->kind->isHeightLine() ? ', '.Format::length($p->z, 1) : ''),
            );
        }
    }

    /** The grips of a picked outline or stream, and the name and level of any. */
    private function outline(LandFeature $feature): void
    {
        if ($this->isPicked($feature)) {
            $this->grips($feature, $feature->kind !== FeatureKind::Stream);
        }
        $level = $feature->kind->isLevel() ? Format::cell($feature->points[0]->z, 1) : '';
        $words = trim($feature->name.' '.$level);
        if ($words === '') {
            return;
        }
        $place = $this->labels->place($words, 6.6, 11.0, $this->placesFor($feature, mb_strlen($words) * 6.6));
        if ($place !== null) {
            $this->svg->text(
                'm halo '.($feature->kind->isWet() ? 'water-word' : 'area-word'),
                $place[0],
                $place[1],
                $words,
            );
        }
    }

    /** @return list<array{float, float}> where the name of an area or stream may begin, the best first */
    private function placesFor(LandFeature $feature, float $width): array
    {
        $plan = $feature->plan();
        $places = [];
        if ($feature->kind === FeatureKind::Stream) {
            for ($k = 1; $k < count($plan); $k++) {
                foreach ([0.5, 0.25, 0.75] as $t) {
                    [$x, $y] = [
                        $this->frame->x($plan[$k - 1][0] + $t * ($plan[$k][0] - $plan[$k - 1][0])),
                        $this->frame->y($plan[$k - 1][1] + $t * ($plan[$k][1] - $plan[$k - 1][1])),
                    ];
                    $beside = ($feature->figures['width_mm'] * $this->frame->scale) / 2.0 + 6.0;
                    array_push($places, [$x + $beside, $y + 4.0], [$x - $width - $beside, $y + 4.0]);
                }
            }

            return $places;
        }
        [$x, $y] = [
            $this->frame->x(array_sum(array_column($plan, 0)) / count($plan)),
            $this->frame->y(array_sum(array_column($plan, 1)) / count($plan)),
        ];

        return [
            [$x - $width / 2.0, $y + 4.0],
            [$x - $width / 2.0, $y + 20.0],
            [$x - $width / 2.0, $y - 12.0],
            [$x - $width - 6.0, $y + 4.0],
            [$x + 8.0, $y + 4.0],
        ];
    }

    /** Whether a spot stands at a place and already says its height. */
    private function hasSpot(Spot $p): bool
    {
        foreach ($this->page->features as $feature) {
            if ($feature->kind->isSpot() && hypot($feature->points[0]->x - $p->x, $feature->points[0]->y - $p->y) < 5.0) {
                return true;
            }
        }

        return false;
    }
}
