<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Layout;
use Closure;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A layout's pages, answers and forms are in its units. */
final class SpeakUnits
{
    public function handle(Request $request, Closure $next): Response
    {
        $layout = $request->route('layout');
        UnitsInUse::become($layout instanceof Layout ? $layout->unitsInUse() : Units::Metric);

        return $next($request);
    }
}
