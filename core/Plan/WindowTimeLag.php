<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\FollowWindow;
use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Drying;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Schedule\TimeLag;

/**
 * The while in which a coat has to follow another, in the air of its room. What must not be late counts from the start of the
 * lower coat, what must not be early from its end; a window that a long coat would leave empty is taken about its end. Times
 * count from `$zero`.
 */
final class WindowTimeLag implements TimeLag
{
    /** @var array<int, array{int, int, bool}> */
    private array $known = [];

    public function __construct(
        private readonly Drying $drying,
        private readonly CureFigures $figures,
        private readonly float $mm,
        private readonly FollowWindow $window,
        private readonly float $certainty,
        private readonly int $zero,
    ) {
    }

    public function earliest(int $end): int
    {
        return $this->at($end)[0];
    }

    public function latest(int $start, int $end): int
    {
        $late = $this->at($start)[1];

        return $late >= $this->earliest($end) ? $late : $this->at($end)[1];
    }

    public function again(int $end): ?int
    {
        return $this->window->again === null ? null : $end + (int) ceil($this->window->again);
    }

    public function least(): int
    {
        return is_float($this->window->opens) ? (int) $this->window->opens : 0;
    }

    /** Whether the window is too narrow to be reckoned and has to be told by touch. */
    public function byTouch(int $end): bool
    {
        return $this->at($end)[2];
    }

    /** @return array{int, int, bool} counted from one moment: from, until, by touch */
    private function at(int $moment): array
    {
        return $this->known[$moment] ??= $this->reckoned($moment);
    }

    /** @return array{int, int, bool} */
    private function reckoned(int $moment): array
    {
        [$opens, $closes] = [$this->window->opens, $this->window->closes];
        if ($opens instanceof Milestone && $closes instanceof Milestone) {
            [$from, $until, $touch] = $this->drying->window(
                $this->figures,
                $opens,
                $closes,
                $this->mm,
                (float) ($moment + $this->zero),
                $this->certainty,
            );

            return [(int) ceil($from - $this->zero - 1e-6), (int) floor($until - $this->zero + 1e-6), $touch];
        }
        $minutes = fn (Milestone|float $at): float => is_float($at) ? $at : 0.0;

        return [$moment + (int) ceil($minutes($opens)), $moment + (int) floor($minutes($closes)), false];
    }
}
