<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use App\Workshop\Land\LandDesk;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Nesting\LayerPieces;
use IdleRidge\Core\Cuts\Nesting\Nested;
use IdleRidge\Core\Cuts\Nesting\Nester;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;

/**
 * The pieces of a section's stack on sheets. A first layout is there at once; it is looked at closer in rounds of under a
 * second, so that a page can show how far it is and stop it. The best is kept under the hash of the land and the settings.
 */
final readonly class LaySheets
{
    /** Raise when what is kept changes its form. */
    private const VERSION = 1;

    public const ROUNDS = 8;

    private const SECONDS = 0.8;

    private const MOST_SHEETS = 60;

    public function __construct(private LandDesk $desk)
    {
    }

    public function problem(LayerPieces $pieces, CutSettings $cuts): NestProblem
    {
        return NestProblem::of([NestSheet::of('sheet', $cuts->sheetWidth, $cuts->sheetDepth, self::MOST_SHEETS)], array_slice($pieces->pieces, 0, NestProblem::MOST_PIECES), $cuts->kerf, $cuts->margin);
    }

    /** @return array{pieces: LayerPieces, problem: NestProblem, nested: Nested, round: int} the best so far, and how many rounds it has been looked at */
    public function of(Project $project, Section $section, FoamStack $stack, bool $closer = false): array
    {
        $cuts = $project->layout->cuts;
        $pieces = LayerPieces::of($stack, $cuts);
        $problem = $this->problem($pieces, $cuts);
        $key = 'sheets-'.sha1(json_encode([self::VERSION, $this->desk->hash($project, $section, LandDesk::CELL), $cuts->toArray()], JSON_THROW_ON_ERROR));
        $kept = $this->store()->get($key);
        [$nested, $round] = is_array($kept) && $kept[0] instanceof Nested ? $kept : [null, 0];
        if ($nested === null || ($closer && $round < self::ROUNDS)) {
            $found = Nester::lay($problem, $nested === null ? 0.0 : self::SECONDS, $round + 1);
            $round = $nested === null ? 0 : $round + 1;
            $better = $nested === null || [count($found->unplaced), count($found->used), $found->usedLength()] < [count($nested->unplaced), count($nested->used), $nested->usedLength()];
            $nested = $better ? $found : $nested;
            $this->store()->put($key, [$nested, $round], 86400 * 7);
        }

        return ['pieces' => $pieces, 'problem' => $problem, 'nested' => $nested, 'round' => $round];
    }

    private function store(): Repository
    {
        return Cache::store('computed');
    }
}
