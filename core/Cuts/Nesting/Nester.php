<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts\Nesting;

use IdleRidge\Core\Measure\Budget;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\StepBudget;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Lays outlines on sheets. One after the other, each goes furthest left and there lowest, on the first sheet that takes it, in
 * the rotation that ends furthest left; the order of the pieces, and now and then a rotation, is then improved by simulated
 * annealing (S. Kirkpatrick, C. Gelatt and M. Vecchi, Science 220, 1983) for as long as it may take.
 */
final class Nester
{
    /** Width of the columns that shadows are told in, mm. */
    private const COLUMN_WIDTH_MM = 2.0;

    private const START_TEMPERATURE = 60.0;

    private const END_TEMPERATURE = 2.0;

    /** @var list<list<PieceShadow>> piece → its rotations */
    private array $shadows = [];

    /** @var list<int> pieces that fit some empty sheet */
    private array $fit = [];

    private function __construct(private readonly NestProblem $problem)
    {
        foreach ($problem->pieces as $k => $piece) {
            $this->shadows[] = array_map(
                fn (float $turn): PieceShadow => PieceShadow::of($piece, $turn, self::COLUMN_WIDTH_MM, $problem->kerf),
                $problem->rotations,
            );
            foreach ($problem->sheets as $sheet) {
                $fill = new SheetFill($sheet, self::COLUMN_WIDTH_MM, $problem->margin);
                if (array_filter($this->shadows[$k], fn (PieceShadow $s): bool => $sheet->count > 0 && $fill->place($s) !== null) !== []) {
                    $this->fit[] = $k;
                    break;
                }
            }
        }
    }

    /**
     * @param  Budget|null  $budget what the order may be improved with, a step of it one other order; none for a single pass
     * @param  (callable(float): bool)|null  $goOn told how far it is, 0 … 1; false ends it with what there is
     *
     * @throws InvalidValue when there is no sheet at all
     */
    public static function lay(NestProblem $problem, ?Budget $budget = null, int $seed = 1, ?callable $goOn = null): NestResult
    {
        if (array_sum(array_map(fn (NestSheet $s): int => $s->count, $problem->sheets)) === 0 && $problem->pieces !== []) {
            throw new InvalidValue('There is no sheet to cut from.', 'sheets');
        }

        return (new self($problem))->search($budget ?? new StepBudget(0), $seed, $goOn);
    }

    /** @param  (callable(float): bool)|null  $goOn */
    private function search(Budget $budget, int $seed, ?callable $goOn): NestResult
    {
        $random = new Randomizer(new Mt19937($seed));
        $order = $this->fit;
        usort($order, fn (int $a, int $b): int => $this->problem->pieces[$b]->area <=> $this->problem->pieces[$a]->area);
        $turns = [];
        $budget->spent();
        [$best, $bestScore] = $this->filled($order, $turns);
        $score = $bestScore;
        // Two more first orders: by the longer side, and by height.
        foreach ([fn (PieceShadow $s): float => max($s->width, $s->height), fn (PieceShadow $s): float => $s->height] as $by) {
            $other = $this->fit;
            usort($other, fn (int $a, int $b): int => $by($this->shadows[$b][0]) <=> $by($this->shadows[$a][0]));
            [$nested, $itsScore] = $this->filled($other, []);
            if ($itsScore < $score) {
                [$order, $score, $best, $bestScore] = [$other, $itsScore, $nested, $itsScore];
            }
        }
        while (count($order) > 1 && $budget->take()) {
            $share = $budget->spent();
            if ($goOn !== null && ! $goOn($share)) {
                break;
            }
            [$next, $nextTurns] = $this->changed($order, $turns, $random);
            [$nested, $nextScore] = $this->filled($next, $nextTurns);
            $heat = self::START_TEMPERATURE * (self::END_TEMPERATURE / self::START_TEMPERATURE) ** $share;
            if ($nextScore <= $score || $random->getInt(0, 1_000_000) / 1e6 < exp(($score - $nextScore) / $heat)) {
                [$order, $turns, $score] = [$next, $nextTurns, $nextScore];
            }
            if ($nextScore < $bestScore) {
                [$best, $bestScore] = [$nested, $nextScore];
            }
        }

        return $best;
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, int>  $turns piece → rotation that it is held to
     * @return array{list<int>, array<int, int>}
     */
    private function changed(array $order, array $turns, Randomizer $random): array
    {
        $n = count($order);
        $a = $random->getInt(0, $n - 1);
        $b = $random->getInt(0, $n - 1);
        $kind = $random->getInt(0, 9);
        if ($kind < 4) {
            [$order[$a], $order[$b]] = [$order[$b], $order[$a]];
        } elseif ($kind < 7) {
            $moved = array_splice($order, $a, 1);
            array_splice($order, $b, 0, $moved);
        } elseif (isset($turns[$order[$a]]) && $kind === 7) {
            unset($turns[$order[$a]]);
        } else {
            $turns[$order[$a]] = $random->getInt(0, count($this->problem->rotations) - 1);
        }

        return [array_values($order), $turns];
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, int>  $turns
     * @return array{NestResult, float} and its score: sheets weigh most, then the length used
     */
    private function filled(array $order, array $turns): array
    {
        /** @var list<array{SheetFill, int}> $open */
        $open = [];
        $left = array_map(fn (NestSheet $s): int => $s->count, $this->problem->sheets);
        $placements = $unplaced = [];
        $area = $reach = 0.0;
        foreach ($order as $piece) {
            $shadows = isset($turns[$piece]) ? [$this->shadows[$piece][$turns[$piece]], ...$this->shadows[$piece]] : $this->shadows[$piece];
            $held = isset($turns[$piece]);
            $laid = null;
            foreach ($open as [$fill, $index]) {
                $laid = $this->best($fill, $shadows, $held);
                if ($laid !== null) {
                    break;
                }
            }
            for ($k = 0; $laid === null && $k < count($left); $k++) {
                $fill = $left[$k] > 0 ? new SheetFill($this->problem->sheets[$k], self::COLUMN_WIDTH_MM, $this->problem->margin) : null;
                $laid = $fill === null ? null : $this->best($fill, $shadows, $held);
                if ($fill !== null && $laid !== null) {
                    $index = $this->problem->sheets[$k]->count - $left[$k];
                    $left[$k]--;
                    $open[] = [$fill, $index];
                }
            }
            if ($laid === null || ! isset($fill, $index)) {
                $unplaced[] = $piece;

                continue;
            }
            [$shadow, $at, $foot] = $laid;
            $fill->lay($shadow, $at, $foot);
            $area += $this->problem->pieces[$piece]->area;
            $reach += $at * self::COLUMN_WIDTH_MM;
            $placements[] = [
                'piece' => $this->problem->pieces[$piece]->id,
                'sheet' => $fill->sheet->id,
                'index' => $index,
                'rotation' => $shadow->rotation,
                'dx' => $this->problem->margin + $at * self::COLUMN_WIDTH_MM - $shadow->x,
                'dy' => $this->problem->margin + $foot - $shadow->y,
            ];
        }
        $used = array_map(
            fn (array $o): array => [
                'sheet' => $o[0]->sheet->id,
                'index' => $o[1],
                'left' => $this->problem->margin + $o[0]->left,
                'right' => $this->problem->margin + $o[0]->right,
                'width' => $o[0]->sheet->width,
                'height' => $o[0]->sheet->height,
            ],
            $open,
        );
        $never = array_diff(array_keys($this->problem->pieces), $this->fit);
        $names = array_map(fn (int $k): string => $this->problem->pieces[$k]->id, [...$unplaced, ...$never]);
        $nested = new NestResult($placements, $used, array_values($names), $area);

        return [$nested, 1e6 * count($unplaced) + 3000.0 * count($used) + $nested->usedLength() + 0.01 * $reach];
    }

    /**
     * @param  list<PieceShadow>  $shadows
     * @param  bool  $held whether the first is meant, and the others stand in only where it does not fit
     * @return array{PieceShadow, int, float}|null
     */
    private function best(SheetFill $fill, array $shadows, bool $held): ?array
    {
        $best = null;
        $end = INF;
        foreach ($shadows as $k => $shadow) {
            $before = $end === INF ? PHP_INT_MAX : (int) floor(($end - $shadow->width) / self::COLUMN_WIDTH_MM) + 1;
            $place = $before > 0 ? $fill->place($shadow, $before) : null;
            if ($place !== null) {
                $itsEnd = $place[0] * self::COLUMN_WIDTH_MM + $shadow->width;
                if ($itsEnd < $end - 1e-9 || ($best !== null && $itsEnd < $end + 1e-9 && $place[1] < $best[2])) {
                    [$best, $end] = [[$shadow, $place[0], $place[1]], $itsEnd];
                }
                if ($held && $k === 0) {
                    return $best;
                }
            }
        }

        return $best;
    }
}
