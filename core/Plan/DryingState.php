<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

/**
 * How a coat stands: not laid · laid, before touch-dry · from there to the next coat · past it, with a check to make · held
 * up by a rule or a shortage.
 */
enum DryingState: string
{
    case Bare = 'bare';
    case Wet = 'wet';
    case Setting = 'setting';
    case Ready = 'ready';
    case Blocked = 'blocked';
}
