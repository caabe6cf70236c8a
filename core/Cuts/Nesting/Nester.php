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
    private const START_TEMPERATURE = 60.0;

    private const END_TEMPERATURE = 2.0;

    /** Columns in which an order is looked for at first, and then to the end, mm: in coarse ones many more are tried in a while. */
    private const COARSE_MM = 4.0;

    private const FINE_MM = 2.0;

    /** The share of the search that goes on in coarse columns. */
    private const COARSE_SHARE = 0.3;

    /** @var list<list<PieceShadow>> piece → its rotations */
    private array $shadows = [];

    /** @var list<int> pieces that fit some empty sheet */
    private array $fit = [];

    private function __construct(private readonly NestProblem $problem, private readonly float $column)
    {
        foreach ($problem->pieces as $k => $piece) {
            $this->shadows[] = array_map(
                fn (float $turn): PieceShadow => PieceShadow::of($piece, $turn, $column, $problem->kerf),
                $problem->rotations,
            );
            foreach ($problem->sheets as $sheet) {
                $fill = new SheetFill($sheet, $column, $problem->margin);
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

        $budget ??= new StepBudget(0);
        $budget->spent();
        $fine = new self($problem, self::FINE_MM);
        $first = $fine->first();
        $best = $first;
        if (count($fine->fit) > 1 && $budget->spent() < self::COARSE_SHARE) {
            $random = new Randomizer(new Mt19937($seed));
            $stopped = false;
            $told = function (float $share) use ($goOn, &$stopped): bool {
                return ! ($stopped = $goOn !== null && ! $goOn($share));
            };
            $coarse = new self($problem, self::COARSE_MM);
            $found = $coarse->annealed($coarse->again($first), $budget, self::COARSE_SHARE, $random, $told);
            $begin = $fine->again($found);
            $best = $begin->score() < $best->score() ? $begin : $best;
            if (! $stopped) {
                $found = $fine->annealed($begin, $budget, 1.0, $random, $told);
                $best = $found->score() < $best->score() ? $found : $best;
            }
        }

        return $best->state()->result(array_values(array_diff(array_keys($problem->pieces), $fine->fit)));
    }

    /** The best of the first orders: by area, by the longer side, and by height. */
    private function first(): NestOrder
    {
        $best = new NestOrder([], [], []);
        foreach ($this->firstOrders() as $order) {
            $its = $this->again(new NestOrder($order, [], []));
            $best = $its->score() < $best->score() ? $its : $best;
        }

        return $best;
    }

    /** An order laid in the columns that are looked at here. */
    private function again(NestOrder $order): NestOrder
    {
        return $this->laid($order->order, $order->turns, [NestState::empty($this->problem, $this->column)], INF) ?? $order;
    }

    /**
     * The best order that is found from one on, until so much of the budget is spent.
     *
     * @param  callable(float): bool  $goOn
     */
    private function annealed(NestOrder $from, Budget $budget, float $until, Randomizer $random, callable $goOn): NestOrder
    {
        $best = $from;
        for ($share = $budget->spent(); $share < $until && $budget->take() && $goOn($share); $share = $budget->spent()) {
            [$order, $turns, $same] = $this->changed($from->order, $from->turns, $random);
            $heat = self::START_TEMPERATURE * (self::END_TEMPERATURE / self::START_TEMPERATURE) ** $share;
            // What it may cost at most is drawn first: an order that comes to more is not laid to its end.
            $most = $from->score() - $heat * log($random->getInt(1, 1_000_000) / 1e6);
            $from = $this->laid($order, $turns, array_slice($from->states, 0, $same + 1), $most) ?? $from;
            $best = $from->score() < $best->score() ? $from : $best;
        }

        return $best;
    }

    /** @return list<list<int>> the pieces that fit, the largest first in several ways */
    private function firstOrders(): array
    {
        $orders = [];
        foreach ([
            fn (int $k): float => $this->problem->pieces[$k]->area,
            fn (int $k): float => max($this->shadows[$k][0]->width, $this->shadows[$k][0]->height),
            fn (int $k): float => $this->shadows[$k][0]->height,
        ] as $by) {
            $order = $this->fit;
            usort($order, fn (int $a, int $b): int => $by($b) <=> $by($a));
            $orders[] = $order;
        }

        return $orders;
    }

    /**
     * The pieces laid in their order.
     *
     * @param  list<int>  $order
     * @param  array<int, int>  $turns
     * @param  list<NestState>  $states after the first pieces, which lie already
     * @return NestOrder|null null where it costs more than it may
     */
    private function laid(array $order, array $turns, array $states, float $most): ?NestOrder
    {
        $state = $states[count($states) - 1];
        for ($k = count($states) - 1; $k < count($order); $k++) {
            $shadows = $this->shadows[$order[$k]];
            $turn = $turns[$order[$k]] ?? null;
            $states[] = $state = $state->with($order[$k], $turn === null ? $shadows : [$shadows[$turn], ...$shadows], $turn !== null);
            if ($state->score() > $most) {
                return null;
            }
        }

        return new NestOrder($order, $turns, $states);
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, int>  $turns piece → rotation that it is held to
     * @return array{list<int>, array<int, int>, int} and how many of the first pieces lie as they did
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

        return [array_values($order), $turns, $kind < 7 ? min($a, $b) : $a];
    }
}
