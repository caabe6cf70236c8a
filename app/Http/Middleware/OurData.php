<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\House\DataVersion;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Data that a newer version wrote is not touched: it may hold what this one would lose. */
final class OurData
{
    public function __construct(private readonly DataVersion $version)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        return $this->version->unknown() === [] ? $next($request) : response()->view('errors.newer', status: 503);
    }
}
