<?php

declare(strict_types=1);

namespace App\Pages\Words;

use App\Computed\Findings\ComputedFindings;
use App\Models\Layout;
use IdleRidge\Core\Findings\Finding;

/** Where what was found is seen. */
final class FindingLink
{
    public static function to(Layout $layout, Finding $finding): string
    {
        [$route, $asked] = ComputedFindings::seenOn($finding);

        return route($route, [$layout, $finding->section, ...$asked]);
    }
}
