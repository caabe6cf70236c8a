<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Layout;
use App\Models\Section;
use App\Pages\Land\ExportRelief;
use Symfony\Component\HttpFoundation\Response;

/** The picture of a land under its hash. */
final class ReliefController
{
    /** The picture of the land that the address names; where that was changed meanwhile and is no longer kept, of what it became. */
    public function show(Layout $layout, Section $section, string $hash, ExportRelief $export): Response
    {
        ['picture' => $picture, 'lasts' => $lasts] = $export->of($layout, $section, $hash);

        return response($picture, 200, [
            'Content-Type' => 'image/png',
            'Cache-Control' => $lasts ? 'private, max-age=31536000, immutable' : 'no-store',
        ]);
    }
}
