<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use App\Models\Layout;

/** A step was undone or done again. */
final readonly class StepReverted
{
    /**
     * @param  'undo'|'redo'  $kind
     * @param  list<array{table: string, uid: string, before: array<string, mixed>|null, after: array<string, mixed>|null}>  $rows
     */
    public function __construct(public Layout $layout, public string $kind, public string $sentence, public array $rows)
    {
    }
}
