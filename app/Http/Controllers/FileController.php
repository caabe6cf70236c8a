<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Files\ExportRows;
use App\Actions\Files\LayoutArchive;
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
    /** What of an archive a fault of the layout is in. */
    private const LAYOUT = 'layout.ridge.json';

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

    /** With its pictures. */
    public function archive(Layout $layout, LayoutArchive $archive): Response
    {
        $name = Str::slug($layout->name) ?: 'layout';

        return response()
            ->download($archive->export($layout), "{$name}.ridge.zip", ['Content-Type' => 'application/zip'])
            ->deleteFileAfterSend();
    }

    public function import(Request $request, LayoutArchive $archive): RedirectResponse
    {
        if ($request->hasFile('file') && LayoutArchive::isZip($path = UploadedText::path($request, 'file', 'Choose a file.'))) {
            return redirect()->route('layouts.show', $this->named(self::LAYOUT, fn (): Layout => $archive->import($path)));
        }
        $file = UploadedText::of($request, 'file', 'Choose a *.ridge.json file.');
        if (strlen($file->text) > LayoutFiles::MAX_BYTES) {
            throw new InvalidValue('The file is larger than 20 MB; a layout never is.', 'file');
        }

        return redirect()->route('layouts.show', $this->named($file->name, fn (): Layout => $this->files->import($file->text)));
    }

    /**
     * @param  callable(): Layout  $import
     *
     * @throws InvalidValues each with the file's name before it
     */
    private function named(string $name, callable $import): Layout
    {
        try {
            return $import();
        } catch (InvalidValues $faults) {
            $lines = array_map(fn (InvalidValue $r): string => "{$name}: {$r->place}: {$r->getMessage()}", $faults->all);
            throw new InvalidValues(
                array_map(fn (string $line): InvalidValue => new InvalidValue($line, 'file'), array_slice($lines, 0, 20)),
            );
        }
    }
}
