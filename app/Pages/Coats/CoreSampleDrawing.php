<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use App\Pages\Drawing\StateMarks;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Plan\CoatState;
use IdleRidge\Core\Plan\DryingState;

/**
 * Core samples: each zone as a column, foam at its broken foot, coats upward, thickness by its square root. What is laid
 * ends in a heavy line; what is to come is pale and dashed. Zones that find no room fold to narrow columns.
 */
final class CoreSampleDrawing
{
    private const WIDTH = 698.0;

    private const HEIGHT = 418.0;

    private const FOOT = 376.0;

    private const TOP = 22.0;

    private const OPEN = 33.0;

    private const FOLDED = 18.0;

    /** Drawing units for the root of a millimetre, and the least a coat is drawn. */
    private const ROOT = 20.0;

    private const MIN_HEIGHT = 13.0;

    /** Room that a label's two lines take. */
    private const LABEL = 36.0;

    private Svg $svg;

    /** By how much all columns are drawn taller, so that the tallest fills the sheet. */
    private float $stretch = 1.0;

    private const MAX_STRETCH = 1.8;

    private function __construct(private readonly CoatsPage $page)
    {
        $this->svg = new Svg(self::WIDTH, self::HEIGHT, "Core samples of {$page->section->name}", [
            'id' => 'cores',
            'role' => 'group',
            'class' => 'drawing cores',
        ]);
    }

    public static function of(CoatsPage $page): Svg
    {
        return (new self($page))->draw();
    }

    private function draw(): Svg
    {
        StrataPatterns::define($this->svg);
        $this->svg->line('foot', 12.0, self::FOOT + 6.0, self::WIDTH - 12.0, self::FOOT + 6.0);
        $count = count($this->page->zones);
        $open = $count <= 5 ? $count : max(1, min(4, intdiv((int) (self::WIDTH - 24.0 - 33.0 * $count), 100)));
        $pitch = $count <= 5 ? (self::WIDTH - 20.0) / max(1, $count, 4) : (self::WIDTH - 20.0 - 33.0 * ($count - $open)) / $open;
        $tallest = max(
            1.0,
            ...array_map(
                fn (Zone $z): float => array_sum($this->sizes($this->page->states[$z->uid])) + $this->foam($z),
                array_values($this->page->zones),
            ),
        );
        $this->stretch = max(1.0, min(self::MAX_STRETCH, (self::FOOT - self::TOP - 20.0) / $tallest));
        $x = 14.0;
        foreach ($this->order($open) as $k => $zone) {
            if ($k < $open) {
                $this->column($zone, $x, self::OPEN, $pitch);
                $x += $pitch;
            } else {
                $this->column($zone, $x, self::FOLDED, null);
                $x += 33.0;
            }
        }

        return $this->svg;
    }

    /** @return list<Zone> as they stand, the picked one among the open */
    private function order(int $open): array
    {
        $zones = array_values($this->page->zones);
        foreach ($zones as $k => $zone) {
            if ($zone === $this->page->zone && $k >= $open) {
                array_splice($zones, $k, 1);
                array_splice($zones, $open - 1, 0, [$zone]);
            }
        }

        return $zones;
    }

    private function column(Zone $zone, float $x, float $width, ?float $pitch): void
    {
        $area = $this->page->areas[$zone->uid];
        $states = $this->page->states[$zone->uid];
        $laid = $this->laidFirst($states);
        $foam = max(0.0, $area->height);
        $tall = $this->foam($zone) * $this->stretch;
        $sizes = array_map(fn (float $size): float => $size * $this->stretch, $this->sizes($states));
        $room = self::FOOT - self::TOP - $tall - 14.0;
        $shrink = array_sum($sizes) > $room ? $room / array_sum($sizes) : 1.0;
        $y = self::FOOT - $tall;
        $this->stratum('foam', $x, self::FOOT, $y, $width, $this->formed()?->isWhole() ?? true, Family::Foam, 'broken');
        $marks = [[self::FOOT - $tall / 2.0, null]];
        $level = $y;
        foreach ($states as $k => $state) {
            $size = $sizes[$k] * $shrink;
            $share = $state->all === 0 ? 0.0 : $state->laid / $state->all;
            $cut = $y - $size * $share;
            if ($share > 0.0) {
                $this->stratum($state->coat->uid.'-l', $x, $y, $cut, $width, true, $state->coat->recipe->family);
                $level = $cut;
            }
            if ($share < 1.0) {
                $this->stratum($state->coat->uid.'-b', $x, $cut, $y - $size, $width, false, $state->coat->recipe->family);
            }
            $this->steps($state, $x, $y, $size, $width);
            $marks[] = [$y - $size / 2.0, $state];
            $y -= $size;
        }
        $this->svg->line('level-line', $x - 4.0, $level, $x + $width + 4.0, $level);
        $this->foot($zone, $x, $width, $laid, count($states), $pitch);
        if ($pitch !== null) {
            $this->labels($zone, $marks, $x + $width, $pitch - $width - 14.0, $foam);
        } else {
            $this->foldedMarks($states, $sizes, $shrink, $x, self::FOOT - $tall);
            $this->svg
                ->open(['transform' => 'translate('.Svg::n($x + 13.0).' '.Svg::n($y - 8.0).') rotate(-90)'])
                ->text('h', 0.0, 0.0, $this->fitting($zone->name, 6.6, min(110.0, $y - 10.0)))
                ->close();
        }
    }

    /** The steps that make one stratum, from below, those that are wet in water's colour; and for how many hours it is wet. */
    private function steps(CoatState $state, float $x, float $bottom, float $size, float $width): void
    {
        $steps = ActSteps::of($state->coat->recipe);
        if ($steps === [] || $size < 9.0 || $width < 24.0) {
            return;
        }
        foreach ($steps as $k => $step) {
            $this->svg->circle($step['wet'] || $step['wets'] ? 'step-dot wet' : 'step-dot', $x + 5.0 + 5.0 * $k, $bottom - 4.5, 1.7);
        }
        $plan = $this->page->plan;
        $next = $state->next;
        $wets = $next !== null && $next->move->recipe->parts !== [];
        if ($next !== null && $wets && $size >= 21.0 && isset($next->move->recipe->cure->minutes[Milestone::TouchDry->value])) {
            $hours = ($plan->reached($next, Milestone::TouchDry, 0.5) - $next->end) / 60.0;
            $this->svg->text('m wet-hours', $x + $width / 2.0, $bottom - 10.0, Decimal::trimmed($hours, 0).' h', 'middle');
        }
    }

    /** How far the foam under all zones has come; null where it is not on the schedule. */
    private function formed(): ?CoatState
    {
        foreach (array_merge(...array_values($this->page->states)) as $state) {
            if ($state->coat->recipe->stage === Stage::Form) {
                return $state;
            }
        }

        return null;
    }

    private function foam(Zone $zone): float
    {
        return 28.0 + 5.0 * sqrt(max(0.0, $this->page->areas[$zone->uid]->height));
    }

    /**
     * @param  list<CoatState>  $states
     * @return list<float>
     */
    private function sizes(array $states): array
    {
        return array_map(fn (CoatState $s): float => max(self::MIN_HEIGHT, self::ROOT * sqrt($s->coat->mm * $s->coat->passes)), $states);
    }

    /** @param  list<CoatState>  $states */
    private function laidFirst(array $states): int
    {
        return count(array_filter($states, fn (CoatState $s): bool => $s->isWhole()));
    }

    private function stratum(
        string $id,
        float $x,
        float $bottom,
        float $top,
        float $width,
        bool $laid,
        Family $family,
        string $foot = '',
    ): void {
        $edge = fn (float $y, float $swing): array => array_map(
            fn (int $k): array => [$x + ($width * $k) / 8.0, $y + $swing * sin(2.3 * $k + strlen($id) + ord(substr($id, -3, 1)))],
            range(0, 8),
        );
        $low =
            $foot === 'broken'
                ? array_map(fn (int $k): array => [$x + ($width * $k) / 8.0, $bottom + ($k % 2 === 0 ? 3.0 : -3.0)], range(0, 8))
                : [[$x, $bottom], [$x + $width, $bottom]];
        $high = $edge($top, $family === Family::Paint || $family === Family::Gloss ? 0.5 : 1.1);
        $d = Svg::d([...$low, ...array_reverse($high)], true);
        $this->svg->path($laid ? 'stratum' : 'stratum to-come', $d, ['fill' => StrataPatterns::fill($family->value)]);
    }

    private function foot(Zone $zone, float $x, float $width, int $laid, int $all, ?float $pitch): void
    {
        $y = self::FOOT + 22.0;
        if ($pitch === null) {
            $this->svg->text('m tick', $x + $width / 2.0, $y, "{$laid}/{$all}", 'middle');

            return;
        }
        $this->svg
            ->link(($this->page->address)(['zone' => $zone->uid]))
            ->text($zone === $this->page->zone ? 'h on' : 'h', $x, $y, $this->fitting($zone->name, 6.4, $pitch - 6.0))
            ->endLink();
        $this->svg->text('note small', $x, $y + 15.0, $all === 0 ? 'no coats yet' : "{$laid} of {$all} laid");
    }

    /** @param  list<array{float, CoatState|null}>  $marks from the foot upward */
    private function labels(Zone $zone, array $marks, float $right, float $room, float $foam): void
    {
        $gap = min(self::LABEL + 5.0, (self::FOOT - self::TOP) / max(1, count($marks)));
        $places = [];
        $limit = self::FOOT - 8.0;
        foreach ($marks as [$y]) {
            $limit = min($y, $limit);
            $places[] = $limit;
            $limit -= $gap;
        }
        // What was pushed over the top comes down again.
        $least = self::TOP + 14.0;
        for ($k = count($places) - 1; $k >= 0 && $places[$k] < $least; $k--) {
            $places[$k] = $least;
            $least += $gap;
        }
        foreach ($marks as $k => [$y, $state]) {
            $at = $places[$k];
            $left = $right + 12.0;
            $this->svg->path(
                'leader-line',
                Svg::d([[$right, $y], [$right + 5.0, $y], [$right + 8.0, $at - 4.0], [$left - 1.0, $at - 4.0]]),
            );
            if ($state === null) {
                $layers = $this->page->plan->work->project->layout->cuts->school->isFoam();
                $this->svg
                    ->text('h', $left, $at, $layers ? 'Foam' : 'Shell')
                    ->text('m tick', $left + 36.0, $at, '≈ '.Format::about($foam));
                $count = max(1, (int) ceil($foam / $this->page->sheet));
                $words = $layers ? $count.($count === 1 ? ' layer' : ' layers') : 'ribs and web';
                $this->svg->text(
                    'note small',
                    $left,
                    $at + 14.0,
                    $words.($this->formed() === null || $this->formed()->isWhole() ? '' : ', not up yet'),
                );

                continue;
            }
            $this->label($zone, $state, $left, $at, $room);
        }
    }

    private function label(Zone $zone, CoatState $state, float $left, float $at, float $room): void
    {
        $on = $this->page->picked !== null && $this->page->picked->coat->uid === $state->coat->uid;
        if ($on) {
            $this->svg->rect('picked-wash', $left - 4.0, $at - 13.0, $room + 6.0, self::LABEL);
        }
        $words = $this->words($state);
        $this->svg
            ->link(($this->page->address)(['zone' => $zone->uid, 'coat' => $state->coat->uid]))
            ->rect('target', $left - 4.0, $at - 13.0, $room + 6.0, self::LABEL);
        $name = $this->fitting($state->coat->title(), 5.9, $room);
        $this->svg->text($on ? 'h on' : 'h', $left, $at, $name);
        $mm = Format::cell($state->coat->mm * $state->coat->passes, 1);
        if (mb_strlen($name) * 5.9 + 6.5 * mb_strlen($mm) + 4.0 <= $room) {
            $this->svg->text('m tick', $left + mb_strlen($name) * 5.9 + 3.0, $at, $mm);
        }
        StateMarks::draw($this->svg, $state->state, $left, $at + 4.0);
        $this->svg
            ->text("st-word st-{$state->state->value}", $left + 16.0, $at + 14.0, $this->fitting($words, 5.5, $room - 14.0))
            ->endLink();
    }

    private function words(CoatState $state): string
    {
        $clock = $this->page->words;
        $when = match (true) {
            $state->laid > 0 && ! $state->isWhole() => "{$state->laid}/{$state->all}",
            $state->last !== null => $clock->shortDay($this->page->plan->work->endOf($state->last)),
            $state->state === DryingState::Blocked => $state->held?->kind->word() ?? '',
            $state->next !== null => $clock->shortDay($state->next->start),
            default => '',
        };

        return trim("{$state->state->value} {$when}");
    }

    /**
     * @param  list<CoatState>  $states
     * @param  list<float>  $sizes
     */
    private function foldedMarks(array $states, array $sizes, float $shrink, float $x, float $y): void
    {
        foreach ($states as $k => $state) {
            $size = $sizes[$k] * $shrink;
            if (! in_array($state->state, [DryingState::Ready, DryingState::Bare], true)) {
                StateMarks::draw($this->svg, $state->state, $x + self::FOLDED + 1.0, $y - $size / 2.0 - 6.0);
            }
            $y -= $size;
        }
    }

    private function fitting(string $text, float $perCharacter, float $room): string
    {
        $most = max(3, (int) floor($room / $perCharacter));

        return mb_strlen($text) <= $most ? $text : rtrim(mb_substr($text, 0, $most - 1)).'…';
    }
}
