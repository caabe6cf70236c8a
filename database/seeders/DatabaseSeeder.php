<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Files\LayoutFiles;
use App\Computed\Journal\Pictures;
use Illuminate\Database\Seeder;

/** The demo data. */
final class DatabaseSeeder extends Seeder
{
    public function run(SkarnvikBranch $branch, SaltingsTramway $tramway, LayoutFiles $files, Pictures $pictures): void
    {
        $layout = $files->store($branch->project());
        foreach (DrawnPictures::all() as $hash => $sizes) {
            $pictures->keep($layout, $hash, $sizes);
        }
        $files->store($tramway->project());
    }
}
