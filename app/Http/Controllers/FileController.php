<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Upload;
use App\Models\Layout;
use App\Workshop\Files\LayoutFiles;
use App\Workshop\Files\LayoutRows;
use IdleRidge\Core\Measure\Refusal;
use IdleRidge\Core\Measure\Refusals;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

final class FileController
{
    public function __construct(private readonly LayoutFiles $files)
    {
    }

    public function export(Layout $layout): Response
    {
        $name = Str::slug($layout->name) ?: 'layout';

        return response($this->files->export($layout), 200, [
            'Content-Type' => 'application/json; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$name}.ridge.json\"",
        ]);
    }

    /** For a layout that cannot be read any more. */
    public function rows(Layout $layout): Response
    {
        return response(LayoutRows::of($layout), 200, ['Content-Type' => 'application/json; charset=utf-8', 'Content-Disposition' => 'attachment; filename="'.(Str::slug($layout->name) ?: 'layout').'.rows.json"']);
    }

    public function import(Request $request): RedirectResponse
    {
        $file = Upload::of($request, 'file', 'Choose a *.ridge.json file.');
        if (strlen($file->text) > LayoutFiles::MOST_BYTES) {
            throw new Refusal('The file is larger than 20 MB; a layout never is.', 'file');
        }
        try {
            $layout = $this->files->import($file->text);
        } catch (Refusals $faults) {
            $lines = array_map(fn (Refusal $r): string => "{$file->name}: {$r->place}: {$r->getMessage()}", $faults->all);
            throw new Refusals(array_map(fn (string $line): Refusal => new Refusal($line, 'file'), array_slice($lines, 0, 20)));
        }

        return redirect()->route('layouts.show', $layout);
    }
}
