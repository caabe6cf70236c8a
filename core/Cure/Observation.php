<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

/** What was seen of one application while it dried: at which moments it had not reached a milestone yet, or had. */
final readonly class Observation
{
    /** @param  list<array{at: float, wet: bool, of: Milestone}>  $looks */
    public function __construct(
        public string $uid,
        public CureFigures $figures,
        public float $mm,
        public float $end,
        public array $looks,
    ) {
    }

    /** The same looks, taken as looks at another milestone. */
    public function to(Milestone $milestone): self
    {
        return new self(
            $this->uid,
            $this->figures,
            $this->mm,
            $this->end,
            array_map(fn (array $look): array => ['of' => $milestone] + $look, $this->looks),
        );
    }
}
