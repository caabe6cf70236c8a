<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Computed\Cuts\ComputedCuts;
use App\Computed\Cuts\ComputedSheets;
use App\Computed\Cuts\CutResult;
use App\Computed\Cuts\SheetResult;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\FoamWork;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;

/** The ways to make the same land, beside each other: sheets and cost as they are laid out, or from what they take by area alone. */
final readonly class CompareCutSchools
{
    /** Column → the unit of the core that all of it is in. */
    public const COLUMNS = ['sheets' => '', 'hours' => '', 'weight' => 'kg', 'dust' => 'l', 'cost' => ''];

    public function __construct(private ComputedCuts $desk, private ComputedSheets $sheets)
    {
    }

    /**
     * Before a figure stands ≥ where it is the least by area, > where more than sheets is to be paid.
     *
     * @param  bool  $lay whether all of them are laid out now
     * @return array{rows: array<string, array<string, array{figure: Quantity|null, before: string}>>, laid: bool} school → column → figure;
     *     whether all are laid out
     */
    public function of(CutResult $page, bool $lay = false): array
    {
        $rows = [];
        $whole = true;
        foreach (CutSchool::cases() as $school) {
            $of = $this->desk->by($school, $page);
            $laid = $lay ? $this->sheets->of($of) : $this->sheets->standing($of);
            $rows[$school->value] = $this->figures($of, $laid);
            $whole = $whole && $laid !== null;
        }

        return ['rows' => $rows, 'laid' => $whole];
    }

    /** @return array<string, array{figure: Quantity|null, before: string}> */
    private function figures(CutResult $page, ?SheetResult $laid): array
    {
        $weight = $page->weight;
        $from =
            $page->stack() === null ? ['ribs' => (string) count($page->shell()->ribs ?? [])] : ['stack' => $page->stack()->words()];
        $before = $laid === null ? '≥' : '';
        [$how, $paid] =
            $laid === null
                ? [
                    'area of what is cut over that of sheets, rounded up: laying it out takes as many or more',
                    'sheets by area × their price, so much at least',
                ]
                : ['laid out by their outlines, a kerf apart', 'sheets as they are laid out × their price; what lies in store is paid'];
        $cost = $laid === null ? $page->costByArea() : $laid->cost($page->cuts);
        $dust = $page->stack()?->carved;
        $more = self::more($page);

        return array_combine(array_keys(self::COLUMNS), [
            [
                'figure' => new Quantity((float) ($laid === null ? $page->sheetsByArea() : $laid->count()), '', $how, $from),
                'before' => $before,
            ],
            ['figure' => $this->hours($page), 'before' => ''],
            [
                'figure' => new Quantity(
                    $weight->dry(),
                    'kg',
                    'board, land and track, dry',
                    array_column(array_map(fn (array $p): array => [$p['part'], Format::text($p['dry'], 'kg', 2)], $weight->parts), 1, 0),
                    'starting value',
                    1,
                ),
                'before' => '',
            ],
            [
                'figure' => $dust === null ? null : new Quantity($dust / 1e6, 'l', 'foam that is cut away', $from, decimals: 1),
                'before' => '',
            ],
            [
                'figure' => $cost === null ? null : Quantity::money($cost, $page->project->layout->currency, $paid, $from + $more),
                'before' => $more === [] ? $before : '>',
            ],
        ]);
    }

    /** @return array<string, string> what the school takes besides its sheets, which their price leaves out */
    private static function more(CutResult $page): array
    {
        $shell = $page->shell();
        if ($shell !== null) {
            $cover =
                Format::text($shell->cover() / 1e6, 'm²', 2).' of '.
                ($shell->school === CutSchool::Towel ? 'towels in plaster' : 'plaster cloth');

            [$long, $unit] = Format::strip($shell->strips / 1000.0);

            return ['without' => $cover.' and '.implode(' ', [Decimal::trimmed($long, 1), $unit]).' of card'];
        }
        $filler = $page->stack()->filler ?? 0.0;

        return $filler > 5e4 ? ['without' => Format::text($filler / 1e6, 'l', 1).' of filler'] : [];
    }

    private function hours(CutResult $page): Quantity
    {
        $shell = $page->shell();
        if ($shell !== null) {
            return new Quantity(
                $shell->minutes() / 60.0,
                'h',
                'ribs by piece and outline, strips by length, layers by area',
                ['layers' => (string) $shell->build->layers],
                'starting value',
                1,
            );
        }
        $work = FoamWork::of($page->stack() ?? throw new \LogicException('what is no shell is a stack'), $page->cuts, $page->surface);

        return new Quantity(
            $work->minutes() / 60.0,
            'h',
            'cutting by piece and outline, gluing by layer, shaping by true area',
            [
                'cutting' => round($work->cutting).' min',
                'gluing' => round($work->gluing).' min',
                'shaping' => round($work->shaping).' min',
            ],
            'starting value',
            1,
        );
    }
}
