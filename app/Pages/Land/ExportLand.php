<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Interchange\GeoJson;
use IdleRidge\Core\Interchange\ReliefPng;
use IdleRidge\Core\Interchange\TrackDxf;
use IdleRidge\Core\Interchange\TrackSvg;
use IdleRidge\Core\Interchange\TrackTable;
use IdleRidge\Core\Interchange\TrackXml;
use IdleRidge\Core\Interchange\WallTemplates;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Run;
use Illuminate\Support\Str;

/** A section's land and track as files for other programs, section coordinates, mm. */
final readonly class ExportLand
{
    /** form → type of the file */
    public const FORMS = [
        'asc' => 'text/plain; charset=us-ascii',
        'geojson' => 'application/geo+json',
        'png' => 'image/png',
        'csv' => 'text/csv; charset=utf-8',
        'dxf' => 'image/vnd.dxf',
        'svg' => 'image/svg+xml',
        'xml' => 'application/xml',
        'walls' => 'image/svg+xml',
    ];

    public function __construct(private ProjectLoader $load, private ComputedLand $desk)
    {
    }

    /** @return array{name: string, type: string, body: string} */
    public function as(string $form, Layout $layout, SectionRow $row): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $runs = fn (): array => array_column($this->over($project, $section), 0);
        $body = match ($form) {
            'asc' => AsciiGrid::write($this->desk->sheet($project, $section)->grid()),
            'geojson' => $this->contours($project, $section),
            'png' => ReliefPng::png($this->desk->sheet($project, $section)->grid()),
            'dxf' => TrackDxf::write($runs()),
            'svg' => TrackSvg::write($runs(), $section->width, $section->depth),
            'xml' => TrackXml::write($runs(), $section->name),
            'walls' => WallTemplates::svg($this->desk->sheet($project, $section)->walls, $runs()),
            default => TrackTable::write($this->over($project, $section)),
        };
        $name = Str::slug($section->name) ?: 'section';

        return [
            'name' => $name.
                match ($form) {
                    'asc', 'geojson', 'png' => ".{$form}",
                    'walls' => '-walls.svg',
                    default => "-track.{$form}",
                },
            'type' => self::FORMS[$form],
            'body' => $body,
        ];
    }

    private function contours(Project $project, Section $section): string
    {
        $mesh = $this->desk->sheet($project, $section)->grid()->mesh($section->width, $section->depth);

        return GeoJson::contours(Contours::of($mesh, Contours::levels($mesh, RoundSteps::coarse())));
    }

    /** @return list<array{Run, float, float}> runs that lie over the board, with the stations between which they do */
    private function over(Project $project, Section $section): array
    {
        $stretches = [];
        foreach ($project->runsNear($section) as $run) {
            $here = $run->within($section->width, $section->depth);
            if ($here !== null && $here[1] - $here[0] > 1.0) {
                $stretches[] = [$run, ...$here];
            }
        }

        return $stretches;
    }
}
