<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\House\Devices;
use App\Actions\Journal\Hand;
use App\Models\Role;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Response;

/** From another machine nothing is shown before it was paired with the code that stands at the bench; a guest changes nothing. */
final class Paired
{
    /** What a guest's pages ask with POST, though it changes nothing. */
    private const LOOKS = ['land.preview'];

    public function __construct(private readonly Devices $devices, private readonly Hand $hand)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $shown = $request->cookie(Devices::COOKIE);
        $shown = is_string($shown) ? $shown : '';
        $role = self::isHere($request) ? Role::Builder : $this->devices->roleOf($shown);
        $this->hand->device = $role === null || self::isHere($request) ? '' : $this->devices->nameOf($shown);
        $request->attributes->set('role', $role);
        if ($role === null && ! $request->is('pair')) {
            return config('ridge.lan') === true ? redirect()->route('pair.show') : abort(403);
        }
        if ($role === Role::Guest && ! $request->isMethod('GET') && ! $request->is('pair') && ! $request->routeIs(self::LOOKS)) {
            abort(403, 'This device may look, and change nothing. At the bench it can be let in anew as a builder’s.');
        }

        return $next($request);
    }

    /** Whether it comes from the machine that Idle Ridge runs on. */
    private static function isHere(Request $request): bool
    {
        return IpUtils::checkIp((string) $request->ip(), ['127.0.0.0/8', '::1']);
    }
}
