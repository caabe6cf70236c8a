<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Ledger\SeenRevision;
use App\Models\Revision;
use Closure;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A page says how far the history went when it was made; what comes from it has to say so too. */
final class WhatWasSeen
{
    public function __construct(private readonly SeenRevision $seen)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $layout = $request->route('layout');
        if (! is_string($layout) || $request->routeIs('layouts.step')) {
            return $next($request);
        }
        $this->seen->own = [];
        // Before anything is read: a page may know more than it says, never less.
        $this->seen->step = $request->isMethod('GET')
            ? (int) Revision::query()
                ->join('layouts', 'layouts.id', '=', 'revisions.layout_id')
                ->where('layouts.uid', $layout)
                ->max('revisions.id')
            : $this->sent($request);
        try {
            $response = $next($request);
            $response->headers->set('X-Seen', (string) $this->seen->step);

            return $response;
        } finally {
            $this->seen->step = null;
        }
    }

    private function sent(Request $request): int
    {
        $step = $request->header('X-Seen') ?? $request->input('seen');

        return is_string($step) && preg_match('/^\d{1,15}$/', $step) === 1
            ? (int) $step
            : throw new InvalidValue(
                'It does not say which state of the layout it was made from: load the page again and send it once more.',
                'form',
            );
    }
}
