<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\Structure;
use IdleRidge\Core\Track\Vehicle;

/** Writes a `*.ridge.json`: keys sorted, numbers at their shortest, one file always the same for one layout. */
final class RidgeWriter
{
    public const FORMAT = 'idle-ridge/layout';

    public const VERSION = 7;

    /** @param  string  $date ISO 8601, when the file was written */
    public static function write(Project $project, string $date): string
    {
        $layout = $project->layout;
        $file =
            [
                'format' => self::FORMAT,
                'version' => self::VERSION,
                'date' => $date,
                'layout' => [
                    'uid' => $layout->uid,
                    'name' => $layout->name,
                    'ratio' => $layout->scale->ratio,
                    'gauge_mm' => $layout->gauge,
                    'units' => $layout->units->value,
                    'zone' => $layout->zone,
                    'currency' => $layout->currency,
                    'viewing_edges' => array_column($layout->viewing->edges, 'value'),
                    'region' => $layout->region,
                    'season' => $layout->season,
                    'vehicles' => array_map(fn (Vehicle $v): array => $v->toArray(), $layout->clearance->vehicles),
                    'clearance_margin_mm' => $layout->clearance->margin,
                    'face_limit_deg' => $layout->faceLimitDeg,
                    'bank_reach_mm' => $layout->bankReach,
                    'tension' => $layout->tension,
                    'stiffness_mm' => $layout->stiffness,
                    'north_deg' => $layout->northDeg,
                    'felt_grade' => $layout->feltGrade,
                    'cuts' => $layout->cuts->toArray(),
                    'bench' => BenchFile::fromRules($layout->bench),
                    'typed' => (object) $layout->typed,
                ] +
                    ($layout->viewing->isUsual() ? [] : [
                        'eye_distance_mm' => $layout->viewing->distance,
                        'eye_height_mm' => $layout->viewing->height,
                    ]) +
                    ($layout->showOn === null ? [] : ['show_on' => $layout->showOn]) +
                    (GrowthFile::fromGrowth($layout->growth) === [] ? [] : ['growth' => GrowthFile::fromGrowth($layout->growth)]) +
                    $layout->extra,
                'sections' => array_map(self::section(...), $project->sections),
                'runs' => array_map(fn (Run $run): array => self::run($run) + ($project->runExtras[$run->uid] ?? []), $project->runs),
                'features' => array_map(self::feature(...), $project->features),
                'zones' => array_map(WorksFile::fromZone(...), $project->works->zones),
                'coats' => array_map(WorksFile::fromCoat(...), $project->works->coats),
                'laid' => array_map(WorksFile::fromLaid(...), [...$project->works->laid, ...$project->works->stripped]),
                'rooms' => array_map(RoomFile::from(...), $project->works->rooms),
                'times' => array_map(WorksFile::fromTime(...), $project->works->times),
                'stands' => array_map(GrowthFile::fromStand(...), $project->works->growth->stands),
                'rows' => array_map(GrowthFile::fromRow(...), $project->works->growth->rows),
                'waters' => array_map(WaterFile::fromPlan(...), $project->works->waters->plans),
                'mirrors' => array_map(WaterFile::fromMirror(...), $project->works->waters->mirrors),
                'hidden' => array_map(JournalFile::fromHidden(...), $project->works->hidden),
                'journal' => array_map(JournalFile::fromEntry(...), $project->works->journal->entries),
                'photos' => array_map(JournalFile::fromPhoto(...), $project->works->journal->photos),
                'checks' => array_map(JournalFile::fromCheck(...), $project->works->journal->checks),
                'stalls' => array_map(JournalFile::fromStall(...), $project->works->journal->stalls),
                'trials' => array_map(JournalFile::fromTrial(...), $project->works->journal->trials),
                'colours' => array_map(WorksFile::fromColour(...), $project->works->colours),
                'air' => BenchFile::fromLogs($project->works->logs),
                'prices' => array_map(StockFile::fromPrice(...), $project->works->prices),
                'recipes' => array_map(WorksFile::fromRecipe(...), $project->works->recipes),
                'lots' => array_map(StockFile::fromLot(...), $project->works->store->lots),
                'movements' => array_map(StockFile::fromMovement(...), $project->works->store->movements),
            ] + $project->extra;

        return json_encode(self::sorted($file), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR).
            "\n";
    }

    /** @return array<string, mixed> */
    private static function section(Section $section): array
    {
        return [
            'uid' => $section->uid,
            'name' => $section->name,
            'width_mm' => $section->width,
            'depth_mm' => $section->depth,
            'x_mm' => $section->placement->x,
            'y_mm' => $section->placement->y,
            'angle_deg' => $section->placement->angleDeg,
            'base_mm' => $section->base,
            'typed' => (object) $section->typed,
        ] +
            ($section->room === null ? [] : ['room' => $section->room]) +
            ($section->edges === [] ? [] : ['edges' => array_map(self::edge(...), $section->edges)]) +
            ($section->runsOn ? ['runs_on' => true] : []) +
            ($section->standing === [] ? [] : ['foam_stands' => StockFile::fromStanding($section->standing)]) +
            ($section->stood === [] ? [] : ['stood' => WorksFile::fromStood($section->stood)]) +
            $section->extra;
    }

    /**
     * @param  list<array{float, float}>  $profile
     * @return list<array{at_mm: float, z_mm: float}>
     */
    private static function edge(array $profile): array
    {
        return array_map(fn (array $p): array => ['at_mm' => $p[0], 'z_mm' => $p[1]], $profile);
    }

    /** @return array<string, mixed> */
    private static function run(Run $run): array
    {
        return [
            'uid' => $run->uid,
            'name' => $run->name,
            'kind' => $run->kind->value,
            'x_mm' => $run->start->x,
            'y_mm' => $run->start->y,
            'heading_deg' => $run->headingDeg,
            'elements' => $run->pieces,
            'start_height_mm' => $run->startHeight,
            'grade_points' => $run->gradePoints,
            'profile' => $run->profile->toArray(),
        ] + ($run->structures === [] ? [] : ['structures' => array_map(fn (Structure $s): array => $s->toArray(), $run->structures)]);
    }

    /** @return array<string, mixed> */
    private static function feature(LandFeature $feature): array
    {
        return [
            'uid' => $feature->uid,
            'kind' => $feature->kind->value,
            'name' => $feature->name,
            'points' => array_map(fn (Spot $p): array => ['x_mm' => $p->x, 'y_mm' => $p->y, 'z_mm' => $p->z], $feature->points),
        ] +
            $feature->figures +
            $feature->extra;
    }

    private static function sorted(mixed $value): mixed
    {
        if (is_object($value)) {
            $value = (array) $value;
            ksort($value);

            return (object) array_map(self::sorted(...), $value);
        }
        if (is_array($value)) {
            if (! array_is_list($value)) {
                ksort($value);
            }

            return array_map(self::sorted(...), $value);
        }

        return $value;
    }
}
