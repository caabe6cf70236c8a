<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/** How a layout likes its lengths shown; typed lengths may use either. */
enum Units: string
{
    case Metric = 'metric';
    case Imperial = 'imperial';
}
