<?php

declare(strict_types=1);

namespace App\Computed\Library;

use App\Computed\ComputedCache;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Pigment;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Measure\InvalidValue;

/** The library that comes with the program: one file a recipe, materials, build-ups, schools. */
final readonly class LibraryFiles
{
    public function __construct(private ComputedCache $cache)
    {
    }

    /** As it was read before, until a file changes. */
    public function kept(string $folder): Library
    {
        $files = [...glob("{$folder}/recipes/*.json") ?: [], ...glob("{$folder}/*.json") ?: []];
        $from = $this->cache->fingerprint(array_map(fn (string $file): array => [$file, filemtime($file), filesize($file)], $files));

        return $this->cache->remember('library', $from, fn (): Library => self::read($folder));
    }

    /** @throws InvalidValue naming the file */
    public static function read(string $folder): Library
    {
        $files = [];
        foreach (glob("{$folder}/recipes/*.json") ?: [] as $file) {
            $files[basename($file)] = (string) file_get_contents($file);
        }

        return RecipeFile::library(
            $files,
            ...array_map(fn (string $name): string => (string) file_get_contents("{$folder}/{$name}.json"), [
                'build-ups',
                'materials',
                'schools',
                'ways',
            ]),
        );
    }

    /** @return array<string, Pigment> base paint → as it looks wet */
    public static function basePaints(): array
    {
        return array_map(
            Pigment::hex(...),
            json_decode((string) file_get_contents(base_path('library/pigments.json')), true, 4, JSON_THROW_ON_ERROR),
        );
    }
}
