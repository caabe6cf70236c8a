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
        $cuts = $page->cuts;
        $pieces = LayerPieces::of($page->body, $cuts);
        $problems = [];
        foreach ($pieces->pieces as $thickness => $those) {
            $problems[$thickness] = NestProblem::of(self::stock($cuts, (float) $thickness), array_slice($those, 0, NestProblem::MOST_PIECES), $cuts->kerf, $cuts->margin);
        }
        krsort($problems, SORT_NUMERIC);
        $key = 'sheets-'.sha1(json_encode([self::VERSION, $this->desk->hash($page->project, $page->section, LandDesk::CELL), $cuts->toArray(), $cuts->sheets], JSON_THROW_ON_ERROR));
        $kept = $this->store()->get($key);
        /** @var array<array-key, Nested> $nested */
        [$nested, $round] = is_array($kept) ? $kept : [[], 0];
        if ($nested === [] || ($closer && $round < self::ROUNDS)) {
            $first = $nested === [];
            foreach ($problems as $thickness => $problem) {
                $found = Nester::lay($problem, $first ? 0.0 : self::SECONDS / count($problems), $round + 1);
                $best = $nested[$thickness] ?? $found;
                $nested[$thickness] = self::rank($found) < self::rank($best) ? $found : $best;
            }
            $round += $first ? 0 : 1;
            $this->store()->put($key, [$nested, $round], 86400 * 7);
        }

        return new LaidSheets($pieces, $problems, $nested, $round);
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
