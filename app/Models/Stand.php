<?php

declare(strict_types=1);

namespace App\Models;

/** A stand of trees. */
final class Stand extends JsonRecord
{
}
