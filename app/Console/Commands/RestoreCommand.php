<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\House\RestoreBackup;

/** Puts all data of a copy in the place of what is here; that is copied first. */
final class RestoreCommand extends RidgeCommand
{
    protected $signature = 'ridge:restore {file : a copy made by ridge:backup} {--json}';

    protected $description = 'Brings back all data of a copy: {"restored", "before"}, the second the copy of what was here';

    protected function answer(): array
    {
        $file = (string) $this->argument('file');

        return ['restored' => $file, 'before' => app(RestoreBackup::class)->from($file)];
    }
}
