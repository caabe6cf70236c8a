<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Files\LayoutFiles;
use Illuminate\Database\Seeder;

/** The demo data. */
final class DatabaseSeeder extends Seeder
{
    public function run(SkarnvikBranch $branch, SaltingsTramway $tramway, LayoutFiles $files): void
    {
        $files->store($branch->project());
        $files->store($tramway->project());
    }
}
