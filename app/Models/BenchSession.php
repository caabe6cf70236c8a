<?php

declare(strict_types=1);

namespace App\Models;

/** When there are hands at the bench. */
final class BenchSession extends JsonRecord
{
}
