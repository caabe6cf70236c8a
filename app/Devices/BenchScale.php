<?php

declare(strict_types=1);

namespace App\Devices;

use IdleRidge\Core\Measure\InvalidValue;

/** A scale on the bench that can be asked for what it shows. */
interface BenchScale
{
    /**
     * @return float g, less than nothing where something was taken off a scale that was set to nothing
     *
     * @throws InvalidValue when it does not answer, or not in a way that can be read
     */
    public function grams(string $address): float;
}
