<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Computed\Clock\SearchTime;
use App\Pages\Cuts\SheetDrawing;
use IdleRidge\Core\Cuts\Nesting\Nester;
use IdleRidge\Core\Interchange\NestFile;

final class NestCommand extends RidgeCommand
{
    protected $signature = 'ridge:nest {file : sheets and pieces as JSON} {--seconds=10 '
        .': how long to look} {--seed=1} {--svg= : a drawing to write} {--json}';

    protected $description = 'Lays pieces on sheets';

    protected function answer(): array
    {
        $problem = NestFile::read($this->contents($this->file()));
        $nested = Nester::lay($problem, SearchTime::of($this->number('seconds', 0.0, 600.0, 's')), (int) $this->number('seed', 0.0, 1e9));
        if ($this->word('svg') !== '') {
            $this->put($this->word('svg'), SheetDrawing::file(['all' => $problem], ['all' => $nested]));
        }

        return [
            'placements' => array_map(
                fn (array $p): array => [
                    'piece' => $p['piece'],
                    'sheet' => $p['sheet'],
                    'index' => $p['index'],
                    'rotation' => $p['rotation'],
                    'dx' => round($p['dx'], 4),
                    'dy' => round($p['dy'], 4),
                    'mirrored' => false,
                ],
                $nested->placements,
            ),
            'sheets_used' => array_map(fn (array $u): array => ['sheet' => $u['sheet'], 'index' => $u['index']], $nested->used),
            'unplaced' => $nested->unplaced,
            'utilisation' => round($nested->utilisation(), 4),
            'used_length_mm' => round($nested->usedLength(), 2),
        ];
    }
}
