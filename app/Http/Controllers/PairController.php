<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Workshop\Files\Pairing;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Lets another machine in the house in, with the code that stands at the bench. */
final class PairController
{
    public function show(): View
    {
        return view('pair');
    }

    public function store(Request $request): RedirectResponse
    {
        Pairing::with(is_string($request->input('code')) ? $request->input('code') : '');
        $request->session()->regenerate();
        $request->session()->put(Pairing::SESSION, true);

        return redirect()->route('layouts.index');
    }
}
