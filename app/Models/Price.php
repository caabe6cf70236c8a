<?php

declare(strict_types=1);

namespace App\Models;

/** What a pack of a material costs. */
final class Price extends JsonRecord
{
}
