<?php

declare(strict_types=1);

namespace App\Actions\Shelf;

use App\Devices\HttpBenchScale;
use App\Models\Layout;
use App\Models\TrustedLogger;

/** The scale at the bench: an address in this house, that no file brings along. */
final readonly class SaveScale
{
    public function keep(Layout $layout, string $address): void
    {
        $address = trim($address) === '' ? '' : HttpBenchScale::allowed(trim($address));
        TrustedLogger::query()
            ->where(['layout_id' => $layout->id, 'room' => TrustedLogger::SCALE])
            ->delete();
        if ($address !== '') {
            TrustedLogger::query()->create(['layout_id' => $layout->id, 'room' => TrustedLogger::SCALE, 'address' => $address]);
        }
    }
}
