<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers only under the names this machine has: its own, and in the house its addresses there. A page from elsewhere cannot borrow another
 * name.
 */
final class KnownHost
{
    private const OWN = ['127.0.0.1', 'localhost', '[::1]'];

    public function handle(Request $request, Closure $next): Response
    {
        $host = strtolower((string) preg_replace('/:\d+$/', '', (string) $request->headers->get('Host', '')));
        $house = (bool) config('ridge.lan') && filter_var($host, FILTER_VALIDATE_IP) !== false && IpUtils::isPrivateIp($host);

        return in_array($host, self::OWN, true) || $house
            ? $next($request)
            : response('This machine does not answer under that name.', 421, ['Content-Type' => 'text/plain']);
    }
}
