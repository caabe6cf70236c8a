<?php

declare(strict_types=1);

namespace App\Workshop\Files;

use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Measure\Refusal;

/** The library that comes with the program: one file a recipe, and the build-ups. */
final class LibraryFiles
{
    /** @throws Refusal naming the file */
    public static function read(string $folder): Library
    {
        $files = [];
        foreach (glob("{$folder}/recipes/*.json") ?: [] as $file) {
            $files[basename($file)] = (string) file_get_contents($file);
        }

        return RecipeFile::library($files, (string) file_get_contents("{$folder}/build-ups.json"));
    }
}
