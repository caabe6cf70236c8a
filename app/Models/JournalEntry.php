<?php

declare(strict_types=1);

namespace App\Models;

/** What was done or seen. Never changed. */
final class JournalEntry extends JsonRecord
{
}
