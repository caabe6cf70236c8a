<?php

declare(strict_types=1);

namespace App\Workshop\Revising;

use App\Models\Layout;

/** A step was undone or done again. */
final readonly class StepTurned
{
    /**
     * @param 'undo'|'redo' $kind
     * @param list<array{table: string, uid: string, before: array<string, mixed>|null, after: array<string, mixed>|null}> $rows
     */
    public function __construct(public Layout $layout, public string $kind, public string $sentence, public array $rows)
    {
    }
}
