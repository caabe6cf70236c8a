<?php

declare(strict_types=1);

namespace App\Computed\Cuts;

use App\Computed\Clock\SearchTime;
use App\Computed\ComputedCache;
use App\Computed\Land\ComputedLand;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\LayerPieces;
use IdleRidge\Core\Cuts\Nesting\Nester;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestResult;
use IdleRidge\Core\Cuts\Nesting\NestSheet;

/**
 * The pieces of a section's stack on sheets, thickness by thickness. A first layout is there at once; it is looked at closer in
 * rounds of under a second, so that a page can show how far it is and stop it. The best is kept under the hash of the land
 * and the settings.
 */
final readonly class ComputedSheets
{
    public const ROUNDS = 8;

    private const SECONDS_PER_ROUND = 0.8;

    private const MAX_SHEETS = 60;

    public function __construct(private ComputedLand $desk, private ComputedCache $cache)
    {
    }

    public function of(CutResult $page, bool $closer = false): SheetResult
    {
        [$pieces, $problems] = $this->problems($page);
        [$nested, $round] = $this->kept($page);
        if ($nested === [] || ($closer && $round < self::ROUNDS)) {
            $first = $nested === [];
            foreach ($problems as $thickness => $problem) {
                $found = Nester::lay($problem, $first ? null : SearchTime::of(self::SECONDS_PER_ROUND / count($problems)), $round + 1);
                $best = $nested[$thickness] ?? $found;
                $nested[$thickness] = self::rank($found) < self::rank($best) ? $found : $best;
            }
            $round += $first ? 0 : 1;
            $this->cache->put('sheets', $this->asked($page), [$nested, $round]);
        }

        return new SheetResult($pieces, $problems, $nested, $round);
    }

    /** The pieces on sheets where they were laid out before; null where that is still to do. */
    public function standing(CutResult $page): ?SheetResult
    {
        [$nested, $round] = $this->kept($page);

        return $nested === [] ? null : new SheetResult(...[...$this->problems($page), $nested, $round]);
    }

    /** What the sheets cost, laid out where they are and at least by area where not; null where a sheet has no price. */
    public function costOf(CutResult $page): ?int
    {
        $laid = $this->standing($page);

        return $laid === null ? $page->costByArea() : $laid->cost($page->cuts);
    }

    /** @return array{LayerPieces, array<array-key, NestProblem>} */
    private function problems(CutResult $page): array
    {
        $cuts = $page->cuts;
        $pieces = LayerPieces::of($page->body, $cuts);
        $problems = [];
        foreach ($pieces->pieces as $thickness => $those) {
            $problems[$thickness] = new NestProblem(
                self::stock($cuts, (float) $thickness),
                array_slice($those, 0, NestProblem::MAX_PIECES),
                $cuts->kerf,
                $cuts->margin,
            );
        }
        krsort($problems, SORT_NUMERIC);

        return [$pieces, $problems];
    }

    /** @return array{array<array-key, NestResult>, int} */
    private function kept(CutResult $page): array
    {
        $kept = $this->cache->get('sheets', $this->asked($page));
        /** @var array{array<array-key, NestResult>, int} $found */
        $found = is_array($kept) ? $kept : [[], 0];

        return $found;
    }

    private function asked(CutResult $page): string
    {
        return $this->cache->fingerprint($this->desk->hash($page->project, $page->section, ComputedLand::CELL_MM), $page->cuts);
    }

    /** @return list<NestSheet> */
    private static function stock(CutSettings $cuts, float $thickness): array
    {
        $out = [];
        foreach ($cuts->ofThickness($thickness) as $k => $sheet) {
            $out[] = new NestSheet(
                "{$thickness}-{$k}",
                $sheet->width,
                $sheet->depth,
                min(self::MAX_SHEETS, $sheet->count ?? self::MAX_SHEETS),
            );
        }

        return $out;
    }

    /** @return array{int, int, float} */
    private static function rank(NestResult $nested): array
    {
        return [count($nested->unplaced), count($nested->used), $nested->usedLength()];
    }
}
