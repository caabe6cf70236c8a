<?php

declare(strict_types=1);

namespace App\Models;

/** Where something stalled, scraped or came off. */
final class Stall extends JsonRecord
{
}
