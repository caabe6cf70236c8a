<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Files\LayoutArchive;
use App\Actions\Files\LayoutFiles;

final class ImportCommand extends RidgeCommand
{
    protected $signature = 'ridge:import {file : a *.ridge.json, or a *.ridge.zip} {--json}';

    protected $description = 'Brings a layout from a file into the database';

    protected function answer(): array
    {
        $file = $this->file();
        $layout = LayoutArchive::isZip($file)
            ? app(LayoutArchive::class)->import($file)
            : app(LayoutFiles::class)->import($this->contents($file));

        return ['layout' => $layout->uid, 'name' => $layout->name];
    }
}
