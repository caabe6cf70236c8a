<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Land\ShowLandMesh;
use Illuminate\Http\JsonResponse;

/** The land for a view that turns. */
final class LandMeshController
{
    public function show(Fields $request, Layout $layout, Section $section, ShowLandMesh $work): JsonResponse
    {
        return new JsonResponse($work->mesh($layout, $section, $request->word('wears') ?: 'heights'));
    }
}
