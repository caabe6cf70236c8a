<?php

declare(strict_types=1);

namespace App\Models;

/** Sheets of one size in store. */
final class Lot extends JsonRecord
{
}
