<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/** Jobs and waits that cannot be together in the sessions there are, none of which could be left out for it: why there is no plan. */
final readonly class Conflict
{
    /** Jobs that are named; more are counted. */
    private const MAX_NAMED = 5;

    /**
     * @param  list<string>  $jobs
     * @param  list<Precedence>  $waits between them
     */
    private function __construct(public array $jobs, public array $waits)
    {
    }

    /** Found by leaving out one after the other while what is left stays refuted; null where nothing is refuted. */
    public static function of(Problem $problem): ?self
    {
        if (SessionRelaxation::refutes($problem, $problem->horizon) !== true) {
            return null;
        }
        foreach (array_map('strval', array_keys($problem->jobs)) as $id) {
            $less = $problem->without([$id]);
            if ($less->jobs !== [] && SessionRelaxation::refutes($less, $less->horizon) === true) {
                $problem = $less;
            }
        }

        return new self(array_map('strval', array_keys($problem->jobs)), array_values($problem->waits));
    }

    public function sentence(): string
    {
        $name = fn (string $id): string => "“{$id}”";
        $named = implode(', ', array_map($name, array_slice($this->jobs, 0, self::MAX_NAMED)));
        $more = count($this->jobs) - self::MAX_NAMED;
        $said = $more > 0 ? "{$named} and {$more} more" : $named;
        $close = array_values(array_filter($this->waits, fn (Precedence $w): bool => $w->max !== null));
        $waits = array_map(
            fn (Precedence $w): string => "{$name($w->before)} has to follow {$name($w->after)} "
                ."after {$w->gap->least()} to {$w->max} minutes",
            array_slice($close, 0, self::MAX_NAMED),
        );

        return count($this->jobs) === 1
            ? "{$said} finds no session that is long enough."
            : "{$said} cannot all be done in the sessions there are".($waits === [] ? '.' : ': '.implode('; ', $waits).'.');
    }
}
