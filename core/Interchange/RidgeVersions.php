<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Coats\Stage;
use stdClass;

/** Brings files of older versions into the form of the present one, one step a version. What is not a layout stays as it is. */
final class RidgeVersions
{
    /** @param  callable(string): (int|null)  $stage of a recipe of the library by its id */
    public static function brought(mixed $file, callable $stage): mixed
    {
        if ($file instanceof stdClass && ($file->version ?? null) === 1) {
            self::toSecond($file);
        }
        if ($file instanceof stdClass && ($file->version ?? null) === 2) {
            self::toThird($file);
        }
        if ($file instanceof stdClass && ($file->version ?? null) === 3) {
            self::toFourth($file, $stage);
        }
        // The fifth only knows more: pictures, checks, mishaps and trials.
        if ($file instanceof stdClass && ($file->version ?? null) === 4) {
            $file->version = 5;
        }

        // The sixth only knows more too: stands, rows, and zones that follow them.
        if ($file instanceof stdClass && ($file->version ?? null) === 5) {
            $file->version = 6;
        }

        // So does the seventh: how waters are made, mirrors, and zones under water.
        if ($file instanceof stdClass && ($file->version ?? null) === 6) {
            $file->version = 7;
        }

        return $file;
    }

    /** One vehicle becomes a set. */
    private static function toSecond(stdClass $file): void
    {
        $layout = $file->layout ?? null;
        if ($layout instanceof stdClass && isset($layout->vehicle)) {
            $vehicle = $layout->vehicle;
            if ($vehicle instanceof stdClass) {
                $vehicle->name ??= 'coach';
            }
            $layout->vehicles = [$vehicle];
            unset($layout->vehicle);
        }
        $file->version = 2;
    }

    /** A pass of ballast is as thick as it is told, where passes shared one bed; the land of all boards ran on. */
    private static function toThird(stdClass $file): void
    {
        foreach (is_array($file->coats ?? null) ? $file->coats : [] as $coat) {
            if (
                $coat instanceof stdClass &&
                is_string($coat->recipe ?? null) &&
                str_ends_with($coat->recipe, '-ballast') &&
                is_numeric($coat->passes ?? null) &&
                $coat->passes > 1 &&
                is_numeric($coat->mm ?? null)
            ) {
                $coat->mm /= $coat->passes;
            }
        }
        foreach (is_array($file->sections ?? null) ? $file->sections : [] as $section) {
            if ($section instanceof stdClass) {
                $section->runs_on = true;
            }
        }
        $file->version = 3;
    }

    /**
     * Coats stand in the order in which they are laid, and glue is in its coat. What is not in its form is left to be found fault with.
     *
     * @param  callable(string): (int|null)  $stage
     */
    private static function toFourth(stdClass $file, callable $stage): void
    {
        $list = fn (string $key): array => array_filter(
            is_array($file->{$key} ?? null) ? $file->{$key} : [],
            fn (mixed $v): bool => $v instanceof stdClass,
        );
        $own = [];
        foreach ($list('recipes') as $recipe) {
            $own[(string) ($recipe->recipe->id ?? '')] = Stage::named((string) ($recipe->recipe->stage ?? ''))?->value;
        }
        $coats = $list('coats');
        $sound = array_filter($coats, fn (stdClass $c): bool => is_string($c->zone ?? null) && is_string($c->recipe ?? null));
        if ($coats !== [] && $sound === $file->coats) {
            $brought = OldCoats::brought(
                array_map(fn (stdClass $coat): array => (array) $coat, array_values($sound)),
                array_map(fn (stdClass $laid): string => (string) ($laid->coat ?? ''), array_values($list('laid'))),
                fn (string $id): int => $own[$id] ?? $stage($id) ?? 0,
            );
            $file->coats = array_map(fn (array $coat): stdClass => (object) $coat, array_values($brought));
        }
        $file->version = 4;
    }
}
