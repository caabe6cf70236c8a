<?php

declare(strict_types=1);

namespace App\Models;

/** A room that sections stand in. */
final class Room extends JsonRecord
{
}
