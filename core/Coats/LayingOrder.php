<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/**
 * Which coats of a section are laid before which. On a zone the builder's own order holds. What is ruled to come before something
 * that lies over it or beside it does, as long as the orders on the zones allow; what else lies over one another goes by stage
 * (that of the latest it has to wait for), then by place on its zone. No circle can come of it.
 */
final class LayingOrder
{
    /** @var array<string, Coat> */
    private array $coats = [];

    /** @var array<string, array{int, int}> coat uid → level, place on its zone */
    private array $keys = [];

    /** @var array<string, array<string, true>> coat uid → those that come after it at once */
    private array $next = [];

    /** @var array<string, array<string, OrderRule>> upper → lowers that are ruled to come before it */
    private array $ruled = [];

    /** @var list<array{OrderRule, Coat, Coat}> ruled, but each would have to wait for the other */
    public array $circles = [];

    /** @var array<string, int> coat uid → its turn */
    private array $turns = [];

    /** @var array<string, array<string, true>> coat uid → all that come after it */
    private array $after = [];

    /** @var array<string, bool> */
    private array $near = [];

    /**
     * @param  list<list<Coat>>  $zones each zone's coats in their order
     * @param  list<string>  $inside uids of zones that lie under a lid
     */
    public function __construct(array $zones, private readonly SectionSurvey $survey, private readonly array $inside = [])
    {
        foreach ($zones as $coats) {
            $level = 0;
            foreach ($coats as $place => $coat) {
                $level = max($level, $coat->recipe->stage->value);
                $this->coats[$coat->uid] = $coat;
                $this->keys[$coat->uid] = [$level, $place];
                $this->next[$coat->uid] = [];
                if ($place > 0) {
                    $this->next[$coats[$place - 1]->uid][$coat->uid] = true;
                }
            }
        }
        $this->rule();
        $this->turn();
    }

    /** Whether one is laid before another that lies over it or beside it. */
    public function isBefore(Coat $lower, Coat $upper): bool
    {
        return isset($this->after[$lower->uid][$upper->uid]) ||
            ($this->turns[$lower->uid] < $this->turns[$upper->uid] && $this->keys[$lower->uid] !== $this->keys[$upper->uid]);
    }

    /** @return array<string, OrderRule> uids of coats that a rule puts before one, on other zones */
    public function ruledBefore(Coat $upper): array
    {
        return $this->ruled[$upper->uid] ?? [];
    }

    public function turnOf(Coat $coat): int
    {
        return $this->turns[$coat->uid];
    }

    private function rule(): void
    {
        foreach (OrderRule::cases() as $rule) {
            $uppers = array_filter($this->coats, fn (Coat $c): bool => $rule->isUpper($c->recipe));
            $lowers = $uppers === [] ? [] : array_filter($this->coats, fn (Coat $c): bool => $rule->isLower($c->recipe));
            foreach ($lowers as $lower) {
                foreach ($uppers as $upper) {
                    if (
                        $lower->zone === $upper->zone ||
                        ! $this->concerns($rule, $lower->zone, $upper->zone) ||
                        ! $rule->puts($lower->recipe, $upper->recipe) ||
                        ! $this->isNear($lower->zone, $upper->zone, $rule->reachMm())
                    ) {
                        continue;
                    }
                    if ($this->leads($upper->uid, $lower->uid)) {
                        $this->circles[] = [$rule, $lower, $upper];
                    } else {
                        $this->ruled[$upper->uid][$lower->uid] ??= $rule;
                        $this->next[$lower->uid][$upper->uid] = true;
                    }
                }
            }
        }
    }

    /** Nothing but the lid comes between what is inside a tunnel and what lies on it. */
    private function concerns(OrderRule $rule, string $lower, string $upper): bool
    {
        [$under, $over] = [in_array($lower, $this->inside, true), in_array($upper, $this->inside, true)];

        return $rule === OrderRule::Lid ? $under && ! $over : $under === $over;
    }

    private function isNear(string $a, string $b, float $mm): bool
    {
        return $this->near["{$a}|{$b}|{$mm}"] ??=
            isset($this->survey->zones[$a], $this->survey->zones[$b]) &&
            ($this->survey->overlap($a, $b) !== null || ($mm > 0.0 && $this->survey->liesWithin($a, $b, $mm)));
    }

    /** Whether one comes before another by what is known so far. */
    private function leads(string $from, string $to): bool
    {
        $seen = [];
        $open = [$from];
        while ($open !== []) {
            $at = array_pop($open);
            if ($at === $to) {
                return true;
            }
            if (! isset($seen[$at])) {
                $seen[$at] = true;
                array_push($open, ...array_map(strval(...), array_keys($this->next[$at])));
            }
        }

        return false;
    }

    /** Turns, the lowest level first among those that nothing is waited for; and all that comes after each. */
    private function turn(): void
    {
        $waits = array_fill_keys(array_keys($this->coats), 0);
        foreach ($this->next as $after) {
            foreach (array_keys($after) as $uid) {
                $waits[$uid]++;
            }
        }
        $order = $this->inTurn($waits);
        // What something waits for is no later than that, whatever its stage.
        foreach (array_reverse($order) as $uid) {
            foreach (array_keys($this->next[$uid]) as $one) {
                $this->keys[$uid][0] = min($this->keys[$uid][0], $this->keys[$one][0]);
                $this->after[$uid] = ($this->after[$uid] ?? []) + [$one => true] + ($this->after[$one] ?? []);
            }
        }
        $this->turns = array_flip($this->inTurn($waits));
    }

    /**
     * @param  array<string, int>  $waits uid → how many it waits for
     * @return list<string>
     */
    private function inTurn(array $waits): array
    {
        $order = [];
        $open = array_keys(array_filter($waits, fn (int $n): bool => $n === 0));
        while ($open !== []) {
            usort($open, fn (string $a, string $b): int => [...$this->keys[$a], $a] <=> [...$this->keys[$b], $b]);
            $order[] = $uid = array_shift($open);
            foreach (array_keys($this->next[$uid]) as $one) {
                if (--$waits[$one] === 0) {
                    $open[] = $one;
                }
            }
        }

        return $order;
    }
}
