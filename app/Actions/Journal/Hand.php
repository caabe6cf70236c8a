<?php

declare(strict_types=1);

namespace App\Actions\Journal;

/** Whose hand writes: the device that this request comes from, empty at the machine that Idle Ridge runs on. */
final class Hand
{
    public string $device = '';
}
