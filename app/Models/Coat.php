<?php

declare(strict_types=1);

namespace App\Models;

/** A coat of a zone. */
final class Coat extends JsonRecord
{
}
