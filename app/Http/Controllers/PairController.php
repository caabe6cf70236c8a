<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\House\Devices;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;

/** Lets another machine in the house in, with the code that stands at the bench. */
final class PairController
{
    public function show(Request $request): View
    {
        return view('pair', ['code' => is_string($request->query('code')) ? $request->query('code') : '']);
    }

    public function store(Request $request, Devices $devices): RedirectResponse
    {
        [$code, $name] = array_map(fn (string $key): string => is_string($request->input($key)) ? $request->input($key) : '', [
            'code',
            'name',
        ]);
        $shown = $devices->pair($code, $name, (string) $request->ip());
        $request->session()->regenerate();

        return redirect()
            ->route('layouts.index')
            ->withCookie(Cookie::make(Devices::COOKIE, $shown, Devices::COOKIE_MINUTES, httpOnly: true, sameSite: 'strict'));
    }
}
