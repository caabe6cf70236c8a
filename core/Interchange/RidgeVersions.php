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
}
