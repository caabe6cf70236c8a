<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts\Nesting;

/** An order in which pieces are laid, and what came of it. */
final readonly class NestOrder
{
    /**
     * @param  list<int>  $order pieces
     * @param  array<int, int>  $turns piece → rotation that it is held to
     * @param  list<NestState>  $states before the first piece, and after each
     */
    public function __construct(public array $order, public array $turns, public array $states)
    {
    }

    public function state(): NestState
    {
        return $this->states[count($this->states) - 1];
    }

    public function score(): float
    {
        return $this->states === [] ? INF : $this->state()->score();
    }
}
