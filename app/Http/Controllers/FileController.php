<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Files\ExportRows;
use App\Actions\Files\LayoutFiles;
use App\Http\UploadedText;
use App\Models\Layout;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
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
        return response(ExportRows::of($layout), 200, [
            'Content-Type' => 'application/json; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.(Str::slug($layout->name) ?: 'layout').'.rows.json"',
        ]);
    }

    public function import(Request $request): RedirectResponse
    {
        $file = UploadedText::of($request, 'file', 'Choose a *.ridge.json file.');
        if (strlen($file->text) > LayoutFiles::MAX_BYTES) {
            throw new InvalidValue('The file is larger than 20 MB; a layout never is.', 'file');
        }
        try {
            $layout = $this->files->import($file->text);
        } catch (InvalidValues $faults) {
            $lines = array_map(fn (InvalidValue $r): string => "{$file->name}: {$r->place}: {$r->getMessage()}", $faults->all);
            throw new InvalidValues(
                array_map(fn (string $line): InvalidValue => new InvalidValue($line, 'file'), array_slice($lines, 0, 20)),
            );
        }

        return redirect()->route('layouts.show', $layout);
    }
}
