<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use DateTimeImmutable;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Project\Section;

/**
 * All sections against the coming days: nights as dusk, sessions as lit windows that stand through all of it, work as solid
 * panes in them, and what is laid running on as a tail that thins out between its 50 and 90 % time.
 */
final class TimelineDrawing
{
    private const WIDTH = 1142.0;

    private const LEFT = 196.0;

    private const TOP = 34.0;

    private const LANE = 15.0;

    /** The least room of a section, and what lies between two. */
    private const MIN_ROW = 34.0;

    private const GAP = 10.0;

    private Svg $svg;

    private float $height = 0.0;

    /** @var array<string, array{float, float}> move → where its pane stands */
    private array $panes = [];

    private function __construct(private readonly DryingPage $page)
    {
    }

    public static function of(DryingPage $page): Svg
    {
        return (new self($page))->draw();
    }

    private function draw(): Svg
    {
        $project = $this->page->plan->work->project;
        $rows = [];
        $y = self::TOP + 8.0;
        foreach ($project->sections as $section) {
            $zones = array_values($project->works->zonesOf($section->uid));
            $rows[] = [$section, $zones, $y];
            $y += max(self::MIN_ROW, self::LANE * count($zones) + 6.0) + self::GAP;
        }
        $this->height = $y + 14.0;
        $this->svg = new Svg(self::WIDTH, $this->height, 'The drying line: sections against the coming days', [
            'id' => 'dusk',
            'role' => 'group',
            'class' => 'drawing dusk-line',
        ]);
        $this->svg->rect('dusk', 0.0, 0.0, self::WIDTH, $this->height);
        $this->days();
        $this->sessions();
        foreach ($rows as [$section, $zones, $top]) {
            $this->section($section, $zones, $top);
        }
        $this->chain();
        $this->moments();

        return $this->svg;
    }

    private function x(float $minute): float
    {
        $whole = 1440.0 * $this->page->days;

        return self::LEFT + (self::WIDTH - self::LEFT - 8.0) * max(0.0, min(1.0, ($minute - $this->page->from) / $whole));
    }

    private function days(): void
    {
        $room = $this->page->plan->work->project->works->rooms[0] ?? null;
        $day = $this->page->words->at($this->page->from);
        $wide = $this->x($this->page->from + 1440) - $this->x($this->page->from);
        for ($k = 0; $k < $this->page->days; $k++) {
            $at = $day->modify("+{$k} days");
            $begin = intdiv($at->getTimestamp(), 60);
            if ($room !== null) {
                $this->svg->rect(
                    'daylight',
                    $this->x($begin + $room->dayFrom),
                    self::TOP - 8.0,
                    $this->x($begin + $room->dayTo) - $this->x($begin + $room->dayFrom),
                    $this->height - self::TOP + 2.0,
                );
            }
            $this->svg->line(
                $at->format('N') === '1' ? 'day-line week' : 'day-line',
                $this->x($begin),
                self::TOP - 8.0,
                $this->x($begin),
                $this->height - 6.0,
            );
            $this->svg->text(
                $at->format('N') >= '6' ? 'h dusk-word' : 'h dusk-soft',
                $this->x($begin + 720),
                18.0,
                $at->format($wide > 62.0 ? 'D j M' : 'D j'),
                'middle',
            );
        }
    }

    private function sessions(): void
    {
        foreach ($this->page->plan->work->sessions as [$from, $to]) {
            if ($from < $this->end()) {
                [$a, $b] = [$this->x($from), $this->x($to)];
                $this->svg->rect('lit-slot', $a, self::TOP - 8.0, max(3.0, $b - $a), $this->height - self::TOP + 2.0);
            }
        }
    }

    /** @param  list<Zone>  $zones */
    private function section(Section $section, array $zones, float $top): void
    {
        $this->svg->text(
            'h dusk-word',
            12.0,
            $top + 14.0,
            mb_strlen($section->name) > 15 ? mb_substr($section->name, 0, 14).'…' : $section->name,
        );
        $ready = $this->page->plan->ready(0.5, $section);
        $this->svg->text(
            'dusk-soft small',
            12.0,
            $top + 29.0,
            $zones === []
                ? 'no zones yet'
                : ($ready === null
                    ? 'nothing planned'
                    : 'cured '.$this->page->words->at($ready)->format('j M')),
        );
        foreach ($zones as $k => $zone) {
            $y = $top + self::LANE * $k + 8.0;
            $this->svg
                ->line('lane', self::LEFT, $y, self::WIDTH - 8.0, $y)
                ->text(
                    'dusk-soft small',
                    self::LEFT - 8.0,
                    $y + 4.0,
                    mb_strlen($zone->name) > 14 ? rtrim(mb_substr($zone->name, 0, 13)).'…' : $zone->name,
                    'end',
                );
            $this->zone($zone, $y);
        }
        $bottom = $top + max(self::MIN_ROW, self::LANE * count($zones) + 6.0) + self::GAP / 2.0 - 2.0;
        $this->svg->line('shore', 8.0, $bottom, self::WIDTH - 8.0, $bottom);
    }

    private function zone(Zone $zone, float $y): void
    {
        $plan = $this->page->plan;
        foreach ($plan->work->project->works->laid as $laid) {
            if ($laid->zone === $zone->uid && $this->worth($laid)) {
                $end = (float) $plan->work->endOf($laid);
                $milestone = $plan->opens($laid)[1] ?? $laid->recipe->needsOf($laid->recipe);
                $this->tail($end, $plan->work->reached($laid, $milestone, 0.5), $plan->work->reached($laid, $milestone, 0.9), $y, 'was');
                $this->pane((float) $laid->startedAt, $end, $y, 'work laid', "{$laid->title} on {$zone->name}, laid", null);
            }
        }
        foreach ($plan->moves as $placed) {
            if ($placed->move->zone->uid === $zone->uid && $placed->start < $this->end()) {
                $milestone = $plan->opens($placed->move)[1] ?? $placed->move->recipe->needsOf($placed->move->recipe);
                $this->tail(
                    (float) $placed->end,
                    $plan->reached($placed, $milestone, 0.5),
                    $plan->reached($placed, $milestone, 0.9),
                    $y,
                    'will',
                );
            }
        }
        foreach ($plan->moves as $placed) {
            if ($placed->move->zone->uid === $zone->uid && $placed->start < $this->end()) {
                $this->planned($placed, $y);
            }
        }
    }

    /** What dried long before the first day shown is left out. */
    private function worth(CoatApplication $laid): bool
    {
        $plan = $this->page->plan;

        return $plan->work->reached($laid, $plan->opens($laid)[1] ?? BenchPlan::through($laid->recipe->cure->minutes), 0.9) >
            $this->page->from;
    }

    private function planned(PlacedMove $placed, float $y): void
    {
        $words = $this->page->words;
        $on = $placed->move->id === $this->page->picked;
        $label =
            "{$placed->move->title()} on {$placed->move->zone->name}, {$words->moment($placed->start)}, "
                ."{$placed->move->minutes} minutes: {$placed->reason()->text}";
        $this->pane((float) $placed->start, (float) $placed->end, $y, $on ? 'work on' : 'work', $label, $placed->move->id);
        $this->panes[$placed->move->id] = [($this->x($placed->start) + $this->x($placed->end)) / 2.0, $y];
    }

    private function pane(float $from, float $to, float $y, string $class, string $label, ?string $move): void
    {
        if ($to < $this->page->from) {
            return;
        }
        [$a, $b] = [$this->x($from), $this->x($to)];
        if ($move !== null) {
            $this->svg->link(($this->page->address)($move), $label);
        }
        $this->svg
            ->open()
            ->title($label)
            ->rect('target', ($a + $b) / 2.0 - 6.0, $y - 7.0, 12.0, 14.0)
            ->rect($class, $a, $y - 5.5, max(3.0, $b - $a), 11.0)
            ->close();
        if ($move !== null) {
            $this->svg->endLink();
        }
    }

    private function tail(float $from, float $half, float $most, float $y, string $class): void
    {
        [$a, $b, $c] = [$this->x($from), $this->x($half), $this->x($most)];
        $this->svg->path("dry {$class}", Svg::d([[$a, $y - 2.0], [$b, $y - 2.0], [$c, $y], [$b, $y + 2.0], [$a, $y + 2.0]], true));
        if ($b > $a + 1.0) {
            $this->svg->line("dry-tick {$class}", $b, $y - 4.0, $b, $y + 4.0);
        }
    }

    private function chain(): void
    {
        $points = [];
        foreach ($this->page->chain as $id) {
            if (isset($this->panes[$id])) {
                $points[] = $this->panes[$id];
            }
        }
        for ($k = 1; $k < count($points); $k++) {
            [$a, $b] = [$points[$k - 1], $points[$k]];
            $this->svg->path('chain', Svg::d($a[1] === $b[1] ? [[$a[0], $a[1] - 6.5], [$b[0], $b[1] - 6.5]] : [$a, [$b[0], $a[1]], $b]));
        }
    }

    private function moments(): void
    {
        $words = $this->page->words;
        $this->svg
            ->line('now-line', $this->x($words->now), self::TOP - 10.0, $this->x($words->now), $this->height - 4.0)
            ->circle('now-ring', $this->x($words->now), self::TOP - 10.0, 4.0);
        $show = $this->page->plan->work->project->layout->showOn;
        if ($show !== null) {
            $at = intdiv((new DateTimeImmutable($show, $this->page->plan->work->zone()))->getTimestamp(), 60);
            if ($at > $this->page->from && $at < $this->end()) {
                $this->svg
                    ->line('show-line', $this->x($at), self::TOP - 8.0, $this->x($at), $this->height - 6.0)
                    ->text('h show-word', $this->x($at) + 5.0, $this->height - 6.0, 'show');
            }
        }
    }

    private function end(): int
    {
        return $this->page->from + 1440 * $this->page->days;
    }
}
