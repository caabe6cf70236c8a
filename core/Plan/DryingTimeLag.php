<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Drying;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Schedule\TimeLag;

/** Until a coat has reached a milestone, as surely as is asked, in the air of its room. Times count from `$zero`. */
final class DryingTimeLag implements TimeLag
{
    /** @var array<int, int> */
    private array $known = [];

    private ?int $least = null;

    public function __construct(
        private readonly Drying $drying,
        private readonly CureFigures $figures,
        private readonly Milestone $milestone,
        private readonly float $mm,
        private readonly int $zero,
        private readonly float $certainty,
    ) {
    }

    public function earliest(int $end): int
    {
        return $this->known[$end] ??= (int) ceil(
            $this->drying->reached($this->figures, $this->milestone, $this->mm, (float) ($end + $this->zero), $this->certainty) -
                $this->zero -
                1e-6,
        );
    }

    public function latest(int $start, int $end): ?int
    {
        return null;
    }

    public function again(int $end): ?int
    {
        return null;
    }

    public function least(): int
    {
        return $this->least ??= (int) floor($this->drying->least($this->figures, $this->milestone, $this->mm, $this->certainty));
    }
}
