<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Ledger\WriteTurn;
use App\Models\Layout;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A change to a layout is read, checked and written while nobody else writes; what was refused leaves nothing behind. */
final class TakeTurns
{
    public function __construct(private readonly WriteTurn $turn)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethod('GET') || $request->route('layout') === null) {
            return $next($request);
        }
        $this->turn->take();
        try {
            $response = $next($request);
            $layout = $request->route('layout');
            if (($response->exception ?? null) === null && $response->getStatusCode() < 400 && $layout instanceof Layout) {
                $this->turn->keep($layout->id);
            }

            return $response;
        } finally {
            $this->turn->drop();
        }
    }
}
