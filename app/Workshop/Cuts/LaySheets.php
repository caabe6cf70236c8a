<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use App\Workshop\Land\LandDesk;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\Nesting\LayerPieces;
use IdleRidge\Core\Cuts\Nesting\Nested;
use IdleRidge\Core\Cuts\Nesting\Nester;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestSheet;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;

/**
 * The pieces of a section's stack on sheets, thickness by thickness. A first layout is there at once; it is looked at closer in
 * rounds of under a second, so that a page can show how far it is and stop it. The best is kept under the hash of the land
 * and the settings.
 */
final readonly class LaySheets
{
    /** Raise when what is kept changes its form. */
    private const VERSION = 3;

    public const ROUNDS = 8;

    private const SECONDS = 0.8;

    private const MOST_SHEETS = 60;

    public function __construct(private LandDesk $desk)
    {
    }

    public function of(CutPage $page, bool $closer = false): LaidSheets
    {
        [$pieces, $problems] = $this->problems($page);
        [$nested, $round] = $this->kept($page);
        if ($nested === [] || ($closer && $round < self::ROUNDS)) {
            $first = $nested === [];
            foreach ($problems as $thickness => $problem) {
                $found = Nester::lay($problem, $first ? 0.0 : self::SECONDS / count($problems), $round + 1);
                $best = $nested[$thickness] ?? $found;
                $nested[$thickness] = self::rank($found) < self::rank($best) ? $found : $best;
            }
            $round += $first ? 0 : 1;
            $this->store()->put($this->key($page), [$nested, $round], 86400 * 7);
        }

        return new LaidSheets($pieces, $problems, $nested, $round);
    }

    /** The pieces on sheets where they were laid out before; null where that is still to do. */
    public function standing(CutPage $page): ?LaidSheets
    {
        [$nested, $round] = $this->kept($page);

        return $nested === [] ? null : new LaidSheets(...[...$this->problems($page), $nested, $round]);
    }

    /** What the sheets cost, laid out where they are and at least by area where not; null where a sheet has no price. */
    public function costOf(CutPage $page): ?int
    {
        $laid = $this->standing($page);

        return $laid === null ? $page->costByArea() : $laid->cost($page->cuts);
    }

    /** @return array{LayerPieces, array<array-key, NestProblem>} */
    private function problems(CutPage $page): array
    {
        $cuts = $page->cuts;
        $pieces = LayerPieces::of($page->body, $cuts);
        $problems = [];
        foreach ($pieces->pieces as $thickness => $those) {
            $problems[$thickness] = NestProblem::of(self::stock($cuts, (float) $thickness), array_slice($those, 0, NestProblem::MOST_PIECES), $cuts->kerf, $cuts->margin);
        }
        krsort($problems, SORT_NUMERIC);

        return [$pieces, $problems];
    }

    /** @return array{array<array-key, Nested>, int} */
    private function kept(CutPage $page): array
    {
        $kept = $this->store()->get($this->key($page));
        /** @var array{array<array-key, Nested>, int} $found */
        $found = is_array($kept) ? $kept : [[], 0];

        return $found;
    }

    private function key(CutPage $page): string
    {
        return 'sheets-'.sha1(json_encode([self::VERSION, $this->desk->hash($page->project, $page->section, LandDesk::CELL), $page->cuts->toArray(), $page->cuts->sheets], JSON_THROW_ON_ERROR));
    }

    /** @return list<NestSheet> */
    private static function stock(CutSettings $cuts, float $thickness): array
    {
        $out = [];
        foreach ($cuts->ofThickness($thickness) as $k => $sheet) {
            $out[] = NestSheet::of("{$thickness}-{$k}", $sheet->width, $sheet->depth, min(self::MOST_SHEETS, $sheet->count ?? self::MOST_SHEETS));
        }

        return $out;
    }

    /** @return array{int, int, float} */
    private static function rank(Nested $nested): array
    {
        return [count($nested->unplaced), count($nested->used), $nested->usedLength()];
    }

    private function store(): Repository
    {
        return Cache::store('computed');
    }
}
