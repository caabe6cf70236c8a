<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Plan\PlacedMove;

/**
 * The session as a lit window in the dusk: moves are panes in true proportion, waiting is bare glass; below, what is laid
 * runs on drying into the night, where the scale of time changes.
 */
final class SessionDrawing
{
    private const WIDTH = 1142.0;

    private const LEFT = 30.0;

    private const RIGHT = 726.0;

    /** Minutes a unit in the night. */
    private const NIGHT = 6.5;

    private const NIGHT_END = 980.0;

    private const PANE_TOP = 46.0;

    private const PANE = 50.0;

    private const TAIL = 16.0;

    private Svg $svg;

    private float $height;

    private function __construct(private readonly TonightPage $page)
    {
    }

    public static function of(TonightPage $page): Svg
    {
        return (new self($page))->draw();
    }

    private function draw(): Svg
    {
        $tails = $this->tails();
        $this->height = 124.0 + self::TAIL * max(2, count($tails)) + 12.0;
        $clock = $this->page->words;
        [$from, $to] = $this->page->session;
        $this->svg = new Svg(
            self::WIDTH,
            $this->height,
            'The session as a lit window: '.$clock->clock($from).' to '.$clock->clock($to),
            ['id' => 'window', 'class' => 'drawing lit-window'],
        );
        $this->svg->hatch('bare-glass', 'glass-line', 7.0, 45.0);
        $this->svg->rect('dusk', 0.0, 0.0, self::WIDTH, $this->height)->path('dusk-hills', $this->hills());
        $this->svg
            ->rect('window-frame', self::LEFT - 5.0, 21.0, self::RIGHT - self::LEFT + 10.0, $this->height - 29.0)
            ->rect('lit', self::LEFT, 26.0, self::RIGHT - self::LEFT, $this->height - 39.0);
        $this->clock($from, $to);
        $this->panes();
        foreach ($tails as $k => $tail) {
            $this->tail($tail, self::PANE_TOP + self::PANE + 22.0 + self::TAIL * $k);
        }
        $this->moment();

        return $this->svg;
    }

    private function x(float $minute): float
    {
        [$from, $to] = $this->page->session;
        $scale = (self::RIGHT - self::LEFT) / ($to - $from);

        return $minute <= $to
            ? self::LEFT + max(0.0, $minute - $from) * $scale
            : min(self::NIGHT_END, self::RIGHT + ($minute - $to) / self::NIGHT);
    }

    private function clock(int $from, int $to): void
    {
        $clock = $this->page->words;
        $step = $to - $from > 240 ? 60 : 30;
        for ($minute = (int) (ceil($from / $step) * $step); $minute <= $to; $minute += 10) {
            $strong = $minute % $step === 0;
            $this->svg->line($strong ? 'bar strong' : 'bar', $this->x($minute), 26.0, $this->x($minute), $this->height - 13.0);
        }
        $marks = [
            $from,
            ...array_filter(
                range((int) (ceil($from / $step) * $step), $to, $step),
                fn (int $m): bool => $m - $from > 0.4 * $step && $to - $m > 0.4 * $step,
            ),
            $to,
        ];
        foreach ($marks as $k => $minute) {
            $this->svg->text('m dusk-word', $this->x($minute), 15.0, $clock->clock($minute), $k === 0 ? 'start' : 'middle');
        }
        // The night: a mark every six hours, as far as it goes.
        $six = 360;
        for ($minute = (int) (ceil(($to + 60) / $six) * $six); $this->x($minute) < self::NIGHT_END; $minute += $six) {
            $local = $minute - (int) (($clock->at($minute)->getOffset() / 60) % $six);
            if ($this->x($local) > self::RIGHT + 34.0 && $this->x($local) < self::NIGHT_END - 14.0) {
                $this->svg
                    ->line('night-bar', $this->x($local), 21.0, $this->x($local), $this->height - 8.0)
                    ->text('m dusk-soft', $this->x($local), 15.0, $clock->clock($local), 'middle');
            }
        }
        $this->svg
            ->text('dusk-soft small', self::WIDTH - 16.0, 15.0, 'ready, 50–90 %', 'end')
            ->text(
                'dusk-soft small',
                self::RIGHT + 14.0,
                38.0,
                'after lights out time runs '.round((self::NIGHT * (self::RIGHT - self::LEFT)) / ($to - $from)).' times as fast here',
            );
    }

    private function panes(): void
    {
        $until = $this->page->session[0];
        $number = 0;
        foreach ($this->page->done as $laid) {
            $this->pane((float) $laid->startedAt, (float) $laid->endedAt, ++$number, $laid->title, 'pane done');
            $until = max($until, (int) $laid->endedAt);
        }
        if ($this->page->current !== null) {
            $laid = $this->page->current;
            $this->pane((float) $laid->startedAt, (float) $this->page->plan->work->endOf($laid), ++$number, $laid->title, 'pane now');
            $until = max($until, $this->page->plan->work->endOf($laid));
        }
        foreach ($this->page->moves as $placed) {
            if ($placed->start - $until >= 2) {
                $this->glass($until, $placed->start);
            }
            $this->pane(
                (float) $placed->start,
                (float) $placed->end,
                ++$number,
                $placed->move->name(),
                $number === $this->page->next() && $this->page->current === null ? 'pane first' : 'pane',
            );
            $until = max($until, $placed->end);
        }
        if ($this->page->session[1] - $until >= 2) {
            $this->glass($until, $this->page->session[1]);
        }
    }

    private function pane(float $from, float $to, int $number, string $title, string $class): void
    {
        [$a, $b] = [$this->x($from), $this->x($to)];
        $wide = max(3.0, $b - $a - 2.0);
        $this->svg
            ->rect($class, $a + 1.0, self::PANE_TOP, $wide, self::PANE)
            ->line('pane-edge', $a + 1.0, self::PANE_TOP, $a + 1.0 + $wide, self::PANE_TOP);
        if ($wide >= 16.0) {
            $this->svg->text('pane-number', $a + min(8.0, $wide / 2.0 - 5.0), self::PANE_TOP + 23.0, (string) $number);
        }
        $minutes = (string) (int) round($to - $from);
        if ($wide >= 46.0) {
            $this->svg->text('m lit-word', $b - 7.0, self::PANE_TOP + 21.0, $minutes, 'end');
        }
        $words = $title;
        $most = (int) floor(($wide - 12.0) / 6.0);
        if ($most >= 4) {
            $this->svg->text(
                'h lit-word',
                $a + 8.0,
                self::PANE_TOP + 41.0,
                mb_strlen($words) > $most ? rtrim(mb_substr($words, 0, $most - 1)).'…' : $words,
            );
        }
    }

    private function glass(int $from, int $to): void
    {
        [$a, $b] = [$this->x($from), $this->x($to)];
        $this->svg->rect('glass', $a + 1.0, self::PANE_TOP, $b - $a - 2.0, self::PANE, ['fill' => 'url(#bare-glass)']);
        $words = 'free '.($to - $from);
        if ($b - $a > 54.0) {
            $this->svg
                ->rect('lit', ($a + $b) / 2.0 - 24.0, self::PANE_TOP + 16.0, 48.0, 17.0)
                ->text('lit-word', ($a + $b) / 2.0, self::PANE_TOP + 29.0, $words, 'middle');
        }
    }

    /** @return list<array{from: float, half: float, most: float, name: string}> one for each coat that is laid in the session */
    private function tails(): array
    {
        $out = [];
        $add = function (string $coat, string $name, float $from, float $half, float $most) use (&$out): void {
            $out[$coat] = ['from' => $out[$coat]['from'] ?? $from, 'half' => $half, 'most' => $most, 'name' => $name];
        };
        $work = $this->page->plan->work;
        foreach ([...$this->page->done, ...array_filter([$this->page->current])] as $laid) {
            $milestone = $this->milestone($laid);
            $add(
                $laid->coat,
                $laid->title,
                (float) $work->endOf($laid),
                $work->reached($laid, $milestone, 0.5),
                $work->reached($laid, $milestone, 0.9),
            );
        }
        foreach ($this->page->moves as $placed) {
            // What only takes up, lifts or sands leaves nothing to dry.
            if ($placed->move->recipe->parts === []) {
                continue;
            }
            $milestone = $this->milestone($placed);
            $add(
                $placed->move->coat->uid,
                $placed->move->name(),
                (float) $placed->end,
                $this->page->plan->reached($placed, $milestone, 0.5),
                $this->page->plan->reached($placed, $milestone, 0.9),
            );
        }

        return array_values($out);
    }

    private function milestone(CoatApplication|PlacedMove $what): Milestone
    {
        $recipe = $what instanceof CoatApplication ? $what->recipe : $what->move->recipe;

        return $this->page->plan->opens($what instanceof CoatApplication ? $what : $what->move)[1] ?? $recipe->needsOf($recipe);
    }

    /** @param  array{from: float, half: float, most: float, name: string}  $tail */
    private function tail(array $tail, float $y): void
    {
        [$a, $b, $c] = [$this->x($tail['from']), $this->x($tail['half']), $this->x($tail['most'])];
        $to = $this->page->session[1];
        $edge = min(self::RIGHT, $b);
        $this->svg->line('tail lit-tail', $a, $y, max($a, $edge), $y);
        if ($b > self::RIGHT) {
            $this->svg->line('tail night-tail', max($a, self::RIGHT), $y, $b, $y);
        }
        $this->svg->circle('tail-start', $a, $y, 4.0);
        $night = $tail['half'] > $to ? ' night' : '';
        if ($b >= self::NIGHT_END) {
            // It goes on beyond what is shown.
            $this->svg->path("tail-tick{$night}", Svg::d([[$b + 3.0, $y - 5.0], [$b + 8.0, $y], [$b + 3.0, $y + 5.0]]));
        } else {
            $this->svg
                ->path("taper{$night}", Svg::d([[$b, $y - 2.5], [$c, $y], [$b, $y + 2.5]], true))
                ->line("tail-tick{$night}", $b, $y - 6.0, $b, $y + 6.0);
        }
        $words = $this->page->words;
        $range = $words->isToday((int) $tail['most'])
            ? $words->clock((int) $tail['half']).'–'.$words->clock((int) $tail['most'])
            : ($tail['most'] - $this->page->words->now < 1440
                ? $words->clock((int) $tail['half']).'–'.$words->clock((int) $tail['most'])
                : $words->at((int) $tail['half'])->format('D H:i').'–'.$words->at((int) $tail['most'])->format('D H:i'));
        $this->svg->text('m dusk-word', self::WIDTH - 16.0, $y + 4.0, $range, 'end');
        $name = $tail['name'];
        $room = self::RIGHT - $a - 14.0;
        if (mb_strlen($name) * 6.0 < $room && $b - $a > 40.0) {
            $this->svg->text('lit-word small halo-lit', $a + 9.0, $y - 4.0, $name);
        } else {
            $this->svg->text('lit-word small halo-lit', $a - 9.0, $y + 4.0, $name, 'end');
        }
    }

    private function moment(): void
    {
        $now = $this->page->words->now;
        [$from, $to] = $this->page->session;
        if ($now > $from && $now < $to) {
            $this->svg
                ->line('now-line', $this->x($now), 18.0, $this->x($now), $this->height - 8.0)
                ->circle('now-ring', $this->x($now), self::PANE_TOP + self::PANE + 8.0, 4.5);
        }
    }

    private function hills(): string
    {
        $points = [[0.0, $this->height]];
        for ($x = 0; $x <= self::WIDTH; $x += 30) {
            $points[] = [(float) $x, 112.0 + 9.0 * sin($x / 97.0) + 6.0 * sin($x / 41.0 + 1.0)];
        }
        $points[] = [self::WIDTH, $this->height];

        return Svg::d($points, true);
    }
}
