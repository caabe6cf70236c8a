<?php

declare(strict_types=1);

namespace App\Models;

/** A zone of a section. */
final class Zone extends JsonRecord
{
}
