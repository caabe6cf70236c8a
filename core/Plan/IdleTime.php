<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

/** Stretches of sessions in which no hand has a move, and what could fill them. */
final readonly class IdleTime
{
    /** Shorter ones are no loss, minutes. */
    private const MIN_MINUTES = 15;

    private const MIN_STRETCHES = 3;

    /** @param  list<string>  $fillers */
    private function __construct(public int $from, public int $to, public array $fillers)
    {
    }

    public function minutes(): int
    {
        return $this->to - $this->from;
    }

    /**
     * Those of the sessions up to the last move.
     *
     * @return list<self>
     */
    public static function of(BenchPlan $plan, int $most = 12): array
    {
        $work = $plan->work;
        $last = $plan->lastHandsOn();
        $why = new StartReasons($work, $plan->at());
        $out = [];
        foreach ($last === null ? [] : $work->sessions as [$from, $to]) {
            $at = max($from, $work->planFrom());
            if ($from > $last || count($out) >= $most) {
                break;
            }
            foreach ([...$plan->within($at, $to), null] as $placed) {
                $next = $placed->start ?? $to;
                if ($next - $at >= self::MIN_MINUTES) {
                    $out[] = new self($at, $next, self::fillers($plan, $why, $at, $next));
                }
                $at = max($at, $placed->end ?? $at);
            }
        }

        return $out;
    }

    /** @return list<string> */
    private static function fillers(BenchPlan $plan, StartReasons $why, int $from, int $to): array
    {
        $fit = $soon = [];
        foreach ($plan->moves as $placed) {
            if ($placed->start < $to) {
                continue;
            }
            [$ready] = $why->binding($placed->move);
            $move = $placed->move;
            if (
                $plan->work
                    ->drying($move->section)
                    ->spoils($move->recipe->cure, $move->coat->mm, (float) ($from + $placed->minutes()), $plan->work->certainty())
            ) {
                continue;
            }
            if ($ready <= $from && $placed->minutes() <= $to - $from) {
                $fit[$placed->move->id] = "{$placed->move->title()}, {$placed->move->place()}: {$placed->minutes()} min";
            } elseif ($ready > $from && $ready < $to) {
                $soon[$placed->move->id] = "{$placed->move->title()}, {$placed->move->place()}: ready only at {$why->moment($ready)}";
            }
        }

        return array_slice(array_values($fit + $soon), 0, self::MIN_STRETCHES);
    }
}
