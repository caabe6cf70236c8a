<?php

declare(strict_types=1);

namespace App\Models;

/** A picture; its bytes lie apart, by their hash. */
final class Photo extends JsonRecord
{
}
