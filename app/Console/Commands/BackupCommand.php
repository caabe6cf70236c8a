<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\House\Backups;

/** Copies all data, whole and checked, while others work. */
final class BackupCommand extends RidgeCommand
{
    protected $signature = 'ridge:backup {--to= : a folder or file, else among the copies '
        .'kept here} {--due : only when the newest copy here is a day old} {--json}';

    protected $description = 'Copies all data: {"file"}; of the copies kept here the newest of seven days and of four weeks stay';

    protected function answer(): ?array
    {
        $backups = app(Backups::class);
        if ($this->option('due') === true && ! $backups->isDue()) {
            return null;
        }
        $to = $this->option('to');

        return ['file' => $backups->make(is_string($to) && $to !== '' ? $to : null)];
    }
}
