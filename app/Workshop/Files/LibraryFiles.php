<?php

declare(strict_types=1);

namespace App\Workshop\Files;

use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Measure\Refusal;
use Illuminate\Support\Facades\Cache;

/** The library that comes with the program: one file a recipe, materials, build-ups, schools. */
final class LibraryFiles
{
    /** Raise when what is kept changes its form. */
    private const VERSION = 1;

    /** As it was read before, until a file changes. */
    public static function kept(string $folder): Library
    {
        $files = [...(glob("{$folder}/recipes/*.json") ?: []), ...(glob("{$folder}/*.json") ?: [])];
        $key = 'library-'.sha1(self::VERSION.implode('|', array_map(fn (string $file): string => $file.filemtime($file), $files)));
        $kept = Cache::store('computed')->get($key);
        if (! $kept instanceof Library) {
            $kept = self::read($folder);
            Cache::store('computed')->put($key, $kept, 86400 * 7);
        }

        return $kept;
    }

    /** @throws Refusal naming the file */
    public static function read(string $folder): Library
    {
        $files = [];
        foreach (glob("{$folder}/recipes/*.json") ?: [] as $file) {
            $files[basename($file)] = (string) file_get_contents($file);
        }

        return RecipeFile::library($files, ...array_map(fn (string $name): string => (string) file_get_contents("{$folder}/{$name}.json"), ['build-ups', 'materials', 'schools']));
    }
}
