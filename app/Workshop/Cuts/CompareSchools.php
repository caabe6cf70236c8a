<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\FoamWork;
use IdleRidge\Core\Measure\Figure;
use LogicException;

/** The ways to make the same land, beside each other. */
final readonly class CompareSchools
{
    public function __construct(private CutDesk $desk)
    {
    }

    /** @return array<string, list<array{label: string, figure: Figure|null}>> school → figures */
    public function of(CutPage $page): array
    {
        $out = [];
        foreach (CutSchool::cases() as $school) {
            $out[$school->value] = $this->figures($school === $page->cuts->school ? $page : $this->desk->page($page->project, $page->section, $school));
        }

        return $out;
    }

    /** @return list<array{label: string, figure: Figure|null}> */
    private function figures(CutPage $page): array
    {
        $weight = $page->weight;
        $whole = ['label' => 'weight, kg', 'figure' => new Figure($weight->dry(), 'kg', 'board, land and track, dry', array_column(array_map(fn (array $p): array => [$p['part'], round($p['dry'], 2).' kg'], $weight->parts), 1, 0), 'starting value', 1)];
        $shell = $page->shell();
        if ($shell !== null) {
            return [
                ['label' => 'sheets', 'figure' => new Figure((float) ceil($shell->ribArea() / $page->cuts->first()->area()), '', 'area of the ribs over that of sheets, rounded up', ['ribs' => (string) count($shell->ribs)], decimals: 0)],
                ['label' => 'hours', 'figure' => new Figure($shell->minutes() / 60.0, 'h', 'ribs by piece and outline, strips by length, layers by area', ['layers' => (string) $shell->build->layers], 'starting value', 1)],
                $whole,
                ['label' => 'dust, l', 'figure' => null],
            ];
        }
        $stack = $page->stack() ?? throw new LogicException('a school of foam makes a stack');
        $work = FoamWork::of($stack, $page->cuts, $page->surface);
        $from = ['stack' => $stack->words().' mm'];

        return [
            ['label' => 'sheets', 'figure' => new Figure((float) array_sum(array_column($stack->sheets($page->cuts), 'count')), '', 'area of the layers over that of sheets, rounded up', $from, decimals: 0)],
            ['label' => 'hours', 'figure' => new Figure($work->minutes() / 60.0, 'h', 'cutting by piece and outline, gluing by layer, shaping by true area', ['cutting' => round($work->cutting).' min', 'gluing' => round($work->gluing).' min', 'shaping' => round($work->shaping).' min'], 'starting value', 1)],
            $whole,
            ['label' => 'dust, l', 'figure' => new Figure($stack->carved / 1e6, 'l', 'foam that is cut away', $from, decimals: 1)],
            ...($work->cost === null ? [] : [['label' => 'cost', 'figure' => Figure::money($work->cost, $page->project->layout->currency, 'whole sheets by area × their price', $from)]]),
        ];
    }
}
