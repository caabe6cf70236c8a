<?php

declare(strict_types=1);

namespace App\Actions\Land;

use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Computed\Clock\UlidGenerator;
use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Interchange\TrackDxf;
use IdleRidge\Core\Interchange\TrackLine;
use IdleRidge\Core\Interchange\TrackSvg;
use IdleRidge\Core\Interchange\TrackTable;
use IdleRidge\Core\Interchange\TrackXml;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Land\SurveyFit;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\FitBudget;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\StartingValues;
use IdleRidge\Core\Track\TrackFit;

/** Track and heights from files of other programs, in a section's coordinates: all of a file or nothing. */
final readonly class ImportLand
{
    public const MAX_BYTES = 8_000_000;

    /** What reaches further is no model, mm. */
    private const FULL_SIZE_FROM_MM = 100_000.0;

    public function __construct(
        private Ledger $ledger,
        private UlidGenerator $uids,
        private ProjectLoader $load,
        private ComputedLand $desk,
    ) {
    }

    /**
     * @param  bool  $full whether the file's lengths are those of the real thing
     * @return string what came of it, with how far it lies from the file
     *
     * @throws InvalidValue with the file's name and line
     */
    public function from(Layout $layout, SectionRow $row, string $name, string $content, bool $full = false): string
    {
        if (strlen($content) > self::MAX_BYTES) {
            throw new InvalidValue("{$name}: larger than 8 MB.", 'file');
        }
        try {
            $form = strtolower(pathinfo($name, PATHINFO_EXTENSION));
            $by = $full ? 1.0 / $layout->ratio : 1.0;

            return match ($form) {
                'csv', 'txt', 'tsv' => $this->track($layout, $row, self::modelled(TrackTable::read($content), $by)),
                'dxf' => $this->track($layout, $row, self::modelled(TrackDxf::read($content), $by)),
                'svg' => $this->track($layout, $row, self::modelled(TrackSvg::read($content), $by)),
                'xml', 'landxml' => $this->track($layout, $row, self::modelled(TrackXml::read($content, $by), 1.0)),
                'asc', 'grd' => $this->heights($layout, $row, AsciiGrid::read($content)),
                default => throw new InvalidValue('Track comes as CSV, DXF, SVG or LandXML, heights as an ASCII grid (.asc).'),
            };
        } catch (InvalidValue $refusal) {
            $place = str_starts_with($refusal->place, 'line ') ? "{$refusal->place}: " : '';
            throw new InvalidValue("{$name}: {$place}{$refusal->getMessage()}", 'file');
        }
    }

    /**
     * Lines at the model's size; those of the real thing begin at the board's corner, for theirs is a map's.
     *
     * @param  list<TrackLine>  $lines
     * @return list<TrackLine>
     */
    private static function modelled(array $lines, float $by): array
    {
        $lines = $by === 1.0 ? $lines : array_map(fn (TrackLine $l): TrackLine => $l->moved($by), $lines);
        [$x1, $y1, $x2, $y2] = TrackLine::extent($lines);
        $reach = max($x2 - $x1, $y2 - $y1);
        if ($reach > self::FULL_SIZE_FROM_MM) {
            throw new InvalidValue(
                'It reaches over '.Format::text($reach / 1000.0, 'm').': these are lengths of the real thing. '
                    .'Choose “full size” beside the file, and bring it in again.',
            );
        }

        return max(abs($x1), abs($y1)) > self::FULL_SIZE_FROM_MM
            ? array_map(fn (TrackLine $l): TrackLine => $l->moved(1.0, -$x1, -$y1), $lines)
            : $lines;
    }

    /** @param  list<TrackLine>  $lines */
    private function track(Layout $layout, SectionRow $row, array $lines): string
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $ground = $this->desk->model($project, $section)->ground;
        $fitted = [];
        foreach ($lines as $line) {
            [$run, $fit] = $line->fitted(
                $this->uids->next(),
                $ground->at(...),
                FitBudget::among(count($lines)),
                StartingValues::track($project->layout->scale),
            );
            if ($run->within($section->width, $section->depth) === null) {
                throw new InvalidValue(
                    sprintf(
                        '“%s” lies nowhere over the board, which is %s; places count from its lower left corner.',
                        $run->name,
                        Format::several([$section->width, $section->depth], 'mm', 1),
                    ),
                );
            }
            $fitted[] = [$run, $fit];
        }
        $fitted = $this->ledger->record(
            $layout,
            count($fitted) === 1 ? "{$fitted[0][0]->name} brought in" : count($fitted).' runs brought in',
            function (ChangeSet $changes) use ($layout, $section, $fitted): array {
                foreach ($fitted as $k => [$run]) {
                    $fitted[$k][0] = $this->named($run, $layout);
                    $changes->save(SaveRun::row($layout, $fitted[$k][0]->placed($section->placement)));
                }

                return $fitted;
            },
        );

        return implode(' ', array_map(fn (array $pair): string => $this->said($pair[0], $pair[1]), $fitted));
    }

    private function said(Run $run, TrackFit $fit): string
    {
        return sprintf(
            '“%s” laid with %d %s; its furthest point lies %s off, the mean is %s.',
            $run->name,
            count($fit->pieces),
            count($fit->pieces) === 1 ? 'piece' : 'pieces',
            Format::length($fit->worst, 2),
            Format::length($fit->mean, 2),
        );
    }

    private function named(Run $run, Layout $layout): Run
    {
        $taken = array_map(mb_strtolower(...), $layout->runs()->pluck('name')->all());
        $name = mb_substr(trim($run->name) === '' ? 'Track' : trim($run->name), 0, 70);
        for ($free = $name, $k = 2; in_array(mb_strtolower($free), $taken, true); $k++) {
            $free = "{$name} {$k}";
        }

        return $run->but(name: $free);
    }

    private function heights(Layout $layout, SectionRow $row, HeightGrid $grid): string
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $edge = $grid->onNodes ? 0.0 : $grid->cell;
        [$width, $depth] = [($grid->cols - ($grid->onNodes ? 1 : 0)) * $grid->cell, ($grid->rows - ($grid->onNodes ? 1 : 0)) * $grid->cell];
        if (
            abs($grid->x0) > $edge + 1.0 ||
            abs($grid->y0) > $edge + 1.0 ||
            abs($width - $section->width) > $edge + 1.0 ||
            abs($depth - $section->depth) > $edge + 1.0
        ) {
            throw new InvalidValue(
                sprintf(
                    'The grid covers %s from %s; the board is %s from 0, 0.',
                    Format::several([$width, $depth], 'mm', 1),
                    Format::several([$grid->x0, $grid->y0], 'mm', 1, ', '),
                    Format::several([$section->width, $section->depth], 'mm', 1),
                ),
            );
        }
        $fit = SurveyFit::of($grid, $project->layout->tension, $project->layout->stiffness);
        $this->ledger->record($layout, 'Heights brought in', function (ChangeSet $changes) use ($layout, $section, $fit): void {
            foreach ($this->standing($layout, $section) as $old) {
                $changes->delete($old);
            }
            foreach ($fit->spots as $spot) {
                $p = $section->placement->toLayout(
                    new Point(min($section->width, max(0.0, $spot->x)), min($section->depth, max(0.0, $spot->y))),
                );
                $changes->save(
                    SaveLandFeature::row(
                        $layout,
                        new LandFeature($this->uids->next(), FeatureKind::Spot, [new Spot($p->x, $p->y, $spot->z)]),
                    ),
                );
            }
        });

        return sprintf(
            'The land now follows the grid through %d spot heights, with a mean of %s and %s at '
                .'worst; the heights that stood on the board were taken out, Undo brings them back.',
            count($fit->spots),
            Format::length($fit->mean, 2),
            Format::length($fit->worst, 1),
        );
    }

    /** @return list<\App\Models\LandFeature> the spots and lines that lie wholly on the board */
    private function standing(Layout $layout, Section $section): array
    {
        $out = [];
        foreach ($layout->features()->whereNotIn('kind', FeatureKind::shapeWords())->get() as $row) {
            $off = array_filter(ProjectLoader::feature($row)->points, fn (Spot $p): bool => ! $section->holds($p->x, $p->y, 0.5));
            if ($off === []) {
                $out[] = $row;
            }
        }

        return $out;
    }
}
