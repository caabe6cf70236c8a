<?php

declare(strict_types=1);

namespace App\Models;

/** A recipe of a layout's own. */
final class Recipe extends JsonRecord
{
}
