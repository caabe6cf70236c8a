<?php

declare(strict_types=1);

namespace App\Devices;

use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Measure\InvalidValue;

/** A thermometer and hygrometer that can be asked for what it has shown. */
interface RoomLogger
{
    /**
     * @param  int  $since minutes of Unix time
     *
     * @throws InvalidValue when it does not answer, or not in a way that can be read
     */
    public function since(string $address, int $since): AirLog;
}
