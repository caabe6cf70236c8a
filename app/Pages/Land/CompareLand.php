<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Actions\Land\SaveLandFeature;
use App\Actions\Land\SaveRun;
use App\Computed\Cuts\ComputedCuts;
use App\Computed\Land\ComputedLand;
use App\Computed\Land\LandResult;
use App\Computed\ProjectLoader;
use App\Models\LandFeature as FeatureRow;
use App\Models\Layout;
use App\Models\Run as RunRow;
use App\Models\Section as SectionRow;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Terrain;
use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\BaseWidth;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\SightStudy;
use IdleRidge\Core\Project\Variation;
use IdleRidge\Core\Track\Run;

/** The same land with one thing changed, side by side: what each takes, costs and hides. */
final readonly class CompareLand
{
    /** Of a height or a place mm, of slopes run over rise. */
    private const MAX_STEP = 500.0;

    public function __construct(
        private ProjectLoader $load,
        private ComputedLand $desk,
        private ComputedCuts $cuts,
        private SaveLandFeature $place,
        private SaveRun $lay,
    ) {
    }

    /**
     * @return array{thing: LandFeature|Run, what: string, whats: list<string>, step: float, unit: string, cards: list<array{title: string,
     *     by: float|null, sheet: LandResult, project: Project, rows: list<array{label: string, figure: Quantity, change: float|null}>}>}
     */
    public function of(Layout $layout, SectionRow $row, string $uid, string $what, string $typed): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $thing = Variation::find($project, $uid);
        $whats = Variation::VARIABLES[Variation::kindOf($thing)] ?? [];
        $what = isset($whats[$what]) ? $what : (string) array_key_first($whats);
        $unit = $what === 'batter' ? '' : 'mm';
        $step = self::step($typed, $unit, $whats[$what] ?? 0.0);
        $variants = [['As it stands', null, $project]];
        foreach ($whats === [] ? [] : [-$step, $step] as $by) {
            $variants[] = [$this->title($what, $by), $by, Variation::of($project, $uid, $what, $by)];
        }
        if ($thing instanceof LandFeature) {
            $variants[] = ['Without it', null, Variation::without($project, $uid)];
        }
        $bare = $thing instanceof LandFeature ? $this->desk->model(Variation::without($project, $uid), $section) : null;
        $cards = [];
        foreach ($variants as [$title, $by, $variant]) {
            $rows = $this->rows($variant, $section, $uid, $bare);
            foreach ($rows as $k => $figures) {
                // Without it there is nothing to tell its rows by.
                $rows[$k]['label'] = $cards[0]['rows'][$k]['label'] ?? $figures['label'];
                $rows[$k]['change'] = $cards === [] ? null : $figures['figure']->value - $cards[0]['rows'][$k]['figure']->value;
            }
            $cards[] = [
                'title' => $title,
                'by' => $by,
                'sheet' => $this->desk->sheet($variant, $section, ComputedLand::CELL_MM),
                'project' => $variant,
                'rows' => $rows,
            ];
        }

        return ['thing' => $thing, 'what' => $what, 'whats' => array_keys($whats), 'step' => $step, 'unit' => $unit, 'cards' => $cards];
    }

    /** What stands takes the place of the variation. */
    public function take(Layout $layout, SectionRow $row, string $uid, string $what, float $by): void
    {
        $project = $this->load->of($layout);
        $changed = Variation::find(Variation::of($project, $uid, $what, $by), $uid);
        $name = $changed->name === '' ? ucfirst(Variation::kindOf($changed)) : $changed->name;
        $sentence = $name.': '.mb_strtolower($this->title($what, $by));
        if ($changed instanceof Run) {
            /** @var RunRow $run */
            $run = $layout->runs()->where('uid', $uid)->firstOrFail();
            $this->lay->save($layout, $run->fill(SaveRun::columns($changed)), $sentence);
        } else {
            /** @var FeatureRow $feature */
            $feature = $layout->features()->where('uid', $uid)->firstOrFail();
            $this->place->save($layout, $feature->fill(SaveLandFeature::columns($changed)), $sentence);
        }
    }

    /** What was typed, or the usual step where that is none. */
    private static function step(string $typed, string $unit, float $usual): float
    {
        try {
            $step = $unit === '' ? (float) str_replace(',', '.', $typed) : Amount::parse($typed, $unit);
        } catch (InvalidValue) {
            $step = 0.0;
        }

        return is_finite($step) && $step > 0.0 ? min(self::MAX_STEP, $step) : $usual;
    }

    private function title(string $what, float $by): string
    {
        $amount = in_array($what, ['height', 'place'], true) ? Format::length(abs($by), 2) : Decimal::trimmed(abs($by), 2);

        return match ($what) {
            'height' => $by > 0.0 ? "{$amount} higher" : "{$amount} lower",
            'place' => $by > 0.0 ? "{$amount} to the left" : "{$amount} to the right",
            default => $by > 0.0 ? "Slopes gentler by {$amount}" : "Slopes steeper by {$amount}",
        };
    }

    /** @return list<array{label: string, figure: Quantity, change: float|null}> */
    private function rows(Project $project, Section $section, string $uid, ?LandModel $bare): array
    {
        $sheet = $this->desk->sheet($project, $section, ComputedLand::CELL_MM);
        $model = $this->desk->model($project, $section, ComputedLand::CELL_MM);
        $terrain = $model->terrain(ComputedLand::CELL_MM);
        $page = $this->cuts->page($project, $section);
        $weight = $page->weight;
        $parts = array_column(array_map(fn (array $p): array => [$p['part'], Format::text($p['dry'], 'kg', 2)], $weight->parts), 1, 0);
        [$stack, $shell] = [$page->stack(), $page->shell()];
        $volume = $sheet->figures['volume'];
        $rows = [
            [
                'label' => 'Land over the board',
                'figure' => new Quantity($volume->value / 1e6, 'l', $volume->formula, $volume->inputs, decimals: 2),
            ],
            $shell === null
                ? [
                    'label' => 'Foam',
                    'figure' => new Quantity(
                        ($stack->foam ?? 0.0) / 1e6,
                        'l',
                        'area × thickness of every layer',
                        ['layers' => (string) count($stack->layers ?? [])],
                        decimals: 2,
                    ),
                ]
                : [
                    'label' => 'Shell',
                    'figure' => new Quantity(
                        $shell->surface / 1e4,
                        'dm²',
                        'true surface of the shell',
                        ['ribs' => (string) count($shell->ribs)],
                        decimals: 1,
                    ),
                ],
            [
                'label' => 'Board, all told',
                'figure' => new Quantity($weight->dry(), 'kg', 'frame, board, land and track, dry', $parts, 'starting value', 2),
            ],
            $this->width($project, $section, $model, $terrain, $uid, $bare),
            [
                'label' => 'Findings',
                'figure' => new Quantity((float) count($sheet->findings), '', 'what the rules find on this board', decimals: 0),
            ],
        ];
        $sight = SightStudy::of(
            $project->layout->viewing,
            $section,
            $model,
            $project->works->growth->standsOn($section->uid),
        );
        if ($sight !== null) {
            $rows[] = ['label' => 'Land seen', 'figure' => $sight->land];
            foreach ($sight->runs as [$name, $figure]) {
                $rows[] = ['label' => "{$name} seen", 'figure' => $figure];
            }
        }

        return array_map(fn (array $row): array => $row + ['change' => null], $rows);
    }

    /** @return array{label: string, figure: Quantity} */
    private function width(Project $project, Section $section, LandModel $model, Terrain $terrain, string $uid, ?LandModel $bare): array
    {
        foreach ($model->grading->runs as $k => $run) {
            if ($run->uid === $uid) {
                return [
                    'label' => 'Slopes reach out',
                    'figure' => new Quantity(
                        $terrain->slopeReach($k, $run->profile->halfWidth(Side::Left), $run->profile->halfWidth(Side::Right)),
                        'mm',
                        'furthest place of a slope from the formation’s edge',
                        decimals: 0,
                    ),
                ];
            }
        }
        $there = array_values(array_filter($project->features, fn (LandFeature $f): bool => $f->uid === $uid))[0] ?? null;
        [$long, $short] = $bare === null || $there === null ? [0.0, 0.0] : $terrain->extentOfChange($bare->terrain(ComputedLand::CELL_MM));
        $inputs = ['rectangle of the change' => Format::several([$long, $short], 'mm')];
        if ($bare === null || $there === null || $there->kind->isShape()) {
            return [
                'label' => 'Width taken',
                'figure' => new Quantity(
                    max($long, $short),
                    'mm',
                    'longer side of the rectangle in which the land differs by more than '.Format::length(1.0, 1)
                        .' from what it would be without it',
                    $inputs,
                    decimals: 0,
                ),
            ];
        }

        return [
            'label' => 'Base across',
            'figure' => new Quantity(
                BaseWidth::across($model, $bare, $there, $section),
                'mm',
                $there->hasFoot()
                    ? 'from toe to toe, square to its line'
                    : 'square to its line, as far as it makes '.Format::length(1.0, 1).' or more',
                $inputs,
                decimals: 0,
            ),
        ];
    }
}
