<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

/** What came of undoing a step or doing it again. */
final readonly class UndoResult
{
    /**
     * @param  'undo'|'redo'  $kind
     * @param  bool  $left whether all stayed as it was, for what the step was about is not as the step left it
     */
    public function __construct(public string $kind, public string $sentence, public bool $left)
    {
    }

    public function said(): string
    {
        return match (true) {
            $this->left => "“{$this->sentence}” was passed over: what it was about has changed since, and stays as it is.",
            $this->kind === 'undo' => "Undone: {$this->sentence}.",
            default => "Done again: {$this->sentence}.",
        };
    }
}
