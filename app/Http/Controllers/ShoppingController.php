<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Shelf\SaveShopping;
use App\Http\Requests\Fields;
use App\Http\UploadedText;
use App\Models\Layout;
use App\Pages\Shelf\ShowShopping;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** What is bought, the price list it is bought by, and both as tables. */
final class ShoppingController
{
    public function __construct(private readonly SaveShopping $shop, private readonly ShowShopping $show)
    {
    }

    public function show(Layout $layout): View
    {
        return view('shelf.shopping', $this->show->of($layout));
    }

    public function csv(Layout $layout, string $table): Response
    {
        $csv = match ($table) {
            'shopping' => $this->show->csv($layout),
            'stock' => $this->show->stockCsv($layout),
            'prices' => $this->show->pricesCsv($layout),
            default => abort(404),
        };

        return response($csv, 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => "attachment; filename=\"{$table}.csv\"",
        ]);
    }

    public function store(Fields $request, Layout $layout): RedirectResponse
    {
        $lot = $this->shop->bought($layout, $request->input());

        return redirect()->route('shopping.show', $layout)->with('said', "{$lot->material} is on the shelf.");
    }

    public function update(Fields $request, Layout $layout): RedirectResponse
    {
        $this->shop->rules($layout, $request->input());

        return redirect()
            ->to($request->word('back') === 'pots' ? route('pots.show', $layout) : route('shopping.show', $layout))
            ->with('said', 'Set.');
    }

    public function prices(Layout $layout): View
    {
        return view('shelf.prices', $this->show->prices($layout));
    }

    public function keepPrices(Fields $request, Layout $layout): RedirectResponse
    {
        $this->shop->keepPrices($layout, $request->input());

        return redirect()->route('shopping.prices', $layout)->with('said', 'Prices set.');
    }

    public function import(Fields $request, Layout $layout, string $table): RedirectResponse
    {
        $file = UploadedText::of($request, 'file', 'Choose a table first.');
        $count = $table === 'prices' ? $this->shop->prices($layout, $file->text) : $this->shop->stock($layout, $file->text);

        return redirect()
            ->route($table === 'prices' ? 'shopping.prices' : 'shelf.show', $layout)
            ->with('said', "{$count} rows taken in.");
    }
}
