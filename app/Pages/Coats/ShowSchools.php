<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use App\Computed\Cuts\ComputedCuts;
use App\Computed\Cuts\ComputedSheets;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\School;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\SchoolTrial;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** The schools of one question beside each other on a zone, before one is taken. */
final readonly class ShowSchools
{
    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private Library $library,
        private ShowRail $rail,
        private ComputedCuts $cuts,
        private ComputedSheets $sheets,
    ) {
    }

    /** @return array<string, mixed> for the view coats.schools */
    public function of(Layout $layout, SectionRow $row, string $zone, string $question): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $library = $project->library($this->library);
        $zones = $project->works->zonesOf($section->uid);
        $picked = $zones[$zone] ?? (array_values($zones)[0] ?? null);
        $questions = $library->questions();
        $asked = isset($questions[$question]) ? $question : (string) array_key_first($questions);
        $work = $this->desk->planOf($project, $this->desk->minute())->work;
        $trials = $picked === null ? [] : array_map(
            fn (School $s): SchoolTrial => SchoolTrial::of(
                $work,
                $section,
                $picked,
                $s,
                $library,
                $this->body($project, $section, $work, $picked, $s),
            ),
            $questions[$asked] ?? [],
        );

        return [
            'layout' => $layout,
            'section' => $section,
            'rail' => $this->rail->of($project, $section, $work),
            'zones' => $zones,
            'zone' => $picked,
            'questions' => array_keys($questions),
            'asked' => $asked,
            'room' => $work->project->works->room($section),
            'wayWords' => fn (string $way): string => $library->ways->read($way)->words(),
            'goesIn' => fn (array $amounts): string => implode(
                ', ',
                array_map(fn (MaterialAmount $a): string => implode(' ', $a->words())." {$a->material}", $amounts),
            ),
            'trials' => $trials,
            'rows' => $this->rows($trials, $project->layout->currency, $work->certainty()),
            'best' => SchoolTrial::best($trials),
        ];
    }

    /**
     * @param  list<SchoolTrial>  $trials
     * @return array<string, array{label: string, cells: list<array{before?: string, figure: Quantity|null, after?: string}>}> by figure
     */
    private function rows(array $trials, string $currency, float $certainty): array
    {
        $labels = [
            'minutes' => 'At the bench', 'days' => 'Until dry through', 'wet' => 'Weighs, wet', 'dry' => 'Weighs, dry', 'cost' => 'Uses up',
        ];
        $cells = array_map(fn (SchoolTrial $trial): array => $this->cells($trial, $currency, $certainty), $trials);

        return array_map(
            fn (string $figure): array => ['label' => $labels[$figure], 'cells' => array_column($cells, $figure)],
            array_combine(array_keys($labels), array_keys($labels)),
        );
    }

    /** @return array<string, array{before?: string, figure: Quantity|null, after?: string}> */
    private function cells(SchoolTrial $trial, string $currency, float $certainty): array
    {
        $sure = Decimal::trimmed(100.0 * $certainty, 0);
        $under = $trial->body > 0.0 ? ['foam or ribs' => Format::text($trial->body / 1000.0, 'kg', 2)] : [];

        return [
            'minutes' => [
                'figure' => new Quantity(
                    $trial->minutes / 60.0,
                    'h',
                    'hands-on minutes of every move',
                    ['moves' => (string) $trial->moves],
                    'starting value',
                    1,
                ),
                'after' => 'h in '.$trial->moves.($trial->moves === 1 ? ' move' : ' moves'),
            ],
            'days' => [
                'figure' => new Quantity(
                    $trial->days50,
                    'days',
                    "each coat laid as soon as the one below allows ({$sure} %), in the air of the room",
                    ['90 %' => Decimal::trimmed($trial->days90, 1).' days'],
                    'starting value',
                    1,
                ),
                'after' => 'to '.Decimal::trimmed($trial->days90, 1).' days',
            ],
            'wet' => [
                'figure' => new Quantity($trial->wet / 1000.0, 'kg', 'amounts × their densities', $under, decimals: 2),
            ],
            'dry' => [
                'figure' => new Quantity(
                    $trial->dry / 1000.0,
                    'kg',
                    'amounts × their densities × what of them stays',
                    $under,
                    decimals: 2,
                ),
            ],
            // What has no price costs something too: then this is only the least, or nothing that could be told.
            'cost' => $trial->cost === 0 && $trial->unpriced !== []
                ? ['figure' => null, 'after' => 'no price yet']
                : [
                    'before' => $trial->unpriced === [] ? '' : 'over',
                    'figure' => Quantity::money(
                        $trial->cost,
                        $currency,
                        'amounts × price of a pack ÷ what is in it'.($trial->body > 0.0 ? ', and whole sheets by area' : ''),
                        $trial->unpriced === [] ? [] : ['without a price' => implode(', ', $trial->unpriced)],
                        'yours',
                    ),
                    'after' => $currency,
                ],
        ];
    }

    /**
     * What a school of landform is made of under a zone: its share of the board's foam or ribs by area.
     *
     * @return array{grams: float, minor: int|null}|null
     */
    private function body(Project $project, Section $section, BenchWork $work, Zone $zone, School $school): ?array
    {
        if ($school->cut === null) {
            return null;
        }
        $page = $this->cuts->by($school->cut, $this->cuts->page($project, $section));
        $share = min(1.0, $work->surveys[$section->uid]->zones[$zone->uid]->plan / max(1.0, $section->width * $section->depth));
        $minor = $this->sheets->costOf($page);

        return [
            'grams' => 1000.0 * $share * $page->weight->ofParts('foam', 'ribs'),
            'minor' => $minor === null ? null : (int) round($share * $minor),
        ];
    }
}
