<?php

declare(strict_types=1);

namespace App\Models;

/** What was found on a round. */
final class Check extends JsonRecord
{
}
