<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Drying;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Schedule\Gap;

/** Until a coat has reached a milestone with a certainty of 80 %, in the air of its room. Times count from `$zero`. */
final class DryGap implements Gap
{
    public const CERTAINTY = 0.8;

    /** @var array<int, int> */
    private array $known = [];

    private ?int $least = null;

    public function __construct(private readonly Drying $drying, private readonly CureFigures $figures, private readonly Milestone $milestone, private readonly float $mm, private readonly int $zero)
    {
    }

    public function earliest(int $end): int
    {
        return $this->known[$end] ??= (int) ceil($this->drying->reached($this->figures, $this->milestone, $this->mm, (float) ($end + $this->zero), self::CERTAINTY) - $this->zero - 1e-6);
    }

    public function latest(int $start, int $end): ?int
    {
        return null;
    }

    public function least(): int
    {
        return $this->least ??= (int) floor($this->drying->least($this->figures, $this->milestone, $this->mm, self::CERTAINTY));
    }
}
