<?php

declare(strict_types=1);

namespace App\Models;

/** A mirror where water would end. */
final class Mirror extends JsonRecord
{
}
