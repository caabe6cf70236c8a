<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use DateTimeZone;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Interchange\CalendarFile;
use IdleRidge\Core\Interchange\GeoJson;
use IdleRidge\Core\Interchange\RidgeWriter;
use IdleRidge\Core\Interchange\Stl;
use IdleRidge\Core\Interchange\TemplateDxf;
use IdleRidge\Core\Interchange\TemplatePdf;
use IdleRidge\Core\Interchange\TemplateSvg;
use IdleRidge\Core\Interchange\TrackDxf;
use IdleRidge\Core\Interchange\TrackLine;
use IdleRidge\Core\Interchange\TrackSvg;
use IdleRidge\Core\Interchange\TrackTable;
use IdleRidge\Core\Interchange\TrackXml;
use IdleRidge\Core\Interchange\WallTemplates;
use IdleRidge\Core\Project\BoardPlan;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\TrackFit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Whole;

/** Files of whole layouts, character by character as they were when they were looked at with care. */
final class WholeFilesTest extends TestCase
{
    #[DataProvider('sections')]
    public function test_files_of_a_section_are_as_they_were(string $layout, string $section): void
    {
        $study = Whole::study($layout, $section);
        [$board, $runs] = [$study->section, $study->model->grading->runs];
        $stretches = [];
        foreach ($runs as $run) {
            $here = $run->within($board->width, $board->depth);
            if ($here !== null && $here[1] - $here[0] > 1.0) {
                $stretches[] = [$run, ...$here];
            }
        }
        $over = array_column($stretches, 0);
        $grid = $study->terrain->grid();
        $mesh = $grid->mesh($board->width, $board->depth);
        $plan = [BoardPlan::of($study->project, $board, $study->model)];
        $stl = Stl::ofLand($mesh, $board->base);
        $pdf = TemplatePdf::of($plan, 'a3', 'Plan', false);
        $files = [
            'grid' => AsciiGrid::write($grid),
            'contours' => GeoJson::contours(Contours::of($mesh, Contours::levels($mesh, 10.0))),
            'stl' => [strlen($stl), array_values(unpack('g*', substr($stl, 84, 12 * 400)) ?: [])],
            'dxf' => TrackDxf::write($over),
            'svg' => TrackSvg::write($over, $board->width, $board->depth),
            'xml' => TrackXml::write($over, $board->name),
            'table' => TrackTable::write($stretches),
            'walls' => WallTemplates::svg($study->walls, $runs),
            'template-dxf' => TemplateDxf::write($plan),
            'template-svg' => TemplateSvg::of($plan),
            'template-pdf' => (string) preg_replace('~/CreationDate.*|/ID.*|/ModDate.*~', '', $pdf),
        ];
        $this->assertNull(Whole::difference("{$layout}-files-".strtolower(str_replace(' ', '-', $section)), $files));
    }

    public function test_what_is_read_of_track_is_as_it_was(): void
    {
        $study = Whole::study('branch', 'Tarnhead');
        $runs = array_values(array_filter($study->model->grading->runs, fn (Run $r): bool => $r->kind === RunKind::Track));
        $read = [
            'dxf' => TrackDxf::read(TrackDxf::write($runs)), 'svg' => TrackSvg::read(TrackSvg::write($runs, 1200.0, 600.0)),
            'xml' => TrackXml::read(TrackXml::write($runs, 'Tarnhead')),
        ];
        $told = array_map(
            fn (array $lines): array => array_map(fn (TrackLine $l): array => [$l->name, $l->points, $l->heights], $lines),
            $read,
        );
        foreach ($read['dxf'] as $k => $line) {
            $fit = TrackFit::through($line->points);
            $told['fit'][$k] = $fit;
        }
        $this->assertNull(Whole::difference('branch-track-read', $told));
    }

    public function test_layouts_and_calendars_are_as_they_were(): void
    {
        foreach (Whole::LAYOUTS as $layout) {
            $plan = Whole::plan($layout);
            $calendar = CalendarFile::write($plan);
            $file = RidgeWriter::write($plan->work->project, '2026-10-14T17:10:00Z');
            $busy = CalendarFile::busy($calendar, new DateTimeZone('Europe/Oslo'), $plan->work->now, 60);
            $this->assertNull(Whole::difference("{$layout}-files", [$calendar, $file, $busy]));
        }
    }

    /** @return array<string, array{string, string}> */
    public static function sections(): array
    {
        return Whole::sections();
    }
}
