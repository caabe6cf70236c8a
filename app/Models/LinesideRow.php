<?php

declare(strict_types=1);

namespace App\Models;

/** What stands or lies along a line. */
final class LinesideRow extends JsonRecord
{
}
