<?php

declare(strict_types=1);

namespace App\Workshop\Land;

use App\Drawing\ReliefPicture;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Workshop\LoadProject;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Interchange\GeoJson;
use IdleRidge\Core\Interchange\TrackTable;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use Illuminate\Support\Str;

/** A section's land and track as files for other programs, section coordinates, mm. */
final readonly class TakeLand
{
    /** form → type of the file */
    public const FORMS = ['asc' => 'text/plain; charset=us-ascii', 'geojson' => 'application/geo+json', 'png' => 'image/png', 'csv' => 'text/csv; charset=utf-8'];

    public function __construct(private LoadProject $load, private LandDesk $desk)
    {
    }

    /** @return array{name: string, type: string, body: string} */
    public function as(string $form, Layout $layout, SectionRow $row): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $body = match ($form) {
            'asc' => AsciiGrid::write($this->desk->sheet($project, $section)->grid()),
            'geojson' => $this->contours($project, $section),
            'png' => ReliefPicture::png($this->desk->sheet($project, $section)),
            default => $this->track($project, $section),
        };

        return ['name' => (Str::slug($section->name) ?: 'section').($form === 'csv' ? '-track.csv' : ".{$form}"), 'type' => self::FORMS[$form], 'body' => $body];
    }

    private function contours(Project $project, Section $section): string
    {
        $mesh = $this->desk->sheet($project, $section)->grid()->mesh($section->width, $section->depth);

        return GeoJson::contours(Contours::of($mesh, Contours::levels($mesh, LandDesk::INTERVAL)));
    }

    private function track(Project $project, Section $section): string
    {
        $stretches = [];
        foreach ($this->desk->model($project, $section)->grading->runs as $run) {
            $here = $run->within($section->width, $section->depth);
            if ($here !== null && $here[1] - $here[0] > 1.0) {
                $stretches[] = [$run, ...$here];
            }
        }

        return TrackTable::write($stretches);
    }
}
