<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Files\LayoutFiles;

final class ImportCommand extends RidgeCommand
{
    protected $signature = 'ridge:import {file : a *.ridge.json} {--json}';

    protected $description = 'Brings a layout from a file into the database';

    protected function answer(): array
    {
        $layout = app(LayoutFiles::class)->import($this->contents($this->file()));

        return ['layout' => $layout->uid, 'name' => $layout->name];
    }
}
