<?php

declare(strict_types=1);

namespace App\Models;

/** How a pond or stream is to be made. */
final class Water extends JsonRecord
{
}
