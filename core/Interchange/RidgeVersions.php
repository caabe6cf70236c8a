<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use stdClass;

/** Brings files of older versions into the form of the present one, one step a version. What is not a layout stays as it is. */
final class RidgeVersions
{
    public static function brought(mixed $file): mixed
    {
        if ($file instanceof stdClass && ($file->version ?? null) === 1) {
            self::toSecond($file);
        }
        if ($file instanceof stdClass && ($file->version ?? null) === 2) {
            self::toThird($file);
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
}
