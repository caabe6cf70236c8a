<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Workshop\Files\Pairing;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Response;

/** From another machine nothing is shown before it was paired with the code that stands at the bench. */
final class Paired
{
    public function handle(Request $request, Closure $next): Response
    {
        if (IpUtils::checkIp((string) $request->ip(), ['127.0.0.0/8', '::1']) || $request->is('pair') || $request->session()->get(Pairing::SESSION) === true) {
            return $next($request);
        }

        return config('ridge.lan') === true ? redirect()->route('pair.show') : abort(403);
    }
}
