<?php

declare(strict_types=1);

namespace App\Models;

/** What was tried on scrap. */
final class Trial extends JsonRecord
{
}
