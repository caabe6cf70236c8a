<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\House\Backups;
use App\Actions\House\RestoreBackup;
use App\Http\UploadedText;
use App\Models\Role;
use App\Pages\House\ShowBackups;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Safe keeping: copies of all data, made, taken along and brought back. */
final class KeepingController
{
    public function index(Request $request, ShowBackups $show): View
    {
        abort_if($request->attributes->get('role') === Role::Guest, 403);

        return view('house.keeping', $show->all());
    }

    public function store(Backups $backups): RedirectResponse
    {
        $backups->make();

        return redirect()->route('keeping.index')->with('said', 'Copied, and the copy is whole.');
    }

    public function show(Request $request, string $copy): BinaryFileResponse
    {
        abort_if($request->attributes->get('role') === Role::Guest, 403);

        return response()->download(Backups::path($copy));
    }

    public function restore(Request $request, RestoreBackup $restore): RedirectResponse
    {
        $name = $request->input('copy');
        if (is_string($name) && $name !== '') {
            $restore->from(Backups::path($name));
        } else {
            $sent = UploadedText::of($request, 'file', 'Choose a copy, a file that ends in '.Backups::SUFFIX.'.');
            $file = (string) tempnam(sys_get_temp_dir(), 'ridge');
            try {
                file_put_contents($file, $sent->text);
                $restore->from($file);
            } finally {
                unlink($file);
            }
        }

        return redirect()->route('keeping.index')->with('said', 'Brought back. What was here before is the newest copy below.');
    }
}
