<?php

declare(strict_types=1);

namespace App\Models;

/** What came to a lot or went from it. */
final class Movement extends JsonRecord
{
}
